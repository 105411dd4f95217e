import type { Region } from '@/core/placing/rule';

/** A small screen with the region marked on it; a picture of the idea, not to scale. */
const AREAS: Record<string, [number, number, number, number]> = {
  screen: [0.5, 0.5, 19, 33],
  safe: [0.5, 5, 19, 25],
  content: [0.5, 3.5, 19, 28],
  margins: [3, 7.5, 14, 20],
  parent: [4, 9, 12, 16],
};

export function RegionDrawing({ region }: { region: Region }) {
  const [x, y, width, height] = AREAS[region] ?? [6, 12, 8, 10];
  return (
    <svg className="region-drawing" width="20" height="34" viewBox="0 0 20 34" aria-hidden="true">
      <rect x=".5" y=".5" width="19" height="33" rx="3" fill="none" stroke="currentColor" />
      <rect
        x={x}
        y={y}
        width={width}
        height={height}
        rx="1"
        fill="var(--river)"
        fillOpacity=".35"
        stroke="var(--river)"
      />
    </svg>
  );
}
