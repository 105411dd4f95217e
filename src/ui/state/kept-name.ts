const KEY = 'coulee signed by';

/** Under which name somebody signed off last in this browser; none where it keeps nothing. */
export function keptName(): string {
  try {
    return localStorage.getItem(KEY) ?? '';
  } catch {
    return '';
  }
}

/** Keeps it for the next time. */
export function keepName(name: string): void {
  try {
    localStorage.setItem(KEY, name);
  } catch {
    // Without room it is typed again.
  }
}
