import type { Finding } from '../findings/finding';
import { countedFor } from '../icons/slots';
import { surveyInput, createSurvey, type CaseResult, type Outside } from '../survey/survey';
import { casesOf, type Case } from '../screens/cases';
import { countedCases } from '../screens/counted';
import { APPEARANCES } from '../values/values';
import { sceneWith } from '../project/documents';
import type { Scene } from '../scene/scene';
import type { Stand } from './changes';
import { directionOf } from './direction';
import { isDrawnAlike, keyOf, pairsOn, type Judged, type Pair } from './figures';
import type { CaseClasses, Direction } from './schema';

/** Something that differs in one way, with every case on which it does. */
export interface Group {
  id: string;
  direction: Direction;
  pairs: { caseId: string | null; before: Judged | null; after: Judged }[];
}

/** Groups by what they are of and in which way it differs. */
export class Groups<K> {
  readonly all = new Map<string, Group & { key: K }>();

  /** @param id by which the key is known */
  add(
    id: string,
    key: K,
    caseId: string | null,
    { before, after }: Pick<Pair, 'before' | 'after'>,
  ): Direction | null {
    const direction = directionOf(before, after);
    if (direction === null) return null;
    const name = `${direction} ${id}`;
    const group = this.all.get(name) ?? { id, direction, key, pairs: [] };
    group.pairs.push({ caseId, before, after });
    this.all.set(name, group);
    return direction;
  }
}

export const noCases = (): CaseClasses => ({ worse: 0, better: 0, differs: 0, same: 0, added: 0, gone: 0 });

/** The cases that a project is judged on. */
export const casesCounted = ({ documents, screens }: Stand): Case[] =>
  countedCases(casesOf(screens, APPEARANCES), documents.project.ratios);

/** One state of a scene, surveyed as it is asked for. */
function surveyed({ documents }: Stand, scene: Scene | undefined, outside: Outside, cases: readonly Case[]) {
  const by = new Map(cases.map((c) => [c.id, c]));
  const next = scene && createSurvey(surveyInput(documents, scene, outside));
  return {
    ids: by,
    on: (id: string): CaseResult | null => {
      const c = by.get(id);
      return c && next ? next(c).result : null;
    },
  };
}

function classOf(
  directions: ReadonlySet<Direction | null>,
  before: CaseResult,
  after: CaseResult,
): keyof CaseClasses {
  if (directions.has('worse')) return 'worse';
  if (directions.has('better')) return 'better';
  return directions.has('other') || !isDrawnAlike(before, after) ? 'differs' : 'same';
}

export interface Compared {
  /** then, and the cases that it was judged on */
  before: Stand & { cases: readonly Case[] };
  after: Stand & { cases: readonly Case[] };
  /** fonts, and the pixels of the files of both */
  outside: Outside;
}

/**
 * A scene on every case of now, beside what it was then. Stops to say how many cases it has been through.
 * @param id of a scene of now
 */
export function* compareScene({ before, after, outside }: Compared, id: string) {
  const [was, is] = [sceneWith(before.documents, id), sceneWith(after.documents, id)!];
  const then = surveyed(
    before,
    was,
    outside,
    was ? countedFor(was, before.documents.project, before.cases) : [],
  );
  const cases = countedFor(is, after.documents.project, after.cases);
  const now = surveyed(after, is, outside, cases);
  const groups = new Groups<Pair['key']>();
  const classes = noCases();
  let through = 0;
  for (const { id: caseId } of cases) {
    const [old, fresh] = [then.on(caseId), now.on(caseId)!];
    const found = new Set(pairsOn(old, fresh).map((p) => groups.add(keyOf(p.key), p.key, caseId, p)));
    classes[old ? classOf(found, old, fresh) : 'added']++;
    through++;
    yield through;
  }
  for (const caseId of then.ids.keys()) if (!now.ids.has(caseId)) classes.gone++;
  return { scene: is, cases, groups: [...groups.all.values()], classes };
}

const NOTHING_FOUND: Judged = { value: null, outcome: 'clear', by: 0 };

/** How a finding stands on each of its cases, or, by `null`, as a whole where it has none; clear where it is accepted. */
function standings(f: Finding | undefined): Map<string | null, Judged> {
  if (!f) return new Map();
  if (f.cases.length === 0) {
    const { value } = f.worst;
    return new Map([[null, { value, outcome: f.outcome, by: f.outcome === 'clear' ? 0 : Math.abs(value) }]]);
  }
  return new Map(
    f.cases.map(({ caseId, value, by, outcome, accepted }) => [
      caseId,
      accepted === undefined ? { value, outcome, by } : { value, outcome: 'clear', by: 0 },
    ]),
  );
}

/**
 * Findings of a launch or of files, then and now: they are compared as they were found.
 * @param isThere whether a case was looked at then
 */
export function compareFindings(
  before: readonly Finding[],
  after: readonly Finding[],
  isThere: (caseId: string) => boolean,
) {
  const ids = [...new Set([...after, ...before].map((f) => f.id))];
  const groups = new Groups<Finding>();
  const directions = new Map<string, Set<Direction | null>>();
  for (const id of ids) {
    const [was, is] = [before.find((f) => f.id === id), after.find((f) => f.id === id)];
    const [old, fresh] = [standings(was), standings(is)];
    for (const caseId of new Set([...fresh.keys(), ...old.keys()])) {
      const pair = {
        before: caseId === null || isThere(caseId) ? (old.get(caseId) ?? NOTHING_FOUND) : null,
        after: fresh.get(caseId) ?? NOTHING_FOUND,
      };
      const direction = groups.add(id, is ?? was!, caseId, pair);
      if (caseId !== null) directions.set(caseId, (directions.get(caseId) ?? new Set()).add(direction));
    }
  }
  return { groups: [...groups.all.values()], directions };
}
