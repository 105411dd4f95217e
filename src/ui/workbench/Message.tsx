'use client';
import { Button } from 'react-bootstrap';
import type { Documents } from '@/core/project/documents';
import { download } from '../parts/download';
import { useWorkbench, useWorkbenchStore } from '../state/context';

/** The whole project with what was refused, so that nothing of it is gone. */
function saveRescued(documents: Documents): void {
  const json = JSON.stringify(documents, null, 2);
  download(`${documents.project.name} as it was.json`, new Blob([json], { type: 'application/json' }));
}

/** The one thing that there is to say just now; stays until it is put away or something else is done. */
export function Message() {
  const store = useWorkbenchStore();
  const message = useWorkbench((s) => s.message);
  const rescue = useWorkbench((s) => s.rescue);
  return (
    <div className="message-place" role="status" aria-label="Message">
      {message && (
        <p className="message">
          {message}
          {rescue && (
            <Button variant="quiet" size="sm" onClick={() => saveRescued(rescue)}>
              save it as it was
            </Button>
          )}
          <Button variant="quiet" size="sm" onClick={() => store.setState({ message: null, rescue: null })}>
            close
          </Button>
        </p>
      )}
    </div>
  );
}
