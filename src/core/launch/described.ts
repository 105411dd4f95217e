import type { Launch, Stage, System } from '../project/launch';

/** What the system can draw, of which the first stage is one: before the app answers it cannot draw anything. */
export const FIRST_SYSTEMS = ['flat', 'icon', 'layout'] as const satisfies readonly System[];

/**
 * What of a launch is not described yet, in words: it begins with a window of the system and ends with the first screen, which the
 * app draws. Nothing is right with what is not described.
 */
export function undescribed({ stages }: Pick<Launch, 'stages'>): string[] {
  const [first, ...later] = stages;
  const missing: string[] = [];
  if (first?.system === 'app')
    missing.push('what the system shows before the app can draw: say of the first stage which window it is');
  if (!later.some((s) => s.system === 'app'))
    missing.push('the first screen of the app: add it as the last stage');
  return missing;
}

/** Stages whose first one is drawn by the system, whatever was moved or removed. */
export function withSystemFirst(stages: readonly Stage[]): Stage[] {
  const [first, ...later] = stages;
  return first && first.system === 'app'
    ? [{ ...first, system: 'layout', enter: 'none' }, ...later]
    : [...stages];
}
