import type { Part, Path } from '@/core/sentences/parts';
import type { WorkbenchStore } from '../state/workbench';

/** ms after which what was asked for is drawn. */
const RENDER_MS = 60;

const say = (path: Path) => path.join('.');

/** What marks the button of a part, so that it can be found from elsewhere on the page. */
export const partMark = (layerId: string, part: Part) => ({
  'data-layer': layerId,
  'data-paths': part.paths.map(say).join(' '),
});

export const SCENE_SETTINGS = 'scene-settings';

function alike(a: string, b: string): number {
  const [x, y] = [a.split('.'), b.split('.')];
  let count = 0;
  while (count < x.length && x[count] === y[count]) count++;
  return count;
}

/** How much of a path one of several paths has in common with it. */
const likeness = (paths: readonly string[], path: Path) => Math.max(...paths.map((p) => alike(p, say(path))));

/** The part that says what stands at a path: the one with most in common; `undefined` where none has anything. */
export function partFor<P extends Part>(parts: readonly P[], path: Path): P | undefined {
  const of = (part: P) => likeness(part.paths.map(say), path);
  const [best] = parts.toSorted((a, b) => of(b) - of(a));
  return best && of(best) > 0 ? best : undefined;
}

/** The button whose path has most in common: a sentence says in one part what a rule may have in several places. */
function buttonOf(layerId: string | null, path: Path): HTMLElement | null {
  if (layerId === null) return document.getElementById(SCENE_SETTINGS);
  const buttons = [...document.querySelectorAll<HTMLElement>(`[data-layer="${CSS.escape(layerId)}"]`)];
  const score = (b: HTMLElement) => likeness((b.dataset.paths ?? '').split(' '), path);
  return buttons.toSorted((a, b) => score(b) - score(a))[0] ?? null;
}

/** Goes to the rules, wherever one is, and opens the editor of a part there. */
export function goToPart(
  store: WorkbenchStore,
  { layerId, path }: { layerId: string | null; path: Path },
): void {
  store.setState(({ view }) => ({ drawer: 'rules', view: { ...view, lens: 'screens' } }));
  // They are there a moment later.
  setTimeout(() => openPart(layerId, path), RENDER_MS);
}

/** Opens the editor of a part of a rule where it stands; of the scene itself without a layer. */
export function openPart(layerId: string | null, path: Path): void {
  const button = buttonOf(layerId, path);
  button?.scrollIntoView({ block: 'nearest' });
  button?.focus();
  if (button?.getAttribute('aria-expanded') !== 'true') button?.click();
}
