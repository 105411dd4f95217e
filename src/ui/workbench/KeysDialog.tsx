'use client';
import { Button, Modal } from 'react-bootstrap';
import { keepHints } from '../hints/hints';
import { useWorkbenchStore } from '../state/context';
import { KEYS } from './keys';

/** What the page says without explaining it each time. */
const WORDS = [
  { said: 'lu', what: 'logical unit: the unit of the layout; one is a CSS pixel' },
  { said: 'px', what: 'a device pixel, or a pixel of a picture; it is said which' },
  { said: 'case', what: 'one screen in one orientation and one appearance' },
  { said: 'valley', what: 'how much of a picture is lost, over the ratio of width to height' },
  { said: '▲ ◭ ○', what: 'a limit for failures is broken; one for warnings; none' },
] as const;

/** Everything that can be done by keyboard, what words mean, and the way back to the hints. */
export function KeysDialog({ show, onHide }: { show: boolean; onHide: () => void }) {
  const store = useWorkbenchStore();
  const showHints = () => {
    keepHints(0);
    store.setState(({ view }) => ({ hintsClosed: 0, view: { ...view, lens: 'screens', middle: 'field' } }));
    onHide();
  };
  return (
    <Modal show={show} onHide={onHide} animation={false} aria-labelledby="keys-title">
      <Modal.Header closeButton>
        <Modal.Title id="keys-title" as="h2">
          Keys and words
        </Modal.Title>
      </Modal.Header>
      <Modal.Body>
        <p>
          <Button variant="primary" size="sm" onClick={showHints}>
            show the hints again
          </Button>
        </p>
        {[KEYS, WORDS].map((list, i) => (
          <dl className="keys" key={i}>
            {list.map(({ said, what }) => (
              <div key={said}>
                <dt>{said}</dt>
                <dd>{what}</dd>
              </div>
            ))}
          </dl>
        ))}
      </Modal.Body>
    </Modal>
  );
}
