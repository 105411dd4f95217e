import type { Remote } from 'comlink';
import { createStore } from 'zustand/vanilla';
import type { Change, Step } from '@/core/patch/change';
import type { Documents } from '@/core/project/documents';
import { isIcon, slotCases, slotScreens } from '@/core/icons/slots';
import { screensIn } from '@/core/project/screens';
import type { Needed } from '@/core/survey/needed';
import { sameJson } from '@/core/patch/patch';
import type { Scene } from '@/core/scene/scene';
import { caseId, casesOf, type Case } from '@/core/screens/cases';
import type { Screen } from '@/core/screens/screen';
import { APPEARANCES } from '@/core/values/values';
import type { Mark } from '@/core/solve/mark';
import type { CaseSummary } from '@/core/solve/summary';
import type { FilePixels } from '@/core/pixels/file';
import { faceOf } from '@/core/text/style';
import type { Path } from '@/core/sentences/parts';
import type { Fonts } from '@/render/fonts';
import type { SceneFinding } from '@/core/findings/scene';
import type { BuildSource } from '@/formats/build-line';
import type { SurveyProgress } from '@/workers/surveying';
import type { SurveyWorker } from '@/workers/survey.worker';
import type { View } from './view';

/** Where saving stands. `refused` and `conflict` need somebody to look. */
export type Saving = 'saved' | 'saving' | 'offline' | 'refused' | 'conflict';

/** Somebody else’s state of the documents that ours cannot be laid on top of. */
export interface Conflict {
  revision: number;
  theirs: Documents;
}

/** A mend that was applied, for as long as it is the last thing that was done. */
export interface Applied {
  /** of the change that it was */
  changeId: string;
  /** what was done, and what has become of the outcomes, in words */
  said: string;
  /** whether the focus went on from it */
  isPassed: boolean;
}

/** A part of a rule whose editor somebody has asked for elsewhere, such as beside its finding. */
export interface AskedPart {
  /** `null` for what belongs to the scene and not to a layer */
  layerId: string | null;
  path: Path;
}

/** By whom and when a project was signed off. */
export interface SignedAs {
  id: string;
  by: string;
  /** ISO 8601 */
  at: string;
}

export interface WorkbenchState {
  /** as they are on this page, everything that is not saved yet included */
  documents: Documents;
  /** as the server has them, at `revision` */
  stored: Documents;
  revision: number;
  /** changes on their way to the server, in order */
  pending: Change[];
  undo: Change[];
  redo: Change[];
  /** the mend that was applied last, or `null`; what is said of it holds until the next step */
  applied: Applied | null;
  /** the sign-off as which the project is looked at; nothing can be changed then. `null` for the project as it is now */
  signed: SignedAs | null;
  /** how many hints of the first look were closed */
  hintsClosed: number;
  /** where the project is kept, for the lines of a build */
  source: BuildSource;
  /** which of the side columns is open where there is no room for them */
  drawer: 'rules' | 'close-up' | null;
  /** the part of a rule whose editor was asked for elsewhere, until that is closed; `null` when none is */
  askedPart: AskedPart | null;
  /** the documents before the gesture that is going on, or `null` */
  gesture: Documents | null;
  /** what that gesture is called, or `null` */
  step: Step | null;
  /** as much of that gesture as is on its way to the server already, or `null` */
  queued: Documents | null;
  saving: Saving;
  /** what there is to say about saving or the last action */
  message: string | null;
  conflict: Conflict | null;
  /** as the documents were before a refused change was taken back, to be saved as a file */
  rescue: Documents | null;
  /** hashes of files that the store has lost */
  lost: readonly string[];
  sceneId: string;
  /** the screens that come with the product */
  catalogue: readonly Screen[];
  /** those and the project’s own; they follow the documents */
  screens: Screen[];
  /** what the open scene is looked at on: those, or the slots of an icon */
  sceneScreens: readonly Screen[];
  /** all cases of these, both appearances */
  cases: Case[];
  /** what the last survey of everything found; empty until the first one is through */
  summaries: ReadonlyMap<string, CaseSummary>;
  /** the same as it was before the gesture that goes on: what is said of cases that nobody sees just now */
  rested: ReadonlyMap<string, CaseSummary>;
  /** how far the first survey is, or the reading of files; `null` while neither is under way */
  counting: SurveyProgress | null;
  /** the documents of which that is said; `null` before */
  surveyed: Documents | null;
  /** where each case lies on the valley of the background */
  marks: ReadonlyMap<string, Mark>;
  /** what the last survey of everything found wrong with the scene, and where it comes from; `null` before it */
  found: SceneFinding[] | null;
  /** the documents of which that is said; `null` before */
  explained: Documents | null;
  view: View;
  /** whether somebody, or the address, has chosen the case that is looked at */
  isPicked: boolean;
  /** how many pixels the scenes ask of each picture; `null` until it was worked out for the first time */
  needed: ReadonlyMap<string, readonly Needed[]> | null;
  /** the documents of which that is said; `null` before */
  neededOf: Documents | null;
  /** `null` until they are loaded; a scene with text is not drawn before */
  fonts: Fonts | null;
  /** of the files of the open scene, and of those that are wanted beside them, as far as they are loaded; by hash */
  pixels: ReadonlyMap<string, FilePixels>;
  /** files that the open scene does not show, but something that is tried with it */
  wanted: ReadonlySet<string>;
  /** whether something that is tried beside the open scene writes */
  wantsFonts: boolean;
  /** where everything is asked that takes all cases; `null` until the page is up */
  worker: Remote<SurveyWorker> | null;
}

