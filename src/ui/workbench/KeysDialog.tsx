'use client';
import { Modal } from 'react-bootstrap';
import { KEYS } from './keys';

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
          {KEYS.map(({ said, what }) => (
            <div key={said}>
              <dt>{said}</dt>
              <dd>{what}</dd>
            </div>
          ))}
        </dl>
      </Modal.Body>
    </Modal>
  );
}
