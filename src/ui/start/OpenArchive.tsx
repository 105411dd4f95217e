'use client';
import { useId } from 'react';
import { Button } from 'react-bootstrap';
import { useDropTarget } from '../parts/useDropTarget';
import type { Reading, useTaking } from './useTaking';

interface FieldProps {
  label: string;
  /** which files may be chosen; a whole folder when absent */
  accept?: string;
  disabled: boolean;
  onChoose: (files: File[]) => void;
}

/** A field for a file, or for a folder, that looks like a button. */
function FileField({ label, accept, disabled, onChoose }: FieldProps) {
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

/** How far something is that is taken in. */
const Sent = ({ reading: { name, share }, onCancel }: { reading: Reading; onCancel: () => void }) => (
  <p role="status">
    {share < 1 ? `${name} is being sent` : `${name} is being read`}{' '}
    <progress aria-label={`${name} is being sent`} {...(share < 1 && { value: share })} />{' '}
    <Button variant="quiet" size="sm" onClick={onCancel}>
      cancel
    </Button>
  </p>
);

/** Takes a project in from an archive or a folder: chosen, or dropped on it. */
export function OpenArchive({ taking }: { taking: ReturnType<typeof useTaking> }) {
  const { reading, cancel, takeFile, takeDropped, takeFolder } = taking;
  const { over, target } = useDropTarget(takeDropped);
  const disabled = reading !== null;
  return (
    <div className={over ? 'open-archive open-archive-over' : 'open-archive'} {...target}>
      <p>A project that was taken along comes back: drop its archive or its folder here, or</p>
      <FileField
        label="open an archive"
        accept=".zip,application/zip"
        disabled={disabled}
        onChoose={([file]) => takeFile(file)}
      />
      <FileField label="open a folder" disabled={disabled} onChoose={takeFolder} />
      {reading && <Sent reading={reading} onCancel={cancel} />}
    </div>
  );
}
