'use client';
import { useEffect, useMemo, useState } from 'react';
import { Button } from 'react-bootstrap';
import type { Case } from '@/core/screens/cases';
import { distinctCases } from '@/core/screens/likeness';
import { matchesText } from '@/core/screens/search';
import { countOf } from '@/core/words/words';
import { useWorkbench } from '../state/context';
import { keepScreens, keptScreens } from '../state/kept-screens';
import { useLook } from '../state/look';
import { sayOn, screensOn } from '../state/telling';
import { caseName } from '../words';
import { EditorPopover } from './EditorPopover';
import { Ticks } from './Ticks';

/** A screen as it is held, whatever the appearance. */
const heldAs = (c: Case) => c.id.replace(/\.(light|dark)$/, '');

interface ListProps {
  chosen: readonly string[];
  most: number;
  onChoose: (screens: readonly string[]) => void;
}

/** Screens to tick, found by what is typed; those that are chosen are always in sight. */
function ScreenChoices({ chosen, most, onChoose }: ListProps) {
  const cases = useWorkbench((s) => s.cases);
  const [wanted, setWanted] = useState('');
  const all = useMemo(
    () => distinctCases(cases.filter((c) => c.appearance === 'light')).map((c) => c.shown),
    [cases],
  );
  const asks = wanted.trim() !== '';
  const listed = all.filter((c) => chosen.includes(heldAs(c)) || (asks && matchesText(c.screen, wanted)));
  const toggle = (id: string) =>
    onChoose(chosen.includes(id) ? chosen.filter((c) => c !== id) : [...chosen, id]);
  return (
    <>
      <Ticks
        placeholder="find: 390x844, 20:9, tablet"
        wanted={wanted}
        onWanted={setWanted}
        listed={listed}
        describe={(c) => ({
          id: `on-${c.id}`,
          label: caseName(c),
          title: c.screen.label,
          checked: chosen.includes(heldAs(c)),
          disabled: chosen.length >= most && !chosen.includes(heldAs(c)),
        })}
        onToggle={(c) => toggle(heldAs(c))}
      />
      {chosen.length >= most && <p className="quiet">There is room for {most}.</p>}
    </>
  );
}

/** Which screens something is compared on: those that tell most, or those that one chooses, which are kept. */
export function ChosenScreens({ most }: { most: number }) {
  const look = useLook();
  const project = useWorkbench((s) => s.documents.project.id);
  const on = useWorkbench((s) => s.view.on);
  const chosen = screensOn(on);
  const choose = (screens: readonly string[]) => {
    look({ on: sayOn(screens) });
    keepScreens(project, screens);
  };
  // What an address does not say is as it was chosen last.
  useEffect(() => {
    const kept = keptScreens(project);
    if (on === undefined && kept.length > 0) look({ on: sayOn(kept) });
    // Only when it is opened: taken back here, it stays so.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [project]);
  return (
    <div className="chosen-screens">
      on{' '}
      <EditorPopover
        label="Screens that are compared"
        button={{
          bsPrefix: 'part',
          children:
            chosen.length > 0 ? `${countOf(chosen.length, 'chosen screen')}` : 'the screens that differ most',
        }}
      >
        {() => <ScreenChoices {...{ chosen, most }} onChoose={choose} />}
      </EditorPopover>
      {chosen.length > 0 && (
        <Button variant="quiet" size="sm" onClick={() => choose([])}>
          those that differ most
        </Button>
      )}
    </div>
  );
}
