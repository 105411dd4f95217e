import { sayLetters } from '@/core/words/words';
import {
  sayArea,
  sayContrast,
  sayDensity,
  sayLength,
  sayNumber,
  sayPixels,
  sayRatio,
  sayShare,
} from '@/core/words/numbers';
import type { FigureName } from '@/core/measure/descriptor';
import { SIDES } from '@/core/geometry/rect';
import type { PictureResult, PlacedResult, TextResult } from '@/core/survey/survey';
import { asked, type Maybe } from './figures';

/** A hair’s breadth: less than what is said of it. */
const HAIR = 0.05;

/** What hides a layer, or what it lies across; a background is meant to. */
export function acrossRows({ id, role, measures }: PlacedResult): Maybe[] {
  const { intrusion, overlap } = measures;
  if (role === 'background' || !intrusion) return [];
  const { cutout, corner, bar, fold } = intrusion;
  const row = (label: string, name: FigureName, value: number, say: (v: number) => string) =>
    value > HAIR && { label, value: asked(id, label).one(name, say(value)), measure: 'crop' };
  return [
    row('Under a cutout', 'under-cutout', cutout, sayArea),
    row('Outside a corner', 'outside-corner', corner, sayArea),
    row('Under a bar', 'under-bar', bar, sayArea),
    row('Across a fold', 'across-fold', fold, sayLength),
    row('Across other layers', 'overlap', overlap, sayArea),
  ];
}

/** How the drawing lies to where it is meant to be: in its box, in the middle, on the device’s grid. */
export function lieRows({ id, kind, role, measures }: PlacedResult): Maybe[] {
  const { spill, offCentre, subPixel } = measures;
  const off = (['x', 'y'] as const).map((axis) => offCentre[axis]?.own ?? 0);
  return [
    spill > 0 && {
      label: 'Outside its box',
      title: 'share of the drawing that its box does not cut off',
      value: asked(id, 'Outside its box').one('spill', sayShare(spill)),
    },
    off.some((v) => Math.abs(v) > HAIR) && {
      label: 'Ink off its middle',
      title: 'to the right · down',
      value: asked(id, 'Ink off its middle').one('off-centre', `${off.map(sayNumber).join(' · ')} lu`),
    },
    kind !== 'text' &&
      role !== 'background' &&
      SIDES.some((side) => subPixel[side] > 0.01) && {
        label: 'Off the device’s grid',
        title: 'left · right · top · bottom; it is drawn on the nearest lines',
        value: <>{asked(id, 'Off the device’s grid').sides('sub-pixel', subPixel, sayPixels)} px</>,
      },
  ];
}

const sayFile = ({ rendition }: PictureResult) =>
  rendition.vector
    ? `vector, ${rendition.appearance}`
    : `${rendition.widthPx} × ${rendition.heightPx} px, ${sayDensity(rendition.density)}x, ${rendition.appearance}`;

const sayLines = ({ lines, shortened }: TextResult) =>
  `${lines.length} ${lines.length === 1 ? 'line' : 'lines'}${shortened ? ', shortened' : ''}`;

/** What it is drawn from, and how it stands to what is around it. */
export function otherRows(layer: PlacedResult): Maybe[] {
  const { id, measures } = layer;
  const { enlargement, clearance, contrast } = measures;
  return [
    layer.kind === 'picture' && {
      label: 'File',
      value: asked(id, 'File').one('file', sayFile(layer)),
    },
    layer.kind === 'picture' &&
      enlargement !== null && {
        label: 'Device px per file px',
        title: `${layer.rendition.widthPx} × ${layer.rendition.heightPx} px in the file`,
        value: asked(id, 'Device px per file px').one('enlargement', sayRatio(enlargement)),
        measure: enlargement > 1 ? 'enlargement' : undefined,
      },
    layer.kind === 'text' && {
      label: 'Set in',
      title: layer.shortened ? 'ends with an ellipsis: not all of it fits' : undefined,
      value: (
        <>
          {asked(id, 'Set in').one('font-size', `${sayNumber(layer.fontSize)} lu`)}, {sayLines(layer)}
        </>
      ),
    },
    layer.kind === 'text' &&
      layer.missing.length > 0 && {
        label: 'Letters missing',
        title: 'its font does not have them: a box is drawn for each',
        value: asked(id, 'Letters missing').one('missing-letters', sayLetters(layer.missing)),
        measure: 'crop',
      },
    contrast !== null && {
      label: 'Contrast',
      title: 'WCAG ratio with what lies under it, in nine tenths of 8 × 8 tiles',
      value: asked(id, 'Contrast').one('contrast', sayContrast(contrast)),
    },
    clearance && {
      label: 'To the safe edges',
      value: <>{asked(id, 'To the safe edge').sides('clearance', clearance.safe, sayNumber)} lu</>,
      title: 'left · right · top · bottom; negative is outside',
    },
  ];
}
