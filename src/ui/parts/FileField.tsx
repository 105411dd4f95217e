'use client';
import { useId } from 'react';

interface FieldProps {
  label: string;
  /** which files may be chosen; a whole folder when absent */
  accept?: string;
  disabled: boolean;
  onChoose: (files: File[]) => void;
}

/** A field for a file, or for a folder, that looks like a button. */
export function FileField({ label, accept, disabled, onChoose }: FieldProps) {
  const id = useId();
  return (
    <>
      <input
        id={id}
        className="visually-hidden"
        type="file"
        accept={accept}
        ref={(field) => {
          field?.toggleAttribute('webkitdirectory', accept === undefined);
        }}
        disabled={disabled}
        onChange={(e) => {
          // The field forgets its list once it is emptied.
          onChoose([...(e.target.files ?? [])]);
          e.target.value = '';
        }}
      />
      <label htmlFor={id} className="btn btn-quiet btn-sm">
        {label}
      </label>
    </>
  );
}
