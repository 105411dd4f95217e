import fc from 'fast-check';
import { isWorse, withAccepted, type Acceptance } from './accept';
import { Breach } from './judge';
import type { Limit } from './limit';

const crop: Limit = { measure: 'crop', role: 'background', max: 0.5, outcome: 'fail' };
const clear: Limit = { measure: 'clearance-safe', side: 'left', role: 'logo', min: 8, outcome: 'warn' };
const on = { caseId: 'phone.0.light', screenId: 'phone' };
const breach = (limit: Limit, value: number) => new Breach('it', limit, value, 0.1);
const accepted = (limit: Limit, value: number, more: Partial<Acceptance> = {}): Acceptance => ({
  scene: 's',
  layer: 'it',
  measure: limit.measure,
  screens: ['phone'],
  given: [{ case: on.caseId, ...(limit.side && { side: limit.side }), value }],
  reason: 'As drawn',
  ...more,
});
const isAccepted = (b: Breach, a: Acceptance, at = on) =>
  withAccepted([b], at, [a])[0]!.accepted !== undefined;

describe('what is accepted', () => {
  it('is accepted as it was or better, and opens again when it gets worse', () => {
    const value = fc.integer({ min: 51, max: 100 }).map((n) => n / 100);
    fc.assert(
      fc.property(value, value, (was, is) => {
        expect(isAccepted(breach(crop, is), accepted(crop, was))).toBe(is <= was);
      }),
    );
    const near = fc.integer({ min: -100, max: 7 });
    fc.assert(
      fc.property(near, near, (was, is) => {
        expect(isAccepted(breach(clear, is), accepted(clear, was))).toBe(is >= was);
      }),
    );
  });

  it('is so in the orientation and appearance that it was given for, on its side', () => {
    const a = accepted(clear, 4);
    for (const caseId of ['phone.90.light', 'phone.0.dark'])
      expect(isAccepted(breach(clear, 4), a, { ...on, caseId })).toBe(false);
    expect(isAccepted(breach({ ...clear, side: 'right' }, 4), a)).toBe(false);
  });

  it('without values holds on all cases of its screens, as it was accepted earlier', () => {
    const { given: _, ...plain } = accepted(crop, 0);
    expect(isAccepted(breach(crop, 0.99), plain, { ...on, caseId: 'phone.90.dark' })).toBe(true);
    expect(isAccepted(breach(crop, 0.99), plain, { caseId: 'tablet.0.light', screenId: 'tablet' })).toBe(
      false,
    );
  });

  it('does not open again by the last bits of a sum', () => {
    expect(isWorse(breach(crop, 0.6 + 1e-12), 0.6)).toBe(false);
    expect(isWorse(breach(crop, 0.6 + 1e-4), 0.6)).toBe(true);
  });
});
