'use client';
import { stepOf } from '@/core/steps/commands';
import { Button } from 'react-bootstrap';
import { sayDensity } from '@/core/words/numbers';
import type { FileFinding } from '@/core/files/check';
import { masterIn, setsOf, withMaster } from '@/core/pictures/master';
import type { Picture } from '@/core/pictures/picture';
import { useWorkbenchStore } from '../state/context';
import { edit } from '../state/edit';
import { OUTCOME_SHAPES } from '../words';
import { AcceptFile } from './AcceptFile';

interface LineProps {
  f: FileFinding;
  picture: Picture;
}

/** What is wrong with files, and what can be done about it at once. */
export function FindingLine({ f, picture }: LineProps) {
  const { word, outcome, accepted } = f;
  return (
    <li>
      <b className={`outcome-${outcome}`}>
        {accepted === null ? OUTCOME_SHAPES[outcome] : '✓'} {word}
      </b>{' '}
      {f.said}
      {f.rule === 'undecided' && <WhichIsRight {...{ f, picture }} />}
      <AcceptFile {...{ f }} />
    </li>
  );
}

/** Names the file that the others are made from, where they contradict each other. */
function WhichIsRight({ f, picture }: { f: FileFinding; picture: Picture }) {
  const store = useWorkbenchStore();
  const set = setsOf(picture).find((s) => s.cut.cut === f.file.cut && s.appearance === f.file.appearance);
  const name = (density: number) =>
    edit(store, stepOf('picture.master', picture.name, sayDensity(density)), ({ project }) => {
      project.pictures = project.pictures.map((p) =>
        p.id === picture.id ? withMaster(p, set!, density) : p,
      );
    });
  return (
    <>
      {set &&
        masterIn(set.files).doubt.map(({ density }) => (
          <Button
            key={density}
            variant="quiet"
            size="sm"
            aria-label={`The ${sayDensity(density)}x file of ${picture.name} is right`}
            onClick={() => name(density)}
          >
            the {sayDensity(density)}x file is right
          </Button>
        ))}
    </>
  );
}
