import type { Finding } from '../findings/finding';
import { sayWhere } from '../findings/in-short';
import { ruleOf } from '../findings/rule';
import { byOutcome } from '../measure/judge';
import { MEASURE } from '../measure/limit';
import { ownerName, sayFigure, sayValue } from '../measure/words';
import { PRODUCT_VERSION } from '../review/version';
import type { Review } from '../review/schema';
import type { ReviewProgress } from '../review/review';
import type { SignOff } from '../review/sign-off';
import type { Scene } from '../scene/scene';
import type { Case } from '../screens/cases';
import { countedFor } from '../icons/slots';
import { weightsOf } from '../screens/weights';
import type { Outside } from '../survey/survey';
import { causesOf, createTrial, type Effect } from './causes';
import { unitsBetween, type Stand } from './changes';
import { casesCounted, compareFindings, compareScene, noCases, type Compared, type Group } from './compare';
import { onCase, type Judged, type Key } from './figures';
import { DIRECTIONS, Since, SINCE_SCHEMA, type CaseClasses, type Difference } from './schema';

/** A project now, and as it was signed off. */
export interface SinceInput {
  signOff: Pick<SignOff, 'id' | 'by' | 'why' | 'at' | 'revision' | 'digest' | 'documents' | 'screens'>;
  /** of then, by this version of the product */
  before: Review;
  /** of now */
  review: Review;
  now: Stand;
  /** fonts, and the pixels of the files of both */
  outside: Outside;
}

type Pairs = Group['pairs'];

/** How far two figures lie apart, in steps that an eye notices, the outcome first. */
function changeOf({ before, after }: Pairs[number], step: number): number {
  const outcomes = Math.abs(byOutcome(before?.outcome ?? 'clear', after.outcome));
  const by = Math.abs(after.by - (before?.by ?? 0)) / step;
  const value = Math.abs((after.value ?? 0) - (before?.value ?? 0)) / step;
  return outcomes * 1e6 + (by || value);
}

const worstOf = (pairs: Pairs, step: number) =>
  pairs.reduce((worst, p) => (changeOf(p, step) > changeOf(worst, step) ? p : worst));

/** What is or was wrong, in words; of what is judged as before, what is measured. */
function wordOf(key: Key, { direction, pairs }: Group, limits: Limits): string {
  if (direction === 'other') return `differs in its ${MEASURE[key.measure].noun}`;
  const broken = pairs.flatMap(({ before, after }) => {
    const one = direction === 'worse' ? after : before;
    if (!one || one.outcome === 'clear' || one.value === null) return [];
    const limit = limits.find(
      (l) => l.measure === key.measure && l.side === key.side && l.outcome === one.outcome,
    );
    return limit ? [{ limit, value: one.value }] : [];
  });
  return broken.length > 0 ? ruleOf(broken).word : MEASURE[key.measure].rule.word;
}
type Limits = SinceInput['now']['documents']['project']['limits'];

const sayOne = (key: Key, judged: Judged | null) =>
  judged?.value == null ? '–' : sayValue(key.measure, judged.value);

/** “crop 42 % → 66 %” */
const sayBoth = (key: Key, { before, after }: Pairs[number]) => {
  const [was, is] = [sayOne(key, before), sayOne(key, after)];
  if (was === '–' && is !== '–') return sayFigure(key.measure, after.value!);
  return `${MEASURE[key.measure].word} ${was} → ${is}`;
};

/** What is the same for every difference of one comparison. */
interface Scope {
  causes: (effect: Effect) => number[];
  weights: ReadonlyMap<string, number>;
}

const weigh = (pairs: Pairs, weights: Scope['weights']) =>
  pairs.reduce((sum, { caseId }) => sum + (caseId === null ? 0 : (weights.get(caseId) ?? 0)), 0);

function sayWhereOf(pairs: Pairs, cases: readonly Case[]): string {
  const on = new Set(pairs.map((p) => p.caseId));
  const found = cases.filter((c) => on.has(c.id));
  // How many they are is said beside it.
  const said = found.length === 0 ? '' : sayWhere(found, cases);
  return /^On \d/.test(said) ? '' : said;
}

/** What is said of any difference: its cases, what they have in common, and the one on which most has changed. */
function onCases(
  { pairs, direction }: Group,
  worst: Pairs[number],
  cases: readonly Case[],
  weights: Scope['weights'],
) {
  return {
    direction,
    cases: pairs.map(onCase),
    where: sayWhereOf(pairs, cases),
    weight: weigh(pairs, weights),
    worst: onCase(worst),
  };
}

function ofScene(
  { scene, cases }: { scene: Scene; cases: readonly Case[] },
  group: Group & { key: Key },
  { causes, weights, limits }: Scope & { limits: Limits },
): Difference {
  const { key, pairs } = group;
  const worst = worstOf(pairs, MEASURE[key.measure].unit.step);
  return {
    id: group.id,
    source: 'scene',
    in: { id: scene.id, name: scene.name },
    subject: { id: key.subject, name: ownerName(key.subject, scene.layers) },
    word: wordOf(key, group, limits),
    measure: key.measure,
    ...(key.side && { side: key.side }),
    ...onCases(group, worst, cases, weights),
    said: sayBoth(key, worst),
    causes: causes({ source: 'scene', in: scene.id, key, ...worst }),
  };
}

