'use client';
import { Form } from 'react-bootstrap';

interface Props<T> {
  /** what stands in the field to search by, and what it is called */
  placeholder: string;
  wanted: string;
  onWanted: (wanted: string) => void;
  /** what is found, and what is chosen already */
  listed: readonly T[];
  describe: (item: T) => { id: string; label: string; title: string; checked: boolean; disabled?: boolean };
  onToggle: (item: T) => void;
}

/** Screens to tick, found by what is typed. */
export function Ticks<T>({ placeholder, wanted, onWanted, listed, describe, onToggle }: Props<T>) {
  return (
    <>
      <Form.Control
        type="search"
        size="sm"
        aria-label="Find screens"
        placeholder={placeholder}
        value={wanted}
        onChange={(e) => onWanted(e.target.value)}
      />
      {wanted.trim() !== '' && listed.length === 0 && <p className="quiet">No screen is called so.</p>}
      <div className="single-list">
        {listed.map((item) => {
          const described = describe(item);
          return (
            <Form.Check key={described.id} type="checkbox" {...described} onChange={() => onToggle(item)} />
          );
        })}
      </div>
    </>
  );
}
