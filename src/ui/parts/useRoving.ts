'use client';
import { useEffect, useRef, type FocusEvent, type KeyboardEvent, type RefObject } from 'react';

/** What Tab would stop at, but what takes arrow keys itself and what stands in an editor that is open. */
const ITEMS = 'button:not(:disabled), a[href], summary, input[type=checkbox]:not(:disabled)';

const STEPS: Partial<Record<string, number>> = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 };

/** The stops of a group, without those of a group or an editor within it. */
function itemsOf(group: HTMLElement): HTMLElement[] {
  return [...group.querySelectorAll<HTMLElement>(ITEMS)].filter((e) => {
    const owner = e.closest('[role=dialog], [data-roving]');
    return owner === group && !e.hasAttribute('data-own-keys');
  });
}

const isWithinEditor = (element: Element, group: Element) => {
  const dialog = element.closest('[role=dialog]');
  return dialog !== null && group.contains(dialog);
};

/** Leaves one stop of a group for Tab: the one that had the focus last, else what is chosen, else the first. */
function settle(group: HTMLElement, last: Element | null): void {
  const items = itemsOf(group);
  const isChosen = (e: HTMLElement) => e.matches('[aria-pressed=true], [aria-current=true]');
  const stop = items.find((e) => e === last) ?? items.find(isChosen) ?? items[0];
  for (const e of items) e.tabIndex = e === stop ? 0 : -1;
}

/**
 * Makes a group one stop for Tab, with arrow keys, Home and End to go about in it. Fields that take arrow keys themselves stay
 * stops of their own. Source: WAI-ARIA Authoring Practices, “roving tabindex”.
 * @returns what the element of the group takes
 */
export function useRoving<E extends HTMLElement>() {
  const ref = useRef<E>(null);
  const last = useRef<Element | null>(null);
  // What the group holds comes and goes by itself, and so does the stop.
  useEffect(() => {
    const group = ref.current;
    if (!group) return;
    settle(group, last.current);
    const observer = new MutationObserver(() => settle(group, last.current));
    observer.observe(group, {
      childList: true,
      subtree: true,
      attributeFilter: ['disabled', 'aria-pressed'],
    });
    return () => observer.disconnect();
  });
  const onFocus = ({ target }: FocusEvent) => {
    if (!ref.current || isWithinEditor(target, ref.current)) return;
    last.current = target;
    settle(ref.current, target);
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const group = ref.current;
    const from = event.target as HTMLElement;
    if (!group || event.ctrlKey || event.metaKey || event.altKey || event.shiftKey) return;
    const items = itemsOf(group);
    const at = items.indexOf(from);
    if (at < 0) return;
    const to = goal(event.key, at, items.length);
    if (to === null) return;
    event.preventDefault();
    event.stopPropagation();
    items[to]?.focus();
  };
  return { ref: ref as RefObject<E>, 'data-roving': '', onFocus, onKeyDown };
}

/** To which item a key leads, round about; `null` for other keys. */
function goal(key: string, at: number, count: number): number | null {
  if (key === 'Home') return 0;
  if (key === 'End') return count - 1;
  const step = STEPS[key];
  return step === undefined ? null : (at + step + count) % count;
}
