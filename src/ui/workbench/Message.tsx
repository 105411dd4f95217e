'use client';
import { Button } from 'react-bootstrap';
import { useWorkbench, useWorkbenchStore } from '../state/context';

/** The one thing that there is to say just now; stays until it is put away or something else is done. */
export function Message() {
  const store = useWorkbenchStore();
  const message = useWorkbench((s) => s.message);
  return (
    <div className="message-place" role="status" aria-label="Message">
      {message && (
        <p className="message">
          {message}
          <Button variant="quiet" size="sm" onClick={() => store.setState({ message: null })}>
            put away
          </Button>
        </p>
      )}
    </div>
  );
}
