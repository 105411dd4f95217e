import { sayAlpha, sayNumber } from '../words/numbers';
import { capitalised, countOf } from '../words/words';
import type { Fit } from '../fit/rule';
import type { Limit } from '../measure/limit';
import { measureNoun, sayLimit } from '../measure/words';
import type { Placing } from '../placing/rule';
import { sceneWith, type Documents } from '../project/documents';
import type { Clash, Place, Version } from '../project/merge';
import type { Paint } from '../values/paint';
import { diff, pointerKeys } from '../patch/patch';
import type { Layer, Scene } from '../scene/scene';
import type { Colour, NamedValue } from '../values/values';
import type { TextStyle } from '../text/style';
import { sayColour, sayPaint } from './colour';
import { sayFit } from './fit';
import { layerSentence, sayStyle } from './layer';
import { sentenceText } from './parts';
import { placingTokens } from './placing';
import { sayLengthOf, seenBy, type Names } from './words';

const GONE = 'taken away';
const NOTHING = 'nothing';

function namesIn({ project }: Documents, scene?: Scene): Names {
  return {
    layers: scene?.layers ?? [],
    named: project.named,
    fonts: project.fonts,
    mirrored: scene?.direction === 'rtl',
  };
}

const KEYS: Partial<Record<string, string>> = {
  name: 'name',
  value: 'value',
  description: 'what it is for',
  pictures: 'pictures',
  named: 'named values',
  limits: 'limits',
  accepted: 'what is accepted',
  launches: 'launches',
  screens: 'screens',
  fonts: 'fonts',
  scenes: 'scenes',
  ratios: 'ratios of windows',
  tokens: 'design tokens',
  naming: 'how names of files are read',
  densities: 'densities',
  iconSets: 'what icons are made for',
  evidence: 'real screenshots',
  checked: 'what was looked at on devices',
  cuts: 'files and keep areas',
  placing: 'place and size',
  fit: 'fit',
  style: 'letters',
  when: 'rules that differ',
  colour: 'colour',
  text: 'text',
  opacity: 'opacity',
  picture: 'picture',
  parent: 'panel that holds it',
  visible: 'whether it is shown',
  role: 'what it is judged as',
  cornerRadius: 'corners',
  margin: 'margin',
  bars: 'bars',
  direction: 'direction',
  order: 'order',
  systemMs: 'time of the first stage',
  loadingMs: 'time of loading',
  stages: 'stages',
  targets: 'targets',
};
const ALONG: Partial<Record<string, string>> = { x: 'across', y: 'down' };
const wordOf = (key: string) => KEYS[key] ?? key.replaceAll(/([A-Z])/g, ' $1').toLowerCase();

const find = <T extends { id: string }>(list: readonly T[] | undefined, id: string | undefined) =>
  list?.find((entry) => entry.id === id);

/** The first of both sides that knows something under a name. */
const either = <T>(sides: readonly Documents[], pick: (d: Documents) => T | undefined): T | undefined =>
  sides.map(pick).find((v) => v !== undefined);

/** Inside an entry of a list of the project: its name, and the key that is meant. */
function entryTitle(list: string, id: string, key: string | undefined, sides: readonly Documents[]): string {
  const inside = key === undefined ? '' : `: ${wordOf(key)}`;
  if (list === 'limits') {
    const [role, measure, side] = id.split(' ');
    return `Limit of ${role}: ${measureNoun(measure as Limit['measure'])}${side ? `, ${side}` : ''}`;
  }
  const name = either(sides, ({ project }) => {
    const entries = (project as Record<string, unknown>)[list] as { id: string; name?: string }[] | undefined;
    return find(entries, id)?.name;
  });
  const kinds: Partial<Record<string, string>> = {
    pictures: 'Picture',
    named: 'Named value',
    launches: 'Launch',
    screens: 'Screen',
    fonts: 'Font',
    accepted: 'Accepted',
    evidence: 'Real screenshot',
    checked: 'Looked at on a device',
  };
  return `${kinds[list] ?? capitalised(wordOf(list))} ${name ? `“${name}”` : ''}${inside}`.trim();
}

/** Inside a scene: its name, its layer, and the key that is meant. */
function sceneTitle([id, part, layerId, key, inside]: Place, sides: readonly Documents[]): string {
  const scene = either(sides, (d) => sceneWith(d, id!));
  const name = scene?.name ?? id;
  if (part === undefined) return `Scene “${name}”`;
  if (part !== 'layers')
    return `${name}: ${[part, layerId].flatMap((k) => (k ? [wordOf(k)] : [])).join(', ')}`;
  if (layerId === undefined || layerId === 'order') return `${name}: order of its layers`;
  const layer = either(sides, (d) => find(sceneWith(d, id!)?.layers, layerId));
  const title = `${name}, ${layer?.name ?? layerId}`;
  if (key === undefined) return title;
  const along = key === 'placing' && inside ? `, ${ALONG[inside] ?? wordOf(inside)}` : '';
  return `${title}: ${wordOf(key)}${along}`;
}

/** What stands at a place, as a title: “Winter splash, Harbour: fit”. @param sides that may know its name */
export function sayPlace(place: Place, sides: readonly Documents[]): string {
  const [root, first, second, id] = place;
  if (root === undefined) return 'The whole project';
  if (first === undefined) return root === 'scenes' ? 'Scenes' : 'The project';
  if (root === 'scenes') return sceneTitle(place.slice(1), sides);
  if (second === undefined) return `The project: ${wordOf(first)}`;
  return second === 'order' ? `Order of the ${wordOf(first)}` : entryTitle(first, second, id, sides);
}

