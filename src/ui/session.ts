import { createStore } from 'zustand/vanilla';

/** Who waits until the passphrase is entered again: the session of this browser has ended while a page was open. */
interface Door {
  waiting: (() => void)[];
}
export const door = createStore<Door>(() => ({ waiting: [] }));

/** Has the passphrase asked for, once for everybody who waits; comes back when it was entered. */
export const enteredAgain = (): Promise<void> =>
  new Promise((resolve) => door.setState(({ waiting }) => ({ waiting: [...waiting, resolve] })));

/** Lets everybody go on who waits. */
export function letIn(): void {
  const { waiting } = door.getState();
  door.setState({ waiting: [] });
  for (const goOn of waiting) goOn();
}

/**
 * Asks the server as `fetch` does; where the session has ended it waits until the passphrase was entered, and asks again: what was
 * asked for is not lost.
 * @param deadlineMs of each request; without it as long as it takes
 * @throws a DOMException of the name TimeoutError after that
 */
export async function fetchInside(
  path: string | URL | Request,
  init?: RequestInit,
  deadlineMs?: number,
): Promise<Response> {
  for (;;) {
    const signal = deadlineMs === undefined ? init?.signal : AbortSignal.timeout(deadlineMs);
    const response = await fetch(path, { ...init, signal });
    if (response.status !== 401) return response;
    await enteredAgain();
  }
}
