import { sayLength } from '../words/numbers';
import { moveBetween, type Rect } from '../geometry/rect';
import type { BarResult } from '../screens/bars';
import type { CaseResult, PlacedResult } from '../survey/result';

/** A bar that is there in one of two stages only, or takes another room in it. */
export interface BarChange {
  kind: BarResult['kind'];
  /** lu that it takes in each */
  before: number;
  after: number;
}

/** A layer that would lie elsewhere if the bars had stayed as they were. */
export interface MovedByBars {
  layerId: string;
  name: string;
  /** of its middle, lu; right and down are positive */
  shift: { x: number; y: number };
  /** lu by which it grows */
  grows: { width: number; height: number };
  /** the furthest that a corner of it goes, lu */
  furthest: number;
}

export const BAR_WORDS: Record<BarResult['kind'], string> = {
  status: 'the status bar',
  title: 'the title bar',
  navigation: 'the bar for moving between apps',
};

const KINDS = ['status', 'title', 'navigation'] as const;
/** Bars lie along a whole side; how deep they are is the shorter way. */
const depthIn = ({ bars }: CaseResult, kind: BarResult['kind']): number => {
  const bar = bars.find((b) => b.kind === kind);
  return bar ? Math.min(bar.rect.width, bar.rect.height) : 0;
};
const rectIn = ({ bars }: CaseResult, kind: BarResult['kind']) => bars.find((b) => b.kind === kind)?.rect;

/** Closer than this, lu, nobody tells two places apart. */
const NEAR = 0.05;
const near = (a: Rect, b: Rect) => moveBetween(a, b).furthest < NEAR;

/** The bars of the system and of the app that come, go or change between two stages on one case. */
export function barChanges(before: CaseResult, after: CaseResult): BarChange[] {
  return KINDS.flatMap((kind) => {
    const [a, b] = [rectIn(before, kind), rectIn(after, kind)];
    if (!a && !b) return [];
    if (a && b && near(a, b)) return [];
    return [{ kind, before: depthIn(before, kind), after: depthIn(after, kind) }];
  });
}

const isPlaced = (l: CaseResult['layers'][number]): l is PlacedResult => l.kind !== 'ground';

/** What lies elsewhere because of the bars. @param without the later stage with the bars of the earlier one */
export function movedByBars(without: CaseResult, after: CaseResult): MovedByBars[] {
  return after.layers.filter(isPlaced).flatMap((l) => {
    const was = without.layers.find((o): o is PlacedResult => o.id === l.id && isPlaced(o));
    if (!was) return [];
    const [from, to] = [was.placement.drawn, l.placement.drawn];
    if (near(from, to)) return [];
    const grows = { width: to.width - from.width, height: to.height - from.height };
    return [{ layerId: l.id, name: l.name, grows, ...moveBetween(from, to) }];
  });
}

/** “the status bar comes, 24 lu high” */
export function sayBarChange({ kind, before, after }: BarChange): string {
  const name = BAR_WORDS[kind];
  if (before === 0) return `${name} appears and takes ${sayLength(after)}`;
  if (after === 0) return `${name} disappears and gives ${sayLength(before)}`;
  if (Math.abs(before - after) < NEAR) return `${name} goes to another side`;
  return `${name} takes ${sayLength(after)} instead of ${sayLength(before)}`;
}

const by = (value: number, more: string, less: string): string[] =>
  Math.abs(value) < NEAR ? [] : [`${sayLength(Math.abs(value))} ${value > 0 ? more : less}`];

/** “12 lu right and 3 lu up”; nothing of less than anybody sees. */
export const sayShift = ({ x, y }: { x: number; y: number }): string =>
  [...by(x, 'right', 'left'), ...by(y, 'down', 'up')].join(' and ');

/** “Emblem goes 12 lu down”, “Photo becomes 24 lu lower” */
export function sayMoved({ name, shift, grows }: MovedByBars): string {
  const ways = sayShift(shift);
  const sizes = [...by(grows.width, 'wider', 'narrower'), ...by(grows.height, 'higher', 'lower')];
  const goes = ways === '' ? [] : [`goes ${ways}`];
  const becomes = sizes.length > 0 ? [`becomes ${sizes.join(' and ')}`] : [];
  return `${name} ${[...goes, ...becomes].join(' and ')}`;
}
