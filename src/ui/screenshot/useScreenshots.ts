'use client';
import { stepOf } from '@/core/steps/commands';
import { useState } from 'react';
import type { Rect } from '@/core/geometry/rect';
import type { Evidence } from '@/core/project/proof';
import * as api from '@/formats/api/screenshots';
import { ask, messageOf, uploadScreenshot } from '../api';
import { useSending } from '../parts/useSending';
import { useWorkbench, useWorkbenchStore } from '../state/context';
import { edit } from '../state/edit';
import { onceSaved } from '../state/once-saved';

const NONE: readonly Evidence[] = [];

/** The screenshots that are evidence of the project, the latest first. */
export function useEvidence(): readonly Evidence[] {
  const kept = useWorkbench((s) => s.documents.project.evidence);
  return kept?.toReversed() ?? NONE;
}

const goneFor = ({ name }: File) =>
  `“${name}” was not held: its screen is not in the project, because the change that added it was not saved. Drop it again.`;

/** What can be done with screenshots: each is a step of the project. */
export function useScreenshots() {
  const store = useWorkbenchStore();
  const project = useWorkbench((s) => s.documents.project.id);
  const isReadOnly = useWorkbench((s) => s.signed !== null);
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const { reading, send, cancel } = useSending();
  /** Holds a file against a case of the open scene, once the server knows all screens. */
  const take = (file: File, caseId: string) => {
    const scene = store.getState().sceneId;
    setProblem(null);
    return send(
      file.name,
      async (sending) => {
        await onceSaved(store, sending.signal, sending.onWaiting);
        if (!store.getState().cases.some((c) => c.id === caseId)) throw new Error(goneFor(file));
        const found = await uploadScreenshot({ project, scene, case: caseId }, file, sending);
        edit(
          store,
          stepOf('proof.screenshot', file.name),
          ({ project: now }) => void (now.evidence ??= []).push(found),
        );
      },
      // What is said of one of several stays while the next is sent.
      (message) => setProblem((before) => (before ? `${before} ${message}` : message)),
    );
  };
  const again = async (shot: Evidence, ignored: Rect[]) => {
    setBusy(true);
    setProblem(null);
    try {
      const { scene, case: caseId, name, hash } = shot;
      const body = { scene, case: caseId, name, hash, ignored };
      const found = await ask(api.holdScreenshotAgain, { project }, { body });
      edit(store, stepOf('proof.screenshot-again', shot.name), ({ project: now }) => {
        const at = now.evidence?.findIndex((e) => e.id === shot.id) ?? -1;
        if (at >= 0) now.evidence![at] = { ...found, id: shot.id };
      });
    } catch (error) {
      setProblem(messageOf(error));
    } finally {
      setBusy(false);
    }
  };
  const remove = (id: string) =>
    edit(store, stepOf('proof.remove-screenshot'), ({ project: now }) => {
      now.evidence = now.evidence?.filter((e) => e.id !== id);
      if (now.evidence?.length === 0) delete now.evidence;
    });
  return { problem, busy, reading, cancel, take, again, remove, isReadOnly };
}
