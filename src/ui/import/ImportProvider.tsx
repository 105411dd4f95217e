'use client';
import {
  createContext,
  useCallback,
  useContext,
  useEffect,
  useMemo,
  useRef,
  useState,
  type ReactNode,
} from 'react';
import type { Arrived } from '@/core/pictures/assign';
import { DEFAULT_NAMING, recognise, sameName, type Naming } from '@/core/pictures/naming';
import type { KeptFile } from '@/core/pictures/kept-file';
import type { Picture } from '@/core/pictures/picture';
import { fetchAddress, RequestProblem, uploadFile } from '../api';
import { useWorkbenchStore } from '../state/context';
import { edit } from '../state/edit';
import { putBack } from '../state/lost-files';
import { ImportList } from './ImportList';
import { isRunning, type ImportItem } from './items';
import { AssignDialog } from './AssignDialog';
import { ofDrop, ofFiles, type Incoming } from './dropped';
import { FONT_ACCEPT, importFont, isFont, sayScripts } from './fonts';
import { fileOf, placeImported } from './place-picture';
import { createQueue, type Batch, type TakenFile, type Waiting } from './queue';

export const ACCEPT =
  '.png,.jpg,.jpeg,.webp,.avif,.svg,image/png,image/jpeg,image/webp,image/avif,image/svg+xml';

interface Imports {
  /** opens the dialog of the browser to choose files */
  pick: () => void;
  take: (files: readonly Incoming[]) => void;
  /** fetched by the server; @throws RequestProblem */
  takeAddress: (address: string) => Promise<void>;
}

const Context = createContext<Imports | null>(null);

export function useImports(): Imports {
  const imports = useContext(Context);
  if (!imports) throw new Error('Imports need their provider.');
  return imports;
}

const SETTLED_MS = 8000;

/** What is to be said of a file that was taken in. */
const noteOf = ({ pictures }: KeptFile): string | undefined =>
  pictures > 1 ? `It moves: the first of its ${pictures} pictures is taken.` : undefined;

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

const isEditing = (target: EventTarget | null) =>
  target instanceof HTMLInputElement && target.type !== 'file';

