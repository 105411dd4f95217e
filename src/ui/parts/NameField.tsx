'use client';
import { useId } from 'react';
import { Form } from 'react-bootstrap';

interface Props {
  label?: string;
  value: string;
  onChange: (name: string) => void;
  onCommit: () => void;
  autoFocus?: boolean;
}

/** What something is called. An empty name is not taken, so that it keeps the one it had. */
export function NameField({ label = 'Name', value, onChange, onCommit, autoFocus = true }: Props) {
  const id = useId();
  return (
    <div className="labelled">
      <label htmlFor={id}>{label}</label>
      <Form.Control
        id={id}
        autoFocus={autoFocus}
        maxLength={120}
        defaultValue={value}
        onChange={(e) => {
          const name = e.target.value.trim();
          if (name) onChange(name);
        }}
        onBlur={onCommit}
      />
    </div>
  );
}
