'use client';
import type { ReactNode } from 'react';
import { Button } from 'react-bootstrap';

interface Option<T extends string> {
  value: T;
  label: string;
  note?: string;
  drawing?: ReactNode;
}

interface Props<T extends string> {
  label: string;
  options: readonly Option<T>[];
  value: T | null;
  onChoose: (value: T) => void;
}

/** One of several, each on a line of its own with a drawing or a note. */
export function ListEditor<T extends string>({ label, options, value, onChoose }: Props<T>) {
  return (
    <div className="list-editor" role="group" aria-label={label}>
      {options.map((o) => (
        <Button
          key={o.value}
          variant="quiet"
          aria-pressed={o.value === value}
          autoFocus={o.value === value}
          onClick={() => onChoose(o.value)}
        >
          {o.drawing}
          <span>
            <strong>{o.label}</strong>
            {o.note && <span className="quiet">{o.note}</span>}
          </span>
        </Button>
      ))}
    </div>
  );
}
