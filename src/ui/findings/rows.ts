import { byOutcome, worse, type Outcome } from '@/core/measure/judge';
import { openCases } from '@/core/findings/finding';
import type { SceneFinding } from '@/core/findings/scene';

/** Findings that are one row of a list: one by itself, or the same thing wrong with several layers. */
export interface FindingRows {
  id: string;
  findings: SceneFinding[];
  outcome: Outcome;
  /** the worst of them on each case on which one is open */
  open: Outcome[];
  /** number of cases on which all that there is is accepted */
  accepted: number;
  /** of those, 0..1 */
  weight: number;
  isAccepted: boolean;
}

/** Under this share of the weight a row is folded away. */
export const LITTLE = 0.01;

const GROUP: Record<'cause' | 'layer', (f: SceneFinding) => string> = {
  cause: (f) => f.rule,
  // Each by itself: what is asked is what is wrong with one layer.
  layer: (f) => f.id,
};

/** @param weights of all cases, as `weightsOf` gives them */
function rowOf(findings: SceneFinding[], weights: ReadonlyMap<string, number>): FindingRows {
  const [first] = findings;
  const open = new Map<string, Outcome>();
  for (const { caseId, outcome } of findings.flatMap(openCases))
    open.set(caseId, worse(open.get(caseId) ?? 'clear', outcome));
  return {
    id: findings.length === 1 ? first!.id : first!.rule,
    findings,
    outcome: findings.reduce<Outcome>((o, f) => worse(o, f.outcome), 'clear'),
    open: [...open.values()],
    accepted: new Set(findings.flatMap((f) => f.cases.map((c) => c.caseId))).size - open.size,
    weight: [...open.keys()].reduce((sum, id) => sum + (weights.get(id) ?? 0), 0),
    isAccepted: findings.every((f) => f.accepted !== null),
  };
}

/** Findings of one layer stand together. */
const inLayers = (findings: readonly SceneFinding[]): SceneFinding[] => {
  const layers = [...new Set(findings.map((f) => f.subject.id))];
  return layers.flatMap((id) => findings.filter((f) => f.subject.id === id));
};

/**
 * The rows of the list: by cause the gravest first, then the weightiest, what is accepted last; by layer those of one layer
 * together. What is wrong with several layers alike is one row, what is accepted apart from what is open.
 * @param findings the gravest first
 */
export function rowsOf(
  findings: readonly SceneFinding[],
  order: 'cause' | 'layer',
  weights: ReadonlyMap<string, number>,
): FindingRows[] {
  const groups = new Map<string, SceneFinding[]>();
  for (const f of order === 'layer' ? inLayers(findings) : findings) {
    const key = f.accepted === null ? GROUP[order](f) : f.id;
    groups.set(key, [...(groups.get(key) ?? []), f]);
  }
  const rows = [...groups.values()].map((g) => rowOf(g, weights));
  if (order === 'layer') return rows;
  return rows.toSorted(
    (a, b) =>
      Number(a.isAccepted) - Number(b.isAccepted) || byOutcome(a.outcome, b.outcome) || b.weight - a.weight,
  );
}

/** Rows that are shown, and those of so little weight that they are folded away. */
export function folded(rows: readonly FindingRows[]): { shown: FindingRows[]; little: FindingRows[] } {
  const isLittle = (r: FindingRows) => !r.isAccepted && r.weight < LITTLE;
  // A list of nothing but little is not folded.
  if (rows.every((r) => r.isAccepted || isLittle(r))) return { shown: [...rows], little: [] };
  return { shown: rows.filter((r) => !isLittle(r)), little: rows.filter(isLittle) };
}
