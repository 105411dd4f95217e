import { breachId, byOutcome, type Breach, type Outcome } from '../measure/judge';
import { isAllowed, type AllowedSizes } from './area';
import { squaresOf, type Lattice } from './lattice';
import type { Span } from './range';
import { changeBetween, type JudgedWindow, type JudgeWindow } from './windows';

/** By what windows on which something is wrong are told from the others. */
const BY = ['ratio', 'width', 'height'] as const;
export type BreakBy = (typeof BY)[number];

/** Windows beside one another on which the same is worst. */
export interface Break {
  outcome: Outcome;
  /** where it is furthest beyond its limit, and the size of that window, lu */
  worst: Breach;
  at: { width: number; height: number };
  /** share of the allowed windows that were looked at, 0..1 */
  share: number;
  by: BreakBy;
  /** from the least to the greatest of them, lu or width ÷ height, searched to the px */
  within: Span;
  /** whether they go on to the end of what is allowed, or of the map */
  isFrom: boolean;
  isTo: boolean;
  /** how many of the allowed windows within are concerned, 0..1 */
  of: number;
}

interface Node {
  column: number;
  row: number;
  window: JudgedWindow;
  value: Record<BreakBy, number>;
  /** the outcome and what is gravest */
  key: string;
}

interface Grid {
  nodes: Node[];
  beside: (node: Node) => Node[];
  density: number;
  judge: JudgeWindow;
}

const keyOf = ({ outcome, cause }: JudgedWindow) => (outcome === 'clear' ? '' : `${outcome} ${cause}`);

const valuesOf = ({ widthPx, heightPx }: JudgedWindow, density: number): Node['value'] => ({
  ratio: widthPx / heightPx,
  width: widthPx / density,
  height: heightPx / density,
});

export interface BreaksAsked {
  /** of the squares whose corners were looked at */
  side: number;
  density: number;
  judge: JudgeWindow;
  allowed: AllowedSizes;
}

/** The allowed windows that were looked at, and which lie beside which. */
function gridOf(lattice: Lattice, { side, density, judge, allowed }: BreaksAsked): Grid {
  const at = new Map<string, Node>();
  for (const { column, row } of [...squaresOf(lattice, side)].flat()) {
    const window = lattice.at(column, row);
    const value = valuesOf(window, density);
    if (isAllowed(value, allowed))
      at.set(`${column} ${row}`, { column, row, window, value, key: keyOf(window) });
  }
  const beside = ({ column, row }: Node) =>
    [
      [column - side, row],
      [column + side, row],
      [column, row - side],
      [column, row + side],
    ].flatMap(([c, r]) => at.get(`${c} ${r}`) ?? []);
  return { nodes: [...at.values()], beside, density, judge };
}

/** Windows on which the same is worst and that hang together. A band that runs along a ratio does so over corners. */
function* togetherIn({ nodes, beside }: Grid): Generator<Node[]> {
  const taken = new Set<Node>();
  for (const first of nodes) {
    if (first.key === '' || taken.has(first)) continue;
    const group: Node[] = [];
    const open = [first];
    taken.add(first);
    for (let node = open.pop(); node; node = open.pop()) {
      group.push(node);
      const corners = beside(node).flatMap(beside);
      for (const next of [...beside(node), ...corners]) {
        if (taken.has(next) || next.key !== first.key) continue;
        taken.add(next);
        open.push(next);
      }
    }
    yield group;
  }
}

/** One end of a group: where it ends beside the one that lies furthest; whether nothing is allowed beyond that. */
function endOf(group: readonly Node[], by: BreakBy, sign: 1 | -1, { beside, judge, density }: Grid) {
  const furthest = group.reduce((most, n) => (sign * (n.value[by] - most.value[by]) > 0 ? n : most));
  const beyond = beside(furthest).filter((n) => sign * (n.value[by] - furthest.value[by]) > 1e-9);
  const ends = beyond.map((n) => {
    const [last] = changeBetween(furthest.window, n.window, judge, keyOf);
    return valuesOf(last, density)[by];
  });
  return {
    value: ends.reduce((most, v) => (sign * (v - most) > 0 ? v : most), furthest.value[by]),
    isLast: beyond.length === 0,
  };
}

/** The words that fit best: within the bounds by which fewest others lie. */
function toldBy(group: readonly Node[], grid: Grid) {
  const ways = BY.map((by) => {
    const [low, high] = [endOf(group, by, -1, grid), endOf(group, by, 1, grid)];
    const among = grid.nodes.filter(({ value }) => value[by] >= low.value && value[by] <= high.value);
    return {
      by,
      within: { low: low.value, high: high.value },
      isFrom: low.isLast,
      isTo: high.isLast,
      of: group.length / among.length,
    };
  });
  return ways.reduce((best, way) => (way.of > best.of ? way : best));
}

function worstOf(group: readonly Node[]) {
  const { cause } = group[0]!.window;
  const all = group.flatMap(({ window, value }) =>
    window.breaches.filter((b) => breachId(b) === cause).map((worst) => ({ worst, value })),
  );
  const { worst, value } = all.reduce((most, b) => (b.worst.by > most.worst.by ? b : most));
  return { worst, at: { width: value.width, height: value.height } };
}

/** Where anything is wrong on an allowed window, told apart by what is gravest there: failures first, then by share. */
export function breaksOf(lattice: Lattice, asked: BreaksAsked): Break[] {
  const grid = gridOf(lattice, asked);
  return [...togetherIn(grid)]
    .map((group): Break => ({
      outcome: group[0]!.window.outcome,
      ...worstOf(group),
      share: group.length / grid.nodes.length,
      ...toldBy(group, grid),
    }))
    .sort((a, b) => byOutcome(a.outcome, b.outcome) || b.share - a.share);
}
