import type { Documents } from '../scene/documents';
import type { Case } from '../screens/cases';
import {
  surveyCase,
  surveyInput,
  type CaseResult,
  type Outside as Handed,
  type SurveyInput,
} from '../survey/survey';
import { stagesOn, type Launch, type ScreenStage } from './launch';
import { asDrawn, type AsDrawn } from './system';

/** One stage on one case. */
export interface StageResult {
  stage: ScreenStage;
  /** as it is really drawn; `null` where nothing is */
  result: CaseResult | null;
  /** layers that are not drawn as their rules say */
  outside: AsDrawn['outside'];
}

export const launchIn = ({ project }: Documents, id: string): Launch | undefined =>
  project.launches?.find((l) => l.id === id);

/**
 * Every stage of a launch on one case after another. Scenes as a window of the system draws them are made once for all
 * cases; limits are not asked, what is wrong with a scene by itself is said elsewhere.
 * @throws what a survey throws, and when a stage shows a scene that is not there
 */
export function createLaunchSurvey(
  documents: Documents,
  launch: Launch,
  handed: Handed,
): (c: Case) => StageResult[] {
  const made = new Map<string, { input: SurveyInput; outside: AsDrawn['outside'] }>();
  const drawnBy = (stage: ScreenStage) => {
    const { scene: id, system, padding, empty } = stage;
    const key = `${id} ${system} ${padding} ${empty}`;
    const known = made.get(key);
    if (known) return known;
    const scene = documents.scenes[id];
    if (!scene) throw new Error(`The launch shows the scene “${id}”, which is not there.`);
    const drawn = asDrawn(scene, stage);
    const input = { ...surveyInput(documents, drawn.scene, handed), limits: [], accepted: [] };
    const entry = { input, outside: drawn.outside };
    made.set(key, entry);
    return entry;
  };
  return (c) =>
    stagesOn(launch, c.screen).map((stage) => {
      const { input, outside } = drawnBy(stage);
      return { stage, result: stage.empty ? null : surveyCase(input, c), outside };
    });
}
