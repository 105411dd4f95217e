'use client';
import { countOf, countCases } from '@/core/words/words';
import { useState } from 'react';
import { Button } from 'react-bootstrap';
import { openCases } from '@/core/findings/finding';
import { acceptsFinding, type LaunchFinding } from '@/core/launch/findings';
import type { LaunchAcceptance } from '@/core/project/launch-limits';
import type { LaunchAdvice } from '@/core/launch/advice';
import { useWorkbench, useWorkbenchStore } from '../state/context';
import { findCase } from '@/core/screens/cases';
import { acceptanceOf, onScreens } from '../cause/acceptance';
import { AcceptForm } from '../cause/AcceptForm';
import type { Launch } from '@/core/project/launch';
import { sayFindingCases } from '../cause/say-cases';
import { caseName, OUTCOME_SHAPES } from '../words';
import { Trying } from '../cause/Trying';
import { OlderNote } from '../parts/Older';
import { useLaunchAnswers } from '../cause/useAnswers';
import { undescribed } from '@/core/launch/described';
import { editLaunch, launchOf } from '../state/launched';

/** How many things of a scene are named; of the others it is said how many they are. */
const NAMED = 2;

function saySceneCosts({ scene, costs }: LaunchAdvice['sceneCosts'][number]): string {
  const said = costs
    .slice(0, NAMED)
    .map(({ finding: f, more }) => `${f.subject.name} ${f.word} on ${more} more`);
  const rest = costs.length - said.length;
  return `in ${scene.name} ${said.join(', ')}${rest > 0 ? ` and ${rest} other ${rest === 1 ? 'thing' : 'things'}` : ''}`;
}

/** What a mend makes worse, of the launch and of the scenes themselves. */
function sayCosts({ costs, sceneCosts }: LaunchAdvice): string {
  const ofLaunch = costs.map((c) => `${c.finding.word.toLowerCase()} on ${c.more} more`);
  const all = [...ofLaunch, ...sceneCosts.map(saySceneCosts)];
  return all.length > 0 ? `but ${all.join('; ')}` : 'nothing gets worse';
}

/** Takes a finding as it is on chosen screens. */
function Accept({ finding }: { finding: LaunchFinding }) {
  const store = useWorkbenchStore();
  const screens = useWorkbench((s) => s.screens);
  const { rule, about, cases } = finding;
  const change = (next: (all: readonly LaunchAcceptance[], launch: Launch) => LaunchAcceptance[]) =>
    editLaunch(store, (l) => {
      l.accepted = next(l.accepted ?? [], l);
    });
  const accept = (reason: string, chosen: readonly string[]) => {
    const taken = onScreens(openCases(finding), chosen, screens);
    const given = taken.map(({ caseId, value }) => ({ case: caseId, value }));
    change((all, l) => [
      ...all,
      { rule, stage: l.stages[finding.stage]!.id, about, screens: [...chosen], given, reason },
    ]);
  };
  return (
    <AcceptForm
      {...acceptanceOf(cases, screens)}
      onAccept={accept}
      onTakeBack={() => change((all, l) => all.filter((a) => !acceptsFinding(a, finding, l)))}
    />
  );
}

/** What it comes from in a sentence; the rest is folded under it. */
function Because({ steps }: { steps: readonly string[] | undefined }) {
  const [first, ...rest] = steps ?? ['…'];
  return (
    <>
      <p className="in-short">{first}</p>
      {rest.length > 0 && (
        <details>
          <summary>why, in steps</summary>
          <ol>
            {rest.map((step) => (
              <li key={step}>{step}</li>
            ))}
          </ol>
        </details>
      )}
    </>
  );
}

interface DetailProps {
  finding: LaunchFinding;
  trial: LaunchAdvice | null;
  /** shows where a finding is worst */
  onOpen: (finding: LaunchFinding) => void;
  onTry: (mend: LaunchAdvice | null) => void;
  onTake: (mend: LaunchAdvice) => void;
}

