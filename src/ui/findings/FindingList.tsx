'use client';
import { useMemo, useRef, type ReactNode } from 'react';
import type { Outcome } from '@/core/measure/judge';
import type { SceneFinding } from '@/core/findings/scene';
import { sayFigure, sayLimit } from '@/core/measure/words';
import { findCase } from '@/core/screens/cases';
import { weightsOf } from '@/core/screens/weights';
import { useFocusAfter } from '../state/applied';
import { useCounted, useWorkbench } from '../state/context';
import { useLook } from '../state/look';
import { caseName, OUTCOME_SHAPES } from '../words';
import { FindingDetail } from './FindingDetail';
import { folded, rowsOf, type FindingRows } from './rows';
import { sayCases, sayFindingCases } from '../cause/say-cases';

interface OpenProps {
  /** the finding, or the row of several, that is open */
  open: string | undefined;
  onOpen: (id: string | undefined) => void;
}

interface HeadProps {
  isOpen: boolean;
  onToggle: () => void;
  shape: string;
  outcome: Outcome;
  /** on how many cases */
  on: string;
  /** the worst of it */
  worst: ReactNode;
  /** what, on what */
  children: ReactNode;
}

/** The line of a row, which opens it. */
const Head = ({ isOpen, onToggle, shape, outcome, on, worst, children }: HeadProps) => (
  <button type="button" className="finding-head" aria-expanded={isOpen} onClick={onToggle}>
    <span className={`outcome-${outcome}`}>{shape}</span>
    <span>{children}</span>
    <span className="figures">{on}</span>
    <span className="figures quiet">{worst}</span>
  </button>
);

/** One finding as a row: what, on what, on how many cases, how badly. */
function FindingRow({ finding, open, onOpen }: OpenProps & { finding: SceneFinding }) {
  const screens = useWorkbench((s) => s.sceneScreens);
  const { id, outcome, measure, subject, word, worst, accepted, approximate } = finding;
  const c = findCase(worst.caseId, screens);
  const isOpen = open === id;
  return (
    <li className={`finding finding-${outcome}`}>
      <Head
        {...{ isOpen, outcome }}
        onToggle={() => onOpen(isOpen ? undefined : id)}
        shape={accepted ? '✓' : OUTCOME_SHAPES[outcome]}
        on={sayFindingCases(finding)}
        worst={
          <>
            worst {sayFigure(measure, worst.value)}, {c && `${caseName(c)}, ${c.appearance}`};{' '}
            {sayLimit(worst.limit)}
            {approximate > 0 &&
              `; ${approximate} ${approximate === 1 ? 'rests' : 'rest'} on approximate data`}
          </>
        }
      >
        <b>{subject.name}</b> {word}
        {accepted && <span className="quiet"> accepted: {accepted}</span>}
      </Head>
      {isOpen && <FindingDetail finding={finding} />}
    </li>
  );
}

const list = new Intl.ListFormat('en', { type: 'conjunction' });

/** The same thing wrong with several layers: one row, behind which each of them is. */
function SharedRow({ row, open, onOpen }: OpenProps & { row: FindingRows }) {
  const { id, findings, outcome } = row;
  const isOpen = open === id || findings.some((f) => f.id === open);
  const names = [...new Set(findings.map((f) => f.subject.name))];
  const words = [...new Set(findings.map((f) => f.word))];
  return (
    <li className={`finding finding-${outcome}`}>
      <Head
        {...{ isOpen, outcome }}
        onToggle={() => onOpen(isOpen ? undefined : id)}
        shape={OUTCOME_SHAPES[outcome]}
        on={sayCases(row.open, row.accepted, row.weight)}
        worst={`${findings.length} findings of one cause`}
      >
        <b>{list.format(names)}</b>: {words.join(', ')}
      </Head>
      {isOpen && (
        <ul className="findings-list findings-shared">
          {findings.map((f) => (
            <FindingRow key={f.id} finding={f} open={open} onOpen={(next) => onOpen(next ?? id)} />
          ))}
        </ul>
      )}
    </li>
  );
}

const Rows = ({ rows, ...opening }: OpenProps & { rows: readonly FindingRows[] }) => (
  <ul className="findings-list">
    {rows.map((row) =>
      row.findings.length === 1 ? (
        <FindingRow key={row.id} finding={row.findings[0]!} {...opening} />
      ) : (
        <SharedRow key={row.id} row={row} {...opening} />
      ),
    )}
  </ul>
);

/** The findings in rows; those of little weight are folded away. */
export function FindingList({
  findings,
  order,
}: {
  findings: readonly SceneFinding[];
  order: 'cause' | 'layer';
}) {
  const look = useLook();
  const open = useWorkbench((s) => s.view.open);
  const cases = useCounted();
  const { shown, little } = useMemo(
    () => folded(rowsOf(findings, order, weightsOf(cases))),
    [findings, order, cases],
  );
  // After a mend, what is to be looked at next.
  const ref = useRef<HTMLDivElement>(null);
  useFocusAfter(() => ref.current?.querySelector<HTMLElement>('.finding-head')?.focus());
  const onOpen = (id: string | undefined) => look({ open: id });
  const hidesOpen = little.some((r) => r.id === open || r.findings.some((f) => f.id === open));
  return (
    <div ref={ref}>
      <Rows rows={shown} {...{ open, onOpen }} />
      {little.length > 0 && (
        <details className="findings-little" open={hidesOpen || undefined}>
          <summary>{little.length} more, each on under 1 % of the weight</summary>
          <Rows rows={little} {...{ open, onOpen }} />
        </details>
      )}
    </div>
  );
}
