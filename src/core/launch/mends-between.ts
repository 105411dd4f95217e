import { mendOf, type Mend } from '../findings/mend';
import { hexOf } from '../pixels/raster';
import type { Layer, PictureLayer, Scene } from '../scene/scene';
import type { Bars } from '../screens/bar-rules';
import type { Case } from '../screens/cases';
import { BAR_WORDS } from './bars';
import { handoverOf } from './handover';
import { targetsOf, type Target } from '../project/launch';
import {
  followsRules,
  layerIn,
  placedAs,
  withLaunch,
  withLayers,
  withScene,
  worstOf,
  type LaunchMender,
  type SickLaunch,
} from './mend-kit';
import { createLaunchSurvey } from './survey';
import { asDrawn } from './system';
import { fadeOf } from './timeline';

const USUAL_FADE = { enter: 'fade', durationMs: 300, easing: 'ease-in-out' } as const;

/** The later stage comes in by a fade, where the app draws it. */
function fadeIn(sick: SickLaunch, name: string): Mend[] {
  const { documents, launch, finding } = sick;
  const next = launch.stages[finding.stage + 1];
  if (next?.system !== 'app' || fadeOf(next) >= USUAL_FADE.durationMs) return [];
  const stages = launch.stages.map((s) => (s === next ? { ...s, ...USUAL_FADE } : s));
  return mendOf(sick, `Let ${name} fade in over 300 ms`, withLaunch(documents, { ...launch, stages }));
}

/** The ground of the later stage, or its mean colour, in the earlier one too. */
export const flash: LaunchMender = (sick) => {
  const { documents, launch, finding, outside } = sick;
  const { c, sceneOf } = worstOf(sick);
  const [before, after] = [sceneOf(finding.stage), sceneOf(finding.stage + 1)];
  const own = after.layers.find((l) => l.kind === 'ground');
  const put = (label: string, colour: Extract<Layer, { kind: 'ground' }>['colour']) =>
    mendOf(
      sick,
      label,
      withScene(
        documents,
        withLayers(before, (l) => (l.kind === 'ground' ? { ...l, colour } : l)),
      ),
    );
  const mends = own ? put(`Use the ground of ${after.name} in ${before.name} too`, own.colour) : [];
  const meanIn = (appearance: 'light' | 'dark') => {
    const there = { ...c, appearance };
    const stages = createLaunchSurvey(documents, launch, outside).on(there);
    const [a, b] = [stages[finding.stage]?.result, stages[finding.stage + 1]?.result];
    const colours = a && b && handoverOf(a, b, outside.pixels ?? null, 0).colours;
    return colours ? hexOf(colours.after) : null;
  };
  const [light, dark] = [meanIn('light'), meanIn('dark')];
  if (light && dark)
    mends.push(
      ...put(`Use the mean colour of ${after.name} as the ground of ${before.name}`, { light, dark }),
    );
  return [...mends, ...fadeIn(sick, after.name)];
};

/** A first window for one target alone, that of the others without a picture. */
function windowWithout(sick: SickLaunch, target: Target, scene: Scene, layer: PictureLayer): Mend[] {
  const { documents, launch, finding, newId } = sick;
  if (finding.stage !== 0) return [];
  const id = newId();
  const name = `${scene.name} without ${layer.name}`.slice(0, 120);
  const own = { ...scene, id, name, layers: scene.layers.filter((l) => l.id !== layer.id) };
  const targets = launch.targets.map((t) => (t.id === target.id ? { ...t, scene: id } : t));
  const after = withLaunch(withScene(documents, own), { ...launch, targets });
  const { project } = after;
  return mendOf(sick, `Give ${target.name} a first window without ${layer.name}`, {
    ...after,
    project: { ...project, scenes: [...project.scenes, id] },
  });
}

/** The stages of a jump on one screen of a target, and the layers that it is between. */
function jumpFor(sick: SickLaunch, c: Case, target: Target | null) {
  const { launch, finding, documents, outside } = sick;
  const results = createLaunchSurvey(documents, launch, outside).on(c, target);
  const [from, to] = [results[finding.stage], results[finding.stage + 1]];
  if (!from?.result || !to?.result) return null;
  const { jumps } = handoverOf(from.result, to.result, outside.pixels ?? null, 0);
  const found = jumps.find((j) => j.pictureId === finding.about);
  if (!found) return null;
  const [before, after] = [documents.scenes[from.stage.scene]!, documents.scenes[to.stage.scene]!];
  const was = layerIn(asDrawn(before, from.stage).scene, found.layers.before);
  const [own, is] = [layerIn(before, found.layers.before), layerIn(after, found.layers.after)];
  return was && own && is ? { stage: from.stage, next: to.stage, before, after, was, own, is } : null;
}

/** The logo of the later stage where the earlier one leaves it, or the other way round, for each kind of window. */
export const jump: LaunchMender = (sick) => {
  const { documents, launch, finding, cases } = sick;
  const on = new Set(finding.cases.map((o) => o.caseId));
  const byTarget = new Map<Target | null, Case>();
  for (const c of cases.filter(({ id }) => on.has(id)))
    for (const target of targetsOf(launch, c.screen)) if (!byTarget.has(target)) byTarget.set(target, c);
  return [...byTarget].flatMap(([target, c]) => {
    const found = jumpFor(sick, c, target);
    if (!found) return [];
    const { stage, next, before, after, was, own, is } = found;
    const forWhom = target && byTarget.size > 1 ? ` on ${target.name}` : '';
    const start = `Start ${after.name} where ${before.name} leaves ${is.name}${forWhom}`;
    const place = `Place ${own.name} in ${before.name} as ${after.name} does`;
    const starts = followsRules(next) ? mendOf(sick, start, placedAs(documents, after, was, is)) : [];
    const places = followsRules(stage) ? mendOf(sick, place, placedAs(documents, before, is, own)) : [];
    return [
      ...starts,
      ...places,
      ...withOnePicture(sick, found, forWhom),
      ...(target ? windowWithout(sick, target, before, own) : []),
    ];
  });
};

/** Two pictures of one content may have other room around it, so that only the same one lies in the same place. */
function withOnePicture(
  sick: SickLaunch,
  { stage, next, before, after, was, own, is }: NonNullable<ReturnType<typeof jumpFor>>,
  forWhom: string,
): Mend[] {
  if (own.picture === is.picture) return [];
  const start = `Show ${own.name} in ${after.name} too, where ${before.name} leaves it${forWhom}`;
  const place = `Show ${is.name} in ${before.name} too, as ${after.name} does`;
  return [
    ...(followsRules(next) ? mendOf(sick, start, placedAs(sick.documents, after, was, is, own.picture)) : []),
    ...(followsRules(stage)
      ? mendOf(sick, place, placedAs(sick.documents, before, is, own, is.picture))
      : []),
  ];
}

/** One bar as the other stage has it. */
export const bars: LaunchMender = (sick) => {
  const { documents, finding } = sick;
  const { sceneOf } = worstOf(sick);
  const [before, after] = [sceneOf(finding.stage), sceneOf(finding.stage + 1)];
  const kind = finding.about as keyof Bars;
  const as = (scene: Scene, other: Scene) =>
    mendOf(
      sick,
      `Let ${BAR_WORDS[kind]} of ${scene.name} be as in ${other.name}`,
      withScene(documents, { ...scene, bars: { ...scene.bars, [kind]: other.bars[kind] } }),
    );
  return [...as(before, after), ...as(after, before)];
};
