'use client';
import { useEffect, useState } from 'react';
import { Button } from 'react-bootstrap';
import type { Screen } from '@/core/screens/screen';
import { listSharedScreens, shareScreen, unshareScreen } from '@/formats/api/shared';
import { sayDensity, saySize } from '@/core/words/numbers';
import { ask, messageOf } from '../api';
import { EditorPopover } from '../parts/EditorPopover';
import { useWorkbench, useWorkbenchStore } from '../state/context';
import type { WorkbenchStore } from '../state/workbench';
import { useScreenEdits } from '../state/useSets';

/** Does something with the server, and says what came of it. */
function telling(store: WorkbenchStore, doing: Promise<unknown>, done: string): Promise<void> {
  return doing.then(
    () => store.setState({ message: done }),
    (error: unknown) => store.setState({ message: messageOf(error) }),
  );
}

/** Shares a screen of the project among all projects. */
export function ShareButton({ screen }: { screen: Screen }) {
  const store = useWorkbenchStore();
  const share = () =>
    void telling(
      store,
      ask(shareScreen, {}, { body: screen }),
      `${screen.label} is shared: every project can take it, under “shared”.`,
    );
  return (
    <Button variant="quiet" size="sm" onClick={share}>
      share
    </Button>
  );
}

/** What is shared, as far as the server has said so, and what asks again. */
function useShared() {
  const store = useWorkbenchStore();
  const [shared, setShared] = useState<Screen[] | null>(null);
  const [asked, setAsked] = useState(0);
  useEffect(() => {
    let ended = false;
    ask(listSharedScreens, {}).then(
      (found) => !ended && setShared(found),
      (error: unknown) => !ended && store.setState({ message: messageOf(error) }),
    );
    return () => {
      ended = true;
    };
  }, [store, asked]);
  const end = (screen: Screen) =>
    void telling(
      store,
      ask(unshareScreen, { screen: screen.id }),
      `${screen.label} is not shared any more. Projects that have taken it keep it.`,
    ).then(() => setAsked((n) => n + 1));
  return { shared, end };
}

function SharedList() {
  const own = useWorkbench((s) => s.documents.project.screens);
  const { save } = useScreenEdits();
  const { shared, end } = useShared();
  if (!shared) return <p role="status">Being asked for…</p>;
  if (shared.length === 0)
    return <p>No screen is shared yet. “share” beside a screen of your own offers it to every project.</p>;
  return (
    <ul className="shared-list">
      {shared.map((s) => (
        <li key={s.id}>
          <b>{s.label}</b>{' '}
          <span className="quiet figures">
            {saySize(s)} at {sayDensity(s.density)}
          </span>{' '}
          {own.some((o) => o.id === s.id) ? (
            <span className="quiet">in this project</span>
          ) : (
            <Button variant="quiet" size="sm" aria-label={`Take ${s.label}`} onClick={() => save(s)}>
              take
            </Button>
          )}
          <Button
            variant="quiet"
            size="sm"
            aria-label={`End the sharing of ${s.label}`}
            onClick={() => end(s)}
          >
            end sharing
          </Button>
        </li>
      ))}
    </ul>
  );
}

/** The screens that are shared among the projects of this store, to be taken into this one. */
export function SharedScreens() {
  return (
    <EditorPopover label="Shared screens" button={{ variant: 'quiet', size: 'sm', children: 'shared' }}>
      {() => <SharedList />}
    </EditorPopover>
  );
}
