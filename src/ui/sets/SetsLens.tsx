'use client';
import { useMemo, useState } from 'react';
import { Button } from 'react-bootstrap';
import { firstOwn, ownCopy } from '@/core/screens/own';
import type { Screen } from '@/core/screens/screen';
import type { ScreenSet } from '@/core/screens/set';
import { countOf } from '@/core/words/words';
import { newId } from '@/workers/new-id';
import { useWorkbench } from '../state/context';
import { useLook } from '../state/look';
import { exportScreens } from './export';
import { ImportScreens } from './ImportScreens';
import { ScreenDetail } from './ScreenDetail';
import { ScreenForm } from './ScreenForm';
import { filtered, NO_FILTER } from './filter';
import { ScreenFilters } from './ScreenFilters';
import { ScreenRows } from './ScreenRows';
import { SetList } from './SetList';
import { SharedScreens } from './SharedScreens';
import { useAllScreens, useScreenEdits, useSetEdits } from '../state/useSets';

/** Whose weights are summed, wherever they are. */
function WeightsNote() {
  const weights = useWorkbench((s) => s.documents.project.weights);
  const { forgetWeights } = useScreenEdits();
  if (!weights)
    return <p className="quiet">Weights are illustrative until you import yours, from a CSV or JSON file.</p>;
  return (
    <p className="quiet">
      Weights are from <b>{weights.source}</b>; screens that are not in it weigh nothing.{' '}
      <Button variant="quiet" size="sm" onClick={forgetWeights}>
        back to the illustrative ones
      </Button>
    </p>
  );
}

interface ToolsProps {
  /** what is exported, and what that is called */
  exported: readonly Screen[];
  word: string;
  onAdd: (screen: Screen) => void;
  onSet: (id: string) => void;
}

const newScreenId = () => `own-${newId()}`;

/** Ways in and out: a new screen, a file, what others share, and what is made of the screens. */
function Tools({ exported, word, onAdd, onSet }: ToolsProps) {
  const look = useLook();
  const [isImporting, setIsImporting] = useState(false);
  return (
    <div className="sets-tools">
      <Button variant="primary" size="sm" onClick={() => onAdd(firstOwn(newScreenId()))}>
        add a screen
      </Button>
      <Button variant="quiet" size="sm" onClick={() => setIsImporting(true)}>
        import
      </Button>
      <SharedScreens />
      <Button variant="quiet" size="sm" onClick={() => exportScreens(exported, 'csv')}>
        export {word} as CSV
      </Button>
      <Button
        variant="quiet"
        size="sm"
        aria-label={`export ${word} as JSON`}
        onClick={() => exportScreens(exported, 'json')}
      >
        as JSON
      </Button>
      <Button variant="quiet" size="sm" onClick={() => look({ lens: 'template' })}>
        template for designers
      </Button>
      {isImporting && <ImportScreens onClose={() => setIsImporting(false)} onSet={onSet} />}
    </div>
  );
}

/** How many screens are listed, and what can be done with all of them. */
function Found({ ids, set }: { ids: readonly string[]; set: ScreenSet | null }) {
  const { putIn, takeOut } = useSetEdits();
  return (
    <p className="sets-found figures" role="status">
      {countOf(ids.length, 'screen')}
      {set && (
        <>
          {' '}
          · {set.screens.length} in “{set.name}”{' '}
          <Button variant="quiet" size="sm" onClick={() => putIn(set.id, ids)}>
            put all of these in
          </Button>
          <Button variant="quiet" size="sm" onClick={() => takeOut(set, ids)}>
            take all of these out
          </Button>
        </>
      )}
    </p>
  );
}

interface OneProps {
  screen: Screen | undefined;
  /** a screen that is being described */
  draft: Screen | null;
  onDraft: (draft: Screen | null) => void;
  onSaved: (id: string) => void;
}

/** The screen that is described, or the one that is chosen. */
function OneScreen({ screen, draft, onDraft, onSaved }: OneProps) {
  const { save, remove } = useScreenEdits();
  if (draft)
    return (
      <ScreenForm
        key={draft.id}
        start={draft}
        onSave={(next) => {
          save(next);
          onSaved(next.id);
          onDraft(null);
        }}
        onCancel={() => onDraft(null)}
      />
    );
  return (
    screen && (
      <ScreenDetail
        screen={screen}
        onCopy={() => onDraft(ownCopy(screen, newScreenId()))}
        onEdit={() => onDraft(screen)}
        onRemove={() => remove(screen)}
      />
    )
  );
}

/** The screens that there are, the sets that are made of them, and one screen in full. */
export function SetsLens() {
  const screens = useAllScreens();
  const sets = useWorkbench((s) => s.documents.project.screenSets) ?? [];
  const inUse = useWorkbench((s) => s.documents.project.setInUse);
  const [shown, setShown] = useState<string | null>(inUse ?? null);
  const [filter, setFilter] = useState(NO_FILTER);
  const [chosen, setChosen] = useState<string | null>(null);
  const [draft, setDraft] = useState<Screen | null>(null);
  const set = sets.find((s) => s.id === shown) ?? null;
  const found = useMemo(() => filtered(screens, filter), [screens, filter]);
  const ids = useMemo(() => found.map((s) => s.id), [found]);
  const screen = screens.find((s) => s.id === chosen) ?? screens[0];
  return (
    <main className="sets" id="main">
      <SetList sets={sets} shown={set?.id ?? null} onShow={setShown} found={ids} all={screens.length} />
      <section className="sets-middle" aria-label="Screens">
        <Tools
          exported={set ? screens.filter((s) => set.screens.includes(s.id)) : screens}
          word={set ? 'the set' : 'all'}
          onAdd={setDraft}
          onSet={setShown}
        />
        <WeightsNote />
        <ScreenFilters filter={filter} onChange={setFilter} />
        <Found ids={ids} set={set} />
        <ScreenRows screens={found} set={set} chosen={screen?.id ?? null} onChoose={setChosen} />
      </section>
      <aside className="sets-detail" aria-label="One screen">
        <OneScreen screen={screen} draft={draft} onDraft={setDraft} onSaved={setChosen} />
      </aside>
    </main>
  );
}
