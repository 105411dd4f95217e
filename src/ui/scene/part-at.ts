import type { Part, Path } from '@/core/sentences/parts';

const say = (path: Path) => path.join('.');

/** How many steps two paths have in common from their beginning. */
function alike(a: Path, b: Path): number {
  let count = 0;
  while (count < a.length && count < b.length && String(a[count]) === String(b[count])) count++;
  return count;
}

/** The part that says what stands at a path: the one with most in common; `undefined` where none has anything. */
export function partFor<P extends Part>(parts: readonly P[], path: Path): P | undefined {
  const of = (part: P) => Math.max(0, ...part.paths.map((p) => alike(p, path)));
  const [best] = parts.toSorted((a, b) => of(b) - of(a));
  return best && of(best) > 0 ? best : undefined;
}

/** What tells a part of a rule from the others of its layer. */
export const partKey = ({ editable, paths }: Part) => `${editable.kind} ${paths.map(say).join(' ')}`;
