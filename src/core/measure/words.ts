import { sayArea, sayContrast, sayLength, sayShare, sayTimes } from '../formats/numbers';
import type { Breach } from './judge';
import type { Limit, MeasureName } from './limit';

/** How a figure of each measure is said after the measure’s word. */
const FIGURES: Record<MeasureName, { word: string; say: (value: number) => string }> = {
  crop: { word: 'crop', say: sayShare },
  bare: { word: 'bare', say: sayShare },
  'bare-screen': { word: 'bare', say: sayShare },
  distortion: { word: 'distorted', say: sayShare },
  enlargement: { word: 'enlarged', say: sayTimes },
  'clearance-safe': { word: 'to safe edge', say: sayLength },
  'clearance-screen': { word: 'to screen edge', say: sayLength },
  'share-width': { word: 'width', say: sayShare },
  'share-height': { word: 'height', say: sayShare },
  'share-area': { word: 'area', say: sayShare },
  'keep-lost': { word: 'keep area cut', say: sayShare },
  'keep-hidden': { word: 'keep area hidden', say: sayShare },
  excess: { word: 'file larger than drawn', say: sayTimes },
  'under-cutout': { word: 'under a cutout', say: sayArea },
  'outside-corner': { word: 'outside of a corner', say: sayArea },
  'under-bar': { word: 'under a bar', say: sayArea },
  'across-fold': { word: 'across the fold', say: sayLength },
  'off-centre': { word: 'off centre', say: sayLength },
  'off-centre-screen': { word: 'off the screen’s centre', say: sayLength },
  'off-centre-safe': { word: 'off the safe area’s centre', say: sayLength },
  overlap: { word: 'overlap', say: sayArea },
  spill: { word: 'outside of its box', say: sayShare },
  'bar-contrast': { word: 'signs on the bar', say: sayContrast },
  grounds: { word: 'grounds', say: String },
  unpaired: { word: 'without a dark half', say: String },
  contrast: { word: 'contrast', say: sayContrast },
  collapse: { word: 'collapsed along', say: (axes) => (axes === 1 ? '1 axis' : `${axes} axes`) },
};

/** “crop 65.3 %”, “enlarged 1.42 ×”, “to safe edge −12 lu” */
export const sayFigure = (measure: MeasureName, value: number) =>
  `${FIGURES[measure].word} ${FIGURES[measure].say(value)}`;

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
  const { say } = FIGURES[limit.measure];
  if (limit.min !== undefined && limit.min === limit.max) return `exactly ${say(limit.min)}`;
  const parts = [
    limit.max === undefined ? null : `at most ${say(limit.max)}`,
    limit.min === undefined ? null : `at least ${say(limit.min)}`,
  ];
  return parts.filter((p) => p !== null).join(' and ');
}

export const sayBreach = (b: Breach, layerName: string) =>
  `${layerName}: ${sayFigure(b.limit.measure, b.value)}, accepted is ${sayLimit(b.limit)}`;
