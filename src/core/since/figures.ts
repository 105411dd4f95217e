import { gravestOfEach, type Breach, type Outcome } from '../measure/judge';
import { figureOf, isOfLayers, LAYER_MEASURES, type MeasureName, type MeasureSide } from '../measure/limit';
import type { CaseResult, LayerResult } from '../survey/survey';
import { sameJson } from '../patch/patch';
import type { Figure, OnCase } from './schema';

/** Values that differ by less than this part of themselves are the same: their last bits hang on who works them out. */
const SAME = 1e-6;

export const isSameValue = (a: number | null, b: number | null): boolean =>
  a === b || (a !== null && b !== null && Math.abs(a - b) <= SAME * Math.max(1, Math.abs(a), Math.abs(b)));

/** What is measured: of which subject, and which side of it. */
export interface Key {
  subject: string;
  measure: MeasureName;
  side?: MeasureSide;
}

/** A figure with by how much it is beyond its limit, in the unit of its measure; 0 where it keeps to it. */
export interface Judged extends Figure {
  by: number;
}

/** By which it is known: as breaches are. */
export const keyOf = ({ subject, measure, side }: Key) => [subject, measure, side].filter(Boolean).join(' ');

/** The value of a measure of a layer; `null` where there is no such layer, or the measure does not apply. */
function valueOf({ layers }: CaseResult, { subject, measure, side }: Key): number | null {
  if (!isOfLayers(measure)) return null;
  const layer = layers.find((l) => l.id === subject);
  return !layer || layer.kind === 'ground' ? null : figureOf(measure, side)(layer.measures);
}

const openBreaches = (result: CaseResult): Map<string, Breach> =>
  new Map(
    gravestOfEach(result.breaches.filter((b) => b.accepted === undefined)).map((b) => [
      keyOf({ subject: b.subjectId, measure: b.limit.measure, side: b.limit.side }),
      b,
    ]),
  );

function judgedOf(result: CaseResult, key: Key, open: ReadonlyMap<string, Breach>): Judged {
  const breach = open.get(keyOf(key));
  const outcome: Outcome = breach?.limit.outcome ?? 'clear';
  return { value: breach?.value ?? valueOf(result, key), outcome, by: breach?.by ?? 0 };
}

/** How one measure of one subject stands on a case. */
export const judgedOn = (result: CaseResult, key: Key): Judged => judgedOf(result, key, openBreaches(result));

/** One measure of one subject on one case, then and now. */
export interface Pair {
  key: Key;
  before: Judged | null;
  after: Judged;
}

/** Every measure of a case that is beyond its limit then or now, or has another value. */
export function pairsOn(before: CaseResult | null, after: CaseResult): Pair[] {
  const [was, is] = [before ? openBreaches(before) : new Map<string, Breach>(), openBreaches(after)];
  const keys = new Map<string, Key>();
  for (const { subjectId: subject, limit } of [...is.values(), ...was.values()]) {
    const { measure, side } = limit;
    const key = { subject, measure, ...(side && { side }) };
    keys.set(keyOf(key), key);
  }
  if (before)
    for (const layer of after.layers)
      if (layer.kind !== 'ground')
        for (const measure of LAYER_MEASURES) {
          const key = { subject: layer.id, measure };
          if (!keys.has(keyOf(key)) && !isSameValue(valueOf(before, key), valueOf(after, key)))
            keys.set(keyOf(key), key);
        }
  return [...keys.values()].map((key) => ({
    key,
    before: before && judgedOf(before, key, was),
    after: judgedOf(after, key, is),
  }));
}

/** What of a layer decides how it is drawn. */
const lookOf = (layer: LayerResult) => {
  const { measures: _, name: __, role: ___, ...look } = layer as LayerResult & { measures?: unknown };
  return look.kind === 'picture' ? { ...look, rendition: look.rendition.hash, unmarked: 0 } : look;
};

/** Whether a case is drawn as it was. */
export const isDrawnAlike = (a: CaseResult, b: CaseResult): boolean =>
  sameJson(a.regions, b.regions) &&
  sameJson(a.bars, b.bars) &&
  sameJson(a.layers.map(lookOf), b.layers.map(lookOf));

/** Without what is only of use while comparing. */
export const onCase = ({
  caseId,
  before,
  after,
}: Pick<Pair, 'before' | 'after'> & Pick<OnCase, 'caseId'>): OnCase => ({
  caseId,
  before: before && { value: before.value, outcome: before.outcome },
  after: { value: after.value, outcome: after.outcome },
});
