'use client';
import { useEffect, useState } from 'react';
import { Button } from 'react-bootstrap';
import { stepOf } from '@/core/steps/commands';
import { sayTime } from '@/core/words/words';
import { listRevisions, readRevision } from '@/formats/api/projects';
import { ask, messageOf } from '../api';
import { EditorPopover } from '../parts/EditorPopover';
import { useWorkbench, useWorkbenchStore } from '../state/context';
import { edit } from '../state/edit';
import type { WorkbenchStore } from '../state/workbench';

/** A step that is kept, and the revision that it led to. */
interface Kept {
  revision: number;
  at: string;
  step: string;
}

/** The steps of the project that the server keeps, newest first; `null` until they are there. */
function useSteps() {
  const store = useWorkbenchStore();
  const project = useWorkbench((s) => s.documents.project.id);
  const revision = useWorkbench((s) => s.revision);
  const [steps, setSteps] = useState<readonly Kept[] | null>(null);
  useEffect(() => {
    let isWanted = true;
    ask(listRevisions, { project }).then(
      (all) => isWanted && setSteps(all),
      (error: unknown) => store.setState({ message: `The history cannot be read. ${messageOf(error)}` }),
    );
    return () => void (isWanted = false);
  }, [store, project, revision]);
  return steps;
}

/** Makes the project what it was after a step: a step like any other, which undo takes back. */
async function goBack(store: WorkbenchStore, { revision, step }: Kept): Promise<void> {
  const { id } = store.getState().documents.project;
  try {
    const then = await ask(readRevision, { project: id, revision: String(revision) });
    edit(store, stepOf('project.go-back', step), (documents) => {
      Object.assign(documents, then);
    });
    const { sceneId } = store.getState();
    if (!then.scenes[sceneId]) store.setState({ sceneId: then.project.scenes[0] ?? '' });
    store.setState({ message: `The project is as it was after “${step}”. “undo” takes that back.` });
  } catch (error) {
    store.setState({ message: `The project stays as it is. ${messageOf(error)}` });
  }
}

function Steps({ onDone }: { onDone: () => void }) {
  const store = useWorkbenchStore();
  const present = useWorkbench((s) => s.revision);
  const isReadOnly = useWorkbench((s) => s.signed !== null);
  const steps = useSteps();
  if (!steps) return <p className="quiet">Being read…</p>;
  if (steps.length === 0) return <p className="quiet">Nothing was changed in this project yet.</p>;
  return (
    <ol className="history-list" aria-label="Steps, newest first" tabIndex={-1}>
      {steps.map((kept) => (
        <li key={kept.revision}>
          <span>{kept.step}</span>
          <span className="quiet figures">{sayTime(kept.at)}</span>
          {kept.revision === present ? (
            <span className="quiet">now</span>
          ) : (
            <Button
              variant="quiet"
              size="sm"
              disabled={isReadOnly}
              aria-label={`Go back to ${kept.step}, ${sayTime(kept.at)}`}
              onClick={() => {
                onDone();
                void goBack(store, kept);
              }}
            >
              go back
            </Button>
          )}
        </li>
      ))}
    </ol>
  );
}

/** What was done to the project, step by step, and the way back to each. */
export function HistoryMenu() {
  return (
    <EditorPopover
      wide
      label="History"
      id="history"
      button={{
        variant: 'bar',
        size: 'sm',
        className: 'dropdown-toggle',
        'aria-label': 'history',
        title: 'What was done, step by step',
        children: '',
      }}
    >
      {(close) => <Steps onDone={close} />}
    </EditorPopover>
  );
}
