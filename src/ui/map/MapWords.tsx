'use client';
import type { Break } from '@/core/map/breaks';
import type { Near } from '@/core/map/nearest';
import { sayBroken, sayWhere } from '@/core/map/words';
import { findCase } from '@/core/screens/cases';
import { sayShare, sayLength } from '@/core/words/numbers';
import { useScene, useWorkbench } from '../state/context';
import { useLook } from '../state/look';
import { sayWindow } from '../state/view';
import { caseName, OUTCOME_SHAPES } from '../words';

/** So many places are listed; the others are small. */
const MOST = 8;

/** Where something goes wrong, and what. */
export function WhereItBreaks({ breaks }: { breaks: readonly Break[] }) {
  const { layers } = useScene();
  const look = useLook();
  return (
    <section aria-labelledby="where-it-breaks">
      <h3 id="where-it-breaks">Where it breaks first</h3>
      {breaks.length === 0 && (
        <p>
          <span className="outcome-clear">{OUTCOME_SHAPES.clear}</span> Nowhere: every size that was looked at
          is clear.
        </p>
      )}
      <table className="size-map-breaks">
        <tbody>
          {breaks.slice(0, MOST).map((b) => (
            <tr
              key={`${b.outcome} ${b.worst.subjectId} ${b.worst.limit.measure} ${b.at.width} ${b.at.height}`}
            >
              <td>
                <button
                  type="button"
                  className="part figures"
                  title="Looks at the worst window of these"
                  onClick={() => look({ window: sayWindow(b.at) })}
                >
                  {sayWhere(b)}
                </button>
              </td>
              <td>
                <span className={`outcome-${b.outcome}`}>{OUTCOME_SHAPES[b.outcome]}</span>{' '}
                {sayBroken(b, layers)}
              </td>
              <td className="figures quiet">{sayShare(b.share)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {breaks.length > MOST && <p className="quiet">And {breaks.length - MOST} smaller places.</p>}
    </section>
  );
}

const DIRECTIONS = { width: ['narrower', 'wider'], height: ['lower', 'higher'] } as const;

/** Which screens are nearest to failing. */
export function NearList({ near, isRunning }: { near: readonly Near[] | null; isRunning: boolean }) {
  const screens = useWorkbench((s) => s.sceneScreens);
  const { layers } = useScene();
  const look = useLook();
  return (
    <section aria-labelledby="nearest-to-fail">
      <h3 id="nearest-to-fail">Screens that are nearest to failing</h3>
      {isRunning && <p className="quiet">Being measured…</p>}
      {!isRunning && near?.length === 0 && (
        <p>No screen that is clear or warns fails by being up to 128 lu larger or smaller.</p>
      )}
      <ul className="size-map-near">
        {near?.map(({ caseId, along, by, breach }) => {
          const c = findCase(caseId, screens);
          return (
            c && (
              <li key={caseId}>
                <button
                  type="button"
                  className="part"
                  onClick={() => look({ case: caseId, window: undefined })}
                >
                  {caseName(c)}
                </button>
                : <b className="figures">{sayLength(Math.abs(by))}</b> {DIRECTIONS[along][by < 0 ? 0 : 1]},
                and {sayBroken({ worst: breach }, layers)}.
              </li>
            )
          );
        })}
      </ul>
    </section>
  );
}
