import type { Rect } from '../geometry/rect';
import { chooseRendition, type Choice } from '../pictures/choose';
import type { Picture } from '../pictures/picture';
import type { FilePixels } from '../pixels/file';
import { drawnMargin, type Layer, type PictureLayer, type Scene } from '../scene/scene';
import type { NamedValue } from '../values/values';
import type { Case } from '../screens/cases';
import { regionsOf, type Regions } from '../screens/regions';
import { turn, type Turned } from '../screens/turn';
import type { Acceptance } from '../measure/accept';
import type { Limit } from '../measure/limit';
import type { TextMetrics } from '../text/layout';
import { Laid } from './laid';
import { lineUpOn, type LineUp } from './line-up';

/** What a survey takes from outside the documents; all of it is handed in. */
export interface Outside {
  /** only a scene without text can be surveyed without fonts */
  fonts: TextMetrics | null;
  /** by the hash of the file; without them nothing is said of contrast */
  pixels?: ReadonlyMap<string, FilePixels> | null;
}

export interface SurveyInput extends Outside {
  scene: Scene;
  pictures: readonly Picture[];
  named: readonly NamedValue[];
  limits: readonly Limit[];
  /** of this scene */
  accepted?: readonly Acceptance[];
}

/** One case before anything is placed: which rules hold, and which files are taken. */
export interface Shell extends LineUp {
  turned: Turned;
  regions: Regions;
  /** which file each picture layer takes, by layer */
  chosen: ReadonlyMap<string, Choice>;
}

/** One case before anything is drawn, with what places its layers. */
export interface Prepared extends Shell {
  /** worked out when something is first asked of it */
  laid: () => Laid;
}

function choices(input: SurveyInput, layers: readonly Layer[], turned: Turned, { appearance }: Case) {
  const found = new Map<string, Choice>();
  for (const layer of layers) {
    if (layer.kind !== 'picture') continue;
    const picture = input.pictures.find((p) => p.id === layer.picture);
    if (!picture) throw new Error(`The layer “${layer.name}” shows a picture that is not in the project.`);
    found.set(layer.id, chooseRendition(picture, turned.screen, turned.orientation, appearance));
  }
  return found;
}

/** Whether two choices place alike: one file of another size may move every layer that leans on it. */
function areAlike(a: Prepared['chosen'], b: Prepared['chosen']): boolean {
  for (const [id, { cut, rendition: r }] of b) {
    const other = a.get(id);
    if (other?.cut !== cut) return false;
    const { widthPx, heightPx, density, vector } = other.rendition;
    if (r.widthPx !== widthPx || r.heightPx !== heightPx || r.density !== density || r.vector !== vector)
      return false;
  }
  return true;
}

/**
 * The other appearance of a case that is prepared: with files of the same sizes everything lies where it lies there.
 * `null` where it does not.
 */
export function prepareTwin(
  input: SurveyInput,
  c: Case,
  twin: { c: Case; prepared: Prepared },
  before: Before | null,
): Prepared | null {
  const { prepared } = twin;
  if (twin.c.screen !== c.screen || twin.c.rotation !== c.rotation) return null;
  const { layers, turned } = prepared;
  const chosen = (before && chosenBefore(layers, before)) ?? choices(input, layers, turned, c);
  return areAlike(prepared.chosen, chosen) ? { ...prepared, chosen } : null;
}

/** @param before has boxes that need not be resolved */
function withLaid(shell: Shell, input: SurveyInput, before?: Before): Prepared {
  const { turned, regions, layers, drawn, chosen } = shell;
  let laid: Laid | null = null;
  const lay = () => {
    const { scene, named, fonts } = input;
    const { density } = turned.screen;
    const known = before && ((id: string) => before.known(id));
    return new Laid({ scene, named, fonts, regions, density, known }, layers, chosen);
  };
  return { turned, regions, layers, drawn, chosen, laid: () => (laid ??= lay()) };
}

/** @throws as the resolver does, and when a picture or a character is not there */
export function prepareCase(input: SurveyInput, c: Case): Prepared {
  const { scene, named } = input;
  const turned = turn(c.screen, c.rotation);
  const regions = regionsOf(turned, scene.bars, drawnMargin(scene), named);
  const { layers, drawn } = lineUpOn(scene.layers, turned.size, c.screen);
  const chosen = choices(input, layers, turned, c);
  return withLaid({ turned, regions, layers, drawn, chosen }, input);
}

/** A case that was prepared before, when the scene had other layers. */
interface Before {
  prepared: Shell;
  /** boxes of layers that lie where they lay */
  known: (id: string) => Rect | null;
}

/** The files that the picture layers take, if none of these shows another picture than before. */
const chosenBefore = (layers: readonly Layer[], { prepared: { layers: were, chosen } }: Before) =>
  layers.every((l, i) => l.kind !== 'picture' || showsAlike(l, ofId(l.id, were, i))) ? chosen : null;

const showsAlike = (layer: PictureLayer, old: Layer | undefined) =>
  old?.kind === 'picture' && old.picture === layer.picture;

/** @param likely where it is looked for first */
const ofId = (id: string, layers: readonly Layer[], likely: number) =>
  layers[likely]?.id === id ? layers[likely] : layers.find((l) => l.id === id);

/** Prepares a case that was prepared before, taking over what cannot have changed. */
export function prepareAgain(input: SurveyInput, c: Case, before: Before): Prepared {
  const { turned, regions } = before.prepared;
  const { layers, drawn } = lineUpOn(input.scene.layers, turned.size, turned.screen);
  const chosen = chosenBefore(layers, before) ?? choices(input, layers, turned, c);
  return withLaid({ turned, regions, layers, drawn, chosen }, input, before);
}
