import { SIDES, type Side } from '../geometry/rect';
import { FIT_LABELS, presetOf } from '../fit/presets';
import type { MeasureName } from '../measure/limit';
import { isPlaced } from '../scene/scene';
import type { Case } from '../screens/cases';
import { KIND_GROUPS, kindGroupOf } from '../screens/kinds';
import { isPortrait, orientationOf } from '../screens/turn';
import { surveyCase, type PictureResult, type SurveyInput } from '../survey/survey';
import { sayContrast, sayLength, sayShare, sayTimes } from '../words/numbers';
import type { Reason } from '../explain/reason';
import { causeOf } from './because';
import { isWholeInBox } from './cut-outside';
import { openCases } from './finding';
import type { SceneFinding } from './scene';

/** Why a finding is there, in one sentence: in the middle of it the part of a rule to change. */
export interface InShort {
  before: string;
  /** `null` where nothing in particular is to blame */
  part: { text: string; at: NonNullable<Reason['part']> } | null;
  after: string;
}

/** The same as plain text. */
export const textOf = ({ before, part, after }: InShort): string => before + (part?.text ?? '') + after;

const KIND_WORDS: Record<(typeof KIND_GROUPS)[number]['id'], string> = {
  phones: 'phones',
  foldables: 'unfolded phones',
  tablets: 'tablets',
  windows: 'windows',
  television: 'televisions',
  icons: 'slots',
};

/** “On upright phones”: what the cases of a finding have in common that others have not. */
export function sayWhere(on: readonly Case[], all: readonly Case[]): string {
  const upright = (c: Case) => isPortrait(orientationOf(c.screen, c.rotation));
  const kinds = new Set(on.map((c) => kindGroupOf(c.screen).id));
  const allKinds = new Set(all.map((c) => kindGroupOf(c.screen).id));
  const turned = new Set(on.map(upright));
  const darks = new Set(on.map((c) => c.appearance));
  const [kind] = kinds;
  const words = [
    darks.size === 1 && new Set(all.map((c) => c.appearance)).size > 1 ? [...darks][0]! : '',
    turned.size === 1 && new Set(all.map(upright)).size > 1 ? (turned.has(true) ? 'upright' : 'turned') : '',
    kinds.size === 1 && allKinds.size > 1 ? KIND_WORDS[kind!] : '',
  ].filter(Boolean);
  if (words.length === 0)
    return on.length === all.length ? 'Everywhere' : `On ${on.length} of ${all.length} cases`;
  const noun = kinds.size === 1 && allKinds.size > 1 ? '' : ' screens';
  return `On ${words.join(' ')}${noun}`;
}

/** What is seen of a picture, along the axis on which most is lost: “the middle 45 %”. */
function saySeen({ measures: { crop } }: PictureResult): { said: string; along: 'x' | 'y' } | null {
  if (!crop) return null;
  const along = crop.left + crop.right >= crop.top + crop.bottom ? 'x' : 'y';
  const [start, end] = along === 'x' ? [crop.left, crop.right] : [crop.top, crop.bottom];
  const NEAR = 0.06;
  const ends = along === 'x' ? (['left', 'right'] as const) : (['top', 'bottom'] as const);
  const where = Math.abs(start - end) < NEAR ? 'middle' : start < end ? ends[0] : ends[1];
  return { said: `the ${where} ${sayShare(1 - start - end)}`, along };
}

/** Where the keep area that is lost most lies, beside what is seen: “Lighthouse stands left of it”. */
function sayLost(layer: PictureResult): string | null {
  const worst = layer.measures.keep?.toSorted((a, b) => b.lost - a.lost)[0];
  if (!worst || worst.lost === 0) return null;
  const { window } = layer;
  const beyond: Record<Side, number> = {
    left: window.x - worst.rect.x,
    right: worst.rect.x + worst.rect.width - window.x - window.width,
    top: window.y - worst.rect.y,
    bottom: worst.rect.y + worst.rect.height - window.y - window.height,
  };
  const side = SIDES.toSorted((a, b) => beyond[b] - beyond[a])[0]!;
  const word = { left: 'left of it', right: 'right of it', top: 'above it', bottom: 'below it' }[side];
  return `${worst.subject} stands ${worst.lost < 1 ? 'partly ' : ''}${word}`;
}

/** What is known of a finding on the case where it is worst. */
interface Met {
  where: string;
  name: string;
  finding: SceneFinding;
  layer: CaseLayer;
  /** the part of a rule that causes it, as it is called here */
  part: InShort['part'];
}
type CaseLayer = ReturnType<typeof surveyCase>['layers'][number] | undefined;

const isPicture = (layer: CaseLayer): layer is PictureResult => layer?.kind === 'picture';

/** A picture that is whole in its box, which reaches over the edge of the screen or of a panel: its place is to blame. */
function cutOutside({ where, name, finding, layer }: Met): InShort | null {
  if (!isPicture(layer) || !layer.measures.crop) return null;
  const { crop } = layer.measures;
  const side = SIDES.toSorted((a, b) => crop[b] - crop[a])[0]!;
  return {
    before: `${where} ${sayShare(crop[side])} of ${name} is cut off at the ${side}: it follows from `,
    part: { text: 'its place', at: { layerId: finding.subject.id, path: ['placing'] } },
    after: '.',
  };
}

