'use client';
import { stepOf } from '@/core/steps/commands';
import type { KeyboardEvent } from 'react';
import { Button } from 'react-bootstrap';
import { newIcon } from '@/core/icons/new';
import type { Picture } from '@/core/pictures/picture';
import type { Documents } from '@/core/project/documents';
import type { Scene } from '@/core/scene/scene';
import { duplicateScene, launchesOf, removeScene } from '@/core/project/scenes';
import { newId } from '@/workers/new-id';
import { newScene } from '@/core/project/place-picture';
import { EditorPopover } from '../parts/EditorPopover';
import { NameField } from '../parts/NameField';
import { useWorkbench, useWorkbenchStore } from '../state/context';
import { commit, edit, editLive } from '../state/edit';
import type { WorkbenchStore } from '../state/workbench';

/** Puts a new scene behind the others, and opens it. */
function open(store: WorkbenchStore, scene: Scene): void {
  edit(store, stepOf('scene.add', scene.name), ({ project, scenes }) => {
    scenes[scene.id] = scene;
    project.scenes.push(scene.id);
  });
  store.setState({ sceneId: scene.id });
}

function add(store: WorkbenchStore): void {
  const { length } = store.getState().documents.project.scenes;
  open(store, newScene(`Scene ${length + 1}`, newId));
}

/** What an icon would show: the first logo of the scenes, else the first picture; `null` without any. */
function iconPicture({ project, scenes }: Documents): Picture | null {
  const logos = project.scenes.flatMap((id) =>
    (scenes[id]?.layers ?? []).flatMap((l) => (l.kind === 'picture' && l.role === 'logo' ? [l.picture] : [])),
  );
  return project.pictures.find((p) => p.id === logos[0]) ?? project.pictures[0] ?? null;
}

function addIcon(store: WorkbenchStore): void {
  const picture = iconPicture(store.getState().documents);
  if (!picture) {
    store.setState({ message: 'An icon shows a picture, and this project has none yet. Import one first.' });
    return;
  }
  open(store, newIcon('Icon', picture, newId));
}

function duplicate(store: WorkbenchStore, id: string): void {
  let copy: string | null = null;
  const { name } = store.getState().documents.scenes[id]!;
  edit(store, stepOf('scene.duplicate', name), (documents) => {
    copy = duplicateScene(documents, id, newId);
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
  edit(store, stepOf('scene.remove', name), (documents) => removeScene(documents, id));
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

/** What can be done with the scene that is open, and what adds another. */
function SceneActions({ scene, onDone }: { scene: Scene; onDone: () => void }) {
  const store = useWorkbenchStore();
  const actions: [string, () => void][] = [
    ['duplicate', () => duplicate(store, scene.id)],
    ['delete', () => remove(store, scene)],
    ['new scene', () => add(store)],
    ['new icon', () => addIcon(store)],
  ];
  return (
    <div className="menu-actions">
      {actions.map(([label, act]) => (
        <Button
          key={label}
          variant="quiet"
          size="sm"
          onClick={() => {
            onDone();
            act();
          }}
        >
          {label}
        </Button>
      ))}
    </div>
  );
}

/** Which scene is open, the others, and what can be done with it. */
export function SceneMenu({ open: now }: { open: Scene }) {
  const store = useWorkbenchStore();
  const rename = (name: string) =>
    editLive(store, stepOf('scene.rename', now.name), ({ scenes }) => {
      scenes[now.id]!.name = name;
    });
  return (
    <EditorPopover
      label="Scenes"
      id="scene-menu"
      button={{
        variant: 'bar',
        size: 'sm',
        className: 'dropdown-toggle',
        children: <span className="scene-name">{now.name}</span>,
      }}
    >
      {(close) => (
        <>
          <SceneList onChosen={close} />
          <NameField
            key={now.id}
            label="Name"
            value={now.name}
            onChange={rename}
            onCommit={() => commit(store)}
            autoFocus={false}
          />
          <SceneActions scene={now} onDone={close} />
        </>
      )}
    </EditorPopover>
  );
}
