'use client';
import { useMemo, useState } from 'react';
import { openOn } from '@/core/findings/finding';
import { sayFigure, sayLimit } from '@/core/measure/words';
import { hasToJudge } from '@/core/scene/layers';
import type { SceneFinding } from '@/core/findings/scene';
import { foundCounts } from '@/core/review/counts';
import { findCase } from '@/core/screens/cases';
import { useScene, useWorkbench, useWorkbenchStore } from '../state/context';
import { FINDING_ORDERS, type View } from '../state/view';
import { caseName, NOTHING_TO_JUDGE, OUTCOME_SHAPES } from '../words';
import { MirrorNote } from '../scene/MirrorNote';
import { Choices } from '../parts/Choices';
import { FindingDetail } from './FindingDetail';
import { LimitsList } from './LimitsList';
import { sayCases } from './say-cases';
import { ScreenList } from './ScreenList';
import { WeightedTotals } from './WeightedTotals';

const ORDER_WORDS: Record<View['order'], string> = {
  cause: 'by cause',
  layer: 'by layer',
  screen: 'by screen',
  limits: 'limits',
};

interface RowProps {
  finding: SceneFinding;
  open: boolean;
  onOpen: () => void;
}

/** One finding as a row: what, on what, on how many cases, how badly. */
function FindingRow({ finding, open, onOpen }: RowProps) {
  const screens = useWorkbench((s) => s.screens);
  const { outcome, measure, subject, word, cases, worst, weight, accepted, approximate } = finding;
  const c = findCase(worst.caseId, screens);
  return (
    <li className={`finding finding-${outcome}`}>
      <button type="button" className="finding-head" aria-expanded={open} onClick={onOpen}>
        <span className={`outcome-${outcome}`}>{accepted ? '✓' : OUTCOME_SHAPES[outcome]}</span>
        <span>
          <b>{subject.name}</b> {word}
          {accepted && <span className="quiet"> accepted: {accepted}</span>}
        </span>
        <span className="figures">{sayCases(cases.length, cases.length - openOn(finding), weight)}</span>
        <span className="figures quiet">
          worst {sayFigure(measure, worst.value)}, {c && `${caseName(c)}, ${c.appearance}`}; accepted is{' '}
          {sayLimit(worst.limit)}
          {approximate > 0 && `; ${approximate} hinge on approximate figures`}
        </span>
      </button>
      {open && <FindingDetail finding={finding} />}
    </li>
  );
}

const GROUP: Record<'cause' | 'layer', (f: SceneFinding) => string> = {
  cause: (f) => f.rule,
  layer: (f) => f.subject.id,
};

/** Findings of one group after another, in the order of the gravest in each. */
function arranged(findings: readonly SceneFinding[], order: 'cause' | 'layer'): SceneFinding[] {
  const groups = new Map<string, SceneFinding[]>();
  for (const f of findings) groups.set(GROUP[order](f), [...(groups.get(GROUP[order](f)) ?? []), f]);
  return [...groups.values()].flat();
}

function FindingList({ findings, order }: { findings: readonly SceneFinding[]; order: 'cause' | 'layer' }) {
  const [open, setOpen] = useState<string | null>(null);
  const list = useMemo(() => arranged(findings, order), [findings, order]);
  return (
    <ul className="findings-list">
      {list.map((f) => (
        <FindingRow
          key={f.id}
          finding={f}
          open={open === f.id}
          onOpen={() => setOpen(open === f.id ? null : f.id)}
        />
      ))}
    </ul>
  );
}

/** How many findings there are, and how much of the weight they leave clear. */
function Head() {
  const scene = useScene();
  const findings = useWorkbench((s) => s.found);
  if (!findings) return <p>All cases are being measured…</p>;
  const { fail, warn, accepted } = foundCounts(findings);
  return (
    <p>
      <b className="outcome-fail">
        {OUTCOME_SHAPES.fail} {fail}
      </b>{' '}
      <b className="outcome-warn">
        {OUTCOME_SHAPES.warn} {warn}
      </b>{' '}
      {findings.length === 1 ? 'finding' : 'findings'} on {scene.name}
      {accepted > 0 && ` and ${accepted} accepted`}, over all screens, orientations and appearances.
    </p>
  );
}

/** The lists of what is wrong. */
function Lists({ order }: { order: View['order'] }) {
  const scene = useScene();
  const findings = useWorkbench((s) => s.found);
  if (order === 'limits') return <LimitsList />;
  if (!findings) return null;
  if (!hasToJudge(scene)) return <p className="findings-none">{NOTHING_TO_JUDGE}</p>;
  if (findings.length === 0)
    return (
      <p className="findings-none">
        <span className="outcome-clear">{OUTCOME_SHAPES.clear}</span> Nothing is wrong with this scene on any
        screen.
      </p>
    );
  return order === 'screen' ? (
    <ScreenList findings={findings} />
  ) : (
    <FindingList findings={findings} order={order} />
  );
}

/** Everything that is wrong with the open scene, why, and what would mend it; and the limits that say so. */
export function FindingsLens() {
  const store = useWorkbenchStore();
  const order = useWorkbench((s) => s.view.order);
  return (
    <main className="findings" id="main">
      <MirrorNote />
      <div className="findings-head">
        <Head />
        <Choices
          label="List"
          options={FINDING_ORDERS.map((value) => ({ value, label: ORDER_WORDS[value] }))}
          value={order}
          onChoose={(next) => store.setState(({ view }) => ({ view: { ...view, order: next } }))}
        />
      </div>
      {order !== 'limits' && <WeightedTotals />}
      <Lists order={order} />
    </main>
  );
}