/** Any value in few words, where nothing says it better: its parts one after another. */
function plainly(value: unknown): string {
  if (value === undefined || value === null) return NOTHING;
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (typeof value === 'number') return sayNumber(value);
  if (typeof value === 'string') return value === '' ? NOTHING : `“${value.slice(0, 80)}”`;
  if (Array.isArray(value))
    return value.length <= 4 ? value.map(plainly).join('; ') || NOTHING : `${value.length} entries`;
  return Object.entries(value as object)
    .filter(([, v]) => typeof v !== 'object')
    .map(([k, v]) => `${wordOf(k)} ${plainly(v)}`)
    .join(', ');
}

/** A key of a layer, by the clause of its sentence that says it. */
function sayLayerKey(layer: Layer, key: string, names: Names): string {
  const own = 'parent' in layer ? seenBy(layer as { parent?: string }, names) : names;
  const value = (layer as unknown as Record<string, unknown>)[key];
  if (value === undefined) return NOTHING;
  if (key === 'placing') return sentenceText(placingTokens(value as Placing, own));
  if (key === 'fit') return sayFit(value as Fit, own);
  if (key === 'style') return sayStyle(value as TextStyle, own);
  if (key === 'colour') return sayPaint(value as Paint, own);
  if (key === 'tint') return sayColour(value as Colour, own);
  if (key === 'opacity') return sayAlpha(value as number);
  return plainly(value);
}

function sayNamed(value: NamedValue['value'], names: Names): string {
  if ('unit' in value) return sayLengthOf(value, names);
  return sayColour(value, names);
}

function sayInScene(scene: Scene, rest: Place, documents: Documents): string {
  const [key, id, inside] = rest;
  if (key === undefined) return `${scene.layers.length} layers`;
  const names = namesIn(documents, scene);
  if (key === 'layers') {
    if (id === 'order') return scene.layers.map((l) => l.name).join(', ');
    const layer = find(scene.layers, id);
    if (!layer) return GONE;
    if (inside !== undefined) return sayLayerKey(layer, inside, names);
    return sentenceText(layerSentence(layer, names, documents.project.pictures));
  }
  if (key === 'margin')
    return Object.entries(scene.margin)
      .map(([side, length]) => `${side} ${sayLengthOf(length, names)}`)
      .join(', ');
  const value = (scene as Record<string, unknown>)[key];
  return plainly(id === undefined ? value : (value as Record<string, unknown> | undefined)?.[id]);
}

/** An entry of a list of the project, or a part of it. */
function sayEntry([list, , key]: Place, value: unknown, documents: Documents): string {
  if (list === 'limits') return sayLimit(value as Limit);
  if (list === 'named' && key === 'value') return sayNamed(value as NamedValue['value'], namesIn(documents));
  if (list === 'named' && key === undefined) return sayNamed((value as NamedValue).value, namesIn(documents));
  if (list === 'accepted') return plainly((value as { reason?: string }).reason);
  return key === 'cuts' ? sayCuts(value as Documents['project']['pictures'][number]['cuts']) : plainly(value);
}

/** What stands at a place on one side, by its sentence or its figure. @param value that stands there */
function saySide(place: Place, value: unknown, documents: Documents): string {
  if (value === undefined) return GONE;
  const [root, first, second] = place;
  if (root === undefined) return 'all of it';
  if (root === 'scenes') {
    const scene = first === undefined ? undefined : sceneWith(documents, first);
    return scene ? sayInScene(scene, place.slice(2), documents) : GONE;
  }
  if (second === undefined) return plainly(value);
  return second === 'order'
    ? `${(value as unknown[]).length} in this order`
    : sayEntry(place.slice(1), value, documents);
}

/** Values inside of two that are read alike, as far as they differ: “reason “Seen””. */
function inside(own: unknown, other: unknown): string {
  const leaves = diff(other, own).slice(0, MOST_LEAVES);
  const said = leaves.map((step) => {
    const keys = pointerKeys(step.path);
    const key = keys.at(-1) ?? '';
    // Of a position: how far along which way.
    const along = ALONG[keys.at(-2) ?? ''];
    if (key === 'percent' && along && step.op !== 'remove' && typeof step.value === 'number')
      return `${sayNumber(step.value)} % ${along}`;
    const value = step.op === 'remove' ? NOTHING : plainly(step.value);
    return `${/^(\d+|-)$/.test(key) ? '' : `${wordOf(key)} `}${value}`;
  });
  return said.join(', ');
}
const MOST_LEAVES = 4;

/** What a clash has on both sides, each by its sentence or its figure; two that differ are never read alike. */
export function saySides(
  { place, mine, theirs }: Clash,
  sides: Record<Version, Documents>,
): Record<Version, string> {
  const said = { mine: saySide(place, mine, sides.mine), theirs: saySide(place, theirs, sides.theirs) };
  if (said.mine !== said.theirs) return said;
  const [more, others] = [inside(mine, theirs), inside(theirs, mine)];
  if (more !== others) return { mine: `${said.mine} (${more})`, theirs: `${said.theirs} (${others})` };
  return { mine: `${said.mine} (as here)`, theirs: `${said.theirs} (as elsewhere)` };
}

function sayCuts(cuts: Documents['project']['pictures'][number]['cuts']): string {
  return cuts
    .map(({ cut, renditions, keepAreas, focalPoint: { x, y } }) => {
      const areas = keepAreas.length === 1 ? '1 keep area' : `${keepAreas.length} keep areas`;
      const files = countOf(renditions.length, 'file');
      const focal = `focal point ${sayAlpha(x)} across, ${sayAlpha(y)} down`;
      return `${cut === 'any' ? '' : `${cut}: `}${files}, ${areas}, ${focal}`;
    })
    .join('; ');
}
