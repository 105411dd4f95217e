'use client';
import { Button } from 'react-bootstrap';
import { countOf } from '@/core/words/words';
import { EditorPopover } from '../parts/EditorPopover';
import { useWorkbench, useWorkbenchStore } from '../state/context';
import { useLook } from '../state/look';
import { putInUse, useAllScreens, useSetInUse } from '../state/useSets';

/** All screens and each set, one of which is in use. */
function SetList({ onChosen }: { onChosen: () => void }) {
  const store = useWorkbenchStore();
  const sets = useWorkbench((s) => s.documents.project.screenSets) ?? [];
  const inUse = useSetInUse()?.id ?? null;
  const all = useAllScreens();
  const entries = [
    { id: null, name: 'all screens', count: all.length },
    ...sets.map((s) => ({ id: s.id, name: s.name, count: s.screens.length })),
  ];
  return (
    <ul className="plain-list scene-list">
      {entries.map(({ id, name, count }) => (
        <li key={id ?? 'all'}>
          <Button
            variant="quiet"
            aria-current={inUse === id}
            onClick={() => {
              putInUse(store, id);
              onChosen();
            }}
          >
            {name} <span className="quiet figures">{count}</span>
          </Button>
        </li>
      ))}
    </ul>
  );
}

/** Which screens the project is looked at on: everything that is said holds for these. */
export function SetMenu() {
  const look = useLook();
  const inUse = useSetInUse();
  const count = useWorkbench((s) => s.screens.length);
  return (
    <EditorPopover
      label="Screens in use"
      id="set-menu"
      button={{
        variant: 'bar',
        size: 'sm',
        className: 'dropdown-toggle',
        title: `Everything is judged on ${inUse ? `the set “${inUse.name}”` : 'all screens'}`,
        children: <span className="set-name figures">{inUse ? inUse.name : countOf(count, 'screen')}</span>,
      }}
    >
      {(close) => (
        <>
          <SetList onChosen={close} />
          <div className="menu-actions">
            <Button
              variant="quiet"
              size="sm"
              onClick={() => {
                close();
                look({ lens: 'sets' });
              }}
            >
              screens and sets
            </Button>
          </div>
        </>
      )}
    </EditorPopover>
  );
}
