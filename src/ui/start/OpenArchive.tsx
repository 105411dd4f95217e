'use client';
import { useEffect, useId, useRef, useState } from 'react';
import { Button } from 'react-bootstrap';
import { messageOf, uploadArchive } from '../api';

interface Props {
  /** hears the name of the project that was taken in */
  onTaken: (name: string) => void;
  onProblem: (message: string) => void;
}

/** Takes a project in from an archive or a folder: chosen, or dropped on it. */
export function OpenArchive({ onTaken, onProblem }: Props) {
  const id = useId();
  const [reading, setReading] = useState<{ name: string; share: number } | null>(null);
  const [over, setOver] = useState(false);
  const running = useRef<AbortController | null>(null);
  useEffect(() => () => running.current?.abort(), []);
  const take = async (name: string, make: () => Promise<File>) => {
    if (reading) return;
    const abort = (running.current = new AbortController());
    const onProgress = (share: number) => setReading({ name, share });
    onProgress(0);
    try {
      const file = await make();
      const { name: taken } = await uploadArchive(file, { onProgress, signal: abort.signal });
      onTaken(taken);
    } catch (error) {
      if (!abort.signal.aborted) onProblem(messageOf(error));
    } finally {
      setReading(null);
    }
  };
  const takeFile = (file: File | undefined) => file && void take(file.name, () => Promise.resolve(file));
  const dropped = ({ items, files }: DataTransfer) => {
    const entry = items[0]?.webkitGetAsEntry();
    if (!entry?.isDirectory) return takeFile(files[0]);
    const folder = entry as FileSystemDirectoryEntry;
    void take(folder.name, async () => {
      const { archiveOf, filesInEntry } = await import('./folder-archive');
      return archiveOf(folder.name, await filesInEntry(folder));
    });
  };
  const takeFolder = (list: FileList | null) => {
    if (!list || list.length === 0) return;
    // The field forgets its list once it is emptied.
    const files = [...list];
    const name = list[0]!.webkitRelativePath.split('/')[0]!;
    void take(name, async () => {
      const { archiveOf, filesInList } = await import('./folder-archive');
      return archiveOf(name, filesInList(files));
    });
  };
  return (
    <div
      className={over ? 'open-archive open-archive-over' : 'open-archive'}
      onDragOver={(e) => {
        e.preventDefault();
        setOver(true);
      }}
      onDragLeave={() => setOver(false)}
      onDrop={(e) => {
        e.preventDefault();
        setOver(false);
        dropped(e.dataTransfer);
      }}
    >
      <p>A project that was taken along comes back: drop its archive or its folder here, or</p>
      <input
        id={id}
        className="visually-hidden"
        type="file"
        accept=".zip,application/zip"
        disabled={reading !== null}
        onChange={(e) => {
          takeFile(e.target.files?.[0]);
          e.target.value = '';
        }}
      />
      <label htmlFor={id} className="btn btn-quiet btn-sm">
        open an archive
      </label>
      <input
        id={`${id}-folder`}
        className="visually-hidden"
        type="file"
        ref={(field) => field?.setAttribute('webkitdirectory', '')}
        disabled={reading !== null}
        onChange={(e) => {
          takeFolder(e.target.files);
          e.target.value = '';
        }}
      />
      <label htmlFor={`${id}-folder`} className="btn btn-quiet btn-sm">
        open a folder
      </label>
      {reading && (
        <p role="status">
          {reading.share < 1 ? `${reading.name} is being sent` : `${reading.name} is being read`}{' '}
          <progress
            aria-label={`${reading.name} is being sent`}
            {...(reading.share < 1 && { value: reading.share })}
          />{' '}
          <Button variant="quiet" size="sm" onClick={() => running.current?.abort()}>
            cancel
          </Button>
        </p>
      )}
    </div>
  );
}
