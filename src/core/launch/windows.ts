import type { Documents } from '../project/documents';
import { sameJson } from '../patch/patch';
import type { Scene } from '../scene/scene';
import { targetsOf, stagesOn, type Launch, type ScreenStage } from '../project/launch';
import { asDrawn, type Undrawn } from './system';
import type { Screen } from '../screens/screen';

/** How a stage draws its scene. */
type Way = Pick<ScreenStage, 'system' | 'padding' | 'empty'>;

const isWindow = ({ system }: Way) => system === 'flat' || system === 'icon';

/** In which ways the launches of a project draw a scene, each once. */
function waysOf({ project }: Documents, sceneId: string, screens: readonly Screen[]): Way[] {
  const ways = new Map<string, Way>();
  const add = ({ scene, system, padding, empty }: ScreenStage) => {
    if (scene === sceneId && !empty) ways.set(`${system} ${padding}`, { system, padding, empty });
  };
  const addAll = (launch: Launch) => {
    for (const screen of screens)
      for (const target of targetsOf(launch, screen)) stagesOn(launch, screen, target).forEach(add);
  };
  project.launches?.forEach(addAll);
  return [...ways.values()];
}

const has = (list: readonly Undrawn[], one: Undrawn) => list.some((o) => sameJson(o, one));

/** Whether a window leaves out more of a scene than it did before. */
export function leavesOutMore(before: readonly Undrawn[], after: readonly Undrawn[]): boolean {
  return after.some((o) => !has(before, o));
}

/**
 * Tells of a changed scene whether what draws it can do so. A window of the system that shows the scene may leave out no
 * more of it than before, and where nothing else shows it, the change must be seen there.
 * @param screens those that the project counts
 */
export function windowsAllow(
  documents: Documents,
  sceneId: string,
  screens: readonly Screen[],
): (after: Documents) => boolean {
  const ways = waysOf(documents, sceneId, screens);
  const windows = ways.filter(isWindow);
  const was = (scene: Scene | undefined, way: Way) => (scene ? asDrawn(scene, way) : null);
  return (after) => {
    const drawn = windows.map((way) => ({
      before: was(documents.scenes[sceneId], way),
      after: was(after.scenes[sceneId], way),
    }));
    if (drawn.some((d) => d.before && d.after && leavesOutMore(d.before.outside, d.after.outside)))
      return false;
    const seenElsewhere =
      windows.length < ways.length || !sameJson(documents.project, after.project) || windows.length === 0;
    return seenElsewhere || drawn.some((d) => !sameJson(d.before?.scene, d.after?.scene));
  };
}
