import { percent, percentOf } from '../scene/values';
import { isRepeating, type Fit, type FitName } from './rule';

/** The sizes of fit that a picture is tried with, and tile: natural size, repeated both ways. */
export const FIT_PRESETS = [
  'cover',
  'contain',
  'stretch',
  'natural',
  'scale-down',
  'tile',
  'match-width',
  'match-height',
] as const satisfies readonly (FitName | 'tile')[];
export type FitPreset = (typeof FIT_PRESETS)[number];

/** What each is called. */
export const FIT_LABELS: Record<FitPreset, string> = {
  cover: 'cover',
  contain: 'contain',
  stretch: 'stretch',
  natural: 'natural',
  'scale-down': 'scale down',
  tile: 'tile',
  'match-width': 'match width',
  'match-height': 'match height',
};

/**
 * The same fit with the middle of the ink where the middle of the file was; it has to fill its box, so that a share of
 * the one is the same share of the other.
 * @param off how far the ink lies off the middle of its file, shares of the file
 */
export function centredByInk(fit: Fit, off: { x: number; y: number }): Fit {
  const at = (share: number) => ({ percent: 50, offset: percent(percentOf(-share)) });
  return { ...fit, align: { kind: 'position', x: at(off.x), y: at(off.y) }, clip: false };
}

/** The same fit with another size; a repeated picture has no focal point, so it takes the middle instead. */
export function withPreset(fit: Fit, preset: FitPreset): Fit {
  if (preset !== 'tile') return { ...fit, size: preset, repeat: { x: 'no-repeat', y: 'no-repeat' } };
  const middle = { percent: 50, offset: { value: 0, unit: 'lu' as const } };
  const align: Fit['align'] =
    fit.align.kind === 'focal' ? { kind: 'position', x: middle, y: middle } : fit.align;
  return { ...fit, size: 'natural', repeat: { x: 'repeat', y: 'repeat' }, align };
}

/** The preset that a fit is, or `null` for an explicit size or another way of repeating. */
export function presetOf({ size, repeat }: Fit): FitPreset | null {
  if (typeof size === 'object') return null;
  if (!isRepeating({ repeat })) return size;
  return size === 'natural' && repeat.x === 'repeat' && repeat.y === 'repeat' ? 'tile' : null;
}
