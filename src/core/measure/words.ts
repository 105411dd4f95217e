import { sayArea, sayContrast, sayLength, sayNumber, sayRatio, sayShare, sayTimes } from '../words/numbers';
import type { Breach, Outcome } from './judge';
import type { Limit, MeasureName } from './limit';

/** Outcomes have shapes, so that nothing is said by colour alone. */
export const OUTCOME_SHAPES: Record<Outcome, string> = { fail: '▲', warn: '◭', clear: '○' };

/** What a value of a measure is typed as: `factor` times the value, before its unit. */
interface Typed {
  unit: string;
  factor: number;
}
const SHARE: Typed = { unit: '%', factor: 100 };
const LENGTH: Typed = { unit: 'lu', factor: 1 };
const AREA: Typed = { unit: 'lu²', factor: 1 };
const TIMES: Typed = { unit: '×', factor: 1 };
const CONTRAST: Typed = { unit: ': 1', factor: 1 };
const COUNT: Typed = { unit: '', factor: 1 };

/** How a figure of each measure is said after the measure’s word, and typed. */
const MEASURE_WORDS: Record<MeasureName, { word: string; say: (value: number) => string; typed: Typed }> = {
  crop: { word: 'crop', say: sayShare, typed: SHARE },
  bare: { word: 'bare', say: sayShare, typed: SHARE },
  'bare-screen': { word: 'bare', say: sayShare, typed: SHARE },
  distortion: { word: 'distorted', say: sayShare, typed: SHARE },
  enlargement: { word: 'enlarged', say: sayTimes, typed: TIMES },
  'clearance-safe': { word: 'to safe edge', say: sayLength, typed: LENGTH },
  'clearance-screen': { word: 'to screen edge', say: sayLength, typed: LENGTH },
  'share-width': { word: 'width', say: sayShare, typed: SHARE },
  'share-height': { word: 'height', say: sayShare, typed: SHARE },
  'share-area': { word: 'area', say: sayShare, typed: SHARE },
  'keep-lost': { word: 'keep area cut', say: sayShare, typed: SHARE },
  'keep-hidden': { word: 'keep area hidden', say: sayShare, typed: SHARE },
  excess: { word: 'file larger than drawn', say: sayTimes, typed: TIMES },
  'under-cutout': { word: 'under a cutout', say: sayArea, typed: AREA },
  'outside-corner': { word: 'outside of a corner', say: sayArea, typed: AREA },
  'under-bar': { word: 'under a bar', say: sayArea, typed: AREA },
  'across-fold': { word: 'across the fold', say: sayLength, typed: LENGTH },
  'off-centre': { word: 'off centre', say: sayLength, typed: LENGTH },
  'off-centre-screen': { word: 'off the screen’s centre', say: sayLength, typed: LENGTH },
  'off-centre-safe': { word: 'off the safe area’s centre', say: sayLength, typed: LENGTH },
  overlap: { word: 'overlap', say: sayArea, typed: AREA },
  spill: { word: 'outside of its box', say: sayShare, typed: SHARE },
  'bar-contrast': { word: 'signs on the bar', say: sayContrast, typed: CONTRAST },
  grounds: { word: 'grounds', say: String, typed: COUNT },
  unpaired: { word: 'without a dark half', say: String, typed: COUNT },
  contrast: { word: 'contrast', say: sayContrast, typed: CONTRAST },
  'missing-letters': { word: 'letters missing', say: String, typed: COUNT },
  'cut-off': { word: 'cut off', say: sayShare, typed: SHARE },
  shortened: { word: 'letters left out', say: String, typed: COUNT },
  'letter-size': { word: 'letters of', say: sayLength, typed: LENGTH },
  collapse: {
    word: 'collapsed along',
    say: (axes) => (axes === 1 ? '1 axis' : `${axes} axes`),
    typed: COUNT,
  },
};

