import { mendOf, type Mend } from '../findings/mend';
import type { FilePixels } from '../pixels/file';
import { hexOf } from '../pixels/raster';
import type { Documents } from '../scene/documents';
import type { Layer, PictureLayer, Scene } from '../scene/scene';
import { handoverOf, outsideCircle } from './handover';
import type { LaunchAsked, LaunchFinding } from './findings';
import { stagesOn, targetOf, type Launch, type Stage, type Target } from './launch';
import { launchLimit } from './limits';
import { createLaunchSurvey } from './survey';
import { asDrawn, ICON_WINDOW } from './system';
import { fadeOf, timelineOf } from './timeline';

/** Everything that a mend is thought up from. */
export interface Sick extends LaunchAsked {
  finding: LaunchFinding;
  newId: () => string;
}

type Mender = (sick: Sick) => Mend[];

const withScene = (documents: Documents, scene: Scene): Documents => ({
  ...documents,
  scenes: { ...documents.scenes, [scene.id]: scene },
});
const withLayers = (scene: Scene, change: (l: Layer) => Layer): Scene => ({
  ...scene,
  layers: scene.layers.map(change),
});
const withLaunch = (documents: Documents, launch: Launch): Documents => ({
  ...documents,
  project: {
    ...documents.project,
    launches: documents.project.launches?.map((l) => (l.id === launch.id ? launch : l)),
  },
});
const withStage = ({ documents, launch, finding }: Sick, change: (s: Stage) => Stage): Documents =>
  withLaunch(documents, {
    ...launch,
    stages: launch.stages.map((s, i) => (i === finding.stage ? change(s) : s)),
  });

/** The stages of the finding on its worst case, with their scenes. */
function worstOf({ documents, launch, finding, cases }: Sick) {
  const c = cases.find((one) => one.id === finding.worst.caseId)!;
  const stages = stagesOn(launch, c.screen);
  const sceneOf = (i: number) => documents.scenes[stages[i]!.scene]!;
  return { c, stages, sceneOf, target: targetOf(launch, c.screen) };
}

const USUAL_FADE = { enter: 'fade', durationMs: 300, easing: 'ease-in-out' } as const;

/** The later stage comes in by a fade, where the app draws it. */
function fadeIn(sick: Sick, name: string): Mend[] {
  const { documents, launch, finding } = sick;
  const next = launch.stages[finding.stage + 1];
  if (next?.system !== 'app' || fadeOf(next) >= USUAL_FADE.durationMs) return [];
  const stages = launch.stages.map((s) => (s === next ? { ...s, ...USUAL_FADE } : s));
  return mendOf(sick, `Let ${name} fade in over 300 ms`, withLaunch(documents, { ...launch, stages }));
}

