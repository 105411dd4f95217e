import type { Cut } from '../pictures/picture';
import { resolveLength } from '../values/values';
import type { PictureLayer } from '../scene/scene';
import type { Case } from '../screens/cases';
import { weightsOf } from '../screens/weights';
import { isRepeated } from '../fit/tiles';
import type { Rect } from '../geometry/rect';
import { surveyCase, surveyEach, type SurveyInput } from '../survey/survey';
import { fitOf, fitRuleOn } from '../scene/when';
import { turnedSize } from '../screens/turn';
import { seenEverywhere, seenSomewhere, type Heat, type Seen } from './seen';
import { solvePosition, type AlignKind, type PlacedCase, type PositionAnswer } from './position';

/**
 * Each case of a picture layer as the solver sees it; cases on which it is not drawn are left out.
 * @param rule whose fit they take: one of those that differ, or the usual one for −1
 */
export function placedCases(
  layer: PictureLayer,
  input: SurveyInput,
  cases: readonly Case[],
  rule: number,
): PlacedCase[] {
  const { align } = fitOf(layer, rule);
  const weights = weightsOf(cases);
  const picture = input.pictures.find((p) => p.id === layer.picture);
  return cases.flatMap((c) => {
    if (fitRuleOn(layer, turnedSize(c.screen, c.rotation)) !== rule) return [];
    const { layers } = surveyCase(input, c);
    const drawn = layers.find((l) => l.id === layer.id);
    if (drawn?.kind !== 'picture') return [];
    const { box } = drawn.placement;
    const moved = (axis: 'x' | 'y', room: number) =>
      align.kind === 'position' ? resolveLength(align[axis].offset, room, c.screen.density, input.named) : 0;
    return [
      {
        caseId: c.id,
        weight: weights.get(c.id) ?? 0,
        placement: drawn.placement,
        window: drawn.window,
        keepAreas: picture?.cuts.find((cut) => cut.cut === drawn.cut)?.keepAreas ?? [],
        offset: { x: moved('x', box.width), y: moved('y', box.height) },
      },
    ];
  });
}

/**
 * Where a layer’s picture can be held so that its keep areas are seen on all cases that take one rule’s fit, which holds
 * it at one position on all of them; `null` without any keep area.
 * @param rule one of those that differ, or the usual one for −1
 * @param kind as that rule aligns it, unless it is asked for another way
 */
export const positionOf = (
  layer: PictureLayer,
  input: SurveyInput,
  cases: readonly Case[],
  rule: number,
  kind: AlignKind = fitOf(layer, rule).align.kind,
): PositionAnswer | null => solvePosition(placedCases(layer, input, cases, rule), kind);

/** Which parts of one cut of a layer’s picture the cases that take it show. */
export interface SeenParts {
  /** shares of the picture; `null` where no part is seen on all of them */
  everywhere: Rect | null;
  heat: Heat;
  /** how many cases take this cut */
  cases: number;
}

/** Over all cases on which the layer shows this cut, each by its weight; a repeated picture has no parts. */
export function seenParts(
  layer: PictureLayer,
  cut: Cut['cut'],
  input: SurveyInput,
  cases: readonly Case[],
): SeenParts {
  const weights = weightsOf(cases);
  const seen: Seen[] = [];
  surveyEach(input, cases, ({ id, layers }) => {
    const drawn = layers.find((l) => l.id === layer.id);
    if (drawn?.kind !== 'picture' || drawn.cut !== cut || isRepeated(drawn.placement)) return;
    const { source, natural } = drawn.placement;
    const rect = source && {
      x: source.x / natural.width,
      y: source.y / natural.height,
      width: source.width / natural.width,
      height: source.height / natural.height,
    };
    seen.push({ weight: weights.get(id) ?? 0, rect });
  });
  return {
    everywhere: seen.length > 0 ? seenEverywhere(seen) : null,
    heat: seenSomewhere(seen),
    cases: seen.length,
  };
}