/** Measures as nouns, where the word before a figure is none. */
const NOUNS: Partial<Record<MeasureName, string>> = {
  'bare-screen': 'bare part of the screen',
  bare: 'bare part of its box',
  distortion: 'distortion',
  enlargement: 'enlargement',
  'clearance-safe': 'distance to the safe area’s edge',
  'clearance-screen': 'distance to the screen’s edge',
  'share-width': 'share of the screen’s width',
  'share-height': 'share of the screen’s height',
  'share-area': 'share of the screen’s area',
  'keep-lost': 'cut part of a keep area',
  'keep-hidden': 'hidden part of a keep area',
  excess: 'excess of the file’s pixels',
  'under-cutout': 'area under a cutout',
  'outside-corner': 'area outside of a corner',
  'under-bar': 'area under a bar',
  'across-fold': 'length across the fold',
  'off-centre': 'distance from its centre',
  'off-centre-screen': 'distance from the screen’s centre',
  'off-centre-safe': 'distance from the safe area’s centre',
  spill: 'part outside of its box',
  'bar-contrast': 'contrast of the signs',
  grounds: 'number of grounds',
  unpaired: 'number of missing dark halves',
  collapse: 'number of collapsed axes',
  'missing-letters': 'number of letters that the font lacks',
  'cut-off': 'part of what is drawn that is cut off',
  shortened: 'number of letters that are left out',
  'letter-size': 'size of letters',
};
/** What a measure is called where it is not followed by a figure. */
export const measureNoun = (measure: MeasureName) => NOUNS[measure] ?? MEASURE_WORDS[measure].word;
export const typedAs = (measure: MeasureName) => MEASURE_WORDS[measure].typed;
/** A value of a measure with its unit: “65.3 %”. */
export const sayValue = (measure: MeasureName, value: number) => MEASURE_WORDS[measure].say(value);

/** “crop 65.3 %”, “enlarged 1.42 ×”, “to safe edge −12 lu” */
export const sayFigure = (measure: MeasureName, value: number) =>
  `${MEASURE_WORDS[measure].word} ${MEASURE_WORDS[measure].say(value)}`;

/** Less than this of what is typed is not said. */
const LEAST_SAID = 0.05;

/** “crop −66.3 %”, “to safe edge +12 lu”; `null` for next to nothing. @param by in the measure’s own unit */
export function sayChange(measure: MeasureName, by: number): string | null {
  const { word, typed } = MEASURE_WORDS[measure];
  const amount = Math.abs(by) * typed.factor;
  if (amount < LEAST_SAID) return null;
  const unit = typed === CONTRAST || typed === COUNT ? '' : ` ${typed.unit}`;
  const said = typed === SHARE || typed === TIMES ? sayRatio(amount) : sayNumber(amount);
  return `${word} ${by > 0 ? '+' : '−'}${said}${unit}`;
}

const BARS: Record<string, string> = {
  'bar:status': 'Status bar',
  'bar:title': 'Title bar',
  'bar:navigation': 'Navigation bar',
  scene: 'The scene',
};

/** What a breach is of: the name of the layer, of a bar, or the scene. */
export const ownerName = (id: string, layers: readonly { id: string; name: string }[]): string =>
  BARS[id] ?? layers.find((l) => l.id === id)?.name ?? id;

/** “at most 50 %”, “at least 8 lu” */
export function sayLimit(limit: Limit): string {
  const { say } = MEASURE_WORDS[limit.measure];
  if (limit.max === 0 && MEASURE_WORDS[limit.measure].typed === COUNT) return 'none';
  if (limit.min !== undefined && limit.min === limit.max) return `exactly ${say(limit.min)}`;
  const parts = [
    limit.max === undefined ? null : `at most ${say(limit.max)}`,
    limit.min === undefined ? null : `at least ${say(limit.min)}`,
  ];
  return parts.filter((p) => p !== null).join(' and ');
}

export const sayBreach = (b: Breach, layerName: string) =>
  `${layerName}: ${sayFigure(b.limit.measure, b.value)}, accepted is ${sayLimit(b.limit)}`;
