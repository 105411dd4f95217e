'use client';
import { useId, type ReactNode } from 'react';
import { Modal } from 'react-bootstrap';

interface Props {
  show: boolean;
  title: string;
  /** for lists that may be longer than the window */
  long?: boolean;
  children: ReactNode;
}

/** A dialog that has to be answered: neither Escape nor a press beside it puts it away. */
export function MustAnswer({ show, title, long, children }: Props) {
  const id = useId();
  return (
    <Modal
      show={show}
      backdrop="static"
      keyboard={false}
      animation={false}
      scrollable={long}
      aria-labelledby={id}
    >
      <Modal.Header>
        <Modal.Title id={id} as="h2">
          {title}
        </Modal.Title>
      </Modal.Header>
      {children}
    </Modal>
  );
}
