import { bottom, intersect, right, type Rect } from '@/core/geometry/rect';
import type { Breach } from '@/core/measure/judge';
import type { CaseResult } from '@/core/survey/survey';

/** What of a case is at fault, absolute on the screen, lu; `null` where it has no place. */
function spotOf({ subjectId, limit: { measure } }: Breach, { layers }: CaseResult): Rect | null {
  const layer = layers.find((l) => l.id === subjectId);
  if (!layer || layer.kind === 'ground') return null;
  const kept = layer.kind === 'picture' ? layer.measures.keep : null;
  const shareOf = { 'keep-lost': 'lost', 'keep-hidden': 'hidden' } as const;
  if (!kept || (measure !== 'keep-lost' && measure !== 'keep-hidden')) return layer.box;
  const share = shareOf[measure];
  return kept.reduce((a, b) => (b[share] > a[share] ? b : a)).rect;
}

const clamp = (value: number, low: number, high: number) => Math.min(high, Math.max(low, value));

/** An arrow at the edge of the screen, towards what lies wholly beyond it. */
function Beyond({ spot, screen, unit }: { spot: Rect; screen: Rect; unit: number }) {
  const x = clamp(spot.x + spot.width / 2, screen.x, right(screen));
  const y = clamp(spot.y + spot.height / 2, screen.y, bottom(screen));
  const turned =
    spot.x >= right(screen) ? 0 : right(spot) <= screen.x ? 180 : spot.y >= bottom(screen) ? 90 : 270;
  return (
    <path
      className="spot-beyond"
      transform={`translate(${x} ${y}) rotate(${turned}) scale(${unit})`}
      d="M-1 0L-15 -9V9Z"
    />
  );
}

/**
 * Marks what is at fault on the drawing of a case; what is not seen at all by an arrow towards it.
 * @param scale CSS px per lu of the drawing
 */
export function Spot({ breach, result, scale }: { breach: Breach; result: CaseResult; scale: number }) {
  const { screen } = result.regions;
  const spot = spotOf(breach, result);
  if (!spot) return null;
  const seen = intersect(spot, screen);
  return (
    <svg className="spot" viewBox={`0 0 ${screen.width} ${screen.height}`} aria-hidden="true">
      {seen ? (
        <>
          <rect {...seen} className="spot-halo" />
          <rect {...seen} className="spot-edge" />
        </>
      ) : (
        <Beyond spot={spot} screen={screen} unit={1 / scale} />
      )}
    </svg>
  );
}
