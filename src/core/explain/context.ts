import type { Axis, Side } from '../geometry/rect';
import type { Placeable } from '../placing/resolve';
import { prepareCase, type Prepared, type SurveyInput } from '../survey/prepare';
import { surveyPrepared, type CaseResult, type PlacedResult } from '../survey/survey';
import type { Names } from '../sentences/words';
import { isPlaced, type PlacedLayer } from '../scene/scene';
import type { Case } from '../screens/cases';

/** One case, resolved and surveyed, of which figures are asked for. */
export interface Context {
  input: SurveyInput;
  prepared: Prepared;
  result: CaseResult;
  names: Names;
}

export function contextOf(input: SurveyInput, c: Case): Context {
  const prepared = prepareCase(input, c);
  return {
    input,
    prepared,
    result: surveyPrepared(input, c, prepared),
    names: {
      layers: input.scene.layers,
      named: input.named,
      mirrored: input.scene.direction === 'rtl',
    },
  };
}

/** A layer as it is on this case, with what placing knows of it. */
export interface AskedLayer {
  layer: PlacedLayer;
  placeable: Placeable;
}

export function askedLayer({ prepared }: Context, id: string): AskedLayer {
  const layer = prepared.layers.find((l) => l.id === id);
  const placeable = prepared.laid().placeableOf(id);
  if (!layer || !isPlaced(layer) || !placeable) throw new Error(`No layer “${id}” is placed in this scene.`);
  return { layer, placeable };
}

/** @throws when the layer is not drawn on this case */
export function drawnLayer({ result }: Context, id: string): PlacedResult {
  const layer = result.layers.find((l) => l.id === id);
  if (!layer || layer.kind === 'ground') throw new Error(`The layer “${id}” is not drawn on this case.`);
  return layer;
}

/** The path of a layer’s rule on this case: the usual one, or that of a rule that differs. */
export function rulePath({ input, prepared }: Context, id: string): (string | number)[] {
  const here = prepared.layers.find((l) => l.id === id);
  const usual = input.scene.layers.find((l) => l.id === id);
  if (!here || !usual || !isPlaced(here) || !isPlaced(usual) || here.placing === usual.placing) return [];
  return ['when', (usual.when ?? []).findIndex((w) => w.placing === here.placing)];
}

/** The side of the screen that a start or an end is at; mirrored in the right-to-left preview. */
export function sideAt({ input }: Context, axis: Axis, end: 'start' | 'end'): Side {
  if (axis === 'y') return end === 'start' ? 'top' : 'bottom';
  const first = input.scene.direction === 'rtl' ? 'end' : 'start';
  return end === first ? 'left' : 'right';
}
