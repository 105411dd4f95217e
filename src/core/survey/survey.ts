import type { Rect } from '../geometry/rect';
import { placePicture, type Placement } from '../fit/place';
import { breachesOf, outcomeOf, type Breach, type Outcome } from '../measure/judge';
import type { Limit } from '../measure/limit';
import { measure, type Measures } from '../measure/measures';
import { chooseRendition, naturalSizeOf, type Choice } from '../pictures/choose';
import type { Picture, Rendition } from '../pictures/picture';
import { resolveBoxes } from '../placing/resolve';
import type { Documents } from '../scene/documents';
import type { Layer, LayerRole, PictureLayer, Scene } from '../scene/scene';
import { onSize } from '../scene/when';
import { resolveColour, type Appearance, type NamedValue } from '../scene/values';
import type { Case } from '../screens/cases';
import { outlineOf, type Outline } from '../screens/outline';
import { regionsOf, type Regions } from '../screens/regions';
import type { Rotation } from '../screens/screen';
import { turn, type Orientation, type Turned } from '../screens/turn';

export interface SurveyInput {
  scene: Scene;
  pictures: readonly Picture[];
  named: readonly NamedValue[];
  limits: readonly Limit[];
}

/** What a survey of a scene needs of the documents it stands in. */
export const surveyInput = ({ project }: Documents, scene: Scene): SurveyInput => ({
  scene,
  pictures: project.pictures,
  named: project.named,
  limits: project.limits,
});

interface LayerBase {
  id: string;
  name: string;
  role: LayerRole;
  /** 0..1 */
  opacity: number;
  box: Rect;
}

export interface GroundResult extends LayerBase {
  kind: 'ground';
  /** `#rrggbb` or `#rrggbbaa` */
  colour: string;
}

export interface PictureResult extends LayerBase {
  kind: 'picture';
  rendition: Rendition;
  placement: Placement;
  measures: Measures;
}

export type LayerResult = GroundResult | PictureResult;

/** One case: what is drawn, back to front, what was measured, and which limits it breaks. */
export interface CaseResult {
  id: string;
  screenId: string;
  rotation: Rotation;
  orientation: Orientation;
  appearance: Appearance;
  regions: Regions;
  outline: Outline;
  layers: LayerResult[];
  breaches: Breach[];
  outcome: Outcome;
}

const isPicture = (layer: Layer): layer is PictureLayer => layer.kind === 'picture';

function choices(
  input: SurveyInput,
  layers: readonly PictureLayer[],
  turned: Turned,
  appearance: Appearance,
) {
  const found = new Map<string, Choice>();
  for (const layer of layers) {
    const picture = input.pictures.find((p) => p.id === layer.picture);
    if (!picture) throw new Error(`The layer “${layer.name}” shows a picture that is not in the project.`);
    found.set(layer.id, chooseRendition(picture, turned.screen, turned.orientation, appearance));
  }
  return found;
}

/** Everything of one case, in the order of the specification: turn, choose files, place, fit, measure, judge. */
export function surveyCase(input: SurveyInput, c: Case): CaseResult {
  const { scene, named, limits } = input;
  const turned = turn(c.screen, c.rotation);
  const { density } = c.screen;
  const regions = regionsOf(turned, scene.bars, scene.margin, named);
  const layersHere = scene.layers.map((l) => (isPicture(l) ? onSize(l, turned.size) : l));
  const pictureLayers = layersHere.filter(isPicture);
  const chosen = choices(input, pictureLayers, turned, c.appearance);
  const placeable = pictureLayers.map((l) => ({
    id: l.id,
    name: l.name,
    placing: l.placing,
    natural: naturalSizeOf(chosen.get(l.id)!.rendition),
  }));
  const boxes = resolveBoxes(placeable, { regions, density, named });

  const layers: LayerResult[] = [];
  const breaches: Breach[] = [];
  for (const layer of layersHere) {
    if (!layer.visible) continue;
    const { id, name, role, opacity = 1 } = layer;
    if (layer.kind === 'ground') {
      const colour = resolveColour(layer.colour, c.appearance, named);
      layers.push({ kind: 'ground', id, name, role, opacity, box: regions.screen, colour });
      continue;
    }
    const { rendition, cut } = chosen.get(layer.id)!;
    const box = boxes.get(layer.id)!;
    const placement = placePicture({
      fit: layer.fit,
      natural: naturalSizeOf(rendition),
      box,
      screen: regions.screen,
      focalPoint: cut.focalPoint,
      density,
      named,
    });
    const measures = measure(placement, rendition, regions, c.screen);
    layers.push({ kind: 'picture', id, name, role, opacity, box, rendition, placement, measures });
    breaches.push(...breachesOf(layer, measures, limits));
  }
  return {
    id: c.id,
    screenId: c.screen.id,
    rotation: c.rotation,
    orientation: turned.orientation,
    appearance: c.appearance,
    regions,
    outline: outlineOf(turned),
    layers,
    breaches,
    outcome: outcomeOf(breaches),
  };
}

/** The one call behind the screen, the server, the command line and the exit code. */
export const survey = (input: SurveyInput, cases: readonly Case[]): CaseResult[] =>
  cases.map((c) => surveyCase(input, c));
