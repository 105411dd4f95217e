import { launchOf, stage, target } from '../testing/launches';
import { SCREENS, UPRIGHT } from '../testing/scenes';
import { coverageOf, stagesOn, targetOf } from '../project/launch';

describe('targets', () => {
  it('take in screens by family and kind together, and by id', () => {
    const phones = target({ id: 'phones', families: ['whole-number'], kinds: ['phone'] });
    const one = target({ id: 'one', ids: ['tv-960x540-2x'], system: 'flat' });
    const launch = launchOf([stage({ system: 'flat' }), stage()], { targets: [phones, one] });
    for (const s of SCREENS) {
      const expected = s.family === 'whole-number' && s.kind === 'phone' ? 'phones' : null;
      expect(targetOf(launch, s)?.id ?? null).toBe(s.id === 'tv-960x540-2x' ? 'one' : expected);
    }
    const { claimedTwice, unclaimed } = coverageOf(launch, SCREENS);
    expect(claimedTwice).toEqual([]);
    expect(unclaimed.length).toBe(SCREENS.filter((s) => targetOf(launch, s) === null).length);
    const twice = { ...launch, targets: [phones, target({ id: 'again', kinds: ['phone'] })] };
    expect(coverageOf(twice, SCREENS).claimedTwice.length).toBeGreaterThan(0);
  });

  it('give the first stage their own window, and none where they are switched off', () => {
    const { screen } = UPRIGHT;
    const own = target({ ids: [screen.id], system: 'icon', scene: 'own', padding: 0.1 });
    const launch = launchOf([stage({ system: 'flat' }), stage({ id: 'b' })], { targets: [own] });
    expect(stagesOn(launch, screen)[0]).toMatchObject({
      system: 'icon',
      scene: 'own',
      padding: 0.1,
      empty: false,
    });
    expect(stagesOn(launch, screen)[1]).toMatchObject({ system: 'app', scene: 's', padding: 0 });
    const off = { ...launch, targets: [{ ...own, off: true }] };
    expect(stagesOn(off, screen)[0]!.empty).toBe(true);
    expect(stagesOn({ ...launch, targets: [] }, screen)[0]).toMatchObject({ system: 'flat', scene: 's' });
  });
});
