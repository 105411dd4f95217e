'use client';
import { useCallback, useState } from 'react';
import { madeFrom, masterOfSet, setsOf, type FileFinding } from '@/core/pictures/check';
import { takeFiles, type Assigned } from '@/core/pictures/assign';
import type { Picture } from '@/core/pictures/picture';
import { derive, messageOf } from '../api';
import { fileOf } from '../import/place-picture';
import { useWorkbenchStore } from '../state/context';
import { edit } from '../state/edit';

/** A file that is missing or uneven is made from its master, where that is large enough. */
export function canBeMade({ rule, density, cut, appearance }: FileFinding, picture: Picture): boolean {
  if ((rule !== 'missing' && rule !== 'uneven') || density === null) return false;
  const set = setsOf(picture).find((s) => s.cut.cut === cut && s.appearance === appearance);
  const master = set && masterOfSet(set.files);
  return Boolean(master && density <= master.density);
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
        const made = await Promise.all(
          findings.map(async ({ pictureId, cut, appearance, density }) => {
            const picture = project.pictures.find((p) => p.id === pictureId)!;
            const set = setsOf(picture).find((s) => s.cut.cut === cut && s.appearance === appearance)!;
            const master = masterOfSet(set.files)!;
            const asked = { make: 'size' as const, hash: master.hash, ...madeFrom(master, density!) };
            const file = fileOf(await derive(project.id, asked));
            return {
              picture: picture.name,
              cut,
              appearance: set.appearance,
              density: density!,
              arrived: { path: '', file },
            };
          }),
        );
        const taken: Pick<Assigned, 'picture' | 'cut' | 'appearance' | 'density' | 'arrived'>[] = made;
        edit(store, ({ project: p }) => {
          p.pictures = takeFiles(p.pictures, taken, () => crypto.randomUUID());
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
