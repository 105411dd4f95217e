import { percent, percentOf } from '../values/values';
import { isRepeating, type Fit, type FitName, type Repeat } from './rule';

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
 * Moves a fit so that the middle of the ink lies where the middle of the file was; it has to fill its box, so that a share of
 * the one is the same share of the other.
 * @param off how far the ink lies off the middle of its file, shares of the file
 */
export function centredByInk(fit: Fit, off: { x: number; y: number }): Fit {
  const at = (share: number) => ({ percent: 50, offset: percent(percentOf(-share)) });
  return { ...fit, align: { kind: 'position', x: at(off.x), y: at(off.y) }, clip: false };
}

/** Per cent by which a shift may differ from that of the ink and still be it. */
const SAME_SHIFT = 0.5;

/**
 * Takes the shift out of a fit that centred it by its ink: what is trimmed to its ink needs none.
 * @param off how far the ink lay off the middle of its file, shares of the file
 */
export function withoutInkShift(fit: Fit, off: { x: number; y: number }): Fit {
  const { align } = fit;
  if (align.kind !== 'position') return fit;
  const isShift = ({ percent: at, offset }: typeof align.x, by: number) =>
    at === 50 && 'unit' in offset && offset.unit === '%' && Math.abs(offset.value + by * 100) <= SAME_SHIFT;
  if (!isShift(align.x, off.x) || !isShift(align.y, off.y)) return fit;
  const middle = { percent: 50, offset: percent(0) };
  return { ...fit, align: { kind: 'position', x: middle, y: middle } };
}

/** Gives a fit another size; a repeated picture has no focal point, so it takes the middle instead. */
export function withPreset(fit: Fit, preset: FitPreset): Fit {
  if (preset !== 'tile') return { ...fit, size: preset, repeat: { x: 'no-repeat', y: 'no-repeat' } };
  const middle = { percent: 50, offset: { value: 0, unit: 'lu' as const } };
  const align: Fit['align'] =
    fit.align.kind === 'focal' ? { kind: 'position', x: middle, y: middle } : fit.align;
  const along = (mode: Repeat) => (mode === 'no-repeat' ? 'repeat' : mode);
  return {
    ...fit,
    // A tile that has a size keeps it, and so does the way in which its copies are fitted in.
    size: typeof fit.size === 'object' ? fit.size : 'natural',
    repeat: { x: along(fit.repeat.x), y: along(fit.repeat.y) },
    align,
  };
}

/** The preset that a fit is: copies both ways of a picture at its natural size or one of its own are a tile; `null` for none. */
export function presetOf({ size, repeat }: Fit): FitPreset | null {
  const isTile = repeat.x !== 'no-repeat' && repeat.y !== 'no-repeat';
  if (isTile) return typeof size === 'object' || size === 'natural' ? 'tile' : null;
  return typeof size === 'object' || isRepeating({ repeat }) ? null : size;
}
