'use client';
import { useCallback, useEffect, useState } from 'react';
import type { Rect } from '@/core/geometry/rect';
import type { Case } from '@/core/screens/cases';
import * as api from '@/formats/api/screenshots';
import type { Evidence } from '@/formats/evidence';
import { ask, messageOf, uploadScreenshot } from '../api';
import { useSending } from '../parts/useSending';
import { useWorkbench, useWorkbenchStore } from '../state/context';

/** The screenshots that are kept of a case of the open scene, and what can be done with them. */
export function useScreenshots(c: Case) {
  const store = useWorkbenchStore();
  const project = useWorkbench((s) => s.documents.project.id);
  const scene = useWorkbench((s) => s.sceneId);
  const [all, setAll] = useState<Evidence[]>([]);
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const { reading, send, cancel } = useSending();
  const load = useCallback(
    () =>
      ask(api.listScreenshots, { project }).then(setAll, (error: unknown) => setProblem(messageOf(error))),
    [project],
  );
  useEffect(() => void load(), [load]);
  const take = (file: File) =>
    send(
      file.name,
      async (sending) => {
        setProblem(null);
        await uploadScreenshot({ project, scene, case: c.id }, file, sending);
        await load();
      },
      setProblem,
    );
  /** Does something with one of them, and reads what there is then. */
  const act = async (work: () => Promise<unknown>) => {
    setBusy(true);
    setProblem(null);
    try {
      await work();
      await load();
    } catch (error) {
      setProblem(messageOf(error));
    } finally {
      setBusy(false);
    }
  };
  return {
    shots: all.filter((e) => e.scene === scene && e.case === c.id),
    problem,
    busy,
    reading,
    cancel,
    take,
    again: (id: string, ignored: Rect[]) =>
      act(() => ask(api.holdScreenshotAgain, { project, screenshot: id }, { body: { ignored } })),
    remove: (id: string) => act(() => ask(api.removeScreenshot, { project, screenshot: id })),
    isReadOnly: store.getState().signed !== null,
  };
}