export interface WorkbenchStart {
  documents: Documents;
  revision: number;
  sceneId: string;
  /** the screens that come with the product; those of the project come with its documents */
  catalogue: Screen[];
  view: View;
  /** the sign-off that the documents are of; `null` or absent for the project as it is now */
  signed?: SignedAs | null;
  /** how many hints of the first look were closed; none when absent */
  hintsClosed?: number;
  /** where the project is kept; in the usual place beside no other when absent */
  source?: BuildSource;
  /** ids of the changes that the documents already hold */
  arrived: string[];
}

/** The case that is looked at when the address names none: the weightiest screen as it is held by nature. */
function firstCase(screens: readonly Screen[], { appearance }: View): string | undefined {
  const [weightiest] = screens.toSorted((a, b) => b.weight - a.weight);
  return weightiest && caseId(weightiest.id, 0, appearance);
}

/** What of the documents the screens follow from. */
const screensAsked = ({ project: { screens, screenSets, setInUse, weights, axes } }: Documents) => ({
  screens,
  screenSets,
  setInUse,
  weights,
  axes,
});

/** The slots that a scene is looked at in, the same list for the same sets; `null` for one that is no icon. */
const slotsAsked = ({ project, scenes }: Documents, sceneId: string): readonly Screen[] | null =>
  isIcon(scenes[sceneId]) ? slotScreens(project) : null;

/** What a scene is looked at on. @param screens of the project */
function casesWith(screens: Screen[], documents: Documents, sceneId: string) {
  const slots = slotsAsked(documents, sceneId);
  return slots
    ? { screens, sceneScreens: slots, cases: slotCases(documents.project) }
    : { screens, sceneScreens: screens, cases: casesOf(screens, APPEARANCES) };
}

type Partly = Partial<WorkbenchState>;

export const createWorkbench = (start: WorkbenchStart) => {
  const store = createStore<WorkbenchState>(() => stateOf(start));
  const set = store.setState;
  // In one step with the documents, so that nobody ever sees the cases of other screens.
  const following = (partial: Partly | ((s: WorkbenchState) => Partly)) =>
    set((state) => {
      const given = typeof partial === 'function' ? partial(state) : partial;
      const isOther = given.view !== undefined && given.view.case !== state.view.case;
      const next = isOther ? { isPicked: true, ...given } : given;
      const { documents = state.documents, sceneId = state.sceneId } = next;
      // What comes from the server is new all over, and mostly says what was said before.
      const isSame = sameJson(screensAsked(documents), screensAsked(state.documents));
      const isAlike = slotsAsked(documents, sceneId) === slotsAsked(state.documents, state.sceneId);
      if (isSame && isAlike) return next;
      const screens = isSame ? state.screens : screensIn(state.catalogue, documents.project);
      const asked = casesWith(screens, documents, sceneId);
      const view = { ...state.view, ...next.view };
      // A case of a screen that is not looked at any more cannot be looked at.
      const isThere = view.case === undefined || asked.cases.some((c) => c.id === view.case);
      return {
        ...next,
        ...asked,
        view: isThere ? view : { ...view, case: firstCase(asked.sceneScreens, view) },
      };
    });
  store.setState = following as typeof store.setState;
  return store;
};

function stateOf({ arrived: _, ...start }: WorkbenchStart): WorkbenchState {
  const { catalogue, documents, sceneId } = start;
  const looked = casesWith(screensIn(catalogue, documents.project), documents, sceneId);
  return {
    hintsClosed: 0,
    source: { store: './store', otherNames: [] },
    signed: null,
    ...start,
    ...looked,
    view: { ...start.view, case: start.view.case ?? firstCase(looked.sceneScreens, start.view) },
    isPicked: start.view.case !== undefined,
    stored: start.documents,
    pending: [],
    undo: [],
    redo: [],
    applied: null,
    drawer: null,
    askedPart: null,
    gesture: null,
    step: null,
    queued: null,
    rescue: null,
    lost: [],
    saving: 'saved',
    message: null,
    conflict: null,
    summaries: new Map(),
    rested: new Map(),
    counting: null,
    surveyed: null,
    marks: new Map(),
    found: null,
    explained: null,
    fonts: null,
    pixels: new Map(),
    wanted: new Set(),
    wantsFonts: false,
    worker: null,
    needed: null,
    neededOf: null,
  };
}
export type WorkbenchStore = ReturnType<typeof createWorkbench>;

/** The open scene; `undefined` in a project that has none. */
export const sceneOf = (s: Pick<WorkbenchState, 'documents' | 'sceneId'>): Scene | undefined =>
  s.documents.scenes[s.sceneId];

/** Whether a scene has to wait for fonts before it can be measured. */
export const waitsForFonts = (documents: Documents, sceneId: string, fonts: Fonts | null): boolean =>
  documents.scenes[sceneId]?.layers.some((l) => l.kind === 'text' && !fonts?.has(faceOf(l.style))) ?? false;
