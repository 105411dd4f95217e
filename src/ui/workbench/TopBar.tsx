'use client';
import Link from 'next/link';
import { Button } from 'react-bootstrap';
import { APPEARANCES, type Appearance } from '@/core/values/values';
import { useWorkbench, useWorkbenchStore } from '../state/context';
import { BAR_LENSES } from '../state/lenses';
import { SetMenu } from '../sets/SetMenu';
import { withAppearance } from '../state/view';
import { sceneOf } from '../state/workbench';
import type { Theme } from '../theme/theme';
import { APPEARANCE_LABELS } from '../words';
import { Choices } from '../parts/Choices';
import { Sign } from '../parts/Sign';
import { SaveState } from './SaveState';
import { SceneMenu } from './SceneMenu';
import { Tally } from './Tally';
import { ThemeSwitch } from '../parts/ThemeSwitch';

/** What of the project is looked at. */
function Lenses() {
  const store = useWorkbenchStore();
  const lens = useWorkbench((s) => s.view.lens);
  return (
    <Choices
      label="Lens"
      hideLabel
      options={BAR_LENSES.map(({ id, label }) => ({ value: id, label }))}
      value={lens}
      onChoose={(next) => store.setState(({ view }) => ({ view: { ...view, lens: next } }))}
    />
  );
}

/** @param onHelp opens the list of keys */
export function TopBar({ theme, onHelp }: { theme: Theme; onHelp: () => void }) {
  const store = useWorkbenchStore();
  const projectName = useWorkbench((s) => s.documents.project.name);
  const scene = useWorkbench(sceneOf);
  const appearance = useWorkbench((s) => s.view.appearance);
  const choose = (next: Appearance) => {
    const { view } = store.getState();
    store.setState({ view: withAppearance(view, next) });
  };
  return (
    <header className="top">
      <Link className="home" href="/">
        <Sign />
        <span className="product-name">Coulee</span>
      </Link>
      <h1 className="where">
        {projectName}
        {scene && <span className="visually-hidden"> / {scene.name}</span>}
      </h1>
      {scene && <SceneMenu open={scene} />}
      {scene && <Lenses />}
      {scene && <SetMenu />}
      <SaveState />
      <div className="top-end">
        <Button variant="bar" size="sm" aria-label="Help: keys and hints" onClick={onHelp}>
          ?
        </Button>
        <ThemeSwitch start={theme} />
        {scene && (
          <Choices
            label="Screens in"
            hideLabel
            options={APPEARANCES.map((a) => ({ value: a, label: APPEARANCE_LABELS[a].toLowerCase() }))}
            value={appearance}
            onChoose={choose}
          />
        )}
        {scene && <Tally />}
      </div>
    </header>
  );
}
