'use client';
import { Button } from 'react-bootstrap';
import { useWorkbenchStore } from '../state/context';

/** Ends whatever takes the place of the field. */
export function BackToField() {
  const store = useWorkbenchStore();
  const end = () => store.setState(({ view }) => ({ view: { ...view, middle: 'field' } }));
  return (
    <Button variant="quiet" size="sm" onClick={end}>
      back to the field
    </Button>
  );
}
