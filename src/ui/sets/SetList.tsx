'use client';
import { stepOf } from '@/core/steps/commands';
import { Button } from 'react-bootstrap';
import type { ScreenSet } from '@/core/screens/set';
import { countOf } from '@/core/words/words';
import { NameField } from '../parts/NameField';
import { useWorkbenchStore } from '../state/context';
import { commit, editLive } from '../state/edit';
import { AxesPart } from './AxesPart';
import { putInUse, useSetEdits, useSetInUse } from '../state/useSets';

interface Props {
  sets: readonly ScreenSet[];
  /** the set whose screens are ticked; `null` for all screens */
  shown: string | null;
  onShow: (id: string | null) => void;
  /** the screens that are listed just now, of which a new set is made */
  found: readonly string[];
  /** how many screens there are */
  all: number;
}

/** What can be done with the set that is shown. */
function SetTools({ set, onShow }: { set: ScreenSet; onShow: Props['onShow'] }) {
  const store = useWorkbenchStore();
  const { duplicate, remove } = useSetEdits();
  return (
    <div className="set-tools">
      <NameField
        key={set.id}
        label="Name"
        value={set.name}
        onChange={(name) =>
          editLive(store, stepOf('set.change', set.name), ({ project }) => {
            project.screenSets!.find((s) => s.id === set.id)!.name = name;
          })
        }
        onCommit={() => commit(store)}
        autoFocus={false}
      />
      <Button variant="quiet" size="sm" onClick={() => onShow(duplicate(set))}>
        duplicate
      </Button>
      <Button
        variant="quiet"
        size="sm"
        onClick={() => {
          remove(set.id);
          onShow(null);
        }}
      >
        remove the set
      </Button>
    </div>
  );
}

/** The sets, which of them is in use, and which is being put together. */
export function SetList({ sets, shown, onShow, found, all }: Props) {
  const store = useWorkbenchStore();
  const { add } = useSetEdits();
  const inUse = useSetInUse()?.id ?? null;
  const entries = [
    { id: null, name: 'All screens', count: all },
    ...sets.map((s) => ({ id: s.id, name: s.name, count: s.screens.length })),
  ];
  const set = sets.find((s) => s.id === shown);
  return (
    <section className="sets-list" aria-label="Sets of screens">
      <h2>Sets</h2>
      <ul>
        {entries.map(({ id, name, count }) => (
          <li key={id ?? 'all'} className={id === shown ? 'set-row set-shown' : 'set-row'}>
            <button type="button" className="set-open" aria-current={id === shown} onClick={() => onShow(id)}>
              {name} <span className="quiet figures">{count}</span>
            </button>
            {id === inUse ? (
              <span className="set-used">in use</span>
            ) : (
              <Button
                variant="quiet"
                size="sm"
                aria-label={`Use ${name}`}
                onClick={() => putInUse(store, id)}
              >
                use
              </Button>
            )}
          </li>
        ))}
      </ul>
      <Button
        variant="quiet"
        size="sm"
        disabled={found.length === 0}
        title={`A set of the ${countOf(found.length, 'screen')} that are listed`}
        onClick={() => onShow(add(`Set ${sets.length + 1}`, found))}
      >
        new set of the list
      </Button>
      {set && <SetTools set={set} onShow={onShow} />}
      <p className="quiet">
        Field, findings, launch, review and the command line judge the set in use, and nothing else.
      </p>
      <AxesPart />
    </section>
  );
}
