import { useId } from 'react';
import { bottom, right } from '@/core/geometry/rect';
import type { CaseResult } from '@/core/survey/survey';

/**
 * Lines over a drawing: the safe area, hatched outside, and the keep areas of
 * the pictures, dashed where something of them is cut, and the boxes of what does not fill the screen.
 */
export function Guides({ result }: { result: CaseResult }) {
  const hatch = useId();
  const { screen, safe } = result.regions;
  const boxes = result.layers.filter((l) => l.kind !== 'ground' && l.role !== 'background');
  const kept = result.layers.flatMap((l) => (l.kind === 'picture' ? (l.measures.keep ?? []) : []));
  const outside = `M0 0H${screen.width}V${screen.height}H0ZM${safe.x} ${safe.y}V${bottom(safe)}H${right(safe)}V${safe.y}Z`;
  return (
    <svg className="guides" viewBox={`0 0 ${screen.width} ${screen.height}`} aria-hidden="true">
      <pattern id={hatch} width="9" height="9" patternUnits="userSpaceOnUse" patternTransform="rotate(-45)">
        <rect width="2" height="9" fill="#fff" fillOpacity=".7" />
      </pattern>
      <path d={outside} fill={`url(#${hatch})`} fillRule="evenodd" />
      <rect {...safe} className="guide-safe" />
      {kept.map(({ subject, lost, rect }) => (
        <rect key={subject} {...rect} className={lost > 0 ? 'guide-keep guide-keep-cut' : 'guide-keep'} />
      ))}
      {boxes.map((l) => (
        <rect key={l.id} {...l.box} className="guide-box" />
      ))}
    </svg>
  );
}
