import type { Breach } from '../measure/judge';
import type { Limit } from '../measure/limit';
import { ruleOf } from './rule';

const breach = (measure: Limit['measure'], value: number): Breach => {
  const limit: Limit = { measure, role: 'logo', min: 0.2, max: 0.6, outcome: 'warn' };
  return { subjectId: 'emblem', limit, value, by: Math.max(0.2 - value, value - 0.6) };
};

describe('what is wrong', () => {
  it('is said exactly where all of it lies at one end of what is accepted', () => {
    const said = (...values: number[]) => ruleOf(values.map((v) => breach('share-width', v)));
    expect(said(0.1, 0.15)).toEqual({ id: 'too-small', word: 'too narrow' });
    expect(said(0.7)).toEqual({ id: 'too-large', word: 'too wide' });
    expect(said(0.1, 0.7)).toEqual({ id: 'too-small-or-large', word: 'too wide or too narrow' });
    expect(ruleOf([breach('share-height', 0.9)]).word).toBe('too high');
    expect(ruleOf([breach('share-area', 0.1)]).word).toBe('too small');
  });

  it('is one thing for a measure that has one bad end', () => {
    expect(ruleOf([breach('crop', 0.9)])).toEqual({ id: 'over-cropped', word: 'cropped too much' });
    expect(ruleOf([breach('clearance-safe', 0.1)]).id).toBe('unsafe');
  });
});
