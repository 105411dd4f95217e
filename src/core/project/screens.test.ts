import { SCREENS } from '../testing/scenes';
import { firstOwn } from '../screens/own';
import { takeIn, tooMany } from './import-screens';
import { Project, SCHEMA_VERSION } from './project';
import { allScreens, removeScreen, saveScreen, screensIn, setInUse, setWeight, usersOf } from './screens';

const [first, second] = SCREENS.map((s) => s.id) as [string, string];
const own = firstOwn('own-1');
const project = (more: Partial<Project> = {}): Project =>
  Project.parse({
    id: 'p',
    schema: SCHEMA_VERSION,
    name: 'P',
    pictures: [],
    named: [],
    screens: [own],
    limits: [],
    scenes: [],
    ...more,
  });
const ids = (of: Project) => screensIn(SCREENS, of).map((s) => s.id);

it('is looked at on every screen, or on those of the set in use', () => {
  expect(ids(project())).toHaveLength(SCREENS.length + 1);
  const screenSets = [{ id: 'set', name: 'Two', screens: ['own-1', first, 'gone'] }];
  const set = project({ screenSets, setInUse: 'set' });
  expect(ids(set)).toEqual([first, 'own-1']);
  expect(setInUse(set)?.name).toBe('Two');
  expect(ids(project({ screenSets }))).toHaveLength(SCREENS.length + 1);
  expect(
    ids(project({ screenSets: [{ id: 's', name: 'S', screens: ['gone'] }], setInUse: 's' })).length,
  ).toBe(SCREENS.length + 1);
});

it('looks at a new screen also while a set is in use: it joins that set, and no other', () => {
  const screenSets = [
    { id: 'used', name: 'Used', screens: [first] },
    { id: 'other', name: 'Other', screens: [second] },
  ];
  const of = project({ screens: [], screenSets, setInUse: 'used' });
  expect(saveScreen(of, own)?.name).toBe('Used');
  expect(ids(of)).toEqual([first, 'own-1']);
  expect(of.screenSets![1]!.screens).toEqual([second]);
  // One that is changed stays where it is.
  of.screenSets![0]!.screens = [first];
  expect(saveScreen(of, { ...own, label: 'Changed' })).toBeNull();
  expect(ids(of)).toEqual([first]);
  expect(saveScreen(project({ screens: [] }), own)).toBeNull();
});

it('has a screen of the catalogue once, whatever ids its own have', () => {
  const clash = project({ screens: [{ ...own, id: first, label: 'Mine' }] });
  expect(allScreens(SCREENS, clash)).toHaveLength(SCREENS.length);
  expect(allScreens(SCREENS, clash)[0]!.label).toBe(SCREENS[0]!.label);
});

it('weighs screens as somebody has counted them, those that are not named nothing', () => {
  const counted = project({ weights: { source: 'users.csv', of: { [first]: 12, 'own-1': 3 } } });
  const weights = new Map(allScreens(SCREENS, counted).map((s) => [s.id, s.weight]));
  expect([weights.get(first), weights.get('own-1'), weights.get(second)]).toEqual([12, 3, 0]);
  setWeight(counted, second, 5);
  expect(counted.weights!.of[second]).toBe(5);
  setWeight(counted, 'own-1', 9);
  expect(counted.screens[0]!.weight).toBe(9);
});

it('says who uses a screen, and takes it away everywhere else', () => {
  const used = project({
    screenSets: [
      { id: 'a', name: 'Only', screens: ['own-1'] },
      { id: 'b', name: 'Both', screens: ['own-1', first] },
    ],
    accepted: [
      { scene: 's', layer: 'l', measure: 'crop', screens: ['own-1'], reason: 'Fine.' },
      { scene: 's', layer: 'm', measure: 'crop', screens: ['own-1'], reason: 'Fine.' },
    ],
    weights: { source: 'x', of: { 'own-1': 1 } },
  });
  expect(usersOf('own-1', used)).toEqual(['2 accepted findings', 'the set “Only”, which has no other']);
  expect(usersOf(second, used)).toEqual([]);
  const free = project({ ...used, accepted: [], screenSets: [used.screenSets![1]!] });
  removeScreen(free, 'own-1');
  expect([free.screens, free.screenSets![0]!.screens, free.weights!.of]).toEqual([[], [first], {}]);
});

it('refuses a screen that cannot be, by name', () => {
  const wrong = { ...own, label: 'Till', density: 40 };
  expect(() => project({ screens: [wrong] })).toThrow(/Till: 40 px per lu/);
});

it('takes in what a table came to as a whole: screens, weights and a set', () => {
  const plan = {
    joined: [{ screen: SCREENS[0]!, lines: [2], weight: 10 }],
    added: [{ screen: { ...own, id: 'new' }, lines: [3], weight: 4 }],
    bad: [],
    hasWeights: true,
  };
  const after = project();
  expect(tooMany(after, plan)).toBeNull();
  takeIn(after, plan, { source: 'users.csv', setId: 'set-1' });
  expect(after.weights).toEqual({ source: 'users.csv', of: { [first]: 10, new: 4 } });
  expect(ids(after)).toEqual([first, 'new']);
  expect(Project.safeParse(after).success).toBe(true);
  const without = project();
  takeIn(without, { ...plan, hasWeights: false }, { source: 'users.csv', setId: null });
  expect([without.weights, without.screenSets]).toEqual([undefined, undefined]);
  expect(tooMany(project(), { ...plan, added: Array.from({ length: 5000 }, () => plan.added[0]!) })).toMatch(
    /5,001/,
  );
});
