import { SCREENS } from '../testing/scenes';
import type { Evidence } from '../project/proof';
import type { Launch, Target } from '../project/launch';
import {
  CHECKLIST,
  checkedOf,
  countTicked,
  deviceTargets,
  evidenceFor,
  sayTicked,
  withChecked,
} from './checklist';

const target = (id: string, more: Partial<Target> = {}): Target => ({
  ...{ id, name: `Target ${id}`, families: [], kinds: ['tablet'], ids: [], system: 'flat' },
  ...more,
});
const launch = (...targets: Target[]) => ({ targets }) as unknown as Launch;
const [one, other] = CHECKLIST;
const ticked = (check: string, of: string, note = '', done = true) => ({
  ...{ check, target: of, done, note, at: '2026-01-05T09:00:00.000Z' },
});

describe('what is looked at on a real device', () => {
  it('is a list of things that each have a name of their own', () => {
    expect(new Set(CHECKLIST.map((c) => c.id)).size).toBe(CHECKLIST.length);
  });

  it('is for each target of the launches, and for every screen where there is none', () => {
    expect(deviceTargets([])).toEqual([{ id: 'all', name: 'Every screen', target: null }]);
    expect(deviceTargets([launch(target('a'), target('b', { versions: 'from 12 on' }))])).toMatchObject([
      { id: 'a', name: 'Target a' },
      { id: 'b', name: 'Target b, from 12 on' },
    ]);
  });

  it('is counted over all targets, and not twice', () => {
    const launches = [launch(target('a'), target('b'))];
    let checked = withChecked(undefined, ticked(one!.id, 'a'));
    checked = withChecked(checked, ticked(one!.id, 'a', 'with the slow one'));
    checked = withChecked(checked, ticked(one!.id, 'b'));
    checked = withChecked(checked, ticked(other!.id, 'b', 'a gap at the left', false));
    expect(checked).toHaveLength(3);
    expect(checkedOf(checked, 'a', one!.id)?.note).toBe('with the slow one');
    expect([countTicked(checked, 'a'), countTicked(checked, 'b')]).toEqual([1, 1]);
    expect(sayTicked({ launches, checked })).toBe(`2 of ${2 * CHECKLIST.length}`);
    // What a target that is gone was ticked for counts for none.
    expect(sayTicked({ launches: [launch(target('a'))], checked })).toBe(`1 of ${CHECKLIST.length}`);
  });

  it('is forgotten where it is neither ticked nor noted', () => {
    const checked = withChecked(undefined, ticked(one!.id, 'a'));
    expect(withChecked(checked, ticked(one!.id, 'a', '', false))).toBeUndefined();
  });

  it('has the screenshots of its screens', () => {
    const tablet = SCREENS.find((s) => s.kind === 'tablet')!;
    const phone = SCREENS.find((s) => s.kind === 'phone')!;
    const shots = [tablet, phone].map((s) => ({ id: s.id, case: `${s.id}.90.dark` }) as Evidence);
    const [ofTablets] = deviceTargets([launch(target('a'))]);
    expect(evidenceFor(shots, ofTablets!, SCREENS)).toEqual([shots[0]]);
    expect(evidenceFor(shots, deviceTargets()[0]!, SCREENS)).toEqual(shots);
  });
});
