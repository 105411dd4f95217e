'use client';
import { stepOf } from '@/core/steps/commands';
import { useCallback, useState } from 'react';
import type { Arrived } from '@/core/pictures/assign';
import { DEFAULT_NAMING, recognise, sameName, type Naming } from '@/core/pictures/naming';
import { UNPROFILED_CMYK, type KeptFile } from '@/core/pictures/kept-file';
import type { Picture } from '@/core/pictures/picture';
import { newId } from '@/workers/new-id';
import { fetchAddress, RequestProblem, uploadFile } from '../api';
import { useWorkbenchStore } from '../state/context';
import { edit } from '../state/edit';
import { putBack } from '../state/lost-files';
import type { WorkbenchStore } from '../state/workbench';
import type { Incoming } from './dropped';
import { importFont, isFont, sayScripts } from './fonts';
import { isRunning, type ImportItem } from './items';
import { fileOf, placeImported } from '@/core/project/place-picture';
import { createQueue, type Batch, type TakenFile, type Waiting } from './queue';
import { useItems } from './useItems';

/** What is to be said of a file that was taken in. */
function noteOf(kept: KeptFile): string | undefined {
  const { pictures, profile } = kept;
  const notes = [
    pictures > 1 && `It moves: the first of its ${pictures} pictures is taken.`,
    fileOf(kept).turned && TURNED,
    profile === UNPROFILED_CMYK && GUESSED,
  ].filter((note) => note !== false && note !== undefined);
  return notes.length > 0 ? notes.join(' ') : undefined;
}

const TURNED =
  'Its EXIF turns it, which browsers and most apps do not follow in a WebP: it is shown turned here. Save it as it should stand.';
const GUESSED = 'It is CMYK without a profile: its colours here are a guess. Export it in sRGB.';

const UNFORESEEN = 'Something went wrong that nobody foresaw; the file was not added. Try it again.';

/** Whether files are to be looked at together before they are taken: a name that says more than its picture does. */
function belongTogether(
  files: readonly Pick<Incoming, 'path'>[],
  pictures: readonly Picture[],
  naming: Naming,
): boolean {
  const read = files.map(({ path }) => recognise(path, naming));
  const isKnown = read.some(({ name }) => pictures.some((p) => sameName(p.name, name)));
  const says = read.some((r) => r.evidence.length > 0);
  const shared = read.some((r, i) => read.slice(0, i).some((other) => sameName(other.name, r.name)));
  return isKnown || says || shared;
}

/** Everything of a batch into the open scene, as one step. */
function place(store: WorkbenchStore, taken: readonly Pick<TakenFile, 'kept' | 'name'>[]): void {
  let placed: string | undefined;
  edit(store, stepOf('picture.take-in', taken.length), (docs) => {
    for (const { kept, name } of taken)
      placed = placeImported(docs, store.getState().sceneId, kept, name, newId);
  });
  const { documents, sceneId } = store.getState();
  if (placed && !documents.scenes[sceneId]) store.setState({ sceneId: placed });
}

type Update = (id: string, change: Partial<ImportItem>) => void;

