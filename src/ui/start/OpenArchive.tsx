'use client';
import { FileField } from '../parts/FileField';
import { Sent } from '../parts/Sent';
import { useDropTarget } from '../parts/useDropTarget';
import type { useTaking } from './useTaking';

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