/** Takes pictures in by drop anywhere, by paste, or picked; several at once, one after another, with a list. */
export function ImportProvider({ children }: { children: ReactNode }) {
  const store = useWorkbenchStore();
  const input = useRef<HTMLInputElement>(null);
  const [items, setItems] = useState<ImportItem[]>([]);
  const [over, setOver] = useState(false);
  const [arrived, setArrived] = useState<readonly Arrived[] | null>(null);

  const update = useCallback(
    (id: string, change: Partial<ImportItem>) =>
      setItems((list) => list.map((i) => (i.id === id ? { ...i, ...change } : i))),
    [],
  );

  /** Everything of a batch into the open scene, as one step. */
  const place = useCallback(
    (taken: readonly Pick<TakenFile, 'kept' | 'name'>[]) => {
      let placed: string | undefined;
      edit(store, (docs) => {
        for (const { kept, name } of taken)
          placed = placeImported(docs, store.getState().sceneId, kept, name);
      });
      const { documents, sceneId } = store.getState();
      if (placed && !documents.scenes[sceneId]) store.setState({ sceneId: placed });
    },
    [store],
  );

  const importOne = useCallback(
    async ({ item, file, path, batch, abort }: Waiting) => {
      if (abort.signal.aborted) return;
      update(item.id, { state: 'sending' });
      const { documents } = store.getState();
      const progress = (share: number) =>
        update(item.id, { share, state: share < 1 ? 'sending' : 'working' });
      const sending = { onProgress: progress, signal: abort.signal };
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
    [store, update],
  );

  const onFault = useCallback(
    ({ item }: Waiting, error: unknown) => {
      if (error instanceof DOMException) update(item.id, { state: 'cancelled' });
      else if (error instanceof RequestProblem) update(item.id, { state: 'failed', note: error.message });
      else update(item.id, { state: 'failed', note: UNFORESEEN });
    },
    [update],
  );

  const onBatch = useCallback(
    (batch: Batch) => {
      if (batch.taken.length === 0) return;
      if (batch.asks) {
        setArrived(batch.taken.map(({ path, kept }) => ({ path, file: fileOf(kept) })));
        return;
      }
      place(batch.taken);
      for (const { id } of batch.taken) update(id, { state: 'done' });
    },
    [place, update],
  );

  const [queue] = useState(() => createQueue({ importOne, onFault, onBatch }));

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
        item: { id: crypto.randomUUID(), name: incoming.file.name, state: 'waiting' as const, share: 0 },
      }));
      setItems((list) => [...list, ...added.map((a) => a.item)]);
      void queue.add(added);
    },
    [queue, store],
  );

  const takeAddress = useCallback(
    async (address: string) => {
      const { project } = store.getState().documents;
      const { file, name } = await fetchAddress(project.id, address);
      const naming = project.naming ?? DEFAULT_NAMING;
      if (belongTogether([{ path: name }], project.pictures, naming)) {
        setArrived([{ path: name, file: fileOf(file) }]);
        return;
      }
      const id = crypto.randomUUID();
      place([{ kept: file, name }]);
      setItems((list) => [...list, { id, name, state: 'done', share: 1, note: noteOf(file) }]);
    },
    [store, place],
  );

  /** @param id all without one */
  const cancel = (id?: string) => {
    queue.cancel(id);
    for (const i of items)
      if (isRunning(i) && (id === undefined || i.id === id)) update(i.id, { state: 'cancelled' });
  };

  // A list on which all went well puts itself away; one with something to read stays.
  const settled =
    items.length > 0 &&
    items.every((i) => (i.state === 'done' && !i.note) || i.state === 'read' || i.state === 'cancelled');
  useEffect(() => {
    if (!settled) return;
    const timer = setTimeout(() => setItems([]), SETTLED_MS);
    return () => clearTimeout(timer);
  }, [settled]);

  useEffect(() => {
    const hasFiles = (e: DragEvent) => e.dataTransfer?.types.includes('Files') ?? false;
    const onOver = (e: DragEvent) => {
      if (!hasFiles(e)) return;
      e.preventDefault();
      setOver(true);
    };
    const onLeave = (e: DragEvent) => {
      if (e.relatedTarget === null) setOver(false);
    };
    const onDrop = (e: DragEvent) => {
      if (!hasFiles(e)) return;
      e.preventDefault();
      setOver(false);
      if (e.dataTransfer) void ofDrop(e.dataTransfer).then(take);
    };
    const onPaste = (e: ClipboardEvent) => {
      const files = e.clipboardData?.files;
      if (!files?.length || isEditing(e.target)) return;
      e.preventDefault();
      take(ofFiles(files));
    };
    window.addEventListener('dragover', onOver);
    window.addEventListener('dragleave', onLeave);
    window.addEventListener('drop', onDrop);
    window.addEventListener('paste', onPaste);
    return () => {
      window.removeEventListener('dragover', onOver);
      window.removeEventListener('dragleave', onLeave);
      window.removeEventListener('drop', onDrop);
      window.removeEventListener('paste', onPaste);
    };
  }, [take]);

  const imports = useMemo(
    () => ({ take, takeAddress, pick: () => input.current?.click() }),
    [take, takeAddress],
  );
  return (
    <Context.Provider value={imports}>
      {children}
      <input
        ref={input}
        type="file"
        hidden
        multiple
        accept={`${ACCEPT},${FONT_ACCEPT}`}
        data-testid="pick"
        onChange={(e) => {
          take(ofFiles(e.target.files ?? []));
          e.target.value = '';
        }}
      />
      {over && <div className="drop-veil">Let go to add these files</div>}
      {arrived && <AssignDialog arrived={arrived} onClose={() => setArrived(null)} />}
      <ImportList items={items} onCancel={cancel} onClear={() => setItems([])} />
    </Context.Provider>
  );
}
