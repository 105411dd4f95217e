import { sayArea, sayNumber } from '../words/numbers';
import type { Axis } from '../geometry/rect';
import { overlapWith } from '../measure/overlap';
import { standingOf } from '../survey/together';
import { drawnLayer, rulePath, type AskedLayer, type Context } from './context';
import { reason, type Reason } from './reason';

const WORDS: Record<Axis, [string, string]> = { x: ['right', 'left'], y: ['below', 'above'] };

/** How far the ink lies off where the rule puts the middle, and that the file’s room is why. */
export function whyOffCentre(context: Context, { layer }: AskedLayer): Reason {
  const { measures } = drawnLayer(context, layer.id);
  const along = (axis: Axis) => {
    const off = measures.offCentre[axis];
    if (!off || Math.abs(off.own) < 0.05) return [];
    const where = WORDS[axis][off.own > 0 ? 0 : 1];
    return [`${sayNumber(Math.abs(off.own))} ${axis === 'x' ? `to the ${where}` : where}`];
  };
  const off = [...along('x'), ...along('y')];
  const path = layer.kind === 'picture' ? [...rulePath(context, layer.id), 'picture'] : ['style'];
  return reason(
    `The ink of ${layer.name} lies ${off.join(' and ') || 'not off'} of where its rule says “middle”.`,
    [
      reason('Its file has more room on one side of the ink than on the other.', [], {
        part: { layerId: layer.id, path },
      }),
    ],
  );
}

/** What a layer lies across. */
export function whyOverlap({ result }: Context, { layer }: AskedLayer): Reason {
  const own = result.layers.find((l) => l.id === layer.id);
  if (!own || own.kind === 'ground' || !own.placement.visible) return reason('Nothing of it is seen.');
  const standing = standingOf(result.layers);
  const self = standing.find((s) => s.id === layer.id);
  const others = result.layers.filter((l) => {
    const other = standing.find((s) => s.id === l.id);
    return self && other && other !== self && overlapWith(self, other, standing) > 0;
  });
  return reason(
    `It shares ${sayArea(own.measures.overlap)} with ${others.map((l) => l.name).join(', ')}.`,
    [],
    {
      part: { layerId: layer.id, path: ['placing', 'y'] },
    },
  );
}
