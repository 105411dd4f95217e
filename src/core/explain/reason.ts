import type { Side } from '../geometry/rect';
import type { FigureName } from '../measure/descriptor';
import type { Path } from '../sentences/parts';
import type { Screen } from '../screens/screen';

/** A figure of the screen that a chain of reasons ends in, and how far it can be trusted. */
export interface MetricNote {
  /** “inset at the left, turned to landscape” */
  label: string;
  confidence: Screen['confidence'];
  origin: Screen['origin'];
  /** whether the list of screens itself calls it approximate */
  approximate: boolean;
}

/** What a figure comes from: one step in words, and the steps under it. */
export interface Reason {
  text: string;
  /** the part of a rule that decides it; without a layer it is of the scene itself */
  part?: { layerId: string | null; path: Path };
  metric?: MetricNote;
  because: Reason[];
}

export const reason = (
  text: string,
  because: Reason[] = [],
  more: Omit<Partial<Reason>, 'text'> = {},
): Reason => ({
  text,
  because,
  ...more,
});

/** A reason and everything under it, in the order in which it is read; what was said before is not said again. */
export function steps(r: Reason, depth = 0, said = new Set<string>()): { reason: Reason; depth: number }[] {
  if (said.has(r.text)) return [];
  said.add(r.text);
  return [{ reason: r, depth }, ...r.because.flatMap((b) => steps(b, depth + 1, said))];
}

export interface AskedFigure {
  name: FigureName;
  /** of a figure that has sides; without one it is the total */
  side?: Side;
}
