'use client';
import { createContext, useContext } from 'react';
import { createStore, useStore } from 'zustand';
import * as api from '@/formats/api/real-screens';
import type { RealScreens } from '@/formats/real-screen/shown';
import { ask, messageOf } from '../api';

/** What real screens show: the scene that is open, or the launch. */
export type Shows = 'scene' | 'launch';

interface State {
  /** as the server has it; `null` until it has been asked */
  screens: RealScreens | null;
  shows: Shows;
  busy: boolean;
  problem: string | null;
}

/** Real screens of a project, as this page knows them. */
export function createRealScreens(project: string) {
  const store = createStore<State>(() => ({ screens: null, shows: 'scene', busy: false, problem: null }));
  /** The same object while nothing is new, so that nothing is drawn anew. */
  const take = (screens: RealScreens) => {
    if (JSON.stringify(screens) !== JSON.stringify(store.getState().screens)) store.setState({ screens });
  };
  const refresh = async () => take(await ask(api.readRealScreens, { project }));
  const act = async (work: () => Promise<unknown>) => {
    store.setState({ busy: true, problem: null });
    try {
      await work();
      await refresh();
    } catch (error) {
      store.setState({ problem: messageOf(error) });
    } finally {
      store.setState({ busy: false });
    }
  };
  return {
    store,
    refresh,
    show: (shows: Shows) => store.setState({ shows }),
    letIn: (network?: string) => act(() => ask(api.letRealScreenIn, { project }, { body: { network } })),
    switchOff: () => act(() => ask(api.switchRealScreensOff, { project })),
    sendAway: (visitor: string) => act(() => ask(api.sendRealScreenAway, { project, visitor })),
  };
}
type Known = ReturnType<typeof createRealScreens>;

const Context = createContext<Known | null>(null);
export const RealScreensProvider = Context.Provider;

export function useRealScreens(): Known {
  const known = useContext(Context);
  if (!known) throw new Error('This part of the page needs to know of real screens.');
  return known;
}

export const useRealScreensState = <T>(select: (state: State) => T): T =>
  useStore(useRealScreens().store, select);
