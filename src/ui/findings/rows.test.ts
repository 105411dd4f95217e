import type { SceneFinding } from '@/core/findings/scene';
import { folded, rowsOf } from './rows';

const finding = (
  id: string,
  { layer = id, rule = 'unsafe', outcome = 'fail' as const, cases = ['a'], accepted = null as string | null },
): SceneFinding =>
  ({
    id,
    rule,
    outcome: accepted === null ? outcome : 'clear',
    subject: { id: layer, name: layer },
    cases: cases.map((caseId) => ({
      caseId,
      value: 1,
      by: 1,
      outcome: 'fail',
      ...(accepted !== null && { accepted }),
    })),
    accepted,
  }) as unknown as SceneFinding;

const weights = new Map([
  ['a', 0.5],
  ['b', 0.3],
  ['c', 0.195],
  ['d', 0.005],
]);

describe('rows of findings', () => {
  it('by cause are one for the same thing on several layers, with each case counted once', () => {
    const rows = rowsOf(
      [
        finding('1', { layer: 'emblem', cases: ['a', 'b'] }),
        finding('2', { layer: 'wordmark', cases: ['b', 'c'] }),
        finding('3', { rule: 'soft', cases: ['a'] }),
      ],
      'cause',
      weights,
    );
    expect(rows.map((r) => r.findings.map((f) => f.id))).toEqual([['1', '2'], ['3']]);
    expect(rows[0]).toMatchObject({ accepted: 0, open: ['fail', 'fail', 'fail'], id: 'unsafe' });
    expect(rows[0]!.weight).toBeCloseTo(0.995, 12);
    expect(rows[1]!.id).toBe('3');
  });

  it('by cause come by outcome, then by weight, what is accepted last and by itself', () => {
    const rows = rowsOf(
      [
        finding('light', { rule: 'r1', cases: ['c'] }),
        finding('heavy', { rule: 'r2', cases: ['a'] }),
        finding('taken', { rule: 'r2', cases: ['a'], accepted: 'so be it' }),
        { ...finding('warn', { rule: 'r3', cases: ['a', 'b'] }), outcome: 'warn' },
      ],
      'cause',
      weights,
    );
    expect(rows.map((r) => r.id)).toEqual(['heavy', 'light', 'warn', 'taken']);
    expect(rows.at(-1)).toMatchObject({ isAccepted: true, open: [], weight: 0 });
  });

  it('by layer are each by itself, those of one layer together', () => {
    const rows = rowsOf(
      [finding('1', { layer: 'x' }), finding('2', { layer: 'y' }), finding('3', { layer: 'x' })],
      'layer',
      weights,
    );
    expect(rows.map((r) => r.id)).toEqual(['1', '3', '2']);
  });

  it('of little weight are folded away, unless there is nothing else', () => {
    const heavy = finding('heavy', { rule: 'r1', cases: ['a'] });
    const little = finding('little', { rule: 'r2', cases: ['d'] });
    const taken = finding('taken', { rule: 'r3', cases: ['a'], accepted: 'yes' });
    const some = folded(rowsOf([heavy, little, taken], 'cause', weights));
    expect([some.shown.map((r) => r.id), some.little.map((r) => r.id)]).toEqual([
      ['heavy', 'taken'],
      ['little'],
    ]);
    const all = folded(rowsOf([little], 'cause', weights));
    expect([all.shown.length, all.little.length]).toEqual([1, 0]);
  });
});
