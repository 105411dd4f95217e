'use client';
import { useMemo } from 'react';
import { byScreen } from '@/core/findings/by-screen';
import type { SceneFinding } from '@/core/findings/scene';
import { wordOn } from '@/core/findings/scene';
import { sayFigure } from '@/core/measure/words';
import { findCase } from '@/core/screens/cases';
import { useCounted, useWorkbench, useWorkbenchStore } from '../state/context';
import { openCase } from '../state/open-case';
import { caseTurn, kindName, OUTCOME_SHAPES } from '../words';

/** What is wrong on each screen, over its orientations and appearances; each line opens its worst case. */
export function ScreenList({ findings }: { findings: readonly SceneFinding[] }) {
  const store = useWorkbenchStore();
  const cases = useCounted();
  const screens = useWorkbench((s) => s.sceneScreens);
  const list = useMemo(() => byScreen(findings, cases), [findings, cases]);
  return (
    <ul className="findings-list screen-list">
      {list.map(({ screen, outcome, found }) => (
        <li key={screen.id} className="finding">
          <h3>
            <span className={`outcome-${outcome}`}>{OUTCOME_SHAPES[outcome]}</span> {kindName(screen)}{' '}
            <span className="figures">
              {screen.width} × {screen.height}
            </span>{' '}
            <span className="quiet figures">
              {screen.label} · {found.length} {found.length === 1 ? 'finding' : 'findings'}
            </span>
          </h3>
          <ul>
            {found.map(({ finding, on }) => {
              const worst = on.reduce((a, b) => (b.by > a.by ? b : a));
              const c = findCase(worst.caseId, screens);
              return (
                <li key={finding.id}>
                  <span className={`outcome-${worst.outcome}`}>
                    {worst.accepted ? '✓' : OUTCOME_SHAPES[worst.outcome]}
                  </span>{' '}
                  {finding.subject.name} {wordOn(finding, on)},{' '}
                  <span className="figures">{sayFigure(finding.measure, worst.value)}</span>{' '}
                  <button type="button" className="why" onClick={() => openCase(store, worst.caseId)}>
                    {c ? `${caseTurn(c)}, ${c.appearance}` : worst.caseId}
                  </button>
                  {on.length > 1 && <span className="quiet"> and {on.length - 1} more</span>}
                </li>
              );
            })}
          </ul>
        </li>
      ))}
    </ul>
  );
}
