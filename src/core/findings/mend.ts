import type { Picture } from '../pictures/picture';
import type { Documents } from '../project/documents';
import { diff, type Patch } from '../patch/patch';
import { withFits, withPlacings } from '../scene/rules';
import { isPlaced, type Layer, type PictureLayer, type PlacedLayer, type Scene } from '../scene/scene';
import type { Case } from '../screens/cases';
import type { CaseResult, PlacedResult, SurveyInput } from '../survey/survey';
import type { Fit } from '../fit/rule';
import { withoutIdleShape, type Placing } from '../placing/rule';
import type { SceneFinding } from './scene';

/** A change that may clear a finding, as a patch over all documents. */
export interface Mend {
  /** what it does, as an order: “Hold it 40 % across” */
  label: string;
  patch: Patch;
}

/** Everything that a mend is thought up from. */
export interface Sick {
  documents: Documents;
  scene: Scene;
  /** the layer that the finding is on; absent for a bar or the scene */
  layer?: Layer | undefined;
  finding: SceneFinding;
  cases: readonly Case[];
  input: SurveyInput;
  /** of every case, as it is now */
  results: readonly CaseResult[];
  newId: () => string;
}

export type Mender = (sick: Sick) => Mend[];

export const placedLayer = ({ layer }: Sick): PlacedLayer | null => (layer && isPlaced(layer) ? layer : null);
export const pictureLayer = ({ layer }: Sick): PictureLayer | null =>
  layer?.kind === 'picture' ? layer : null;

export const pictureOf = ({ documents }: Sick, layer: PictureLayer): Picture | undefined =>
  documents.project.pictures.find((p) => p.id === layer.picture);

/** The layer as it was drawn on each case. */
export const drawnOn = ({ results, finding }: Sick): PlacedResult[] =>
  results.flatMap((r) => {
    const layer = r.layers.find((l) => l.id === finding.subject.id);
    return layer && layer.kind !== 'ground' ? [layer] : [];
  });

/** A mend that makes other documents; none when they are the same. */
export function mendOf({ documents }: { documents: Documents }, label: string, after: Documents): Mend[] {
  const patch = diff(documents, after);
  return patch.length > 0 ? [{ label, patch }] : [];
}

export function sceneMend(sick: Sick, label: string, recipe: (scene: Scene) => Scene): Mend[] {
  const { documents, scene } = sick;
  const after = { ...documents, scenes: { ...documents.scenes, [scene.id]: recipe(scene) } };
  return mendOf(sick, label, after);
}

export const layerMend = (sick: Sick, label: string, recipe: (layer: Layer) => Layer): Mend[] =>
  sceneMend(sick, label, (scene) => ({
    ...scene,
    layers: scene.layers.map((l) => (l.id === sick.finding.subject.id ? recipe(l) : l)),
  }));

/** Changes the usual rule and every rule that differs alike. */
export const placingMend = (sick: Sick, label: string, change: (placing: Placing) => Placing): Mend[] =>
  layerMend(sick, label, (l) => (isPlaced(l) ? withPlacings(l, (p) => withoutIdleShape(change(p))) : l));

/** @param change of the fit of each rule: of one of those that differ, or of the usual one for −1 */
export const fitMend = (sick: Sick, label: string, change: (fit: Fit, rule: number) => Fit): Mend[] =>
  layerMend(sick, label, (l) => (l.kind === 'picture' ? withFits(l, change) : l));
