'use client';
import { countCases } from '@/core/words/words';
import { useCallback } from 'react';
import { sayShare, sayWeight } from '@/core/words/numbers';
import type { Cut } from '@/core/pictures/picture';
import type { SeenParts } from '@/core/solve/layer';
import { useAnswer, type Asking } from '../state/ask';

export const SEEN_ON = [
  { value: 'this', label: 'this screen', title: 'What the close-up’s screen shows of the picture' },
  { value: 'every', label: 'all screens', title: 'How much of the weight sees each part of the picture' },
] as const;

/** Which parts of a cut of a layer’s picture are seen on how many screens; `null` until it is asked for and known. */
export function useSeen(
  layerId: string,
  cut: Cut['cut'] | null,
): { found: SeenParts | null; isOlder: boolean } {
  const asking = useCallback<Asking<SeenParts | null>>(
    (worker, documents, sceneId) => worker.seen(documents, sceneId, layerId, cut!),
    [layerId, cut],
  );
  return useAnswer(cut === null ? null : asking);
}

const from = (start: number, length: number) => `${sayShare(start)} to ${sayShare(start + length)}`;

/** The part that every screen shows, in words. @param cuts of the picture */
export const saySeen = ({ everywhere: e, cases, heat }: SeenParts, cuts: number): string => {
  const most = Math.max(0, ...heat.shares);
  const all = `${countCases(cases)}${cuts > 1 ? ' that take this cut' : ''}`;
  const part = e
    ? `Every one of ${all} shows the part from ${from(e.x, e.width)} across and ${from(e.y, e.height)} down.`
    : `No part is shown by all of ${all}; what is seen most is seen by ${sayWeight(most)} of the weight.`;
  return `${part} The darker, the fewer see it.`;
};

/** Over a picture: the darker a part, the less of the weight sees it; framed, what every case shows. */
export function SeenHeat({ seen: { everywhere, heat } }: { seen: SeenParts }) {
  const { columns, rows, shares } = heat;
  return (
    <svg
      className="seen-heat"
      viewBox={`0 0 ${columns} ${rows}`}
      preserveAspectRatio="none"
      aria-hidden="true"
      shapeRendering="crispEdges"
    >
      {shares.map((share, i) => (
        <rect
          key={i}
          x={i % columns}
          y={Math.floor(i / columns)}
          width={1}
          height={1}
          opacity={(1 - share) * 0.82}
        />
      ))}
      {everywhere && (
        <rect
          className="seen-everywhere"
          x={everywhere.x * columns}
          y={everywhere.y * rows}
          width={everywhere.width * columns}
          height={everywhere.height * rows}
        />
      )}
    </svg>
  );
}
