import type { Documents } from '../project/documents';
import type { Case } from '../screens/cases';
import { createKeeping, type Keeping } from '../survey/again';
import type { Earlier } from '../survey/earlier';
import { surveyInput, type CaseResult, type Outside as Handed } from '../survey/survey';
import type { Bars } from '../screens/bar-rules';
import { stagesOn, targetOf, type Launch, type ScreenStage, type Target } from '../project/launch';
import { isPlaced, type Layer } from '../scene/scene';
import { onSize } from '../scene/when';
import { turnedSize } from '../screens/turn';
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

/** What was found of each scene of a launch, as it is drawn, by what decides how that is. */
export type LaunchEarlier = ReadonlyMap<string, Earlier>;

export interface LaunchSurvey {
  /** @param target of the screen, whose first window is shown; the usual one when absent */
  on: (c: Case, target?: Target | null) => StageResult[];
  /** a stage as it would be with the bars of another scene */
  withBars: (c: Case, stage: ScreenStage, bars: Bars) => CaseResult;
  /** a stage as it would be if it were drawn by the rules of its scene */
  byRules: (c: Case, stage: ScreenStage) => CaseResult;
  /** the layers of a stage with the rules by which it is really drawn on a case */
  layersOf: (c: Case, stage: ScreenStage) => Layer[];
  /** for the next survey of the launch, after an edit */
  kept: () => LaunchEarlier;
}

/**
 * Every stage of a launch on one case after another. Scenes as a window of the system draws them are made once for all
 * cases; limits are not asked, what is wrong with a scene by itself is said elsewhere.
 * @param earlier what an edit since has not touched is taken from there
 * @throws what a survey throws, and when a stage shows a scene that is not there
 */
export function createLaunchSurvey(
  documents: Documents,
  launch: Launch,
  handed: Handed,
  earlier: LaunchEarlier = new Map(),
): LaunchSurvey {
  const made = new Map<string, Keeping & AsDrawn>();
  const drawnBy = (stage: ScreenStage, bars: Bars | null = null) => {
    const { scene: id, system, padding, empty } = stage;
    const key = `${id} ${system} ${padding} ${empty} ${bars ? JSON.stringify(bars) : ''}`;
    const known = made.get(key);
    if (known) return known;
    const scene = documents.scenes[id];
    if (!scene) throw new Error(`The launch shows the scene “${id}”, which is not there.`);
    const drawn = asDrawn(bars ? { ...scene, bars } : scene, stage);
    // Pixels only serve what limits are held against.
    const plain = surveyInput(documents, drawn.scene, { ...handed, pixels: null });
    const input = { ...plain, limits: [], accepted: [] };
    const entry = { ...createKeeping(input, earlier.get(key) ?? null), ...drawn };
    made.set(key, entry);
    return entry;
  };
  return {
    on: (c, target = targetOf(launch, c.screen)) =>
      stagesOn(launch, c.screen, target).map((stage) => {
        const { on, outside } = drawnBy(stage);
        return { stage, result: stage.empty ? null : on(c), outside };
      }),
    byRules: (c, stage) => drawnBy({ ...stage, system: 'layout' }).on(c),
    withBars: (c, stage, bars) => drawnBy(stage, bars).on(c),
    layersOf: (c, stage) => {
      const size = turnedSize(c.screen, c.rotation);
      return drawnBy(stage).scene.layers.map((l) => (isPlaced(l) ? onSize(l, size) : l));
    },
    kept: () => new Map([...made].map(([key, { kept }]) => [key, kept])),
  };
}
