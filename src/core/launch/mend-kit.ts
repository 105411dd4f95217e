import type { Mend } from '../findings/mend';
import type { Derivation } from '../pictures/derive';
import type { Documents } from '../project/documents';
import type { Layer, PictureLayer, Scene } from '../scene/scene';
import type { LaunchAsked, LaunchFinding } from './findings';
import { stagesOn, targetOf, type Launch, type Stage, type Target } from '../project/launch';

/** Everything that a mend is thought up from. */
export interface SickLaunch extends LaunchAsked {
  finding: LaunchFinding;
  newId: () => string;
}

/** A mend that may need files which are not there yet. */
export interface LaunchMend extends Mend {
  /** files to be made first, each with the hash that stands for it in the patch until it is */
  make?: readonly { stands: string; from: Derivation }[];
}

export type LaunchMender = (sick: SickLaunch) => LaunchMend[];

export const withScene = (documents: Documents, scene: Scene): Documents => ({
  ...documents,
  scenes: { ...documents.scenes, [scene.id]: scene },
});
export const withLayers = (scene: Scene, change: (l: Layer) => Layer): Scene => ({
  ...scene,
  layers: scene.layers.map(change),
});
export const withLaunch = (documents: Documents, launch: Launch): Documents => ({
  ...documents,
  project: {
    ...documents.project,
    launches: documents.project.launches?.map((l) => (l.id === launch.id ? launch : l)),
  },
});
export const withStage = (
  { documents, launch, finding }: SickLaunch,
  change: (s: Stage) => Stage,
): Documents =>
  withLaunch(documents, {
    ...launch,
    stages: launch.stages.map((s, i) => (i === finding.stage ? change(s) : s)),
  });

/** The target whose first window the worst case of a finding shows. */
function worstTarget({ launch, finding, cases }: SickLaunch): Target | null {
  const { target, caseId } = finding.worst;
  const { screen } = cases.find((one) => one.id === caseId)!;
  return target === undefined
    ? targetOf(launch, screen)
    : (launch.targets.find((t) => t.id === target) ?? null);
}

/** The stages of the finding on its worst case, with their scenes. */
export function worstOf(sick: SickLaunch) {
  const { documents, launch, finding, cases } = sick;
  const c = cases.find((one) => one.id === finding.worst.caseId)!;
  const target = worstTarget(sick);
  const stages = stagesOn(launch, c.screen, target);
  const sceneOf = (i: number) => documents.scenes[stages[i]!.scene]!;
  return { c, stages, sceneOf, target };
}

/** Whether what draws a stage follows the rules of its scene. */
export const followsRules = ({ system }: Pick<Stage, 'system'>) => system === 'layout' || system === 'app';

export const layerIn = (scene: Scene, id: string): PictureLayer | undefined =>
  scene.layers.find((l): l is PictureLayer => l.kind === 'picture' && l.visible && l.id === id);

/** A scene with a layer placed as another one is, and with its picture where that is given too. */
export function placedAs(
  documents: Documents,
  scene: Scene,
  from: PictureLayer,
  to: PictureLayer,
  picture = to.picture,
): Documents {
  const { placing, fit } = from;
  return withScene(
    documents,
    withLayers(scene, (l) => {
      if (l.id !== to.id || l.kind !== 'picture') return l;
      const { when: _when, parent: _parent, ...rest } = l;
      return { ...rest, picture, placing: inScreen(placing), fit, ...(from.when && { when: from.when }) };
    }),
  );
}

/** What was placed in the mask of the system, which is in the middle of the screen, is placed in the screen. */
const inScreen = (placing: PictureLayer['placing']): PictureLayer['placing'] => {
  const along = (rule: PictureLayer['placing']['x']) =>
    rule.kind === 'middle' && rule.region === 'parent' ? { ...rule, region: 'screen' as const } : rule;
  return { ...placing, x: along(placing.x), y: along(placing.y) };
};