/** A picture of which too much is not seen: its fit is to blame. */
function notSeen(met: Met): InShort | null {
  const { where, name, layer, part } = met;
  if (!isPicture(layer)) return null;
  const seen = saySeen(layer);
  if (!seen) return null;
  // What is drawn within its box is cut by what lies around that.
  if (isWholeInBox(layer)) return cutOutside(met);
  const lost = sayLost(layer);
  return {
    before: `${where} `,
    part,
    after: `${part ? ' ' : ''}shows only ${seen.said} of ${name}${lost ? `; ${lost}` : ''}.`,
  };
}

const measured = ({ layer }: Met) => (layer && layer.kind !== 'ground' ? layer.measures : null);

/** At which side a figure is worst, and by how much. */
function worstSide(sides: Readonly<Record<Side, number>>): [Side, number] {
  const side = SIDES.toSorted((a, b) => sides[a] - sides[b])[0]!;
  return [side, sides[side]];
}

function tooNear(met: Met, from: 'safe' | 'screen'): InShort | null {
  const clearance = measured(met)?.clearance;
  if (!clearance) return null;
  const [side, room] = worstSide(clearance[from]);
  const edge = `the ${side} edge of the ${from === 'safe' ? 'safe area' : 'screen'}`;
  const lies = room < 0 ? `reaches ${sayLength(-room)} over ${edge}` : `lies ${sayLength(room)} from ${edge}`;
  return { before: `${met.where} ${met.name} ${lies}, as `, part: met.part, after: ' says.' };
}

/** The sentence of each measure that has one; of the others it is said where they are, and what they come to. */
const SENTENCES: Partial<Record<MeasureName, (met: Met) => InShort | null>> = {
  crop: notSeen,
  'keep-lost': notSeen,
  'clearance-safe': (met) => tooNear(met, 'safe'),
  'clearance-screen': (met) => tooNear(met, 'screen'),
  enlargement: (met) => {
    const times = measured(met)?.enlargement;
    if (!times) return null;
    return {
      before: `${met.where} each pixel of ${met.name} is drawn ${sayTimes(times)} as large, as there are too few in `,
      part: met.part,
      after: '.',
    };
  },
  contrast: (met) => {
    const ratio = measured(met)?.contrast;
    if (ratio === null || ratio === undefined) return null;
    return {
      before: `${met.where} ${met.name} has a contrast of ${sayContrast(ratio)} with what lies under it; its ink is that of `,
      part: met.part,
      after: '.',
    };
  },
};

/** Whether what is wrong is said by a verb of its own: “has a keep area cut off”, and not “under a cutout”. */
const isVerb = (word: string) =>
  /^(has|lacks|lies|looks|stops|is|does|ends|reaches|touches|misses)\b/.test(word);

/** What a part of a rule is called in a sentence. */
function partOf(at: NonNullable<Reason['part']>, { scene }: SurveyInput): InShort['part'] {
  const layer = scene.layers.find((l) => l.id === at.layerId);
  const keys = at.path.map(String);
  if (layer?.kind === 'picture' && keys.includes('fit')) {
    const preset = presetOf(layer.fit);
    return { text: preset ? FIT_LABELS[preset] : 'its fit', at };
  }
  if (keys.includes('picture')) return { text: 'its picture', at };
  if (keys.includes('style') || keys.includes('tint')) return { text: 'its colour', at };
  return { text: layer && isPlaced(layer) ? 'its rule' : 'the scene', at };
}

/**
 * Why a finding is there, in a sentence of at most 25 words.
 * @param here a case of it that somebody looks at, of which it is said; else of all its cases, with the figures of the worst
 */
export function inShort(
  input: SurveyInput,
  finding: SceneFinding,
  cases: readonly Case[],
  here?: string,
): InShort {
  const on = new Set(openCases(finding).map((f) => f.caseId));
  const looked = here !== undefined && cases.find((c) => c.id === here);
  const where = looked
    ? 'Here'
    : sayWhere(
        cases.filter((c) => on.has(c.id)),
        cases,
      );
  const result = surveyCase(input, looked || cases.find((c) => c.id === finding.worst.caseId)!);
  const layer = result.layers.find((l) => l.id === finding.subject.id);
  const at = finding.part ?? causeOf(input, finding, cases);
  const part = at ? partOf(at, input) : null;
  // The scene as a whole is called so, in the middle of a sentence.
  const name = finding.subject.id === 'scene' ? finding.subject.name.toLowerCase() : finding.subject.name;
  const met: Met = { where, name, finding, layer, part };
  const own = SENTENCES[finding.measure]?.(met);
  if (own && (own.part || finding.measure === 'crop' || finding.measure === 'keep-lost')) return own;
  const after = part ? '.' : '';
  const joined = part ? ', because of ' : '.';
  return {
    before: `${where} ${met.name} ${isVerb(finding.word) ? '' : 'is '}${finding.word}${joined}`,
    part,
    after,
  };
}
