import type { CutValley } from '@/core/solve/mark';
import { named } from './named';

const when = [{ orientation: 'portrait' as const }, { minWidth: 600 }];
const valley = (cut: CutValley['cut'], own: number, rule: number): CutValley => ({
  fit: 'cover',
  own,
  areas: [],
  position: { x: 0.5, y: 0.5 },
  cut,
  rule,
  low: 0,
  high: Infinity,
});
const labels = (...valleys: CutValley[]) => named(valleys, { when }).map((v) => v.label);

describe('names of curves', () => {
  it('say no more than tells one from the others', () => {
    expect(labels(valley('any', 1.5, -1))).toEqual(['']);
    expect(labels(valley('any', 1.5, -1), valley('portrait', 0.5, 0))).toEqual([
      'cut for the rest',
      'cut for portrait',
    ]);
    expect(labels(valley('any', 1.5, -1), valley('any', 1.49, -1))).toEqual(['file 1.5', 'file 1.49']);
    expect(labels(valley('any', 1.5, -1), valley('any', 1.5, 1))).toEqual([
      'by the usual rule',
      'from 600 lu of width',
    ]);
  });

  it('say all that is needed where no one thing tells them apart', () => {
    const all = labels(valley('any', 1.5, -1), valley('portrait', 0.5, 0), valley('portrait', 0.5, 1));
    expect(all).toEqual([
      'cut for the rest, by the usual rule',
      'cut for portrait, in portrait',
      'cut for portrait, from 600 lu of width',
    ]);
  });

  it('come with keys that are never alike', () => {
    const valleys = [valley('any', 1.5, -1), valley('any', 1.5, 0), valley('portrait', 1.5, -1)];
    expect(new Set(named(valleys, { when }).map((v) => v.key)).size).toBe(3);
  });
});
