import type { Axis, Rect } from '../geometry/rect';
import { centreOf, extent } from '../geometry/rect';
import type { Placing } from '../placing/rule';
import { ruledAlong } from '../sentences/placing';
import type { Names } from '../sentences/words';

/** Less than anybody sees, lu. */
const HAIR = 0.25;

const AXES: readonly Axis[] = ['x', 'y'];
const ALONG: Record<Axis, string> = { x: 'Across', y: 'Down' };

/** A picture as one stage draws it: the rule by which it really does, and where that puts it on a case. */
export interface Standing {
  /** of the stage */
  name: string;
  placing: Placing;
  /** names of the scene that it stands in, as its rules see them */
  names: Names;
  drawn: Rect;
  /** of the file that it takes, lu */
  natural: { width: number; height: number } | null;
}

/** Whether along an axis anything of it is seen elsewhere, or of another size. */
const differsAlong = (axis: Axis, a: Rect, b: Rect): boolean =>
  Math.abs(centreOf(a)[axis] - centreOf(b)[axis]) > HAIR ||
  Math.abs(extent(a, axis) - extent(b, axis)) > HAIR;

/** What two rules say otherwise along an axis, without what both say. */
function ruledOtherwise(axis: Axis, before: Standing, after: Standing): [string, string] | null {
  const said = (s: Standing) => ruledAlong(s.placing, axis, s.names).map((r) => r.words);
  const [was, is] = [said(before), said(after)];
  const words = (own: string[], others: string[]) => own.filter((w) => !others.includes(w)).join(', ');
  const [mine, theirs] = [words(was, is), words(is, was)];
  return mine === '' && theirs === '' ? null : [mine || was.join(', '), theirs || is.join(', ')];
}

/** What puts a picture elsewhere along an axis: the region that it is measured from, its rule, or its file. */
function alongAxis(axis: Axis, before: Standing, after: Standing): string {
  const ruled = ruledOtherwise(axis, before, after);
  if (ruled) return `${ALONG[axis]}: ${before.name} has it ${ruled[0]}; ${after.name} has it ${ruled[1]}.`;
  const files = before.natural && after.natural;
  const isOtherFile = files && Math.abs(extent(before.natural!, axis) - extent(after.natural!, axis)) > HAIR;
  return isOtherFile
    ? `${ALONG[axis]}: the rule is the same, and its files are of different sizes in lu.`
    : `${ALONG[axis]}: the rule is the same, and what it is measured from lies elsewhere.`;
}

/**
 * Why two stages draw the same picture at different places or in different sizes, a sentence for each axis along which they do:
 * the region, the rule, or the file.
 */
export const whyElsewhere = (before: Standing, after: Standing): string[] =>
  AXES.filter((axis) => differsAlong(axis, before.drawn, after.drawn)).map((axis) =>
    alongAxis(axis, before, after),
  );
