'use client';
import { useState } from 'react';
import { Button } from 'react-bootstrap';
import type { Case } from '@/core/screens/cases';
import { download } from '../download';
import { fetchInside } from '../session';
import { useWorkbench, useWorkbenchStore } from '../state/context';
import { useClock } from './clock';
import { launchOf, type Starting } from './launched';

/** Files that are made for long are fetched, so that it can be said and called off. */
function useMaking() {
  const store = useWorkbenchStore();
  const [making, setMaking] = useState<AbortController | null>(null);
  const make = async (address: string, name: string) => {
    const abort = new AbortController();
    setMaking(abort);
    try {
      const response = await fetchInside(address, { signal: abort.signal });
      if (!response.ok) throw new Error(((await response.json()) as { title?: string }).title);
      download(name, await response.blob());
    } catch (error) {
      const why = error instanceof Error ? error.message : '';
      if (!abort.signal.aborted) store.setState({ message: `The film could not be made. ${why}` });
    } finally {
      setMaking(null);
    }
  };
  return { making, make };
}

/** The film of the chosen case and its present picture, to take away; as it was saved last. */
export function Downloads({ c, starting }: { c: Case; starting: Starting }) {
  const clock = useClock();
  const { making, make } = useMaking();
  const projectId = useWorkbench((s) => s.documents.project.id);
  const launchId = useWorkbench((s) => launchOf(s.documents)?.id);
  const base = `/api/projects/${projectId}/launches/${launchId}/cases/${c.id}`;
  const { start, versions } = starting;
  const how = `start=${start}${versions && `&versions=${encodeURIComponent(versions)}`}`;
  const name = `launch-${c.id}-${start}`;
  if (making)
    return (
      <p className="launch-downloads" role="status">
        The film is being made… <progress aria-label="The film is being made" />{' '}
        <Button variant="quiet" size="sm" onClick={() => making.abort()}>
          call it off
        </Button>
      </p>
    );
  return (
    <p className="launch-downloads">
      Of this screen, as it is saved:
      <Button
        variant="quiet"
        size="sm"
        onClick={() => {
          const t = Math.round(clock.now());
          void make(`${base}/frame?${how}&t=${t}`, `${name}-${t}ms.png`);
        }}
      >
        this moment, PNG
      </Button>
      <Button
        variant="quiet"
        size="sm"
        onClick={() => void make(`${base}/film?${how}&as=webp`, `${name}.webp`)}
      >
        the film, WebP
      </Button>
      <Button
        variant="quiet"
        size="sm"
        onClick={() => void make(`${base}/film?${how}&as=png`, `${name}.zip`)}
      >
        its pictures, ZIP
      </Button>
    </p>
  );
}
