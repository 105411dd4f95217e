import { isScreenOrItsLike, withAxes } from '../screens/axes';
import type { Screen } from '../screens/screen';
import type { ScreenSet } from '../screens/set';
import type { Project } from './project';

type OfScreens = Pick<Project, 'screens' | 'screenSets' | 'setInUse' | 'weights' | 'axes'>;

/** Every screen that a project knows, the catalogue and then its own, each with the weight that it has there. */
export function allScreens(catalogue: readonly Screen[], { screens, weights }: OfScreens): Screen[] {
  const known = new Set(catalogue.map((s) => s.id));
  const all = [...catalogue, ...screens.filter((s) => !known.has(s.id))];
  return weights ? all.map((s) => ({ ...s, weight: weights.of[s.id] ?? 0 })) : all;
}

/** The set that a project is looked at on; `null` for every screen. */
export const setInUse = ({ screenSets = [], setInUse: id }: OfScreens): ScreenSet | null =>
  screenSets.find((s) => s.id === id) ?? null;

/** Every screen that a project knows, in all that it is looked at in besides. */
export const knownScreens = (catalogue: readonly Screen[], project: OfScreens): Screen[] =>
  withAxes(allScreens(catalogue, project), project.axes);

/** The screens that a project is looked at on: those of the set in use, or all, and what they are looked at in besides. */
export function screensIn(catalogue: readonly Screen[], project: OfScreens): Screen[] {
  const all = allScreens(catalogue, project);
  const ids = new Set(setInUse(project)?.screens);
  const chosen = all.filter((s) => ids.has(s.id));
  // A set of screens that are all gone is no set.
  return withAxes(chosen.length > 0 ? chosen : all, project.axes);
}

/** What refers to a screen of the project, in words; nothing of it may be left behind where the screen goes. */
export function usersOf(id: string, { accepted = [], launches = [], screenSets = [] }: Project): string[] {
  const count = (n: number, one: string, many: string) => (n > 0 ? [n === 1 ? one : `${n} ${many}`] : []);
  const onIt = accepted.filter((a) => a.screens.some((s) => isScreenOrItsLike(s, id))).length;
  const ofLaunches = launches
    .flatMap((l) => l.accepted ?? [])
    .filter((a) => a.screens.some((s) => isScreenOrItsLike(s, id))).length;
  const only = screenSets.filter((s) => s.screens.length === 1 && s.screens[0] === id);
  return [
    ...count(onIt, 'an accepted finding', 'accepted findings'),
    ...count(ofLaunches, 'an accepted finding of a launch', 'accepted findings of launches'),
    ...only.map((s) => `the set “${s.name}”, which has no other`),
  ];
}

/** Takes a screen of the project away, out of the sets and weights as well. Whoever asks has looked for users before. */
export function removeScreen(project: Project, id: string): void {
  project.screens = project.screens.filter((s) => s.id !== id);
  for (const set of project.screenSets ?? []) set.screens = set.screens.filter((s) => s !== id);
  if (project.weights) delete project.weights.of[id];
}

/** Has new screens join the set in use, so that they are looked at like those that are there. @returns that set, if there is one */
export function joinSetInUse(project: Project, ids: readonly string[]): ScreenSet | null {
  const set = setInUse(project);
  if (set) set.screens = [...new Set([...set.screens, ...ids])];
  return set;
}

/**
 * Adds a screen, or changes the one of its id. One that is new joins the set in use.
 * @returns the set that it joined; `null` where it was known before, or no set is in use
 */
export function saveScreen(project: Project, screen: Screen): ScreenSet | null {
  const at = project.screens.findIndex((s) => s.id === screen.id);
  if (at < 0) project.screens.push(screen);
  else project.screens[at] = screen;
  setWeight(project, screen.id, screen.weight);
  return at < 0 ? joinSetInUse(project, [screen.id]) : null;
}

/** Gives a screen a weight, where weights are one’s own among those. */
export function setWeight(project: Project, id: string, weight: number): void {
  if (project.weights) project.weights.of[id] = weight;
  const own = project.screens.find((s) => s.id === id);
  if (own) own.weight = weight;
}
