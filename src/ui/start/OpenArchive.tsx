'use client';
import { useEffect, useId, useRef, useState } from 'react';
import { Button } from 'react-bootstrap';
import { messageOf, uploadArchive } from '../api';

interface Props {
  /** hears the name of the project that was taken in */
  onTaken: (name: string) => void;
  onProblem: (message: string) => void;
}

/** Takes a project in from an archive: chosen, or dropped on it. */
export function OpenArchive({ onTaken, onProblem }: Props) {
  const id = useId();
  const [reading, setReading] = useState<{ name: string; share: number } | null>(null);
  const [over, setOver] = useState(false);
  const running = useRef<AbortController | null>(null);
  useEffect(() => () => running.current?.abort(), []);
  const take = async (file: File | undefined) => {
    if (!file || reading) return;
    const abort = (running.current = new AbortController());
    const onProgress = (share: number) => setReading({ name: file.name, share });
    onProgress(0);
    try {
      const { name } = await uploadArchive(file, { onProgress, signal: abort.signal });
      onTaken(name);
    } catch (error) {
      if (!abort.signal.aborted) onProblem(messageOf(error));
    } finally {
      setReading(null);
    }
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
        void take(e.dataTransfer.files[0]);
      }}
    >
      <label htmlFor={id}>Open an archive: choose it, or drop it here</label>
      <input
        id={id}
        type="file"
        accept=".zip,application/zip"
        disabled={reading !== null}
        onChange={(e) => {
          void take(e.target.files?.[0]);
          e.target.value = '';
        }}
      />
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
