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
import { RequestProblem, uploadFile } from '../api';
import { useWorkbenchStore } from '../state/context';
import { edit } from '../state/edit';
import { ImportList } from './ImportList';
import type { ImportItem } from './items';
import { placeImported } from './place-picture';

export const ACCEPT =
  '.png,.jpg,.jpeg,.webp,.avif,.svg,image/png,image/jpeg,image/webp,image/avif,image/svg+xml';

interface Imports {
  /** opens the dialog of the browser to choose files */
  pick: () => void;
  take: (files: Iterable<File>) => void;
}

const Context = createContext<Imports | null>(null);

export function useImports(): Imports {
  const imports = useContext(Context);
  if (!imports) throw new Error('Imports need their provider.');
  return imports;
}

const SETTLED_MS = 8000;

const isEditing = (target: EventTarget | null) =>
  target instanceof HTMLInputElement && target.type !== 'file';

/** Takes pictures in by drop anywhere, by paste, or picked; several at once, one after another, with a list. */
export function ImportProvider({ children }: { children: ReactNode }) {
  const store = useWorkbenchStore();
  const input = useRef<HTMLInputElement>(null);
  const [items, setItems] = useState<ImportItem[]>([]);
  const [over, setOver] = useState(false);
  const queue = useRef<{ item: ImportItem; file: File; abort: AbortController }[]>([]);
  const busy = useRef(false);

  const update = useCallback(
    (id: string, change: Partial<ImportItem>) =>
      setItems((list) => list.map((i) => (i.id === id ? { ...i, ...change } : i))),
    [],
  );

  const importOne = useCallback(
    async ({ item, file, abort }: (typeof queue.current)[number]) => {
      if (abort.signal.aborted) return;
      update(item.id, { state: 'sending' });
      try {
        const { documents } = store.getState();
        const progress = (share: number) =>
          update(item.id, { share, state: share < 1 ? 'sending' : 'working' });
        const kept = await uploadFile(documents.project.id, file, progress, abort.signal);
        let placed: string | undefined;
        edit(store, (docs) => {
          placed = placeImported(docs, store.getState().sceneId, kept, file.name);
        });
        if (placed && !store.getState().documents.scenes[store.getState().sceneId]) {
          store.setState({ sceneId: placed });
        }
        update(item.id, {
          state: 'done',
          note: placed ? undefined : 'Added to the pictures; no layer shows it yet.',
        });
      } catch (error) {
        if (error instanceof DOMException) update(item.id, { state: 'cancelled' });
        else if (error instanceof RequestProblem) update(item.id, { state: 'failed', note: error.message });
        else throw error;
      }
    },
    [store, update],
  );

  const take = useCallback(
    (files: Iterable<File>) => {
      const added = [...files].map((file) => ({
        file,
        abort: new AbortController(),
        item: { id: crypto.randomUUID(), name: file.name, state: 'waiting' as const, share: 0 },
      }));
      queue.current.push(...added);
      setItems((list) => [...list, ...added.map((a) => a.item)]);
      if (busy.current) return;
      busy.current = true;
      void (async () => {
        for (let next = queue.current[0]; next; next = queue.current[0]) {
          await importOne(next);
          queue.current.shift();
        }
        busy.current = false;
      })();
    },
    [importOne],
  );

  const cancel = (id: string) => {
    queue.current.find((q) => q.item.id === id)?.abort.abort();
    update(id, { state: 'cancelled' });
  };

  // A list on which all went well puts itself away; one with something to read stays.
  const settled =
    items.length > 0 && items.every((i) => (i.state === 'done' && !i.note) || i.state === 'cancelled');
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
      take(e.dataTransfer?.files ?? []);
    };
    const onPaste = (e: ClipboardEvent) => {
      const files = e.clipboardData?.files;
      if (!files?.length || isEditing(e.target)) return;
      e.preventDefault();
      take(files);
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

  const imports = useMemo(() => ({ take, pick: () => input.current?.click() }), [take]);
  return (
    <Context.Provider value={imports}>
      {children}
      <input
        ref={input}
        type="file"
        hidden
        multiple
        accept={ACCEPT}
        data-testid="pick"
        onChange={(e) => {
          take([...(e.target.files ?? [])]);
          e.target.value = '';
        }}
      />
      {over && <div className="drop-veil">Let go to add these pictures</div>}
      <ImportList items={items} onCancel={cancel} onClear={() => setItems([])} />
    </Context.Provider>
  );
}
