'use client';
import { useMemo } from 'react';
import { sharesOf, type OutcomeShares } from '@/core/map/area';
import type { SizeMap } from '@/core/map/size-map';
import { OUTCOMES } from '@/core/measure/judge';
import { sayShare } from '@/core/words/numbers';
import { OUTCOME_SHAPES } from '../words';
import { useAllowedSizes } from './useSizeMap';

function Shares({ shares }: { shares: OutcomeShares }) {
  return OUTCOMES.toReversed().map((outcome) => (
    <b key={outcome} className={`outcome-${outcome}`}>
      {OUTCOME_SHAPES[outcome]} {outcome} {sayShare(shares[outcome])}{' '}
    </b>
  ));
}

/** “8 % of a side: 26 lu at 320” */
const sayStep = (step: number) =>
  `${sayShare(step - 1)} of a side (${Math.round(320 * (step - 1))} lu at 320)`;

/** How much of what is allowed is clear, and how fine it was looked at. */
export function MapShares({ map, isRunning }: { map: SizeMap | null; isRunning: boolean }) {
  const allowed = useAllowedSizes();
  const shares = useMemo(() => map && sharesOf(map.pieces, allowed), [map, allowed]);
  const isAny = !allowed.width && !allowed.height && !allowed.ratios;
  if (!map) return <p role="status">Windows of all sizes are being measured…</p>;
  return (
    <>
      <p className="size-map-shares figures">
        {shares ? <Shares shares={shares} /> : 'Nothing of the map is allowed.'}
        <span className="quiet">{isAny ? 'of the whole map' : 'of the sizes that are allowed'}</span>
      </p>
      <p className="quiet size-map-note" role="status">
        Boundaries {map.isExact ? 'to the px' : 'roughly'}; a band narrower than {sayStep(map.step)} may be
        missed{isRunning ? '. Being refined…' : '.'} Marks: the screens, with their own insets.
      </p>
    </>
  );
}
