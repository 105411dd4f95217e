import { checkFiles } from '../files/check';
import { findingsOf, withParts, type Judged } from '../findings/scene';
import { undescribed } from '../launch/described';
import { findingInLaunch } from '../launch/findings';
import type { Ink } from '../pixels/ink';
import { USUAL_DENSITIES } from '../pictures/master';
import { filesOf, scenesInOrder, type Documents } from '../project/documents';
import type { Launch } from '../project/launch';
import { hasToJudge } from '../scene/layers';
import { setInUse } from '../project/screens';
import type { Scene } from '../scene/scene';
import { countedFor } from '../icons/slots';
import { casesOf, type Case } from '../screens/cases';
import { countedCases } from '../screens/counted';
import type { Screen } from '../screens/screen';
import { weightsOf } from '../screens/weights';
import { gatherNeeded, type Gathering } from '../survey/needed';
import { createSurvey, surveyInput, type Outside } from '../survey/survey';
import { countCases, countOf } from '../words/words';
import { APPEARANCES } from '../values/values';
import { caseCounts, foundCounts } from './counts';
import { Review, REVIEW_SCHEMA } from './schema';
import { PRODUCT_VERSION } from './version';

/** Everything that a project is judged by. */
export interface ReviewInput {
  documents: Documents;
  revision: number;
  /** as `digestOf` says it */
  digest: string;
  /** every screen that the project is looked at on */
  screens: readonly Screen[];
  /** fonts, and the pixels of all files */
  outside: Outside;
  /** where the ink of files lies, by their hash, as far as it is known */
  ink: ReadonlyMap<string, Ink>;
}

/** How far a review is. */
export interface ReviewProgress {
  /** cases of all scenes and launches that it has been through */
  done: number;
  of: number;
  /** what it is at */
  doing: string;
}

/** It is said how far a review is each time so many cases more are through. */
const SAID_EACH = 25;

/** What is the same for every part of one review. */
interface Scope extends ReviewInput {
  cases: readonly Case[];
  weights: ReadonlyMap<string, number>;
}

function* reviewScene({ documents, outside, ...scope }: Scope, scene: Scene, needed: Gathering) {
  const cases = countedFor(scene, documents.project, scope.cases);
  const weights = cases === scope.cases ? scope.weights : weightsOf(cases);
  const input = surveyInput(documents, scene, outside);
  const next = createSurvey(input);
  const judged: Judged[] = [];
  for (const c of cases) {
    const { result } = next(c);
    needed.add(result, c);
    judged.push({ id: result.id, breaches: result.breaches });
    yield judged.length;
  }
  const findings = withParts(input, findingsOf(scene, judged, cases), cases);
  return {
    id: scene.id,
    name: scene.name,
    role: scene.role,
    ...caseCounts(findings, cases, weights),
    found: foundCounts(findings),
    findings,
  };
}

function* reviewLaunch({ documents, outside, cases, weights }: Scope, launch: Launch) {
  const { findings } = yield* findingInLaunch({ documents, launch, outside, cases });
  const { id, name } = launch;
  return { id, name, ...caseCounts(findings, cases, weights), found: foundCounts(findings), findings };
}

function reviewFiles({ documents: { project }, ink }: Scope, needed: Gathering) {
  const findings = checkFiles({
    pictures: project.pictures,
    densities: project.densities ?? USUAL_DENSITIES,
    needed: needed.found(),
    ink,
    accepted: project.acceptedFiles,
  });
  return project.pictures.map(({ id, name }) => {
    const own = findings.filter((f) => f.in.id === id);
    return { id, name, found: foundCounts(own), findings: own };
  });
}

/** What nobody may take for clear, because it was not looked at. */
function notChecked({ documents, screens, outside, cases: counted }: Scope): Review['notChecked'] {
  const { project } = documents;
  const left = casesOf(screens, APPEARANCES).length - counted.length;
  const unread = filesOf(project.pictures).filter((hash) => !outside.pixels?.has(hash)).length;
  const files = countOf(unread, 'file');
  return [
    ...scenesInOrder(documents)
      .filter((scene) => !hasToJudge(scene))
      .map((scene) => ({ what: scene.name, why: 'Nothing in it can be judged yet.' })),
    ...(left > 0
      ? [{ what: countCases(left), why: 'They lie outside the ratios that the project allows.' }]
      : []),
    ...(unread > 0 ? [{ what: `Contrast with the pixels of ${files}`, why: 'They could not be read.' }] : []),
    ...(project.launches?.length ? [] : [{ what: 'The launch', why: 'It is not described.' }]),
    ...(project.launches ?? []).flatMap((launch) =>
      undescribed(launch).map((missing) => ({
        what: `The launch “${launch.name}” as a whole`,
        why: `It does not describe ${missing}.`,
      })),
    ),
  ];
}

/** Figures that are worked out; their last bits hang on the engine that does it. */
const WORKED_OUT = new Set(['value', 'by', 'weight', 'fail', 'warn', 'clear']);

/** To six figures, and none of a billionth: every engine says the same then. */
const sixFigures = (n: number) =>
  Number.isInteger(n) ? n : Number((Math.round(n * 1e9) / 1e9).toPrecision(6));

/** A review with its figures as they are said: the same whoever has worked them out. */
const rounded = (whole: Review): Review =>
  JSON.parse(
    JSON.stringify(whole, (key, value: unknown) =>
      typeof value === 'number' && WORKED_OUT.has(key) ? sixFigures(value) : value,
    ),
  ) as Review;

/** Passes on how far one part is, as cases of the whole. */
function* passedOn<T>(part: Generator<number, T>, before: number, of: number, doing: string) {
  let said = 0;
  for (;;) {
    const { done, value } = part.next();
    if (done) return value;
    if (value - said < SAID_EACH) continue;
    said = value;
    yield { done: before + value, of, doing };
  }
}

/**
 * Judges a whole project: every scene, every launch and the files of every picture, over all cases that it counts.
 * Stops now and then to say how far it is; whoever asks may then let it be.
 * @returns the same to the byte for the same input
 * @throws what a survey throws
 */
export function* review(input: ReviewInput): Generator<ReviewProgress, Review> {
  const { documents, revision, digest, screens } = input;
  const { project } = documents;
  const counted = countedCases(casesOf(screens, APPEARANCES), project.ratios);
  const scope: Scope = { ...input, cases: counted, weights: weightsOf(counted) };
  const needed = gatherNeeded();
  const scenes = scenesInOrder(documents);
  const launches = project.launches ?? [];
  const sizes = scenes.map((s) => countedFor(s, project, counted).length);
  const ofScenes = sizes.reduce((sum, n) => sum + n, 0);
  const of = ofScenes + counted.length * launches.length;
  const judged = [];
  let before = 0;
  for (const [i, scene] of scenes.entries()) {
    judged.push(yield* passedOn(reviewScene(scope, scene, needed), before, of, scene.name));
    before += sizes[i]!;
  }
  const launched = [];
  for (const launch of launches) {
    launched.push(yield* passedOn(reviewLaunch(scope, launch), before, of, launch.name));
    before += counted.length;
  }
  // Read by its schema, so that nothing else is in it and everything stands in one order.
  const whole = Review.parse({
    schema: REVIEW_SCHEMA,
    version: PRODUCT_VERSION,
    project: { id: project.id, name: project.name },
    revision,
    digest,
    screens: screens.length,
    set: setInUse(project)?.name,
    weightsFrom: project.weights?.source,
    cases: counted.length,
    scenes: judged,
    launches: launched,
    files: reviewFiles(scope, needed),
    notChecked: notChecked(scope),
  });
  return rounded(whole);
}
