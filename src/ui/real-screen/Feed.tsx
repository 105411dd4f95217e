'use client';
import { useEffect, useMemo, useRef, useSyncExternalStore } from 'react';
import { measuredCase } from '@/core/screens/measured';
import type { Case } from '@/core/screens/cases';
import * as api from '@/formats/api/real-screens';
import { asSent, type Showing, type Visitor } from '@/formats/real-screen/shown';
import { ask, messageOf } from '../api';
import { sizeOfFile } from '../drawing/pixels';
import { launchOf, useFilms, type Starting } from '../state/launched';
import { useCaseResult } from '../state/case-result';
import { useWorkbench, useWorkbenchStore } from '../state/context';
import { sceneOf } from '../state/workbench';
import { filmOf, stillOf } from './showing';
import { useRealScreens, useRealScreensState } from './real-screens';

/** Sends what is to be shown, one at a time, and always the newest: what was drawn meanwhile and is older is left out. */
function useSending(visitor: string, showing: Showing | null): void {
  const project = useWorkbench((s) => s.documents.project.id);
  const { store } = useRealScreens();
  const line = useRef<{ busy: boolean; next: Showing | null }>({ busy: false, next: null });
  useEffect(() => {
    const { current } = line;
    current.next = showing;
    const go = async () => {
      if (current.busy) return;
      current.busy = true;
      try {
        while (current.next) {
          const body = asSent(current.next);
          current.next = null;
          await ask(api.showOnRealScreen, { project, visitor }, { body });
        }
      } finally {
        current.busy = false;
      }
    };
    go().catch((error: unknown) => store.setState({ problem: messageOf(error) }));
  }, [project, visitor, showing, store]);
}

interface Props {
  visitor: string;
  c: Case;
}

/** What drawings are made with, besides the case. */
function useDrawn(name: string) {
  const fonts = useWorkbench((s) => s.fonts);
  const project = useWorkbench((s) => s.documents.project);
  return useMemo(() => ({ name, fonts, sizeOf: sizeOfFile(project) }), [name, fonts, project]);
}

function FeedScene({ visitor, c }: Props) {
  const documents = useWorkbench((s) => s.documents);
  const name = useWorkbench((s) => sceneOf(s)?.name ?? '');
  const result = useCaseResult(c, documents);
  const drawn = useDrawn(name);
  const { density } = c.screen;
  useSending(
    visitor,
    useMemo(() => result && stillOf(result, density, drawn), [result, density, drawn]),
  );
  return null;
}

const COLD: Starting = { start: 'cold', versions: '' };

function FeedLaunch({ visitor, c }: Props) {
  const store = useWorkbenchStore();
  const documents = useWorkbench((s) => s.documents);
  const [film] = useFilms(
    documents,
    useMemo(() => [c], [c]),
    COLD,
  );
  const drawn = useDrawn(launchOf(documents)?.name ?? 'Launch');
  useEffect(() => store.setState({ wantsFonts: true }), [store]);
  useSending(
    visitor,
    useMemo(() => (film ? filmOf(film, drawn) : null), [film, drawn]),
  );
  return null;
}

/** One real screen: the case that it is, and what is sent to it. */
function FeedOne({ visitor }: { visitor: Visitor }) {
  const appearance = useWorkbench((s) => s.view.appearance);
  const shows = useRealScreensState((s) => s.shows);
  // What is read of a screen comes as new objects each time the server is asked.
  const read = JSON.stringify([visitor.readings, visitor.now]);
  const c = useMemo(() => {
    const [readings, now] = JSON.parse(read) as [Visitor['readings'], Visitor['now']];
    return now && measuredCase(readings, now, appearance);
  }, [read, appearance]);
  if (!c) return null;
  return shows === 'scene' ? (
    <FeedScene visitor={visitor.id} c={c} />
  ) : (
    <FeedLaunch visitor={visitor.id} c={c} />
  );
}

const onVisible = (hear: () => void) => {
  document.addEventListener('visibilitychange', hear);
  return () => document.removeEventListener('visibilitychange', hear);
};

/** Draws for every real screen that has come what the page looks at, with each change: of several tabs the one that is looked at. */
export function Feed() {
  const screens = useRealScreensState((s) => s.screens);
  const isHidden = useSyncExternalStore(
    onVisible,
    () => document.hidden,
    () => true,
  );
  if (!screens?.on || isHidden) return null;
  return screens.visitors.map((visitor) => <FeedOne key={visitor.id} visitor={visitor} />);
}
