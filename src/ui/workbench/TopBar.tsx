'use client';
import Link from 'next/link';
import { Dropdown } from 'react-bootstrap';
import { APPEARANCES, type Appearance } from '@/core/scene/values';
import { newScene } from '../import/place-picture';
import { useWorkbench, useWorkbenchStore } from '../state/context';
import { edit } from '../state/edit';
import { LENSES, withAppearance } from '../state/view';
import { sceneOf, type WorkbenchStore } from '../state/workbench';
import type { Theme } from '../theme/theme';
import { APPEARANCE_LABELS } from '../words';
import { Choices } from './Choices';
import { Mark } from './Mark';
import { SaveState } from './SaveState';
import { Tally } from './Tally';
import { ThemeSwitch } from './ThemeSwitch';

function addScene(store: WorkbenchStore): void {
  const { length } = store.getState().documents.project.scenes;
  const scene = newScene(`Scene ${length + 1}`);
  edit(store, ({ project, scenes }) => {
    scenes[scene.id] = scene;
    project.scenes.push(scene.id);
  });
  store.setState({ sceneId: scene.id });
}

/** Which scene is open, and the others. */
function SceneMenu() {
  const store = useWorkbenchStore();
  const scenes = useWorkbench((s) => s.documents.scenes);
  const order = useWorkbench((s) => s.documents.project.scenes);
  const open = useWorkbench(sceneOf);
  return (
    <Dropdown>
      <Dropdown.Toggle variant="bar" size="sm" id="scene-menu">
        {open?.name ?? 'no scene'}
      </Dropdown.Toggle>
      <Dropdown.Menu>
        {order.map((id) => (
          <Dropdown.Item key={id} active={id === open?.id} onClick={() => store.setState({ sceneId: id })}>
            {scenes[id]?.name}
          </Dropdown.Item>
        ))}
        <Dropdown.Divider />
        <Dropdown.Item onClick={() => addScene(store)}>new scene</Dropdown.Item>
      </Dropdown.Menu>
    </Dropdown>
  );
}

export function TopBar({ theme }: { theme: Theme }) {
  const store = useWorkbenchStore();
  const projectName = useWorkbench((s) => s.documents.project.name);
  const sceneName = useWorkbench((s) => sceneOf(s)?.name);
  const appearance = useWorkbench((s) => s.view.appearance);
  const lens = useWorkbench((s) => s.view.lens);
  const choose = (next: Appearance) => {
    const { view } = store.getState();
    store.setState({ view: withAppearance(view, next) });
  };
  return (
    <header className="top">
      <Link className="home" href="/">
        <Mark />
        Coulee
      </Link>
      <h1 className="where">
        {projectName}
        {sceneName && <span className="visually-hidden"> / {sceneName}</span>}
      </h1>
      {sceneName && <SceneMenu />}
      {sceneName && (
        <Choices
          label="Lens"
          hideLabel
          options={LENSES.map((value) => ({ value, label: value }))}
          value={lens}
          onChoose={(next) => store.setState(({ view }) => ({ view: { ...view, lens: next } }))}
        />
      )}
      <SaveState />
      <div className="top-end">
        <ThemeSwitch start={theme} />
        {sceneName && (
          <Choices
            label="Screens in"
            hideLabel
            options={APPEARANCES.map((a) => ({ value: a, label: APPEARANCE_LABELS[a].toLowerCase() }))}
            value={appearance}
            onChoose={choose}
          />
        )}
        {sceneName && <Tally />}
      </div>
    </header>
  );
}
