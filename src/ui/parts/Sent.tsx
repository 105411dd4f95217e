'use client';
import { Button } from 'react-bootstrap';

/** Something that is sent or read: what it is called, and the share of it that is sent, 0..1. */
export interface Reading {
  name: string;
  share: number;
  /** why it is not sent yet, where it waits for something */
  waits?: string | null;
}

interface SentProps {
  reading: Reading;
  onCancel: () => void;
}

/** How far something is that is sent to the server and read there. */
export const Sent = ({ reading: { name, share, waits }, onCancel }: SentProps) => (
  <p role="status">
    {waits ? `${name} waits: ${waits}` : share < 1 ? `${name} is being sent` : `${name} is being read`}{' '}
    <progress aria-label={`${name} is being sent`} {...(share < 1 && { value: share })} />{' '}
    <Button variant="quiet" size="sm" onClick={onCancel}>
      cancel
    </Button>
  </p>
);
