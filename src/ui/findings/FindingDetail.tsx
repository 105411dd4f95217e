'use client';
import { useState } from 'react';
import { Button } from 'react-bootstrap';
import type { Advice } from '@/core/findings/advise';
import { openCases, openOn } from '@/core/findings/finding';
import type { Reason } from '@/core/explain/reason';
import type { SceneFinding } from '@/core/findings/scene';
import type { Acceptance } from '@/core/measure/accept';
import { findCase } from '@/core/screens/cases';
import { useWorkbench, useWorkbenchStore } from '../state/context';
import { edit, editBy } from '../state/edit';
import { openCase } from '../state/open-case';
import { openPart } from '../scene/open-part';
import { Steps } from '../screens/Why';
import { caseName, countCases } from '../words';
import { sayOutcomes } from './say-cases';
import { acceptanceOf, onScreens } from './acceptance';
import { AcceptForm } from './AcceptForm';
import { Costs } from './Costs';
import { MendPreview } from './MendPreview';
import { Trying } from './Trying';
import { useAnswers, type Answers } from './useAnswers';

interface MendsProps {
  finding: SceneFinding;
  answers: Answers<Advice> | null;
  callOff: () => void;
}

function Mends({ finding, answers, callOff }: MendsProps) {
  const mends = answers?.mends;
  const store = useWorkbenchStore();
  const [seen, setSeen] = useState<number | null>(null);
  if (!mends) return <Trying {...{ answers, callOff }} />;
  if (mends.length === 0 && finding.accepted) return <p>What is accepted needs no mend.</p>;
  if (mends.length === 0)
    return <p>No change that Coulee knows of makes this better without making more worse.</p>;
  const take = ({ patch }: Advice) => editBy(store, patch);
  return (
    <ol className="mends">
      {mends.map((mend, i) => (
        <li key={mend.label}>
          <span>
            <b>{mend.label}</b>: gone on {mend.clears} of {countCases(openOn(finding))}
            {sayOutcomes(mend)}, <Costs costs={mend.costs} />
          </span>
          <span className="mend-actions">
            <Button
              variant="quiet"
              size="sm"
              aria-expanded={seen === i}
              aria-label={`Preview: ${mend.label}`}
              onClick={() => setSeen(seen === i ? null : i)}
            >
              preview
            </Button>
            <Button
              variant="primary"
              size="sm"
              aria-label={`Apply: ${mend.label}`}
              onClick={() => take(mend)}
            >
              apply
            </Button>
          </span>
          {seen === i && <MendPreview finding={finding} mend={mend} />}
        </li>
      ))}
    </ol>
  );
}

/** Takes the finding as it is on chosen screens. */
function Accept({ finding }: { finding: SceneFinding }) {
  const store = useWorkbenchStore();
  const sceneId = useWorkbench((s) => s.sceneId);
  const screens = useWorkbench((s) => s.screens);
  const { measure, side, cases } = finding;
  const layer = finding.subject.id;
  const isSame = (a: Acceptance) => a.scene === sceneId && a.layer === layer && a.measure === measure;
  const change = (next: (all: readonly Acceptance[]) => Acceptance[]) =>
    edit(store, ({ project }) => {
      project.accepted = next(project.accepted ?? []);
    });
  const accept = (reason: string, chosen: readonly string[]) => {
    const given = onScreens(openCases(finding), chosen, screens).map(({ caseId, value }) => ({
      case: caseId,
      ...(side && { side }),
      value,
    }));
    change((all) => [...all, { scene: sceneId, layer, measure, screens: [...chosen], given, reason }]);
  };
  return (
    <AcceptForm
      {...acceptanceOf(cases, screens)}
      onAccept={accept}
      onTakeBack={() => change((all) => all.filter((a) => !isSame(a)))}
    />
  );
}

interface BecauseProps {
  answers: Answers<Advice> | null;
  onChange: (part: NonNullable<Reason['part']>) => void;
}

/** Why in one sentence, with the part to change in it; the figures that it comes from are folded under it. */
function Because({ answers, onChange }: BecauseProps) {
  if (!answers) return <p className="quiet">…</p>;
  const { short, why } = answers;
  return (
    <>
      {short && (
        <p className="in-short">
          {short.before}
          {short.part && (
            <button type="button" className="part" onClick={() => onChange(short.part!.at)}>
              {short.part.text}
            </button>
          )}
          {short.after}
        </p>
      )}
      <details>
        <summary>the figures it comes from</summary>
        <Steps reason={why} onChange={onChange} />
      </details>
    </>
  );
}

/** Why a finding is there, down to the part of a rule, and what would mend it. */
export function FindingDetail({ finding }: { finding: SceneFinding }) {
  const store = useWorkbenchStore();
  const screens = useWorkbench((s) => s.screens);
  const { answers, callOff } = useAnswers(finding);
  const worst = findCase(finding.worst.caseId, screens);
  const show = (caseId: string) => openCase(store, caseId);
  const change = (part: NonNullable<Reason['part']>) => {
    show(finding.worst.caseId);
    // The rules stand on the lens of screens; they are there a moment later.
    setTimeout(() => openPart(part.layerId, part.path), 60);
  };
  return (
    <div className="finding-detail">
      <div>
        <h4>Because</h4>
        <Because answers={answers} onChange={change} />
        <p>
          <Button variant="quiet" size="sm" onClick={() => show(finding.worst.caseId)}>
            open {worst ? caseName(worst) : finding.worst.caseId}
          </Button>{' '}
          <Button
            variant="quiet"
            size="sm"
            onClick={() => openCase(store, finding.worst.caseId, { finding: finding.id })}
          >
            show its cases in the field
          </Button>
        </p>
        <Accept finding={finding} />
      </div>
      <div>
        <h4>Mend</h4>
        <Mends {...{ finding, answers, callOff }} />
      </div>
    </div>
  );
}