/** Of a launch or of files, whose findings say in their own words what they come to. */
function ofFinding(
  group: Group & { key: Finding },
  cases: readonly Case[],
  { causes, weights }: Scope,
): Difference {
  const { key: f, pairs, direction } = group;
  const { source, in: of, subject, word, measure, side } = f;
  const worst = worstOf(pairs, 1);
  return {
    id: group.id,
    source,
    in: of,
    subject,
    word,
    measure,
    ...(side && { side }),
    ...onCases(group, worst, cases, weights),
    said: direction === 'better' ? `was: ${f.said}` : f.said,
    causes: causes({ source, in: of.id, key: f.id, ...worst }),
  };
}

/** What got worse first, the gravest and weightiest of each first. */
const inOrder = (all: readonly Difference[]): Difference[] =>
  all.toSorted(
    (a, b) =>
      DIRECTIONS.indexOf(a.direction) - DIRECTIONS.indexOf(b.direction) ||
      byOutcome(a.worst.after.outcome, b.worst.after.outcome) ||
      b.weight - a.weight ||
      (a.id < b.id ? -1 : 1),
  );

/** The cases of a launch by what became of them. */
function classesOf(
  directions: ReadonlyMap<string, ReadonlySet<string | null>>,
  before: readonly Case[],
  after: readonly Case[],
): CaseClasses {
  const classes = noCases();
  const was = new Set(before.map((c) => c.id));
  for (const { id } of after) {
    const on = directions.get(id);
    if (!was.has(id)) classes.added++;
    else if (on?.has('worse')) classes.worse++;
    else if (on?.has('better')) classes.better++;
    else if (on?.has('other')) classes.differs++;
    else classes.same++;
  }
  const is = new Set(after.map((c) => c.id));
  classes.gone = before.filter((c) => !is.has(c.id)).length;
  return classes;
}

type Part = Since['parts'][number];

function launchesSince({ before, review }: SinceInput, { before: then, after: now }: Compared, scope: Scope) {
  const was = new Set(then.cases.map((c) => c.id));
  const parts: Part[] = [];
  const found = review.launches.flatMap(({ id, name, findings }) => {
    const old = (before.launches.find((l) => l.id === id)?.findings ?? []) as Finding[];
    const { groups, directions } = compareFindings(old, findings as Finding[], (c) => was.has(c));
    parts.push({ id, name, source: 'launch', cases: classesOf(directions, then.cases, now.cases) });
    return groups.map((g) => ofFinding(g, now.cases, scope));
  });
  return { parts, found };
}

const filesSince = ({ before, review }: SinceInput, cases: readonly Case[], scope: Scope): Difference[] => {
  const [was, is] = [before.files, review.files].map((files) =>
    files.flatMap((f) => f.findings as Finding[]),
  );
  return compareFindings(was!, is!, () => true).groups.map((g) => ofFinding(g, cases, scope));
};

/**
 * Says what has changed in a project since it was signed off: what was changed, and what got worse, better or merely differs
 * because of which change. Stops now and then to say how far it is.
 * @returns the same to the byte for the same input
 * @throws what a survey throws
 */
export function* since(input: SinceInput): Generator<ReviewProgress, Since> {
  const { signOff, review, now, outside } = input;
  const then: Stand = { documents: signOff.documents, screens: signOff.screens };
  const units = unitsBetween(then, now);
  const trial = createTrial({ before: then, after: now, outside });
  const compared: Compared = {
    before: { ...then, cases: casesCounted(then) },
    after: { ...now, cases: casesCounted(now) },
    outside,
  };
  const { cases } = compared.after;
  const causes = (effect: Effect) => causesOf(effect, units, trial);
  const scope = { causes, weights: weightsOf(cases), limits: now.documents.project.limits };
  const { scenes } = now.documents.project;
  const sizes = scenes.map(
    (id) => countedFor(now.documents.scenes[id]!, now.documents.project, cases).length,
  );
  const of = sizes.reduce((sum, n) => sum + n, 0);
  const parts: Part[] = [];
  const differences: Difference[] = [];
  let done = 0;
  for (const [i, id] of scenes.entries()) {
    const steps = compareScene(compared, id);
    let step = steps.next();
    for (; !step.done; step = steps.next())
      if (step.value % 25 === 0)
        yield { done: done + step.value, of, doing: `comparing ${now.documents.scenes[id]!.name}` };
    const { scene, groups, classes, cases: own } = step.value;
    parts.push({ id, name: scene.name, source: 'scene', cases: classes });
    const weights = own === cases ? scope.weights : weightsOf(own);
    differences.push(...groups.map((g) => ofScene({ scene, cases: own }, g, { ...scope, weights })));
    done += sizes[i]!;
  }
  const launches = launchesSince(input, compared, scope);
  const { id, by, why, at, revision, digest } = signOff;
  return Since.parse({
    schema: SINCE_SCHEMA,
    version: PRODUCT_VERSION,
    project: review.project,
    signOff: { id, by, why, at, revision, digest },
    now: { revision: review.revision, digest: review.digest },
    changes: units.map(({ title, before, after }) => ({ title, before, after })),
    parts: [...parts, ...launches.parts],
    differences: inOrder([...differences, ...launches.found, ...filesSince(input, cases, scope)]),
  });
}
