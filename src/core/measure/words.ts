import { sayContrast, sayLength, sayShare, sayTimes } from '../formats/numbers';
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
  contrast: { word: 'contrast', say: sayContrast },
  collapse: { word: 'collapsed along', say: (axes) => (axes === 1 ? '1 axis' : `${axes} axes`) },
};

/** “crop 65.3 %”, “enlarged 1.42 ×”, “to safe edge −12 lu” */
export const sayFigure = (measure: MeasureName, value: number) =>
  `${FIGURES[measure].word} ${FIGURES[measure].say(value)}`;

/** “at most 50 %”, “at least 8 lu” */
export function sayLimit(limit: Limit): string {
  const { say } = FIGURES[limit.measure];
  const parts = [
    limit.max === undefined ? null : `at most ${say(limit.max)}`,
    limit.min === undefined ? null : `at least ${say(limit.min)}`,
  ];
  return parts.filter((p) => p !== null).join(' and ');
}

export const sayBreach = (b: Breach, layerName: string) =>
  `${layerName}: ${sayFigure(b.limit.measure, b.value)}, accepted is ${sayLimit(b.limit)}`;
