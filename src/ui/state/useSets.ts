'use client';
import { stepOf } from '@/core/steps/commands';
import { useMemo } from 'react';
import { allScreens, removeScreen, saveScreen, setInUse, usersOf } from '@/core/project/screens';
import { nameOfCopy } from '@/core/values/values';
import type { Screen } from '@/core/screens/screen';
import type { ScreenSet } from '@/core/screens/set';
import { newId } from '@/workers/new-id';
import { useWorkbench, useWorkbenchStore } from './context';
import { edit } from './edit';
import type { WorkbenchStore } from './workbench';

/** What a set has at least is said where somebody takes its last screen out. */
const LAST = 'A set has one screen at least. Remove the set itself, or put another screen in first.';

/** Every screen that the project knows, whichever set is in use. */
export function useAllScreens(): Screen[] {
  const catalogue = useWorkbench((s) => s.catalogue);
  const project = useWorkbench((s) => s.documents.project);
  return useMemo(() => allScreens(catalogue, project), [catalogue, project]);
}

export const useSetInUse = (): ScreenSet | null => useWorkbench((s) => setInUse(s.documents.project));

const nameOf = (store: WorkbenchStore, id: string | null) =>
  store.getState().documents.project.screenSets?.find((s) => s.id === id)?.name ?? null;

/** Puts a set in use; every screen where there is none. */
export const putInUse = (store: WorkbenchStore, id: string | null): void =>
  edit(store, stepOf('set.use', nameOf(store, id)), ({ project }) => {
    if (id) project.setInUse = id;
    else delete project.setInUse;
  });

/** What can be done with the sets of the project. */
export function useSetEdits() {
  const store = useWorkbenchStore();
  const change = (id: string, recipe: (set: ScreenSet) => void) =>
    edit(store, stepOf('set.change', nameOf(store, id) ?? 'a set'), ({ project }) => {
      const set = project.screenSets?.find((s) => s.id === id);
      if (set) recipe(set);
    });
  const add = (name: string, screens: readonly string[]): string => {
    const id = newId();
    edit(store, stepOf('set.add', name), ({ project }) => {
      (project.screenSets ??= []).push({ id, name, screens: [...screens] });
    });
    return id;
  };
  return {
    add,
    duplicate: (set: ScreenSet) => add(nameOfCopy(set.name).slice(0, 60), set.screens),
    remove: (id: string) =>
      edit(store, stepOf('set.remove', nameOf(store, id) ?? 'a set'), ({ project }) => {
        project.screenSets = project.screenSets?.filter((s) => s.id !== id);
        if (project.setInUse === id) delete project.setInUse;
      }),
    putIn: (id: string, screens: readonly string[]) =>
      change(id, (set) => {
        set.screens = [...new Set([...set.screens, ...screens])];
      }),
    takeOut: (set: ScreenSet, screens: readonly string[]) => {
      const out = new Set(screens);
      const left = set.screens.filter((s) => !out.has(s));
      if (left.length === 0) return store.setState({ message: LAST });
      change(set.id, (now) => {
        now.screens = left;
      });
    },
  };
}

/** What can be done with the screens of the project itself. */
export function useScreenEdits() {
  const store = useWorkbenchStore();
  return {
    /** Adds a screen, or changes the one of its id; says which set a new one has joined. */
    save: (screen: Screen) => {
      let joined: string | null = null;
      edit(store, stepOf('screen.save', screen.label), ({ project }) => {
        joined = saveScreen(project, screen)?.name ?? null;
      });
      if (joined !== null)
        store.setState({
          message: `${screen.label} was added, and put in the set in use, “${joined}”, so that it is judged.`,
        });
    },
    /** Unless something refers to it, which is then said. */
    remove: ({ id, label }: Screen) => {
      const users = usersOf(id, store.getState().documents.project);
      if (users.length > 0) {
        store.setState({
          message: `${label} was not removed: it is used by ${users.join(', and by ')}. Remove that first.`,
        });
        return;
      }
      edit(store, stepOf('screen.remove', label), ({ project }) => removeScreen(project, id));
      store.setState({ message: `${label} was removed. “undo” brings it back.` });
    },
    forgetWeights: () =>
      edit(store, stepOf('screen.forget-shares'), ({ project }) => {
        delete project.weights;
      }),
  };
}
