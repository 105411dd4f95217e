import { diff, type Patch } from '../patch/patch';
import { isPlaced } from '../scene/scene';
import { survey, surveyInput, type CaseResult } from '../survey/survey';
import type { AdviceAsked } from './advise';
import { costsOf } from './costs';
import { openOn } from './finding';
import { findingsOf, type SceneFinding } from './scene';
import { withScrim } from './mends/colours';

/** A scrim that was tried on all cases. */
export interface ScrimOffer {
  /** `#000000` or `#ffffff` */
  colour: string;
  /** 0..1, with a reserve; 0 where none is needed */
  alpha: number;
  /** the case that asks for so much */
  caseId: string;
  /** the least contrast that the layer has with it on any case */
  reaches: number;
  /** lays it, over all documents; empty where none is needed */
  patch: Patch;
  /** findings that are new with it or on more cases, with how many more */
  costs: { finding: SceneFinding; more: number }[];
}

/** The least contrast of a layer on any case; Infinity where it is measured on none. */
const leastContrast = (results: readonly CaseResult[], layerId: string): number =>
  Math.min(
    ...results.map(({ layers }) => {
      const layer = layers.find((l) => l.id === layerId);
      return layer && layer.kind !== 'ground' ? (layer.measures.contrast ?? Infinity) : Infinity;
    }),
  );

/**
 * The weakest scrim under a text or a logo with which it has a contrast on every case, tried there like any mend; `null`
 * where none helps, as under an opaque picture, which stands on its own border.
 * @param least contrast ratio, such as 3 or 4.5
 */
export function offerScrim(asked: AdviceAsked, layerId: string, least: number): ScrimOffer | null {
  const { documents, sceneId, cases, outside, newId, earlier } = asked;
  const scene = documents.scenes[sceneId];
  const layer = scene?.layers.find((l) => l.id === layerId);
  if (!scene || !layer || !isPlaced(layer)) return null;
  const input = surveyInput(documents, scene, outside);
  const laid = withScrim(input, cases, layer, least, newId);
  if (!laid) return null;
  const { colour, alpha, caseId } = laid;
  const before = survey(input, cases, earlier);
  if (alpha === 0)
    return { colour, alpha, caseId, reaches: leastContrast(before, layerId), patch: [], costs: [] };
  const changed = { ...documents, scenes: { ...documents.scenes, [sceneId]: laid.scene } };
  const after = survey(surveyInput(changed, laid.scene, outside), cases, earlier);
  const reaches = leastContrast(after, layerId);
  if (reaches < least) return null;
  const costs = costsOf(findingsOf(scene, before, cases), findingsOf(laid.scene, after, cases), openOn);
  return { colour, alpha, caseId, reaches, patch: diff(documents, changed), costs };
}
