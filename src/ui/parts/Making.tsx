'use client';
import { Button } from 'react-bootstrap';
import type { Job } from '@/formats/job';

interface Props {
  /** what is made, such as “The film” */
  what: string;
  progress: Job['progress'];
  callOff: () => void;
}

/** How far something is that is being made, and the way to cancel. */
export function Making({ what, progress, callOff }: Props) {
  const { done, of, doing } = progress;
  const label = `${what} is being made`;
  return (
    <span className="making" role="status">
      {label}: {doing}
      {of > 0 && `, ${done} of ${of}`}{' '}
      <progress aria-label={label} {...(of > 0 && { value: done, max: of })} />{' '}
      <Button variant="quiet" size="sm" onClick={callOff}>
        cancel
      </Button>
    </span>
  );
}
