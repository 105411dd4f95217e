'use client';
import { Modal } from 'react-bootstrap';

const KEYS: [string, string][] = [
  ['Arrow keys, on a screen', 'go to the next screen in that direction'],
  ['Home, End, on a screen', 'go to the first or the last screen'],
  ['Enter, on a part of a sentence', 'change it'],
  ['Arrow keys, in a number', 'step by 1; with Shift by 10, with Alt by 0.1'],
  ['Arrow keys, on the point of a picture', 'move it by 1 %; with Shift by 10 %'],
  ['Arrow keys, on a bound or a corner that is dragged', 'move it; with Shift or Page Up and Down further'],
  ['Arrow keys, on the time of a launch', 'go by 10 ms; with Shift by 100'],
  ['Page Up, Page Down, on the time of a launch', 'go to where something changes next'],
  ['Escape', 'close what is open'],
  ['Ctrl Z', 'undo'],
  ['Ctrl Shift Z or Ctrl Y', 'redo'],
  ['Ctrl V', 'add a picture that was copied'],
  ['D', 'light or dark'],
  ['G', 'guides on or off'],
  ['?', 'this list'],
];

export function KeysDialog({ show, onHide }: { show: boolean; onHide: () => void }) {
  return (
    <Modal show={show} onHide={onHide} animation={false} aria-labelledby="keys-title">
      <Modal.Header closeButton>
        <Modal.Title id="keys-title" as="h2">
          Keys
        </Modal.Title>
      </Modal.Header>
      <Modal.Body>
        <dl className="keys">
          {KEYS.map(([key, what]) => (
            <div key={key}>
              <dt>{key}</dt>
              <dd>{what}</dd>
            </div>
          ))}
        </dl>
      </Modal.Body>
    </Modal>
  );
}
