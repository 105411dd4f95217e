'use client';
import * as Comlink from 'comlink';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import type { Documents } from '@/core/project/documents';
import type { Near } from '@/core/map/nearest';
import { rangeFor } from '@/core/map/range';
import type { SizeMap, ToMap } from '@/core/map/size-map';
import type { AllowedSizes } from '@/core/map/area';
import { turnedSize } from '@/core/screens/turn';
import { sayFault } from '../state/ask';
import { useBaseScreen } from '../state/case-result';
import { useWorkbench, useWorkbenchStore } from '../state/context';

/** The windows that the project allows: those of its sizes and ratios. */
export function useAllowedSizes(): AllowedSizes {
  const sizes = useWorkbench((s) => s.documents.project.windowSizes);
  const ratios = useWorkbench((s) => s.documents.project.ratios);
  return useMemo(() => ({ ...sizes, ratios }), [sizes, ratios]);
}

/** What is asked of the map; `null` without a screen whose density it has. */
export function useToMap(): ToMap | null {
  const base = useBaseScreen();
  const cases = useWorkbench((s) => s.cases);
  const appearance = useWorkbench((s) => s.view.appearance);
  const around = useWorkbench((s) => s.view.around);
  const allowed = useAllowedSizes();
  const range = useMemo(() => rangeFor(cases.map((c) => turnedSize(c.screen, c.rotation))), [cases]);
  return useMemo(
    () => (base ? { base, appearance, around, allowed, range } : null),
    [base, appearance, around, allowed, range],
  );
}

interface Mapped {
  map: SizeMap;
  of: Documents;
  asked: ToMap;
}

/** Which question is being answered while something is dragged: one at a time, then the newest. */
function useTurns() {
  const isTaken = useRef(false);
  const isMissed = useRef(false);
  const [turn, setTurn] = useState(0);
  /** @returns whether it is one’s turn; if not, there will be another one */
  const take = useCallback(() => {
    if (isTaken.current) isMissed.current = true;
    else isTaken.current = true;
    return !isMissed.current;
  }, []);
  const end = useCallback(() => {
    isTaken.current = false;
    if (isMissed.current) setTurn((t) => t + 1);
    isMissed.current = false;
  }, []);
  return { turn, take, end };
}

/**
 * The map of the open scene: coarse at once and while something is dragged, then finer as it rests.
 * @returns the last one until there is a better one, and whether it is still being worked on
 */
export function useSizeMap(asked: ToMap | null): { map: SizeMap | null; isRunning: boolean } {
  const store = useWorkbenchStore();
  const worker = useWorkbench((s) => s.worker);
  const documents = useWorkbench((s) => s.documents);
  const sceneId = useWorkbench((s) => s.sceneId);
  const isBusy = useWorkbench((s) => s.gesture !== null);
  const { turn, take, end } = useTurns();
  const [found, setFound] = useState<(Mapped & { isDone: boolean }) | null>(null);
  useEffect(() => {
    if (!worker || !asked || (isBusy && !take())) return;
    let ended = false;
    const hear = (map: SizeMap | null, isDone = false) => {
      if (map && !ended) setFound({ map, isDone, of: documents, asked });
      return Promise.resolve(!ended);
    };
    const answer = isBusy
      ? worker.coarseMap(documents, sceneId, asked).finally(end)
      : worker.mapSizes(
          documents,
          sceneId,
          asked,
          Comlink.proxy((map: SizeMap | null) => hear(map)),
        );
    answer.then(
      (map) => void hear(map, !isBusy),
      (error: unknown) => {
        if (!ended) store.setState({ message: sayFault(error) });
      },
    );
    return () => {
      // What was found on the way of a drag is shown; it is nearer to what is there than what was before.
      ended = !isBusy;
    };
  }, [store, worker, documents, sceneId, isBusy, asked, turn, take, end]);
  const isDone = found?.isDone && found.of === documents && found.asked === asked;
  return { map: found?.map ?? null, isRunning: !isDone };
}

/** So many screens are said to be near to failing. */
const MOST_NEAR = 3;

/** Which screens would fail first if they were a little larger or smaller; `null` until it is known. @param waits not yet */
export function useNearest(waits: boolean): Near[] | null {
  const store = useWorkbenchStore();
  const worker = useWorkbench((s) => s.worker);
  const documents = useWorkbench((s) => s.documents);
  const sceneId = useWorkbench((s) => s.sceneId);
  const appearance = useWorkbench((s) => s.view.appearance);
  const [found, setFound] = useState<{ near: Near[]; of: Documents } | null>(null);
  useEffect(() => {
    if (!worker || waits) return;
    let ended = false;
    const goOn = Comlink.proxy(() => Promise.resolve(!ended));
    worker.nearest(documents, sceneId, { appearance, most: MOST_NEAR }, goOn).then(
      (near) => {
        if (near && !ended) setFound({ near, of: documents });
      },
      (error: unknown) => {
        if (!ended) store.setState({ message: sayFault(error) });
      },
    );
    return () => {
      ended = true;
    };
  }, [store, worker, documents, sceneId, appearance, waits]);
  return found?.of === documents ? found.near : null;
}
