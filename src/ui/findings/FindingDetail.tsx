'use client';
import { stepOf } from '@/core/steps/commands';
import { Button } from 'react-bootstrap';
import { openCases } from '@/core/findings/finding';
import type { Reason } from '@/core/explain/reason';
import type { SceneFinding } from '@/core/findings/scene';
import type { Acceptance } from '@/core/measure/accept';
import { measureNoun } from '@/core/measure/words';
import { findCase } from '@/core/screens/cases';
import { goToPart } from '../state/asked-part';
import { useWorkbench, useWorkbenchStore } from '../state/context';
import { edit } from '../state/edit';
import { openCase } from '../state/open-case';
import { caseName } from '../words';
import { acceptanceOf, onScreens } from '../cause/acceptance';
import { AcceptForm } from '../cause/AcceptForm';
import { Because } from '../cause/Because';
import { Mends } from '../cause/Mends';
import { useAnswers } from '../cause/useAnswers';

/** Takes the finding as it is on chosen screens. */
function Accept({ finding }: { finding: SceneFinding }) {
  const store = useWorkbenchStore();
  const sceneId = useWorkbench((s) => s.sceneId);
  const screens = useWorkbench((s) => s.sceneScreens);
  const { measure, side, cases } = finding;
  const layer = finding.subject.id;
  const isSame = (a: Acceptance) => a.scene === sceneId && a.layer === layer && a.measure === measure;
  const what = `${measureNoun(measure)} of ${finding.subject.name}`;
  const change = (
    command: 'finding.accept' | 'finding.accept-no-more',
    next: (all: readonly Acceptance[]) => Acceptance[],
  ) =>
    edit(store, stepOf(command, what), ({ project }) => {
      project.accepted = next(project.accepted ?? []);
    });
  const accept = (reason: string, chosen: readonly string[]) => {
    const given = onScreens(openCases(finding), chosen, screens).map(({ caseId, value }) => ({
      case: caseId,
      ...(side && { side }),
      value,
    }));
    change('finding.accept', (all) => [
      ...all,
      { scene: sceneId, layer, measure, screens: [...chosen], given, reason },
    ]);
  };
  return (
    <AcceptForm
      {...acceptanceOf(cases, screens)}
      onAccept={accept}
      onTakeBack={() => change('finding.accept-no-more', (all) => all.filter((a) => !isSame(a)))}
    />
  );
}

/** Why a finding is there, down to the part of a rule, and what would mend it. */
export function FindingDetail({ finding }: { finding: SceneFinding }) {
  const store = useWorkbenchStore();
  const screens = useWorkbench((s) => s.sceneScreens);
  const { answers, callOff } = useAnswers(finding);
  const worst = findCase(finding.worst.caseId, screens);
  const show = (caseId: string) => openCase(store, caseId);
  const change = (part: NonNullable<Reason['part']>) => {
    show(finding.worst.caseId);
    goToPart(store, part);
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
