'use client';
import { stepOf } from '@/core/steps/commands';
import { useCallback, useState } from 'react';
import type { FileFinding } from '@/core/files/check';
import { madeFrom, masterOfSet, setsOf } from '@/core/pictures/master';
import { putInto } from '@/core/pictures/assign';
import type { Picture } from '@/core/pictures/picture';
import type { Project } from '@/core/project/project';
import { messageOf } from '../api';
import { useWorkbenchStore } from '../state/context';
import { edit } from '../state/edit';
import { makeRendition } from './rendition';

/** A file that is missing or uneven is made from its master, where that is large enough. */
export function canBeMade(
  { rule, file: { density, cut, appearance } }: FileFinding,
  picture: Picture,
): boolean {
  if ((rule !== 'missing' && rule !== 'uneven') || density === null) return false;
  const set = setsOf(picture).find((s) => s.cut.cut === cut && s.appearance === appearance);
  const master = set && masterOfSet(set.files);
  return Boolean(master && density <= master.density);
}

/** @throws RequestProblem when the file cannot be made */
async function makeFile(
  project: Project,
  { in: { id: pictureId }, file: { cut, appearance, density } }: FileFinding,
) {
  const picture = project.pictures.find((p) => p.id === pictureId)!;
  const set = setsOf(picture).find((s) => s.cut.cut === cut && s.appearance === appearance)!;
  const master = masterOfSet(set.files)!;
  const asked = { make: 'size' as const, hash: master.hash, ...madeFrom(master, density!) };
  const rendition = await makeRendition(project.id, master, density!, asked);
  return { pictureId, cut, rendition };
}

/** Makes files from their masters on the server; all of them are one step that can be taken back. */
export function useMake() {
  const store = useWorkbenchStore();
  const [busy, setBusy] = useState(false);
  const make = useCallback(
    async (findings: readonly FileFinding[]) => {
      setBusy(true);
      const { project } = store.getState().documents;
      try {
        const made = await Promise.all(findings.map((f) => makeFile(project, f)));
        edit(store, stepOf('picture.make', made.length), ({ project: p }) => {
          // By their id: two pictures may be called alike.
          for (const { pictureId, cut, rendition } of made)
            p.pictures = p.pictures.map((one) => (one.id === pictureId ? putInto(one, cut, rendition) : one));
        });
      } catch (error) {
        store.setState({ message: messageOf(error) });
      }
      setBusy(false);
    },
    [store],
  );
  return { busy, make };
}