/** The ground of the later stage, or its mean colour, in the earlier one too. */
const flash: Mender = (sick) => {
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

const pictureIn = (scene: Scene, id: string): PictureLayer | undefined =>
  scene.layers.find((l): l is PictureLayer => l.kind === 'picture' && l.visible && l.picture === id);

/** A scene with a layer placed as another one is. */
const placedAs = ({ documents }: Sick, scene: Scene, from: PictureLayer, to: PictureLayer): Documents =>
  withScene(
    documents,
    withLayers(scene, (l) => {
      if (l.id !== to.id || l.kind !== 'picture') return l;
      const { when: _when, parent: _parent, ...rest } = l;
      const { placing, fit } = from;
      return { ...rest, placing: inScreen(placing), fit, ...(from.when && { when: from.when }) };
    }),
  );

/** A first window for one target alone, that of the others without a picture. */
function windowWithout(sick: Sick, target: Target, scene: Scene, layer: PictureLayer): Mend[] {
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

/** The logo of the later stage where the earlier one leaves it, or the other way round, for each kind of window. */
const jump: Mender = (sick) => {
  const { launch, finding, cases } = sick;
  const on = new Set(finding.on.map((o) => o.caseId));
  const screens = [...new Set(cases.filter((c) => on.has(c.id)).map((c) => c.screen))];
  const targets = [...new Set(screens.map((s) => targetOf(launch, s)))];
  return targets.flatMap((target) => {
    const stages = stagesOn(
      launch,
      screens.find((s) => targetOf(launch, s) === target)!,
    );
    const [stage, next] = [stages[finding.stage]!, stages[finding.stage + 1]!];
    const [before, after] = [sick.documents.scenes[stage.scene]!, sick.documents.scenes[next.scene]!];
    const was = pictureIn(asDrawn(before, stage).scene, finding.about);
    const [own, is] = [pictureIn(before, finding.about), pictureIn(after, finding.about)];
    if (!was || !own || !is) return [];
    const forWhom = target && targets.length > 1 ? ` on ${target.name}` : '';
    const start = `Start ${after.name} where ${before.name} leaves ${is.name}${forWhom}`;
    const place = `Place ${own.name} in ${before.name} as ${after.name} does`;
    const followsRules = stage.system === 'layout' || stage.system === 'app';
    return [
      ...mendOf(sick, start, placedAs(sick, after, was, is)),
      ...(followsRules ? mendOf(sick, place, placedAs(sick, before, is, own)) : []),
      ...(target ? windowWithout(sick, target, before, own) : []),
    ];
  });
};

/** What was placed in the mask of the system, which is in the middle of the screen, is placed in the screen. */
const inScreen = (placing: PictureLayer['placing']): PictureLayer['placing'] => {
  const along = (rule: PictureLayer['placing']['x']) =>
    rule.kind === 'middle' && rule.region === 'parent' ? { ...rule, region: 'screen' as const } : rule;
  return { ...placing, x: along(placing.x), y: along(placing.y) };
};

/** Holds a stage no longer than the loading takes. */
const held: Mender = (sick) => {
  const { launch, finding } = sick;
  const { stages, sceneOf } = worstOf(sick);
  const { start, fadeMs } = timelineOf(launch, stages).spans[finding.stage]!;
  const holdMs = Math.max(0, Math.round(launch.loadingMs - start - fadeMs));
  const { name } = sceneOf(finding.stage);
  const held = mendOf(
    sick,
    `Hold ${name} until everything is loaded, and no longer`,
    withStage(sick, (s) => ({ ...s, holdMs })),
  );
  if (fadeMs === 0 || start + fadeMs <= launch.loadingMs) return held;
  const without = Math.max(0, Math.round(launch.loadingMs - start));
  return [
    ...held,
    ...mendOf(
      sick,
      `Show ${name} at once, and no longer than the loading takes`,
      withStage(sick, (s) => ({ ...s, enter: 'none', holdMs: without })),
    ),
  ];
};

const cut: Mender = (sick) => {
  const { launch, finding } = sick;
  const { stages, sceneOf } = worstOf(sick);
  const { start, end } = timelineOf(launch, stages).spans[finding.stage]!;
  return [
    ...mendOf(
      sick,
      `Let ${sceneOf(finding.stage).name} come in within the time that it has`,
      withStage(sick, (s) => ({ ...s, durationMs: Math.max(0, end - start) })),
    ),
    ...mendOf(
      sick,
      `Let ${sceneOf(finding.stage).name} be there at once`,
      withStage(sick, (s) => ({ ...s, enter: 'none' })),
    ),
  ];
};

/** Moves a layer to the next stage, or hides it where the next one has it already. */
const outside: Mender = (sick) => {
  const { documents, finding, newId } = sick;
  const { stages, sceneOf } = worstOf(sick);
  const here = sceneOf(finding.stage);
  const layer = here.layers.find((l) => l.id === finding.about);
  if (!layer) return [];
  const hidden = withScene(
    documents,
    withLayers(here, (l) => (l === layer ? { ...l, visible: false } : l)),
  );
  const hide = mendOf(sick, `Hide ${layer.name} in ${here.name}`, hidden);
  const next = stages[finding.stage + 1] && sceneOf(finding.stage + 1);
  const has = next && layer.kind === 'picture' && pictureIn(next, layer.picture);
  if (!next || has || next.id === here.id) return hide;
  const free = next.layers.some((l) => l.id === layer.id) ? { ...layer, id: newId() } : layer;
  const moved = withScene(withScene(documents, { ...here, layers: here.layers.filter((l) => l !== layer) }), {
    ...next,
    layers: [...next.layers, free],
  });
  return [...mendOf(sick, `Move ${layer.name} to ${next.name}`, moved), ...hide];
};

const STEP = 0.005;

/** The least room around the icon with which the circle leaves enough of it; `null` where none does. @param most share outside */
function roomFor(file: FilePixels, shape: { width: number; height: number }, most: number): number | null {
  const circle = { x: 0, y: 0, radius: ICON_WINDOW.circle / 2 };
  for (let padding = 0; padding <= 0.45; padding += STEP) {
    const box = ICON_WINDOW.box * (1 - 2 * padding);
    const scale = box / Math.max(shape.width, shape.height);
    const [width, height] = [shape.width * scale, shape.height * scale];
    const drawn = { x: -width / 2, y: -height / 2, width, height };
    if (outsideCircle(drawn, file, circle) <= most) return padding;
  }
  return null;
}

const masked: Mender = (sick) => {
  const { documents, launch, finding, outside: handed } = sick;
  const { target, stages, sceneOf } = worstOf(sick);
  const files = documents.project.pictures.find((p) => p.id === finding.about)?.cuts[0]?.renditions ?? [];
  const { warn, fail } = launchLimit(launch, 'icon-masked');
  const rooms = files.flatMap((r) => {
    const file = handed.pixels?.get(r.hash);
    const room = file ? roomFor(file, { width: r.widthPx, height: r.heightPx }, warn ?? fail ?? 0) : null;
    return room === null ? [] : [room];
  });
  if (rooms.length === 0) return [];
  const padding = Math.round(Math.max(...rooms) * 1000) / 1000;
  const label = `Leave ${Math.round(padding * 1000) / 10} % of room around the icon`;
  const padded = target
    ? withLaunch(documents, {
        ...launch,
        targets: launch.targets.map((t) => (t.id === target.id ? { ...t, padding } : t)),
      })
    : withStage(sick, (s) => ({ ...s, padding }));
  // Where the next stage starts the picture at the window’s size, it has to go along.
  const next = stages[finding.stage + 1] && sceneOf(finding.stage + 1);
  const is = next && pictureIn(next, finding.about);
  const stage = { ...stages[finding.stage]!, padding };
  const was = pictureIn(asDrawn(sceneOf(finding.stage), stage).scene, finding.about);
  return [
    ...mendOf(sick, label, padded),
    ...(next && is && was
      ? mendOf(
          sick,
          `${label}, and start ${next.name} there`,
          placedAs({ ...sick, documents: padded }, next, was, is),
        )
      : []),
  ];
};

/** What may help against each rule; to be tried. */
export const LAUNCH_MENDERS: Record<LaunchFinding['rule'], Mender> = {
  flash,
  jump,
  'held-too-long': held,
  'fade-cut-short': cut,
  'outside-stage': outside,
  'icon-masked': masked,
};
