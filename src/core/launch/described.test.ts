import { launchOf, stage } from '../testing/launches';
import { inputOf } from '../testing/scenes';
import { undescribed, withSystemFirst } from './described';
import { newLaunch } from './new';

const flat = stage({ system: 'flat' });

describe('a launch', () => {
  it('is described whole from a window of the system to the first screen of the app', () => {
    expect(undescribed(launchOf([flat, stage()]))).toEqual([]);
    expect(undescribed(launchOf([stage()]))).toEqual([
      'what the system shows before the app can draw: say of the first stage which window it is',
      'the first screen of the app: add it as the last stage',
    ]);
    expect(undescribed(launchOf([flat]))).toEqual(['the first screen of the app: add it as the last stage']);
    expect(undescribed(launchOf([stage(), stage()]))).toHaveLength(1);
  });

  it('never begins with a stage that the app draws, whatever is moved to its beginning', () => {
    const moved = withSystemFirst([stage({ enter: 'fade' }), flat]);
    expect(moved.map((s) => [s.system, s.enter])).toEqual([
      ['layout', 'none'],
      ['flat', 'none'],
    ]);
    const { scene } = inputOf([], []);
    for (const roles of [['screen'], ['splash', 'screen'], ['first-window', 'splash']] as const) {
      const launch = newLaunch(
        roles.map((role, i) => ({ ...scene, id: `${i}`, role })),
        () => 'new',
      );
      expect(launch.stages[0]!.system).not.toBe('app');
      expect(undescribed(launch)).toHaveLength(roles.length > 1 ? 0 : 1);
    }
  });
});
