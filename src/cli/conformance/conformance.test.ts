import { readFileSync } from 'node:fs';
import path from 'node:path';
import { lu } from '@/core/values/values';
import { cssPosition, cssRepeat } from './css';
import { runConformance } from './run';

const read = (name: string) => readFileSync(path.resolve('data/conformance', `${name}.jsonl`), 'utf8');
const lines = (text: string) => text.trim().split('\n');

describe('conformance with a browser engine', () => {
  it('holds for every case of object-fit, background, svg-par and aspect-box', () => {
    const result = runConformance(read('fit-cases'));
    expect(result).toEqual({ passed: 328, failed: 0, skipped: 0, misses: [] });
  });

  it('holds for every case of placing', () => {
    const result = runConformance(read('placing-cases'));
    expect(result).toEqual({ passed: 296, failed: 0, skipped: 0, misses: [] });
  });

  it('holds for positions that count from the right or the bottom', () => {
    const result = runConformance(read('end-edge-cases'));
    expect(result).toEqual({ passed: 74, failed: 0, skipped: 0, misses: [] });
  });

  it('fails a case whose expectation is off by more than its tolerance, in any figure', () => {
    const tiled = lines(read('fit-cases'))
      .map((l) => JSON.parse(l) as { expected: Record<string, Record<string, number>>; quirk?: string })
      .find((c) => c.expected.tiles?.pitchX && c.expected.tiles.pitchY && !c.quirk)!;
    for (const [part, figures] of Object.entries(tiled.expected)) {
      for (const key of Object.keys(figures)) {
        const wrong = structuredClone(tiled);
        wrong.expected[part]![key]! += 5;
        expect(runConformance(JSON.stringify(wrong))).toMatchObject({ passed: 0, failed: 1 });
      }
    }
  });

  it('counts what it does not know as skipped and what it cannot read as failed', () => {
    const text = '{"id":"a","rule":{"kind":"something"}}\n\nnot json\n';
    const result = runConformance(text);
    expect(result).toMatchObject({ passed: 0, failed: 1, skipped: 1 });
    expect(result.misses[0]).toMatch(/^line 3: /);
  });
});

describe('CSS positions', () => {
  const at = (px: number, ox: number, py: number, oy: number) => ({
    kind: 'position',
    x: { percent: px, offset: lu(ox) },
    y: { percent: py, offset: lu(oy) },
  });
  it.each([
    ['10% 62.5%', at(10, 0, 62.5, 0)],
    ['12px 30px', at(0, 12, 0, 30)],
    ['left top', at(0, 0, 0, 0)],
    ['bottom right', at(100, 0, 100, 0)],
    ['right 10px bottom 20px', at(100, -10, 100, -20)],
    ['right 10px center', at(100, -10, 50, 0)],
    ['top', at(50, 0, 0, 0)],
    ['left', at(0, 0, 50, 0)],
    ['center', at(50, 0, 50, 0)],
  ])('%s', (text, expected) => expect(cssPosition(text)).toEqual(expected));

  // CSS Values 4 §9: an offset from the far edge is taken off 100 %, so that a percentage of it stays a percentage.
  it.each([
    ['right 5% top 12px', at(95, 0, 0, 12)],
    ['bottom 25% left 10%', at(10, 0, 75, 0)],
    ['right -8px bottom 0%', at(100, 8, 100, 0)],
    ['top 3px right', at(100, 0, 0, 3)],
    ['left 5px top', at(0, 5, 0, 0)],
    ['center right 20%', at(80, 0, 50, 0)],
    ['calc(100% - 6px) 50%', at(100, -6, 50, 0)],
    ['calc(20% + 4px) calc(2px + 30%)', at(20, 4, 30, 2)],
  ])('from the end edge: %s', (text, expected) => expect(cssPosition(text)).toEqual(expected));

  it.each(['left right', 'left 5% 10px', 'top 1px bottom 2px', '1px 2px 3px 4px', 'top 10%', '10% left', ''])(
    'refuse “%s”, which is no position',
    (text) => expect(() => cssPosition(text)).toThrow('is not a position'),
  );

  it('refuse what is not a length', () => expect(() => cssPosition('1em 2em')).toThrow('“1em”'));

  it.each([
    ['repeat-x', { x: 'repeat', y: 'no-repeat' }],
    ['space round', { x: 'space', y: 'round' }],
    ['round', { x: 'round', y: 'round' }],
  ])('repeat: %s', (text, expected) => expect(cssRepeat(text)).toEqual(expected));
});
