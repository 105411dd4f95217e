'use client';
import { drawCase, readTelling } from '@/formats/api/cases';
import { addressOf, type AnswerOf } from '@/formats/api/operation';
import Link from 'next/link';
import { useEffect, useState } from 'react';
import { ask } from '../api';
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

/** What the server says of the scene; `null` until it does, and where it cannot. */
function useTold({ project, scene }: Shown): Telling | null {
  const [told, setTold] = useState<Telling | null>(null);
  useEffect(() => {
    let ended = false;
    ask(readTelling, { project, scene }).then(
      (answer) => !ended && setTold(answer),
      // The page says what it can without it.
      () => {},
    );
    return () => {
      ended = true;
    };
  }, [project, scene]);
  return told;
}

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
  const told = useTold(shown);
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
          'It is being drawn on all screens…'
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
