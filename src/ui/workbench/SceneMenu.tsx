'use client';
import type { KeyboardEvent } from 'react';
import { Button } from 'react-bootstrap';
import type { Scene } from '@/core/scene/scene';
import { duplicateScene, launchesOf, removeScene } from '@/core/project/scenes';
import { newScene } from '../import/place-picture';
import { EditorPopover } from '../parts/EditorPopover';
import { NameField } from '../scene/editors/NameField';
import { useWorkbench, useWorkbenchStore } from '../state/context';
import { commit, edit, editLive } from '../state/edit';
import type { WorkbenchStore } from '../state/workbench';

function add(store: WorkbenchStore): void {
  const { length } = store.getState().documents.project.scenes;
  const scene = newScene(`Scene ${length + 1}`);
  edit(store, ({ project, scenes }) => {
    scenes[scene.id] = scene;
    project.scenes.push(scene.id);
  });
  store.setState({ sceneId: scene.id });
}

function duplicate(store: WorkbenchStore, id: string): void {
  let copy: string | null = null;
  edit(store, (documents) => {
    copy = duplicateScene(documents, id, () => crypto.randomUUID());
  });
  if (copy) store.setState({ sceneId: copy });
}

/** Opens the scene beside it, unless a launch still shows it. */
function remove(store: WorkbenchStore, { id, name }: Scene): void {
  const { project } = store.getState().documents;
  const launches = launchesOf(id, project);
  if (launches.length > 0) {
    const shown = `${launches.length > 1 ? 'the launches' : 'the launch'} ${launches.map((l) => `“${l}”`).join(', ')}`;
    const message = `${name} was not deleted: it is shown by ${shown}. Take it out there first, under “launch”.`;
    store.setState({ message });
    return;
  }
  const at = project.scenes.indexOf(id);
  store.setState({ sceneId: project.scenes[at + 1] ?? project.scenes[at - 1] ?? '' });
  edit(store, (documents) => removeScene(documents, id));
  store.setState({ message: `${name} was deleted. “undo” brings it back.` });
}

/** Arrow keys go to the scene above or below. */
function walkList(event: KeyboardEvent<HTMLElement>): void {
  const by = { ArrowUp: -1, ArrowDown: 1 }[event.key];
  if (by === undefined) return;
  event.preventDefault();
  const lines = [...event.currentTarget.querySelectorAll('button')];
  lines[lines.findIndex((l) => l === document.activeElement) + by]?.focus();
}

/** The scenes of the project, in their order. */
function SceneList({ onChosen }: { onChosen: () => void }) {
  const store = useWorkbenchStore();
  const scenes = useWorkbench((s) => s.documents.scenes);
  const order = useWorkbench((s) => s.documents.project.scenes);
  const open = useWorkbench((s) => s.sceneId);
  return (
    <ul className="plain-list scene-list" onKeyDown={walkList}>
      {order.map((id) => (
        <li key={id}>
          <Button
            variant="quiet"
            autoFocus={id === open}
            aria-current={id === open}
            onClick={() => {
              store.setState({ sceneId: id });
              onChosen();
            }}
          >
            {scenes[id]?.name}
          </Button>
        </li>
      ))}
    </ul>
  );
}

/** Which scene is open, the others, and what can be done with it. */
export function SceneMenu({ open }: { open: Scene }) {
  const store = useWorkbenchStore();
  const rename = (name: string) =>
    editLive(store, ({ scenes }) => {
      scenes[open.id]!.name = name;
    });
  const actions: [string, () => void][] = [
    ['duplicate', () => duplicate(store, open.id)],
    ['delete', () => remove(store, open)],
    ['new scene', () => add(store)],
  ];
  return (
    <EditorPopover
      label="Scenes"
      id="scene-menu"
      button={{
        variant: 'bar',
        size: 'sm',
        className: 'dropdown-toggle',
        children: <span className="scene-name">{open.name}</span>,
      }}
    >
      {(close) => (
        <>
          <SceneList onChosen={close} />
          <NameField
            key={open.id}
            label="Name"
            value={open.name}
            onChange={rename}
            onCommit={() => commit(store)}
            autoFocus={false}
          />
          <div className="menu-actions">
            {actions.map(([label, act]) => (
              <Button
                key={label}
                variant="quiet"
                size="sm"
                onClick={() => {
                  close();
                  act();
                }}
              >
                {label}
              </Button>
            ))}
          </div>
        </>
      )}
    </EditorPopover>
  );
}
