'use client';
import { useMemo, useState } from 'react';
import { Button, Modal } from 'react-bootstrap';
import type { Documents } from '@/core/project/documents';
import { merge3, placeKey, type Clash, type Merged, type Version } from '@/core/project/merge';
import { sayPlace, saySides } from '@/core/sentences/differences';
import { MustAnswer } from '../parts/MustAnswer';
import { useWorkbench, useWorkbenchStore } from '../state/context';
import { resolveConflict } from '../state/save-client';

type Choices = ReadonlyMap<string, Version>;
type Sides = Record<Version, Documents>;
const SIDE_WORDS: Record<Version, string> = { mine: 'here', theirs: 'elsewhere' };

interface RowProps {
  clash: Clash;
  sides: Sides;
  chosen: Version | undefined;
  onChoose: (side: Version) => void;
}

/** One thing of which there are two versions, each by its sentence or figure, beside one another. */
function ClashRow({ clash, sides, chosen, onChoose }: RowProps) {
  const key = placeKey(clash.place);
  const words = saySides(clash, sides);
  return (
    <fieldset className="clash">
      <legend>{sayPlace(clash.place, [sides.mine, sides.theirs])}</legend>
      {(['mine', 'theirs'] as const).map((side) => (
        <label key={side} className="clash-side">
          <input type="radio" name={key} checked={chosen === side} onChange={() => onChoose(side)} />
          <span className="quiet">{SIDE_WORDS[side]}</span>
          <span>{words[side]}</span>
        </label>
      ))}
    </fieldset>
  );
}

/** What is taken from either side without being asked for, as nobody else touched it. */
function Taken({ taken, sides }: { taken: Merged['taken']; sides: Sides }) {
  if (taken.length === 0) return null;
  return (
    <details className="clash-taken">
      <summary>
        {taken.length === 1
          ? 'One other change, which only one side made, is taken'
          : `${taken.length} other changes, which only one side made, are taken`}
      </summary>
      <ul>
        {taken.map(({ place, from }) => (
          <li key={placeKey(place)}>
            {sayPlace(place, [sides.mine, sides.theirs])}{' '}
            <span className="quiet">from {SIDE_WORDS[from]}</span>
          </li>
        ))}
      </ul>
    </details>
  );
}

interface BodyProps {
  merged: Merged;
  sides: Sides;
  choices: Choices;
  onChoose: (choices: Choices) => void;
}

function ConflictBody({ merged, sides, choices, onChoose }: BodyProps) {
  const { clashes, taken, problem } = merged;
  const all = (side: Version) => onChoose(new Map(clashes.map(({ place }) => [placeKey(place), side])));
  const isComplete = clashes.every(({ place }) => choices.has(placeKey(place)));
  return (
    <Modal.Body>
      <p>
        Somebody, or another tab, saved this project while it was open here. Of{' '}
        {clashes.length === 1 ? 'one thing' : `${clashes.length} things`} there are two versions now: choose
        which one counts. The other stays in the history.
      </p>
      {clashes.length > 1 && (
        <p className="clash-all">
          <Button variant="quiet" size="sm" onClick={() => all('mine')}>
            all as here
          </Button>
          <Button variant="quiet" size="sm" onClick={() => all('theirs')}>
            all as elsewhere
          </Button>
        </p>
      )}
      {clashes.map((clash) => {
        const key = placeKey(clash.place);
        const choose = (side: Version) => onChoose(new Map([...choices, [key, side]]));
        return <ClashRow key={key} {...{ clash, sides }} chosen={choices.get(key)} onChoose={choose} />;
      })}
      <Taken {...{ taken, sides }} />
      {isComplete && problem !== null && (
        <p className="problem" role="alert">
          These cannot be put together. {problem}
        </p>
      )}
    </Modal.Body>
  );
}

/** Asks which version counts of each thing that was changed here and elsewhere; nothing is lost unasked. */
export function ConflictDialog() {
  const store = useWorkbenchStore();
  const conflict = useWorkbench((s) => s.conflict);
  const mine = useWorkbench((s) => s.documents);
  const stored = useWorkbench((s) => s.stored);
  const [choices, setChoices] = useState<Choices>(new Map());
  const merged = useMemo(
    () => conflict && merge3(stored, mine, conflict.theirs, choices),
    [conflict, stored, mine, choices],
  );
  if (!conflict || !merged) return null;
  const isComplete = merged.clashes.every(({ place }) => choices.has(placeKey(place)));
  const goOn = () => {
    resolveConflict(store, choices);
    setChoices(new Map());
  };
  return (
    <MustAnswer show long title="Changed here and elsewhere">
      <ConflictBody
        {...{ merged, choices }}
        sides={{ mine, theirs: conflict.theirs }}
        onChoose={setChoices}
      />
      <Modal.Footer>
        <Button variant="primary" disabled={!isComplete || merged.problem !== null} onClick={goOn}>
          Go on with these
        </Button>
      </Modal.Footer>
    </MustAnswer>
  );
}
