'use client';
import { useEffect } from 'react';
import { useWorkbenchStore } from '../state/context';
import { redo, undo } from '../state/edit';
import { withAppearance } from '../state/view';

const isTyping = (target: EventTarget | null) =>
  target instanceof HTMLInputElement ||
  target instanceof HTMLTextAreaElement ||
  target instanceof HTMLSelectElement;

/** Keys that work wherever the focus is, unless something is being typed. */
export function useKeys(onHelp: () => void): void {
  const store = useWorkbenchStore();
  useEffect(() => {
    const onKeyDown = (event: KeyboardEvent) => {
      if (isTyping(event.target) || event.altKey) return;
      const key = event.key.toLowerCase();
      if (event.ctrlKey || event.metaKey) {
        if (key !== 'z' && key !== 'y') return;
        event.preventDefault();
        if (key === 'y' || event.shiftKey) redo(store);
        else undo(store);
        return;
      }
      const { view } = store.getState();
      if (key === 'd') {
        const appearance = view.appearance === 'light' ? 'dark' : 'light';
        store.setState({ view: withAppearance(view, appearance) });
      }
      if (key === 'g') store.setState({ view: { ...view, guides: view.guides ? undefined : true } });
      if (key === '?') onHelp();
    };
    window.addEventListener('keydown', onKeyDown);
    return () => window.removeEventListener('keydown', onKeyDown);
  }, [store, onHelp]);
}
