'use client';
import { Button } from 'react-bootstrap';
import type { Case } from '@/core/screens/cases';
import type { Start } from '@/core/launch/timeline';
import { drawFrame } from '@/formats/api/cases';
import { addressOf, type ParamsOf } from '@/formats/api/operation';
import { downloadFrom } from '../parts/download';
import { Making } from '../parts/Making';
import { useJob } from '../parts/useJob';
import { useWorkbench, useWorkbenchStore } from '../state/context';
import { useClock } from './clock';
import { launchOf, type Starting } from '../state/launched';

/** The present picture of a film, which is made at once. */
function useFrame(params: ParamsOf<typeof drawFrame>) {
  const store = useWorkbenchStore();
  return async (query: { start: Start; versions?: string | undefined; t: number }, name: string) => {
    try {
      await downloadFrom(addressOf(drawFrame, params, query), name);
    } catch (error) {
      const why = error instanceof Error ? error.message : '';
      store.setState({ message: `The picture could not be made. ${why}` });
    }
  };
}

/** The film of the chosen case and its present picture, to take away; as it was saved last. */
export function Downloads({ c, starting }: { c: Case; starting: Starting }) {
  const clock = useClock();
  const { job, begin, callOff } = useJob();
  const projectId = useWorkbench((s) => s.documents.project.id);
  const launchId = useWorkbench((s) => launchOf(s.documents)?.id ?? '');
  const frame = useFrame({ project: projectId, launch: launchId, case: c.id });
  const { start, versions } = starting;
  const film = (as: 'webp' | 'png') => {
    const options = { launch: launchId, case: c.id, start, as, ...(versions && { versions }) };
    return begin('The film', { kind: 'film', options });
  };
  if (job)
    return (
      <p className="launch-downloads">
        <Making what="The film" progress={job.progress} callOff={callOff} />
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
          void frame({ start, versions: versions || undefined, t }, `launch-${c.id}-${start}-${t}ms.png`);
        }}
      >
        this moment, PNG
      </Button>
      <Button variant="quiet" size="sm" onClick={() => void film('webp')}>
        the film, WebP
      </Button>
      <Button variant="quiet" size="sm" onClick={() => void film('png')}>
        its pictures, ZIP
      </Button>
    </p>
  );
}
