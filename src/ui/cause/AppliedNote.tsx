'use client';
import { Button } from 'react-bootstrap';
import { useApplied } from '../state/applied';
import { useWorkbenchStore } from '../state/context';
import { undo } from '../state/edit';

/** What was applied last, with the way back; it stands where the next finding is. */
export function AppliedNote() {
  const store = useWorkbenchStore();
  const applied = useApplied();
  return (
    <p role="status" className={applied ? 'message message-inline' : 'visually-hidden'}>
      {applied?.said}{' '}
      {applied && (
        <Button variant="quiet" size="sm" onClick={() => undo(store)}>
          undo this
        </Button>
      )}
    </p>
  );
}
