'use client';
import { stepOf } from '@/core/steps/commands';
import { useCallback, useState } from 'react';
import { derivationOf, filesToMake, withMade, type MakingAsked } from '@/core/pictures/making';
import type { Cut, Rendition } from '@/core/pictures/picture';
import { messageOf } from '../../api';
import { useWorkbench, useWorkbenchStore } from '../../state/context';
import { edit } from '../../state/edit';
import { makeRendition } from '../rendition';

export interface ToMake extends MakingAsked {
  pictureId: string;
  /** of the master */
  from: Cut;
  into: Cut['cut'];
}

/**
 * Has files made of a master, one after another; all of them are one step that can be taken back.
 * @returns how many are done of how many, `null` while none is made; and a way to begin, which says whether it went well
 */
export function useMaking() {
  const store = useWorkbenchStore();
  const project = useWorkbench((s) => s.documents.project.id);
  const [progress, setProgress] = useState<{ done: number; of: number } | null>(null);
  const make = useCallback(
    async (asked: ToMake): Promise<boolean> => {
      const files = filesToMake(asked);
      const { master, pictureId, from, into, part } = asked;
      const made: Rendition[] = [];
      try {
        for (const [done, file] of files.entries()) {
          setProgress({ done, of: files.length });
          made.push(await makeRendition(project, master, file.density, derivationOf(file, asked)));
        }
        edit(store, stepOf('picture.make', made.length), ({ project: p }) => {
          p.pictures = p.pictures.map((one) =>
            one.id === pictureId ? withMade(one, into, made, { cut: from, part }) : one,
          );
        });
        return true;
      } catch (error) {
        store.setState({ message: `The files could not be made. ${messageOf(error)}` });
        return false;
      } finally {
        setProgress(null);
      }
    },
    [store, project],
  );
  return { progress, make };
}
