'use client';
import { useMemo, useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import type { Variant } from '@/core/findings/variants';
import { ruleOf } from '@/core/findings/rule';
import { breachId, gravestOfEach, type Breach } from '@/core/measure/judge';
import { ownerName, sayFigure } from '@/core/measure/words';
import type { Layer } from '@/core/scene/scene';
import { findCase, type Case } from '@/core/screens/cases';
import { distinctCases } from '@/core/screens/likeness';
import type { CaseResult } from '@/core/survey/survey';
import { useCaseResult } from '../state/case-result';
import { useWorkbench } from '../state/context';
import { useIsMeasured } from '../state/outside';
import { useLook } from '../state/look';
import { LAYOUTS, type View } from '../state/view';
import { BackToField } from '../parts/BackToField';
import { caseName, OUTCOME_SHAPES } from '../words';
import { Choices } from '../parts/Choices';
import { PairStage } from './PairStage';
import { NOW, useRules, useRulesOptions, type RulesId, type RulesOption, type RulesOptions } from './rules';

const LAYOUT_WORDS: Record<View['layout'], string> = { beside: 'side by side', over: 'one over the other' };
const LAYOUT_CHOICES = LAYOUTS.map((value) => ({ value, label: LAYOUT_WORDS[value] }));

interface SideProps {
  label: string;
  caseId: string;
  onCase: (id: string) => void;
  rules: RulesId;
  onRules: (id: RulesId) => void;
  options: RulesOptions;
  problem: string | null;
}

function Options({ label, options }: { label: string; options: readonly RulesOption[] }) {
  if (options.length === 0) return null;
  return (
    <optgroup label={label}>
      {options.map((o) => (
        <option key={o.id} value={o.id}>
          {o.label}
        </option>
      ))}
    </optgroup>
  );
}

/** Which case, and by which rules, one side shows. */
function SideChoice({ label, caseId, onCase, rules, onRules, options, problem }: SideProps) {
  const cases = useWorkbench((s) => s.cases);
  const appearance = useWorkbench((s) => s.view.appearance);
  const shown = useMemo(
    () => distinctCases(cases.filter((c) => c.appearance === appearance)).map((c) => c.shown),
    [cases, appearance],
  );
  return (
    <div className="pair-choice">
      <Form.Select
        size="sm"
        aria-label={`Screen ${label}`}
        value={caseId}
        onChange={(e) => onCase(e.target.value)}
      >
        {!shown.some((c) => c.id === caseId) && <option value={caseId}>the same as another one</option>}
        {shown.map((c) => (
          <option key={c.id} value={c.id}>
            {caseName(c)}
          </option>
        ))}
      </Form.Select>
      <Form.Select
        size="sm"
        aria-label={`Rules ${label}`}
        value={rules}
        onChange={(e) => onRules(e.target.value)}
      >
        <option value={NOW}>as it is now</option>
        <Options label="With another fit" options={options.fits} />
        <Options label="Another scene" options={options.scenes} />
        <Options label="As it was" options={options.revisions} />
      </Form.Select>
      {problem && (
        <p className="problem" role="alert">
          {problem}
        </p>
      )}
    </div>
  );
}

/** A breach in words that are the same for layers of two scenes that are called alike. */
const saidOf = (b: Breach, { layers }: Side) =>
  [ownerName(b.subjectId, layers), b.limit.measure, b.limit.side].filter(Boolean).join(' ');

/** What is wrong on one side; what is not so on the other one stands out. */
function Breaches({ label, side, other }: { label: string; side: Side; other: Side }) {
  const keyOf = (b: Breach, of: Side) => (side.sceneId === other.sceneId ? breachId(b) : saidOf(b, of));
  const there = new Map(gravestOfEach(other.result?.breaches ?? []).map((b) => [keyOf(b, other), b]));
  const own = gravestOfEach(side.result?.breaches ?? []);
  if (!side.isMeasured || !other.isMeasured) return <p role="status">Being measured…</p>;
  return (
    <ul className="pair-breaches" aria-label={`What is wrong ${label}`}>
      {own.map((b) => {
        const same = there.get(keyOf(b, side));
        const figure = sayFigure(b.limit.measure, b.value);
        const isSame = same !== undefined && figure === sayFigure(b.limit.measure, same.value);
        return (
          <li key={breachId(b)} className={isSame ? 'quiet' : undefined}>
            {b.accepted ? (
              <span className="outcome-clear" title={`Taken as it is: ${b.accepted}`}>
                ✓
              </span>
            ) : (
              <span className={`outcome-${b.limit.outcome}`}>{OUTCOME_SHAPES[b.limit.outcome]}</span>
            )}{' '}
            {ownerName(b.subjectId, side.layers)} {ruleOf([b]).word},{' '}
            <span className="figures">{figure}</span>
            {!same && <b> only here</b>}
          </li>
        );
      })}
      {own.length === 0 && (
        <li>
          <span className="outcome-clear">{OUTCOME_SHAPES.clear}</span> nothing
        </li>
      )}
    </ul>
  );
}

/** A case by a set of rules, surveyed. */
interface Side {
  rules: RulesId;
  setRules: (id: RulesId) => void;
  problem: string | null;
  sceneId: string;
  layers: readonly Layer[];
  result: CaseResult | null;
  isMeasured: boolean;
}

function useSide(caseId: string, variants: readonly Variant[]): Side {
  const screens = useWorkbench((s) => s.sceneScreens);
  const [rules, setRules] = useState<RulesId>(NOW);
  const c = useMemo<Case | null>(() => findCase(caseId, screens), [caseId, screens]);
  const { documents, sceneId, problem } = useRules(rules, variants);
  const layers = documents?.scenes[sceneId]?.layers ?? NONE;
  const result = useCaseResult(c, documents, sceneId);
  const isMeasured = useIsMeasured(documents, sceneId);
  return { rules, setRules, problem, sceneId, layers, result, isMeasured };
}
const NONE: readonly Layer[] = [];

/** How both lie, and what changes their places. */
function Head({ pinned }: { pinned: string }) {
  const view = useWorkbench((s) => s.view);
  const look = useLook();
  return (
    <div className="valley-head">
      <Choices
        label="Two cases"
        hideLabel
        options={LAYOUT_CHOICES}
        value={view.layout}
        onChoose={(next) => look({ layout: next })}
      />
      <Button variant="quiet" size="sm" onClick={() => look({ pin: view.case, case: pinned })}>
        swap
      </Button>
      <BackToField />
    </div>
  );
}

/** Two cases, or one case by two sets of rules, side by side or one over the other. */
export function PairView() {
  const view = useWorkbench((s) => s.view);
  const options = useRulesOptions();
  const look = useLook();
  const pinned = (view.pin ?? view.case ?? '').replace(/(light|dark)$/, view.appearance);
  const left = useSide(pinned, options.variants);
  const right = useSide(view.case ?? '', options.variants);
  return (
    <section className="middle-view pair-view" aria-label="Two cases">
      <Head pinned={pinned} />
      <div className="pair-sides">
        <SideChoice
          label="on the left"
          caseId={pinned}
          onCase={(pin) => look({ pin })}
          rules={left.rules}
          onRules={left.setRules}
          options={options}
          problem={left.problem}
        />
        <SideChoice
          label="on the right"
          caseId={view.case ?? ''}
          onCase={(id) => look({ case: id })}
          rules={right.rules}
          onRules={right.setRules}
          options={options}
          problem={right.problem}
        />
      </div>
      {left.result && right.result && (
        <>
          <PairStage left={left.result} right={right.result} layout={view.layout} />
          <div className="pair-sides">
            <Breaches label="on the left" side={left} other={right} />
            <Breaches label="on the right" side={right} other={left} />
          </div>
        </>
      )}
    </section>
  );
}
