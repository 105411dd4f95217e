import { Documents, sceneWith } from '../project/documents';
import { withTakenBack } from '../project/taken-back';
import { runThrough } from '../findings/trying';
import { findingInLaunch } from '../launch/findings';
import { findCase, type Case } from '../screens/cases';
import { screensFor } from '../icons/slots';
import { surveyCase, surveyInput, type Outside } from '../survey/survey';
import type { Stand, Unit } from './changes';
import { directionOf } from './direction';
import { judgedOn, type Judged, type Key } from './figures';

/** Something that got worse, or better, on the case where it did most. */
export interface Effect {
  source: 'scene' | 'launch' | 'files';
  /** of the scene, the launch or the picture */
  in: string;
  /** what is measured, of a scene; by its id where it was found otherwise */
  key: Key | string;
  caseId: string | null;
  before: Judged | null;
  after: Judged;
}

interface Both {
  before: Stand;
  after: Stand;
  outside: Outside;
}

/** The documents of now with one thing as it was then; `null` where nothing whole comes of it. */
function tried({ before, after }: Both, unit: Unit): Documents | null {
  const { data } = Documents.safeParse(withTakenBack(after.documents, before.documents, unit.changes));
  return data ?? null;
}

/** Makes what asks how a case stood if one thing were as it was then; documents are put together once for each. */
export function createTrial(both: Both) {
  const made = new Map<Unit, Documents | null>();
  const documentsWith = (unit: Unit) => {
    if (!made.has(unit)) made.set(unit, tried(both, unit));
    return made.get(unit)!;
  };
  const { before, after, outside } = both;
  /** A case as its screen was then, where that is what is tried. */
  const caseIn = (documents: Documents, unit: Unit, effect: Effect): Case | null => {
    const { screens } = unit.ofScreens ? before : after;
    const scene = effect.source === 'scene' ? sceneWith(documents, effect.in) : undefined;
    return findCase(effect.caseId!, scene ? screensFor(scene, documents.project, screens) : screens);
  };

  function inScene(documents: Documents, c: Case, { in: id, key }: Effect): Judged | null {
    const scene = sceneWith(documents, id);
    if (!scene) return null;
    return judgedOn(surveyCase(surveyInput(documents, scene, outside), c), key as Key);
  }

  function inLaunch(documents: Documents, c: Case, { in: id, key }: Effect): Judged | null {
    const launch = documents.project.launches?.find((l) => l.id === id);
    if (!launch) return null;
    const { findings } = runThrough(findingInLaunch({ documents, launch, outside, cases: [c] }));
    const on = findings.find((f) => f.id === key)?.cases[0];
    return on && on.accepted === undefined
      ? { value: on.value, outcome: on.outcome, by: on.by }
      : { value: null, outcome: 'clear', by: 0 };
  }

  /** @returns `null` where it cannot be said */
  return (unit: Unit, effect: Effect): Judged | null => {
    const documents = documentsWith(unit);
    const c = documents && caseIn(documents, unit, effect);
    if (!documents || !c) return null;
    try {
      return effect.source === 'scene' ? inScene(documents, c, effect) : inLaunch(documents, c, effect);
    } catch {
      // With one of several changes taken back a scene may be none that can be drawn.
      return null;
    }
  };
}

type Trial = ReturnType<typeof createTrial>;

/** Whether it would not be so without the change: it then is as it was, or nearer to it. */
function isUndone({ before, after }: Effect, without: Judged): boolean {
  const direction = directionOf(before, after);
  if (direction === 'other') return directionOf(before, without) === null;
  return directionOf(before, without) !== direction;
}

const isNearer = ({ before, after }: Effect, without: Judged): boolean =>
  directionOf(before, after) === 'worse'
    ? directionOf(without, after) === 'worse'
    : directionOf(without, after) === 'better';

/** What was not looked at then is there because of a scene or screens that came. */
const isArrival = (unit: Unit, { in: id }: Effect) =>
  unit.ofScreens || (unit.place[0] === 'scenes' && unit.place[1] === id && unit.place.length === 2);

/**
 * From which changes something comes: each without which it would not be so; where several did it together, each without
 * which less of it would be.
 * @returns their numbers
 */
export function causesOf(effect: Effect, units: readonly Unit[], trial: Trial): number[] {
  const numbered = units.map((unit, i) => ({ unit, i }));
  if (effect.source === 'files')
    return numbered
      .filter(({ unit: { place } }) => place[1] === 'pictures' && place[2] === effect.in)
      .map(({ i }) => i);
  if (effect.before === null) return numbered.filter(({ unit }) => isArrival(unit, effect)).map(({ i }) => i);
  const judged = numbered.flatMap(({ unit, i }) => {
    const without = trial(unit, effect);
    return without ? [{ i, without }] : [];
  });
  const alone = judged.filter(({ without }) => isUndone(effect, without));
  const part = alone.length > 0 ? alone : judged.filter(({ without }) => isNearer(effect, without));
  return part.map(({ i }) => i);
}