/** What would make it better, and what that costs: looked at first, or done at once. */
function MendLine({
  mend,
  finding,
  trial,
  onTry,
  onTake,
}: Omit<DetailProps, 'onOpen'> & { mend: LaunchAdvice }) {
  const isTried = trial?.label === mend.label;
  return (
    <li>
      <b>{mend.label}</b>: gone on {mend.clears} of {countCases(finding.cases.length)},{' '}
      <span className="quiet">{sayCosts(mend)}</span>{' '}
      <span className="text-nowrap">
        {mend.make ? (
          <span className="quiet">{countOf(mend.make.length, 'file')} made </span>
        ) : (
          <Button
            variant="quiet"
            size="sm"
            aria-pressed={isTried}
            aria-label={`Preview: ${mend.label}`}
            onClick={() => onTry(isTried ? null : mend)}
          >
            preview
          </Button>
        )}
        <Button variant="primary" size="sm" aria-label={`Apply: ${mend.label}`} onClick={() => onTake(mend)}>
          apply
        </Button>
      </span>
    </li>
  );
}

function Detail({ finding, trial, onOpen, onTry, onTake }: DetailProps) {
  const screens = useWorkbench((s) => s.screens);
  const { answers, callOff } = useLaunchAnswers(finding);
  const advice = answers?.mends;
  const worst = findCase(finding.worst.caseId, screens);
  return (
    <div className="launch-detail">
      <Because steps={answers?.why?.because.map((b) => b.text)} />
      {worst && (
        <Button variant="quiet" size="sm" onClick={() => onOpen(finding)}>
          worst: {caseName(worst)}, {worst.appearance}
        </Button>
      )}
      {!advice && <Trying answers={answers} callOff={callOff} />}
      {advice?.length === 0 && !finding.accepted && (
        <p>No change that Coulee knows of makes this better without making more worse.</p>
      )}
      <ul className="plain-list">
        {advice?.map((mend) => (
          <MendLine key={mend.label} {...{ mend, finding, trial, onTry, onTake }} />
        ))}
      </ul>
      <Accept finding={finding} />
    </div>
  );
}

interface Props extends Omit<DetailProps, 'finding'> {
  /** `null` until they are known */
  findings: readonly LaunchFinding[] | null;
  /** whether they are older than the last change */
  isOlder: boolean;
}

/** What is wrong from the tap to the first screen, over all cases. */
export function LaunchFindings({ findings, isOlder, ...detail }: Props) {
  const [open, setOpen] = useState<string | null>(null);
  const launch = useWorkbench((s) => launchOf(s.documents));
  const missing = launch ? undescribed(launch) : [];
  return (
    <section aria-label="Findings of the launch" className="launch-findings">
      <h2>
        Findings <OlderNote when={isOlder} />
      </h2>
      {!findings && <p role="status">All cases are being measured…</p>}
      {missing.length > 0 && (
        <div className="problem" role="note">
          <p>This launch is not described yet, and is not judged as a whole. It lacks</p>
          <ul>
            {missing.map((what) => (
              <li key={what}>{what}.</li>
            ))}
          </ul>
        </div>
      )}
      {findings?.length === 0 && missing.length === 0 && (
        <p>
          <span className="outcome-clear">{OUTCOME_SHAPES.clear}</span> Nothing is wrong with this launch on
          any screen.
        </p>
      )}
      <ul className="findings-list">
        {findings?.map((f) => (
          <li key={f.id} className="finding">
            <button
              type="button"
              className="launch-finding"
              aria-expanded={open === f.id}
              onClick={() => {
                setOpen(open === f.id ? null : f.id);
                // The figures that are said are those of the case that is then seen beside them.
                if (open !== f.id) detail.onOpen(f);
              }}
            >
              <span className={`outcome-${f.outcome}`}>{f.accepted ? '✓' : OUTCOME_SHAPES[f.outcome]}</span>{' '}
              <b>{f.word}</b> {f.accepted && <span className="quiet">accepted: {f.accepted} </span>}
              <span className="quiet figures">{sayFindingCases(f)}</span>
              <span className="launch-said">at worst {f.said}</span>
            </button>
            {open === f.id && <Detail finding={f} {...detail} />}
          </li>
        ))}
      </ul>
    </section>
  );
}
