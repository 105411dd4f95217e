import { centredByInk, withoutInkShift } from '../fit/presets';
import { sameJson } from '../patch/patch';
import { withFits } from './rules';
import type { PictureLayer } from './scene';
import type { When } from './when';

/** How far the ink lies off the middle of its file, shares of the file; > 0 is right / down. */
interface Off {
  x: number;
  y: number;
}

/** How far the ink lies off the middle: of the cut that is shown upright, and of the one that is shown in landscape. */
export type InkOff = Record<'portrait' | 'landscape', Off>;

/** Shares up to which two cuts have their ink in the same place. */
const SAME = 0.0005;
const isSame = ({ portrait: a, landscape: b }: InkOff) =>
  Math.max(Math.abs(a.x - b.x), Math.abs(a.y - b.y)) <= SAME;

/** One rule that differs, told apart by orientation where its fit has to be. */
function apart(when: When, layer: PictureLayer, off: InkOff): When[] {
  const { orientation, fit } = when;
  const held = (as: 'portrait' | 'landscape'): When => {
    // Upright the usual fit is right already.
    if (!fit && as === 'portrait') return { ...when, orientation: as };
    return { ...when, orientation: as, fit: centredByInk(fit ?? layer.fit, off[as]) };
  };
  if (orientation) return orientation === 'portrait' && !fit ? [when] : [held(orientation)];
  return [held('portrait'), held('landscape')];
}

/**
 * A layer with the middle of the ink where the middle of the file was, by all of its rules. Where cuts have their ink in
 * different places, each orientation has a fit of its own.
 */
export function withInkCentred(layer: PictureLayer, off: InkOff): PictureLayer {
  if (isSame(off)) return withFits(layer, (fit) => centredByInk(fit, off.portrait));
  const when = (layer.when ?? []).flatMap((w) => apart(w, layer, off));
  const always = when.some(
    (w) => w.orientation === 'landscape' && w.minWidth === undefined && w.maxWidth === undefined,
  );
  const turned: When[] = always
    ? []
    : [{ orientation: 'landscape', fit: centredByInk(layer.fit, off.landscape) }];
  return { ...layer, fit: centredByInk(layer.fit, off.portrait), when: [...when, ...turned] };
}

/** Takes the shifts by ink out of a layer, once its files are trimmed to their ink; rules that say nothing any more go. */
export function withoutInkShifts(layer: PictureLayer, off: InkOff): PictureLayer {
  const { when, ...plain } = withFits(layer, (fit) =>
    withoutInkShift(withoutInkShift(fit, off.portrait), off.landscape),
  );
  const rest = when?.filter(
    ({ orientation: _o, fit, ...more }) => !(sameJson(fit, plain.fit) && Object.keys(more).length === 0),
  );
  return { ...plain, ...(rest && rest.length > 0 && { when: rest }) } as PictureLayer;
}
