'use client';
import { useId } from 'react';
import { Button } from 'react-bootstrap';
import { useRoving } from './useRoving';

interface Props<T extends string> {
  label: string;
  /** where there is no room for it, and the words speak for themselves */
  hideLabel?: boolean;
  options: readonly { value: T; label: string; title?: string }[];
  value: T | undefined;
  onChoose: (value: T) => void;
}

/** One of a few, as a row of words: one stop for Tab, with arrow keys within. */
export function Choices<T extends string>({ label, hideLabel, options, value, onChoose }: Props<T>) {
  const id = useId();
  return (
    <div className="choices" role="group" aria-labelledby={id} {...useRoving<HTMLDivElement>()}>
      <span className={hideLabel ? 'visually-hidden' : 'choices-label'} id={id}>
        {label}
      </span>
      {options.map((o) => (
        <Button
          key={o.value}
          bsPrefix="choice"
          title={o.title}
          aria-pressed={o.value === value}
          onClick={() => onChoose(o.value)}
        >
          {o.label}
        </Button>
      ))}
    </div>
  );
}
