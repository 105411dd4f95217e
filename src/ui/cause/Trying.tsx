'use client';
import { Button } from 'react-bootstrap';
import type { Answers } from './useAnswers';

interface Props {
  answers: Pick<Answers<never>, 'progress' | 'calledOff'> | null;
  callOff: () => void;
}

/** How far the trying of mends is, and the way to cancel. */
export function Trying({ answers, callOff }: Props) {
  if (answers?.calledOff) return <p>Trying mends was cancelled.</p>;
  const { tried, of } = answers?.progress ?? { tried: 0, of: 1 };
  return (
    <div className="trying">
      <label>
        Mends are being tried on all cases: {tried} of {of} <progress value={tried} max={of} />
      </label>
      <Button variant="quiet" size="sm" onClick={callOff}>
        cancel
      </Button>
    </div>
  );
}
