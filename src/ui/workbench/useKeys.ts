'use client';
import { useEffect } from 'react';
import { tinykeys } from 'tinykeys';
import { useWorkbenchStore } from '../state/context';
import { KEYS, type KeyScope } from './keys';

const isTyping = (target: EventTarget | null) =>
  target instanceof HTMLInputElement ||
  target instanceof HTMLTextAreaElement ||
  target instanceof HTMLSelectElement;

/** Every key of the list that has something to run, unless something is being typed. */
const boundTo = (scope: KeyScope) =>
  Object.fromEntries(
    KEYS.flatMap(({ on = [], run }) =>
      on.map((key) => [
        key,
        (event: KeyboardEvent) => {
          if (!run || isTyping(event.target)) return;
          event.preventDefault();
          run(scope);
        },
      ]),
    ),
  );

/** Keys that work wherever the focus is. */
export function useKeys(help: () => void): void {
  const store = useWorkbenchStore();
  useEffect(() => tinykeys(window, boundTo({ store, help })), [store, help]);
}
