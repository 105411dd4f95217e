'use client';
import { Modal } from 'react-bootstrap';
import { useStore } from 'zustand';
import { MustAnswer } from '../parts/MustAnswer';
import { door, letIn } from '../session';
import { PassphraseForm } from './PassphraseForm';

/** Asks for the passphrase where one is, when the session has ended: nothing that is on the page goes. */
export function SessionDialog() {
  const isAsked = useStore(door, (d) => d.waiting.length > 0);
  return (
    <MustAnswer show={isAsked} title="Your session has ended">
      <Modal.Body>
        <p>What you changed is kept on this page, and is saved once you are in again.</p>
        <PassphraseForm onEntered={letIn} />
      </Modal.Body>
    </MustAnswer>
  );
}
