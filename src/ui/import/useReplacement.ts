'use client';
import { useEffect, useMemo, useState } from 'react';
import type { Arrived } from '@/core/pictures/assign';
import { DEFAULT_NAMING, recognise } from '@/core/pictures/naming';
import type { Picture } from '@/core/pictures/picture';
import {
  besides,
  slotForAll,
  slotsOf,
  toMake,
  withAllReplaced,
  withOneReplaced,
  type ReplaceWhich,
  type Slot,
} from '@/core/pictures/replace';
import { derive, messageOf, uploadFile } from '../api';
import { masterOf } from '../drawing/PictureThumb';
import { useWorkbench } from '../state/context';
import { fileOf } from '@/core/project/place-picture';

type File_ = Arrived['file'];

/** Which of a picture’s files a new one is meant for, by its name; the one that stands for the picture where that says nothing. */
function slotFor(picture: Picture, name: string, naming = DEFAULT_NAMING): Slot {
  const slots = slotsOf(picture);
  const { density, appearance, cut } = recognise(name, naming);
  const wanted = slots.find(
    (s) =>
      (density !== null || appearance !== null || cut !== null) &&
      (density === null || s.density === density) &&
      (cut === null || s.cut === cut) &&
      s.appearance === (appearance ?? 'light'),
  );
  return wanted ?? slots.find((s) => s.file.hash === masterOf(picture).hash) ?? slots[0]!;
}

/** The new file on the server. */
function useUploaded(file: File) {
  const projectId = useWorkbench((s) => s.documents.project.id);
  const [kept, setKept] = useState<File_ | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  useEffect(() => {
    const abort = new AbortController();
    uploadFile(projectId, file, { onProgress: () => {}, signal: abort.signal }).then(
      (done) => setKept(fileOf(done)),
      (error: unknown) => {
        if (!abort.signal.aborted) setProblem(messageOf(error));
      },
    );
    return () => abort.abort();
  }, [projectId, file]);
  return { kept, problem };
}

interface Made {
  /** of what they were made */
  key: string;
  files: { density: number; file: File_ }[];
}

/** The other densities of the new file, made on the server as soon as they are asked for. */
function useMade(picture: Picture, slot: Slot, kept: File_ | null, scope: ReplaceWhich) {
  const projectId = useWorkbench((s) => s.documents.project.id);
  const [made, setMade] = useState<Made | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const asked = useMemo(
    () => (kept && scope === 'all' ? toMake(picture, slot, kept) : []),
    [picture, slot, kept, scope],
  );
  const key = JSON.stringify([kept?.hash, asked]);
  useEffect(() => {
    let gone = false;
    if (!kept || asked.length === 0) return;
    Promise.all(
      asked.map(async ({ density, ...px }) => ({
        density,
        file: fileOf(await derive(projectId, { make: 'size', hash: kept.hash, ...px })),
      })),
    ).then(
      (files) => {
        if (!gone) setMade({ key, files });
      },
      (error: unknown) => {
        if (!gone) setProblem(messageOf(error));
      },
    );
    return () => {
      gone = true;
    };
  }, [projectId, kept, asked, key]);
  if (asked.length === 0) return { made: [], problem: null };
  return { made: made?.key === key ? made.files : null, problem };
}

/** A new file for a picture: what it takes the place of, and the picture as it is then. */
export function useReplacement(picture: Picture, file: File) {
  const naming = useWorkbench((s) => s.documents.project.naming);
  const [slot, setSlot] = useState<Slot>(() => slotFor(picture, file.name, naming));
  const [scope, setScope] = useState<ReplaceWhich>(() => (besides(picture, slot).length > 0 ? 'all' : 'one'));
  const { kept, problem } = useUploaded(file);
  const { made, problem: making } = useMade(picture, slot, kept, scope);
  const after = useMemo(() => {
    if (!kept || !made) return null;
    return scope === 'all'
      ? withAllReplaced(picture, slot, kept, made)
      : withOneReplaced(picture, slot, kept);
  }, [picture, slot, scope, kept, made]);
  const at = scope === 'all' ? slotForAll(picture, slot) : slot;
  return { slot, setSlot, scope, setScope, at, kept, after, problem: problem ?? making };
}
