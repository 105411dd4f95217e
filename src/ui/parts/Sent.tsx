'use client';
import { Button } from 'react-bootstrap';

/** Something that is sent or read: what it is called, and the share of it that is sent, 0..1. */
export interface Reading {
  name: string;
  share: number;
}

/** How far something is that is sent to the server and read there. */
export const Sent = ({ reading: { name, share }, onCancel }: { reading: Reading; onCancel: () => void }) => (
  <p role="status">
    {share < 1 ? `${name} is being sent` : `${name} is being read`}{' '}
    <progress aria-label={`${name} is being sent`} {...(share < 1 && { value: share })} />{' '}
    <Button variant="quiet" size="sm" onClick={onCancel}>
      cancel
    </Button>
  </p>
);
