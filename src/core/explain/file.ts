import { sayDensity } from '../words/numbers';
import { sameDensity, type Rendition } from '../pictures/picture';
import { isPortrait } from '../screens/turn';
import type { AskedLayer, Context } from './context';
import { reason, type Reason } from './reason';

/** Why this density of those there are, by the rule of the screen’s family. */
function whyDensity(context: Context, list: readonly Rendition[], taken: Rendition): string {
  const { screen } = context.prepared.turned;
  if (taken.vector) return 'A vector goes before every bitmap: it is drawn at the screen’s own density.';
  if (list.length === 1) return 'There is one file for it.';
  const all = list.map((r) => `${sayDensity(r.density)}x`).join(', ');
  const has = `The screen has ${sayDensity(screen.density)} px per lu; there are ${all}.`;
  if (sameDensity(taken.density, screen.density)) return `${has} One is just that density.`;
  if (screen.family === 'whole-number')
    return taken.density > screen.density
      ? `${has} None matches, so the smallest larger one is drawn smaller.`
      : `${has} None is as dense, so the largest is enlarged.`;
  return taken.density > screen.density
    ? `${has} Of density classes a denser one is taken rather than enlarging, unless the one below is very near.`
    : `${has} The class below is taken: the next denser one is far, or there is none.`;
}

/** Which file of its picture a layer takes on the case, and by which rules: cut, then appearance, then density. */
export function whyFile(context: Context, { layer }: AskedLayer): Reason {
  const choice = context.prepared.chosen.get(layer.id);
  if (!choice) return reason('It is not drawn from a file.');
  const { cut, rendition } = choice;
  const { orientation } = context.prepared.turned;
  const { appearance } = context.result;
  const wanted = isPortrait(orientation) ? 'portrait' : 'landscape';
  const ofCut =
    cut.cut === wanted
      ? `In ${wanted} it takes the ${wanted} cut.`
      : `There is no ${wanted} cut, so it takes the one for ${cut.cut === 'any' ? 'any orientation' : cut.cut}.`;
  const ofAppearance =
    rendition.appearance === appearance
      ? `Its ${appearance} file is taken.`
      : `There is no ${appearance} file, so the ${rendition.appearance} one is taken.`;
  const list = cut.renditions.filter((r) => r.appearance === rendition.appearance);
  return reason(
    `The file of ${rendition.widthPx} × ${rendition.heightPx} px counts as ${sayDensity(rendition.density)}x.`,
    [reason(ofCut), reason(ofAppearance), reason(whyDensity(context, list, rendition))],
    { part: { layerId: layer.id, path: ['picture'] } },
  );
}
