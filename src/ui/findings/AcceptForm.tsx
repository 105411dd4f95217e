'use client';
import { useState } from 'react';
import { Button, Form } from 'react-bootstrap';

interface Props {
  /** number of screens that the finding is on */
  screens: number;
  isAccepted: boolean;
  onAccept: (reason: string) => void;
  onTakeBack: () => void;
}

/** Takes a finding as it is, for a reason, on the screens that it is on now. */
export function AcceptForm({ screens, isAccepted, onAccept, onTakeBack }: Props) {
  const [reason, setReason] = useState('');
  if (isAccepted)
    return (
      <p>
        Accepted on some screens or all.{' '}
        <Button variant="quiet" size="sm" onClick={onTakeBack}>
          accept it no longer
        </Button>
      </p>
    );
  return (
    <Form
      className="accept"
      onSubmit={(e) => {
        e.preventDefault();
        if (reason.trim()) onAccept(reason.trim());
      }}
    >
      <Form.Control
        size="sm"
        aria-label="Why it is accepted"
        placeholder="why it is accepted as it is"
        maxLength={400}
        value={reason}
        onChange={(e) => setReason(e.target.value)}
      />
      <Button variant="quiet" size="sm" type="submit" disabled={!reason.trim()}>
        accept on {screens} {screens === 1 ? 'screen' : 'screens'}
      </Button>
    </Form>
  );
}
