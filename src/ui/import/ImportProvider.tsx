'use client';
import { useCallback, useEffect, useMemo, useRef, type ReactNode } from 'react';
import { useWorkbench, useWorkbenchStore } from '../state/context';
import { AssignDialog } from './AssignDialog';
import { ofFiles } from './dropped';
import { takeHanded } from './handed';
import { FONT_ACCEPT } from './fonts';
import { ImportList } from './ImportList';
import { isUnplaced } from './items';
import { ACCEPT, ImportsContext } from './imports';
import { useDrops } from './useDrops';
import { useTaking } from './useTaking';

/** Takes pictures in by drop anywhere, by paste, or picked; several at once, one after another, with a list. */
export function ImportProvider({ children }: { children: ReactNode }) {
  const input = useRef<HTMLInputElement>(null);
  const { items, clear, asked, answered, take, takeAddress, cancel } = useTaking();
  const store = useWorkbenchStore();
  const unread = useCallback(
    () => store.setState({ message: 'What was dropped could not be read. Choose the files instead.' }),
    [store],
  );
  const [batch, ...others] = asked;
  const over = useDrops(take, unread);
  const project = useWorkbench((s) => s.documents.project.id);
  // What was dropped on the start page.
  useEffect(() => {
    const files = takeHanded(project);
    if (files.length > 0) take(files);
  }, [project, take]);
  const isTaking = asked.length > 0 || items.some(isUnplaced);
  const imports = useMemo(
    () => ({ take, takeAddress, pick: () => input.current?.click(), isTaking }),
    [take, takeAddress, isTaking],
  );
  return (
    <ImportsContext value={imports}>
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
      {batch && (
        <AssignDialog
          key={batch.id}
          arrived={batch.arrived}
          after={others.reduce((sum, { arrived }) => sum + arrived.length, 0)}
          onClose={(taken) => answered(batch, taken)}
        />
      )}
      <ImportList items={items} onCancel={cancel} onClear={clear} />
    </ImportsContext>
  );
}
