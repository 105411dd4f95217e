import { sayContrast } from '../words/numbers';
import { contrastsOf, tenthOf } from '../measure/contrast';
import { contrastRatio } from '../pixels/colour';
import { colourAt, hexOf, rgbaOf } from '../pixels/raster';
import { inkOn } from '../survey/contrast';
import { TILES } from '../survey/backdrop';
import type { AskedLayer, Context } from './context';
import { reason, type Reason } from './reason';

const WHERE = [
  ['top', 'middle', 'bottom'],
  ['left', 'middle', 'right'],
] as const;

/** “top left”, “middle” */
function sayPlace(tile: number): string {
  const third = (i: number) => Math.min(2, Math.floor((i * 3) / TILES.columns));
  const [y, x] = [WHERE[0][third(Math.floor(tile / TILES.columns))]!, WHERE[1][third(tile % TILES.columns)]!];
  return y === 'middle' && x === 'middle' ? 'middle' : [y, x].filter((w) => w !== 'middle').join(' ');
}

/** Where it is least, and the two colours there, by which their contrast can be worked out again. */
const sayLeast = (place: string, ink: string, under: string): Reason =>
  reason(
    `It is least at the ${place}: ${sayContrast(contrastRatio(rgbaOf(ink), rgbaOf(under)))} of ${ink} over ${under}.`,
  );

/** The colours that a contrast is between: the ink’s and that of the tile where it is least. */
export function whyContrast({ input, result }: Context, { layer }: AskedLayer): Reason {
  const found = inkOn(result, layer.id, input);
  if (!found) return reason('Nothing is known of the pixels under it.');
  const { ink, inks, tiles, onBorder } = found;
  const all = contrastsOf(inks, tiles);
  const least = Math.min(...all);
  const at = all.indexOf(least);
  const path = layer.kind === 'text' ? ['style'] : ['tint' in layer && layer.tint ? 'tint' : 'picture'];
  const own = reason(`The ink of ${layer.name} is ${hexOf(ink)} in the mean.`, [], {
    part: { layerId: layer.id, path },
  });
  if (onBorder)
    return reason(
      `${sayContrast(tenthOf(all))} is between its ink and its own opaque border, seen as ${hexOf(colourAt(tiles, at))}.`,
      [own],
    );
  const below = result.layers.slice(
    0,
    result.layers.findIndex((l) => l.id === layer.id),
  );
  const names = below.filter((l) => l.kind !== 'text').map((l) => l.name);
  return reason(
    `At least nine tenths of the ${TILES.columns} × ${TILES.rows} tiles under it have ${sayContrast(tenthOf(all))} or more.`,
    [
      own,
      sayLeast(sayPlace(at), hexOf(colourAt(inks, at)), hexOf(colourAt(tiles, at))),
      reason(names.length > 0 ? `Under it lie ${names.join(', ')}.` : 'Nothing lies under it.'),
    ],
  );
}
