import type { Fit } from '../fit/rule';
import { area, contains } from '../geometry/rect';
import { isRepeated } from '../fit/tiles';
import { isZero } from '../values/values';
import type { PictureLayer, Scene } from '../scene/scene';
import { fitOf, fitRuleOn } from '../scene/when';
import { RATIO_FITS, type RatioFit } from './ratio';
import { outcomeOf, type Breach, type Outcome } from '../measure/judge';
import { VALLEY_MEASURES, type Valley, type ValleyMeasure } from './valley';
import type { Picture } from '../pictures/picture';
import type { Regions } from '../screens/regions';
import type { CaseResult, PictureResult } from '../survey/result';

/** A case on the valley of the background: the ratio of its box, and what the survey measured there. */
export interface Mark {
  caseId: string;
  /** width ÷ height of the box; 0 for a box without area */
  ratio: number;
  /** of the picture’s file that the case takes */
  own: number;
  cut: Picture['cuts'][number]['cut'];
  losses: Record<ValleyMeasure, number>;
  /** how the case ends by each of these measures of the background alone; what is accepted does not count */
  outcomes: Record<ValleyMeasure, Outcome>;
  /** how it ends by everything else */
  besides: Record<ValleyMeasure, Outcome>;
  /** whose fit it takes: that of one of the rules that differ, or the usual one for −1 */
  rule: number;
  /**
   * whether the losses follow from the ratio alone: a box that is wholly on the screen and cuts its picture off, and a
   * picture held at a plain share of it; of keep areas only where the position is a share
   */
  solid: boolean;
}

/** The picture that fills the screen: the rearmost picture layer with the role of a background. */
export const backgroundOf = (scene: Scene | undefined): PictureLayer | undefined =>
  scene?.layers.find((l): l is PictureLayer => l.kind === 'picture' && l.role === 'background');

const isRatioFit = (size: unknown): size is RatioFit => (RATIO_FITS as readonly unknown[]).includes(size);

/** Whether the losses of a picture follow from the ratio of its box alone. */
function isSolid({ placement: p }: PictureResult, { screen }: Regions, fit: Fit): boolean {
  const { align } = fit;
  const isShare = align.kind === 'position' && isZero(align.x.offset) && isZero(align.y.offset);
  const isWhole = contains(screen, p.box) && area(p.box) > 0;
  return isRatioFit(fit.size) && p.clipped && isWhole && isShare;
}

const lossesOf = ({ measures }: PictureResult): Mark['losses'] => ({
  crop: measures.crop?.total ?? 0,
  bare: measures.bare?.total ?? 0,
  distortion: measures.distortion ?? 0,
  'keep-lost': measures.keep ? Math.max(...measures.keep.map((k) => k.lost)) : 0,
});

/** How a case ends by those of its breaches for which something holds. */
const outcomesBy = (holds: (measure: ValleyMeasure, b: Breach) => boolean, { breaches }: CaseResult) =>
  Object.fromEntries(
    VALLEY_MEASURES.map((measure) => [measure, outcomeOf(breaches.filter((b) => holds(measure, b)))]),
  ) as Mark['outcomes'];

/** The mark of the background on one case; `null` where there is none, or where it is repeated. */
export function markOf(result: CaseResult, scene: Scene): Mark | null {
  const rule = backgroundOf(scene);
  const drawn = rule && result.layers.find((l) => l.id === rule.id);
  if (!rule || drawn?.kind !== 'picture' || isRepeated(drawn.placement)) return null;
  const { box, natural } = drawn.placement;
  const isBy = (measure: ValleyMeasure, { subjectId, limit }: Breach) =>
    subjectId === rule.id && limit.measure === measure;
  const by = fitRuleOn(rule, result.regions.screen);
  return {
    caseId: result.id,
    ratio: box.height > 0 ? box.width / box.height : 0,
    own: natural.width / natural.height,
    cut: drawn.cut,
    losses: lossesOf(drawn),
    outcomes: outcomesBy(isBy, result),
    besides: outcomesBy((measure, b) => !isBy(measure, b), result),
    rule: by,
    solid: isSolid(drawn, result.regions, fitOf(rule, by)),
  };
}

/**
 * The curve of one shape of file by one rule, and the ratios between which it is that of a case. Beyond all cases, to 0
 * and to infinity, the outermost go on.
 */
export interface CutValley extends Valley, Pick<Mark, 'cut' | 'rule'> {
  low: number;
  high: number;
}

/** What marks that lie on one curve have in common, as a key. */
export const curveKey = ({ cut, own, rule }: Pick<CutValley, 'cut' | 'own' | 'rule'>) =>
  `${cut} ${own} ${rule}`;

/** The curves that solid marks lie on: one for each shape of file that some case takes, by each rule that holds it. */
export function valleysOf(marks: readonly Mark[], scene: Scene, pictures: readonly Picture[]): CutValley[] {
  const layer = backgroundOf(scene);
  const picture = pictures.find((p) => p.id === layer?.picture);
  if (!layer || !picture) return [];
  const groups = new Map<string, Mark[]>();
  for (const m of marks.filter((one) => one.solid)) {
    const group = groups.get(curveKey(m));
    if (group) group.push(m);
    else groups.set(curveKey(m), [m]);
  }
  const curves = [...groups.values()].flatMap((group): CutValley[] => {
    const { cut, own, rule } = group[0]!;
    const { align, size: fit } = fitOf(layer, rule);
    // Of a rule that was changed since these were measured.
    if (!isRatioFit(fit)) return [];
    const position =
      align.kind === 'position' ? { x: align.x.percent / 100, y: align.y.percent / 100 } : { x: 0.5, y: 0.5 };
    const areas = picture.cuts.find((c) => c.cut === cut)?.keepAreas.map((k) => k.rect) ?? [];
    const ratios = group.map((m) => m.ratio);
    const [low, high] = [Math.min(...ratios), Math.max(...ratios)];
    return [{ fit, own, position, areas, cut, rule, low, high }];
  });
  const [least, most] = [Math.min(...curves.map((c) => c.low)), Math.max(...curves.map((c) => c.high))];
  return curves.map((c) => ({
    ...c,
    low: c.low === least ? 0 : c.low,
    high: c.high === most ? Infinity : c.high,
  }));
}
