'use client';
import { useState } from 'react';
import { Button } from 'react-bootstrap';
import type { Advice } from '@/core/findings/advise';
import { openOn } from '@/core/findings/finding';
import type { SceneFinding } from '@/core/findings/scene';
import { sayFigure, sayValue } from '@/core/measure/words';
import { applyMend } from '../state/applied';
import { useWorkbenchStore } from '../state/context';
import { countCases } from '../words';
import { Costs } from '../parts/Costs';
import { MendPreview } from './MendPreview';
import { sayOutcomes } from './say-cases';
import { Trying } from './Trying';
import type { Answers } from './useAnswers';

/** “crop 66.3 % → 41 %, gone on 139 of 278 cases, ▲ fail 278 → 106”: what a mend achieves, the finding’s own figure first. */
function sayMend(finding: SceneFinding, mend: Advice): string {
  const { measure, worst } = finding;
  const is = mend.worst === null ? 'gone' : sayValue(measure, mend.worst);
  const on = `on ${openOn(finding)} → ${countCases(openOn(finding) - mend.clears)}`;
  return `${sayFigure(measure, worst.value)} → ${is}, ${on}${sayOutcomes(mend)}`;
}

interface MendProps {
  finding: SceneFinding;
  mend: Advice;
  isSeen: boolean;
  onSee: () => void;
}

/** One mend: what it does, what it achieves and costs, and the way to do it. */
function MendRow({ finding, mend, isSeen, onSee }: MendProps) {
  const store = useWorkbenchStore();
  const apply = () =>
    applyMend(store, {
      fix: mend.label,
      patch: mend.patch,
      said: `${mend.label}: done${sayOutcomes(mend)}.`,
    });
  return (
    <li>
      <span>
        <b>{mend.label}</b>
      </span>
      <span className="mend-actions">
        <Button variant="primary" size="sm" aria-label={`Apply: ${mend.label}`} onClick={apply}>
          apply
        </Button>
        <Button
          variant="quiet"
          size="sm"
          aria-expanded={isSeen}
          aria-label={`Preview: ${mend.label}`}
          onClick={onSee}
        >
          preview
        </Button>
      </span>
      <span className="mend-figures">
        <span className="figures">{sayMend(finding, mend)}</span>, <Costs costs={mend.costs} />
      </span>
      {isSeen && <MendPreview finding={finding} mend={mend} />}
    </li>
  );
}

interface MendsProps {
  finding: SceneFinding;
  answers: Answers<Advice> | null;
  callOff: () => void;
  /** at most so many, the best first */
  most?: number;
}

/** What would mend a finding, the best first. */
export function Mends({ finding, answers, callOff, most }: MendsProps) {
  const [seen, setSeen] = useState<number | null>(null);
  const mends = answers?.mends;
  if (!mends) return <Trying {...{ answers, callOff }} />;
  if (mends.length === 0 && finding.accepted) return <p>What is accepted needs no mend.</p>;
  if (mends.length === 0)
    return <p>No change that Coulee knows of makes this better without making more worse.</p>;
  return (
    <ol className="mends">
      {mends.slice(0, most).map((mend, i) => (
        <MendRow
          key={mend.label}
          {...{ finding, mend }}
          isSeen={seen === i}
          onSee={() => setSeen(seen === i ? null : i)}
        />
      ))}
    </ol>
  );
}
