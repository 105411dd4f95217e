'use client';
import { useMemo } from 'react';
import { sayNumber, sayShare } from '@/core/words/numbers';
import { sayShift } from '@/core/launch/bars';
import { handoverOf, type Handover, type Jump } from '@/core/launch/handover';
import { fadeOf } from '@/core/launch/timeline';
import type { CaseResult } from '@/core/survey/survey';
import { hexOf } from '@/core/pixels/raster';
import { CaseCanvas } from '../drawing/CaseCanvas';
import { useWorkbench } from '../state/context';
import { useIsMeasured, useOutside } from '../state/outside';
import { caseName } from '../words';
import { Choices } from '../parts/Choices';
import type { Film } from '../state/launched';

/** CSS px that the drawing may take. */
const ROOM = { width: 250, height: 300 };

/** Where a picture was, where it is, and the way between the two middles. */
function JumpLines({ jump, unit }: { jump: Jump; unit: number }) {
  const middle = (r: Jump['from']) => ({ x: r.x + r.width / 2, y: r.y + r.height / 2 });
  const [a, b] = [middle(jump.from), middle(jump.to)];
  const isFar = Math.hypot(b.x - a.x, b.y - a.y) > 6 * unit;
  return (
    <g>
      <rect className="jump-from" {...jump.from} />
      <rect className="jump-to" {...jump.to} />
      {isFar && <line className="jump-way" x1={a.x} y1={a.y} x2={b.x} y2={b.y} markerEnd="url(#jump-end)" />}
      <circle className="jump-dot" cx={a.x} cy={a.y} r={2.5 * unit} />
    </g>
  );
}

/** The last frame of a stage under the first whole frame of the next. */
function Overlay({
  before,
  after,
  jumps,
}: {
  before: CaseResult;
  after: CaseResult;
  jumps: readonly Jump[];
}) {
  const { width, height } = after.regions.screen;
  const scale = Math.min(ROOM.width / width, ROOM.height / height);
  return (
    <div className="overlay" style={{ width: width * scale, height: height * scale }}>
      <CaseCanvas result={before} scale={scale} />
      <div className="overlay-after">
        <CaseCanvas result={after} scale={scale} />
      </div>
      <svg viewBox={`0 0 ${width} ${height}`} aria-hidden="true">
        <defs>
          <marker
            id="jump-end"
            viewBox="0 0 8 8"
            refX="7"
            refY="4"
            markerWidth="7"
            markerHeight="7"
            orient="auto"
          >
            <path d="M0 0L8 4L0 8z" className="jump-head" />
          </marker>
        </defs>
        {jumps.map((j) => (
          <JumpLines key={j.layers.after} jump={j} unit={1 / scale} />
        ))}
      </svg>
    </div>
  );
}

function Words({ h }: { h: Handover }) {
  return (
    <ul className="plain-list handover-words">
      {h.jumps.map((j) => (
        <li key={j.layers.after}>
          <b>{j.wasName === null ? j.name : `${j.wasName}, then ${j.name}`}</b>{' '}
          <span className="figures">
            {j.furthest < 0.05
              ? 'stays where it is'
              : [sayShift(j.shift), `${sayShare(j.scale)} of its width`].filter(Boolean).join(', ')}
          </span>
        </li>
      ))}
      {h.flash !== null && h.colours && (
        <li>
          <b>Colour</b>{' '}
          <span className="figures">
            {hexOf(h.colours.before)} to {hexOf(h.colours.after)}, a mean difference of {sayNumber(h.flash)}
          </span>
        </li>
      )}
      {h.appears.length > 0 && <li className="quiet">appears: {h.appears.join(', ')}</li>}
      {h.vanishes.length > 0 && <li className="quiet">disappears: {h.vanishes.join(', ')}</li>}
    </ul>
  );
}

interface Props {
  film: Film;
  /** which stage hands over, where it is not the last */
  at: number;
  onChoose: (stage: number) => void;
}

/** How one stage hands over to the next on one case, laid over each other, with what moves and by how much. */
export function HandOver({ film, at: wanted, onChoose }: Props) {
  const scenes = useWorkbench((s) => s.documents.scenes);
  const documents = useWorkbench((s) => s.documents);
  const { pixels } = useOutside();
  const { stages } = film;
  const at = Math.min(wanted, Math.max(0, stages.length - 2));
  const [before, after] = [stages[at]?.result, stages[at + 1]?.result];
  const fadeMs = stages[at + 1] ? fadeOf(stages[at + 1]!.stage) : 0;
  const h = useMemo(
    () => (before && after ? handoverOf(before, after, pixels, fadeMs) : null),
    [before, after, pixels, fadeMs],
  );
  const [from, to] = [
    useIsMeasured(documents, stages[at]?.stage.scene ?? ''),
    useIsMeasured(documents, stages[at + 1]?.stage.scene ?? ''),
  ];
  const isMeasured = from && to;
  const nameOf = (i: number) => scenes[stages[i]!.stage.scene]?.name ?? '';
  return (
    <section aria-label="Hand-over">
      <h2>{caseName(film.c)}</h2>
      {stages.length > 1 && (
        <Choices
          label="From"
          options={stages.slice(1).map((_, i) => ({
            value: String(i),
            label: `${i + 1} ${nameOf(i)} to ${i + 2} ${nameOf(i + 1)}`,
          }))}
          value={String(at)}
          onChoose={(i) => onChoose(Number(i))}
        />
      )}
      {before && after && h ? (
        <>
          <Overlay before={before} after={after} jumps={h.jumps} />
          <p className="quiet overlay-words">Dashed: where it was. Solid: where it is.</p>
          {isMeasured ? <Words h={h} /> : <p role="status">Being measured…</p>}
        </>
      ) : (
        <p className="quiet">There is nothing that hands over here.</p>
      )}
    </section>
  );
}
