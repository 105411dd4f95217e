import type { ImportPlan } from '../screens/import';
import { MOST_SCREENS } from '../screens/set';
import type { Project } from './project';
import { joinSetInUse } from './screens';

export interface ImportWanted {
  /** where weights are from, such as the name of the file */
  source: string;
  /** an id for a set of the screens that come, which is then in use; `null` for none */
  setId: string | null;
}

/** Why so many screens cannot be taken in; `null` where they can. */
export function tooMany(project: Project, { added }: ImportPlan): string | null {
  const after = project.screens.length + added.length;
  return after > MOST_SCREENS
    ? `A project has up to ${MOST_SCREENS.toLocaleString('en')} screens of its own; with these there would be ${after.toLocaleString('en')}.`
    : null;
}

/** Takes in what a table came to: new screens, weights where it has some, and a set of what it names. */
export function takeIn(project: Project, plan: ImportPlan, { source, setId }: ImportWanted): void {
  const { joined, added, hasWeights } = plan;
  project.screens.push(...added.map(({ screen }) => screen));
  const all = [...joined, ...added];
  if (hasWeights)
    project.weights = {
      source: source.slice(0, 120),
      of: Object.fromEntries(all.map(({ screen, weight }) => [screen.id, weight])),
    };
  if (setId && all.length > 0) {
    const screens = all.map(({ screen }) => screen.id);
    (project.screenSets ??= []).push({ id: setId, name: `from ${source}`.slice(0, 60).trim(), screens });
    project.setInUse = setId;
  }
  // Without a set of their own they are looked at in the one that is in use.
  if (!setId)
    joinSetInUse(
      project,
      added.map(({ screen }) => screen.id),
    );
}