/** How files of a queue are taken in, one after another, and what is said of each meanwhile. */
const createTaking = (store: WorkbenchStore, update: Update, ask: ReturnType<typeof useAsked>['ask']) =>
  createQueue({
    importOne: async ({ item, file, path, batch, abort }: Waiting) => {
      if (abort.signal.aborted) return;
      update(item.id, { state: 'sending' });
      const { documents } = store.getState();
      const onProgress = (share: number) =>
        update(item.id, { share, state: share < 1 ? 'sending' : 'working' });
      const sending = { onProgress, signal: abort.signal };
      if (isFont(file)) {
        const font = await importFont(store, file, sending);
        const note = `${font.name} can now be chosen for a text. It writes ${sayScripts(font)}.`;
        update(item.id, { state: 'done', note });
        return;
      }
      const kept = await uploadFile(documents.project.id, file, sending);
      if (putBack(store, kept.hash)) {
        update(item.id, { state: 'done', note: 'It was missing from the store, and is put back.' });
        return;
      }
      batch.taken.push({ id: item.id, path, name: file.name, kept });
      update(item.id, { state: 'read', note: noteOf(kept) });
    },
    onFault: ({ item }: Waiting, error: unknown) => {
      if (error instanceof DOMException) update(item.id, { state: 'cancelled' });
      else if (error instanceof RequestProblem) update(item.id, { state: 'failed', note: error.message });
      else update(item.id, { state: 'failed', note: UNFORESEEN });
    },
    onBatch: (batch: Batch) => {
      if (batch.taken.length === 0) return;
      if (batch.asks) {
        ask(
          batch.taken.map(({ path, kept }) => ({ path, file: fileOf(kept) })),
          new Map(batch.taken.map(({ id, path }) => [path, id])),
        );
        return;
      }
      place(store, batch.taken);
      for (const { id } of batch.taken) update(id, { state: 'done' });
    },
  });

/** Files of one drop, paste or address, about which is asked where they belong. */
export interface AskedBatch {
  id: string;
  arrived: readonly Arrived[];
  /** what is told of each of them, by its path; nothing of one that came from an address */
  items: ReadonlyMap<string, string>;
}

/** Batches that are asked about, one after another in the order in which they arrived. */
export function useAsked() {
  const [asked, setAsked] = useState<readonly AskedBatch[]>([]);
  const ask = useCallback(
    (arrived: readonly Arrived[], items: AskedBatch['items'] = new Map()) =>
      setAsked((batches) => [...batches, { id: newId(), arrived, items }]),
    [],
  );
  const answered = useCallback(
    (id: string) => setAsked((batches) => batches.filter((batch) => batch.id !== id)),
    [],
  );
  return { asked, ask, answered };
}

/** Takes files in, and asks where they belong when that is not plain. */
export function useTaking() {
  const store = useWorkbenchStore();
  const { items, add, update, clear } = useItems();
  const { asked, ask, answered: putAway } = useAsked();
  const [queue] = useState(() => createTaking(store, update, ask));

  const take = useCallback(
    (files: readonly Incoming[]) => {
      const { pictures, naming } = store.getState().documents.project;
      const drawn = files.filter(({ file }) => !isFont(file));
      const asks = belongTogether(drawn, pictures, naming ?? DEFAULT_NAMING);
      const batch: Batch = { asks, taken: [] };
      const added = files.map((incoming) => ({
        ...incoming,
        batch,
        abort: new AbortController(),
        item: { id: newId(), name: incoming.file.name, state: 'waiting' as const, share: 0 },
      }));
      add(added.map((a) => a.item));
      void queue.add(added);
    },
    [queue, store, add],
  );

  const takeAddress = useCallback(
    async (address: string) => {
      const { project } = store.getState().documents;
      const { file, name } = await fetchAddress(project.id, address);
      const naming = project.naming ?? DEFAULT_NAMING;
      if (belongTogether([{ path: name }], project.pictures, naming)) {
        ask([{ path: name, file: fileOf(file) }]);
        return;
      }
      const id = newId();
      place(store, [{ kept: file, name }]);
      add([{ id, name, state: 'done', share: 1, note: noteOf(file) }]);
    },
    [store, add, ask],
  );

  /** @param id all without one */
  const cancel = (id?: string) => {
    queue.cancel(id);
    for (const i of items)
      if (isRunning(i) && (id === undefined || i.id === id)) update(i.id, { state: 'cancelled' });
  };
  /** @param taken paths of those files of a batch that were taken into the project */
  const answered = (batch: AskedBatch, taken: readonly string[]) => {
    for (const [path, id] of batch.items)
      update(id, taken.includes(path) ? { state: 'done' } : { state: 'cancelled', note: 'left out' });
    putAway(batch.id);
  };
  return { items, clear, asked, answered, take, takeAddress, cancel };
}
