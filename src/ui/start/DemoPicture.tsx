'use client';
import { drawCase, readTelling } from '@/formats/api/cases';
import { addressOf, type AnswerOf } from '@/formats/api/operation';
import Link from 'next/link';
import { useEffect, useState } from 'react';
import { ask, messageOf, RequestProblem } from '../api';
import { countCases, OUTCOME_SHAPES } from '../words';

/** The scene that shows what Coulee is for. */
export interface Shown {
  project: string;
  projectName: string;
  scene: string;
  sceneName: string;
}

type Telling = AnswerOf<typeof readTelling>;

const MOST = 4;
/** px per lu of the pictures: sharp on screens of twice the density */
const SCALE = 0.5;

/** After so many ms it is asked again where the server is busy or away; each time twice as many, up to a minute. */
const AGAIN = { firstMs: 2000, mostMs: 60_000 };

/** Whether the same may be answered later: the server could not be reached, or is busy. */
const mayPass = ({ status }: RequestProblem) => status === 0 || status >= 500;

/** What the server says of the scene. */
interface Told {
  telling: Telling | null;
  /** why it is not known, and whether it is asked again; `null` where nothing has gone wrong */
  problem: { words: string; isAskedAgain: boolean } | null;
}

function useTold({ project, scene }: Shown): Told {
  const [told, setTold] = useState<Told>({ telling: null, problem: null });
  useEffect(() => {
    let ended = false;
    let again: ReturnType<typeof setTimeout> | undefined;
    const look = (waitMs: number) => {
      ask(readTelling, { project, scene }).then(
        (telling) => !ended && setTold({ telling, problem: null }),
        (error: unknown) => {
          if (ended) return;
          const isAskedAgain = error instanceof RequestProblem && mayPass(error);
          setTold({ telling: null, problem: { words: messageOf(error), isAskedAgain } });
          if (isAskedAgain) again = setTimeout(() => look(Math.min(AGAIN.mostMs, waitMs * 2)), waitMs);
        },
      );
    };
    look(AGAIN.firstMs);
    return () => {
      ended = true;
      clearTimeout(again);
    };
  }, [project, scene]);
  return told;
}

/** What is said of the scene while its cases are not known. */
const Waiting = ({ problem }: Pick<Told, 'problem'>) =>
  problem === null ? (
    <>It is being drawn on all screens…</>
  ) : (
    <>
      It could not be drawn{problem.isAskedAgain ? ' yet' : ''}. {problem.words}
      {problem.isAskedAgain && ' It is tried again by itself.'}
    </>
  );

const Cells = ({ shown, cases }: { shown: Shown; cases: Telling['cases'] }) => (
  <ul className="demo-cases">
    {cases.slice(0, MOST).map((c) => (
      <li key={c.case}>
        {/* The server draws it; there is nothing to be optimised. */}
        {/* eslint-disable-next-line @next/next/no-img-element */}
        <img
          alt={`${shown.sceneName} on ${c.name}`}
          src={addressOf(
            drawCase,
            { project: shown.project, scene: shown.scene, case: c.case },
            { scale: String(SCALE) },
          )}
        />
        <span className="figures">
          <b className={`outcome-${c.outcome}`}>
            {OUTCOME_SHAPES[c.outcome]} {c.words ?? 'nothing lost'}
          </b>
          <br />
          {c.name}
          {c.like > 0 && ` and ${c.like} like it`}
        </span>
      </li>
    ))}
  </ul>
);

/** The demo as a picture of what is wrong with it; room is kept for it from the start. */
export function DemoPicture({ shown }: { shown: Shown }) {
  const { telling: told, problem } = useTold(shown);
  const address = `/projects/${shown.project}/${shown.scene}`;
  const all = told && told.outcomes.fail + told.outcomes.warn + told.outcomes.clear;
  return (
    <section className="demo-picture" aria-labelledby="demo-picture">
      <h2 id="demo-picture">
        {shown.sceneName} of {shown.projectName}
      </h2>
      <p role="status">
        {told ? (
          <>
            On every screen at once: it{' '}
            <b className="outcome-fail">
              fails on {told.outcomes.fail} of {countCases(all ?? 0)}
            </b>
            . The worst of them:
          </>
        ) : (
          <Waiting problem={problem} />
        )}
      </p>
      <div className="demo-room">
        {told && <Cells shown={shown} cases={told.cases.filter((c) => c.case.endsWith('light'))} />}
      </div>
      <Link className="btn btn-primary" href={address}>
        See why, and mend it
      </Link>
    </section>
  );
}
