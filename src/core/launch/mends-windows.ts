import { mendOf } from '../findings/mend';
import type { FilePixels } from '../pixels/file';
import type { PictureLayer, Scene } from '../scene/scene';
import { outsideCircle } from './handover';
import { launchLimit } from '../project/launch-limits';
import {
  placedAs,
  withLaunch,
  withLayers,
  withScene,
  withStage,
  worstOf,
  type LaunchMender,
} from './mend-kit';
import { asDrawn, ICON_WINDOW } from './system';

/** A layer that shows a picture. */
const shows = (scene: Scene, picture: string): PictureLayer | undefined =>
  scene.layers.find((l): l is PictureLayer => l.kind === 'picture' && l.visible && l.picture === picture);

/** Moves a layer to the next stage, or hides it where the next one has it already. */
export const outside: LaunchMender = (sick) => {
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
  const has = next && layer.kind === 'picture' && shows(next, layer.picture);
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

/** Room around the icon, so that its circle leaves enough of it. */
export const masked: LaunchMender = (sick) => {
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
  const is = next && shows(next, finding.about);
  const stage = { ...stages[finding.stage]!, padding };
  const was = shows(asDrawn(sceneOf(finding.stage), stage).scene, finding.about);
  return [
    ...mendOf(sick, label, padded),
    ...(next && is && was
      ? mendOf(sick, `${label}, and start ${next.name} there`, placedAs(padded, next, was, is))
      : []),
  ];
};
