'use client';
import { createContext, useCallback, useContext, useMemo, useState } from 'react';
import { findCase } from '@/core/screens/cases';
import { fileStem } from '@/formats/text/file-name';
import { fileLabels } from '@/formats/sheet/file-labels';
import { buildSheet } from '@/formats/sheet/build';
import { figuresOf, type Sheet } from '@/formats/sheet/schema';
import { screenTargets, type ScreenTarget } from '@/formats/sheet/targets';
import { useOutside } from '../state/outside';
import { useWorkbench, useWorkbenchStore } from '../state/context';
import { waitsForFonts } from '../state/workbench';
import { copyText } from '../parts/clipboard';
import { readTaken, writeTaken, type Taken } from './taken';

/** The sets of screens that something can be built for, and the one that is chosen. */
export function useTargets(): { targets: ScreenTarget[]; target: ScreenTarget } {
  const { launches } = useWorkbench((s) => s.documents.project);
  const screens = useWorkbench((s) => s.screens);
  const id = useWorkbench((s) => s.view.target);
  const targets = useMemo(() => screenTargets({ launches }, screens), [launches, screens]);
  return { targets, target: targets.find((t) => t.id === id) ?? targets[0]! };
}

/** The sheet of the open scene; `null` while the fonts of its texts are loaded. */
export function useSheet(): Sheet | null {
  const documents = useWorkbench((s) => s.documents);
  const revision = useWorkbench((s) => s.revision);
  const sceneId = useWorkbench((s) => s.sceneId);
  const screens = useWorkbench((s) => s.screens);
  const caseId = useWorkbench((s) => s.view.case);
  const { fonts } = useOutside();
  const { target } = useTargets();
  return useMemo(() => {
    if (waitsForFonts(documents, sceneId, fonts)) return null;
    const labels = fileLabels(documents.project.pictures);
    const chosen = findCase(caseId ?? '', screens);
    const address = (hash: string) => labels.get(hash)!;
    return buildSheet({ documents, revision, sceneId, target, chosen, fonts, address });
  }, [documents, revision, sceneId, screens, caseId, fonts, target]);
}

/** What copying is for whatever stands on a sheet. */
interface Copying {
  taken: Taken;
  /** what was copied last, in words; it is announced */
  said: string;
  /** how often something was copied, so that the same is said again */
  count: number;
  /** @param keys the figures that are in it, by where they stand; all when absent */
  copy: (text: string, what: string, keys?: readonly string[]) => void;
  /** remembers all figures as taken along */
  takeAll: () => void;
}

const CopyingContext = createContext<Copying | null>(null);
export const CopyingProvider = CopyingContext.Provider;

/** @throws outside a sheet */
export function useCopying(): Copying {
  const copying = useContext(CopyingContext);
  if (!copying) throw new Error('Only a sheet can be copied from.');
  return copying;
}

/** The name of a file for a sheet, without its ending. */
export const sheetName = ({ scene }: Pick<Sheet, 'scene'>) => `${fileStem(scene.name)}-sheet`;

/** Copies figures, and remembers them, so that those that change can be marked. */
export function useCopyingOf(sheet: Sheet): Copying {
  const store = useWorkbenchStore();
  const { project, scene, target } = sheet;
  const [now, setNow] = useState({ of: '', taken: {} as Taken });
  const [{ said, count }, setSaid] = useState({ said: '', count: 0 });
  const of = `${project.id} ${scene.id} ${target.id}`;
  const taken = now.of === of ? now.taken : readTaken(project.id, scene.id, target.id);
  const keep = useCallback(
    (keys?: readonly string[]) => {
      const figures = figuresOf(sheet);
      const chosen = keys ?? [...figures.keys()];
      const more = Object.fromEntries(chosen.flatMap((k) => (figures.has(k) ? [[k, figures.get(k)!]] : [])));
      const next = { ...readTaken(project.id, scene.id, target.id), ...more };
      writeTaken(project.id, scene.id, target.id, next);
      setNow({ of, taken: next });
    },
    [sheet, project.id, scene.id, target.id, of],
  );
  const copy = (text: string, what: string, keys?: readonly string[]) => {
    copyText(text).then(
      () => {
        keep(keys);
        setSaid((before) => ({ said: `${what} copied`, count: before.count + 1 }));
      },
      () =>
        store.setState({ message: `${what} could not be copied: the browser does not let this page copy.` }),
    );
  };
  return { taken, said, count, copy, takeAll: () => keep() };
}
