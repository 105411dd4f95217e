import { z } from 'zod';

const Kept = z.array(z.string().max(200)).max(50);
const keyOf = (project: string) => `coulee screens ${project}`;

/** The screens that were chosen last to compare on in a project; none where the browser keeps nothing. */
export function keptScreens(project: string): string[] {
  try {
    const kept = Kept.safeParse(JSON.parse(localStorage.getItem(keyOf(project)) ?? '[]'));
    return kept.success ? kept.data : [];
  } catch {
    return [];
  }
}

/** Keeps them for the next time. */
export function keepScreens(project: string, screens: readonly string[]): void {
  try {
    localStorage.setItem(keyOf(project), JSON.stringify(screens));
  } catch {
    // Without room they are kept in the address alone.
  }
}
