'use client';
import { useMemo, useState } from 'react';
import { Button } from 'react-bootstrap';
import { firstOwn, ownCopy } from '@/core/screens/own';
import type { Screen } from '@/core/screens/screen';
import { countOf } from '@/core/words/words';
import { useWorkbench } from '../state/context';
import { useLook } from '../state/look';
import { exportScreens } from './export';
import { ImportScreens } from './ImportScreens';
import { ScreenDetail } from './ScreenDetail';
import { ScreenForm } from './ScreenForm';
import { NO_FILTER, ScreenFilters, filtered } from './ScreenFilters';
import { ScreenRows } from './ScreenRows';
import { SetList } from './SetList';
import { useAllScreens, useScreenEdits, useSetEdits } from './useSets';

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

/** The screens that there are, the sets that are made of them, and one screen in full. */
export function SetsLens() {
  const screens = useAllScreens();
  const sets = useWorkbench((s) => s.documents.project.screenSets) ?? [];
  const inUse = useWorkbench((s) => s.documents.project.setInUse);
  const [shown, setShown] = useState<string | null>(inUse ?? null);
  const [filter, setFilter] = useState(NO_FILTER);
  const [chosen, setChosen] = useState<string | null>(null);
  const [draft, setDraft] = useState<Screen | null>(null);
  const [isImporting, setIsImporting] = useState(false);
  const look = useLook();
  const edits = useSetEdits();
  const { save, remove } = useScreenEdits();
  const set = sets.find((s) => s.id === shown) ?? null;
  const found = useMemo(() => filtered(screens, filter), [screens, filter]);
  const screen = screens.find((s) => s.id === chosen) ?? screens[0];
  const ids = found.map((s) => s.id);
  return (
    <main className="sets" id="main">
      <SetList sets={sets} shown={set?.id ?? null} onShow={setShown} found={ids} all={screens.length} />
      <section className="sets-middle" aria-label="Screens">
        <div className="sets-tools">
          <Button
            variant="primary"
            size="sm"
            onClick={() => setDraft(firstOwn(`own-${crypto.randomUUID()}`))}
          >
            add a screen
          </Button>
          <Button variant="quiet" size="sm" onClick={() => setIsImporting(true)}>
            import
          </Button>
          <Button
            variant="quiet"
            size="sm"
            onClick={() => exportScreens(set ? screens.filter((s) => set.screens.includes(s.id)) : screens)}
          >
            export {set ? 'the set' : 'all'} as CSV
          </Button>
          <Button variant="quiet" size="sm" onClick={() => look({ lens: 'template' })}>
            template for designers
          </Button>
        </div>
        <WeightsNote />
        <ScreenFilters filter={filter} onChange={setFilter} />
        <p className="sets-found figures" role="status">
          {countOf(found.length, 'screen')}
          {set && (
            <>
              {' '}
              · {set.screens.length} in “{set.name}”{' '}
              <Button variant="quiet" size="sm" onClick={() => edits.putIn(set.id, ids)}>
                put all of these in
              </Button>
              <Button variant="quiet" size="sm" onClick={() => edits.takeOut(set, ids)}>
                take all of these out
              </Button>
            </>
          )}
        </p>
        <ScreenRows screens={found} set={set} chosen={screen?.id ?? null} onChoose={setChosen} />
      </section>
      <aside className="sets-detail" aria-label="One screen">
        {draft && (
          <ScreenForm
            key={draft.id}
            start={draft}
            onSave={(next) => {
              save(next);
              setChosen(next.id);
              setDraft(null);
            }}
            onCancel={() => setDraft(null)}
          />
        )}
        {!draft && screen && (
          <ScreenDetail
            screen={screen}
            onCopy={() => setDraft(ownCopy(screen, `own-${crypto.randomUUID()}`))}
            onEdit={() => setDraft(screen)}
            onRemove={() => remove(screen)}
          />
        )}
      </aside>
      {isImporting && <ImportScreens onClose={() => setIsImporting(false)} onSet={setShown} />}
    </main>
  );
}
