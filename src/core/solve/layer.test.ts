import { demoCases, demoInput } from '../../../demo/testing';
import { fitOf, fitRuleOn } from '../scene/when';
import { distinctCases } from '../screens/likeness';
import { turnedSize } from '../screens/turn';
import type { PictureLayer } from '../scene/scene';
import { survey } from '../survey/survey';
import type { AxisAnswer } from './position';
import { positionOf } from './layer';

const cases = distinctCases(demoCases).map((c) => c.shown);
const input = demoInput('winter-splash-mended');
const layer = input.scene.layers.find((l): l is PictureLayer => l.id === 'harbour')!;

/** Held at a place by one of its rules. @param x and y shares of the free way */
function heldAt(rule: number, x: number, y: number): PictureLayer {
  const after = structuredClone(layer);
  const { align } = fitOf(after, rule);
  if (align.kind !== 'position') throw new Error('This rule has no position.');
  align.x.percent = x * 100;
  align.y.percent = y * 100;
  return after;
}

/** The most that any keep area loses with it, on the cases that take a rule's fit and on all others. */
function lost(after: PictureLayer, rule: number): { own: number; others: number } {
  const scene = { ...input.scene, layers: input.scene.layers.map((l) => (l.id === layer.id ? after : l)) };
  const worst = { own: 0, others: 0 };
  survey({ ...input, scene }, cases).forEach((r, i) => {
    const drawn = r.layers.find((l) => l.id === layer.id);
    if (drawn?.kind !== 'picture') throw new Error('It is not drawn.');
    const most = Math.max(...drawn.measures.keep!.map((k) => k.lost));
    const takes = fitRuleOn(layer, turnedSize(cases[i]!.screen, cases[i]!.rotation)) === rule;
    const side = takes ? 'own' : 'others';
    worst[side] = Math.max(worst[side], most);
  });
  return worst;
}

const interval = (answer: AxisAnswer) => {
  if (answer.kind !== 'held') throw new Error(`No place holds everything: ${answer.kind}.`);
  return answer.interval;
};

describe.each([
  ['the usual rule', -1],
  ['the rule for portrait', 0],
])('the position that %s needs', (_, rule) => {
  const { x, y } = positionOf(layer, input, cases, rule)!;
  const middle = { x: (interval(x).low + interval(x).high) / 2, y: (interval(y).low + interval(y).high) / 2 };

  it('shows everything on the cases that take it, from bound to bound and not beyond', () => {
    expect(lost(heldAt(rule, middle.x, middle.y), rule).own).toBe(0);
    for (const axis of ['x', 'y'] as const) {
      const { low, high } = interval(axis === 'x' ? x : y);
      const at = (value: number) => lost(heldAt(rule, ...both(axis, value)), rule).own;
      expect([at(low + 1e-6), at(high - 1e-6)]).toEqual([0, 0]);
      expect(at(low - 1e-6)).toBeGreaterThan(0);
      expect(at(high + 1e-6)).toBeGreaterThan(0);
    }
  });

  it('says nothing of the others: they stay as they are wherever it holds', () => {
    expect(lost(layer, rule).others).toBe(0);
    expect(lost(heldAt(rule, 0, 0), rule).others).toBe(0);
  });

  const both = (axis: 'x' | 'y', value: number): [number, number] =>
    axis === 'x' ? [value, middle.y] : [middle.x, value];
});

it('of one rule for all cases is what both rules have in common', () => {
  const [usual, turned] = [-1, 0].map((rule) => positionOf(layer, input, cases, rule)!);
  const { when: _, ...single } = layer;
  const together = positionOf(single, input, cases, -1)!;
  for (const axis of ['x', 'y'] as const) {
    const low = Math.max(interval(usual![axis]).low, interval(turned![axis]).low);
    const high = Math.min(interval(usual![axis]).high, interval(turned![axis]).high);
    expect(together[axis]).toEqual(
      low <= high ? { kind: 'held', interval: { low, high } } : expect.objectContaining({ kind: 'pair' }),
    );
  }
});
