import { mendOf } from '../findings/mend';
import { fromSize, right, bottom, type PerSide, type Rect } from '../geometry/rect';
import { USUAL_DENSITIES } from '../pictures/master';
import type { Derivation } from '../pictures/derive';
import type { Cut, Picture, Rendition } from '../pictures/picture';
import type { Documents } from '../project/documents';
import type { PictureLayer, Scene } from '../scene/scene';
import type { AxisRule } from '../placing/rule';
import { layerIn, withLayers, withScene, worstOf, type LaunchMend, type SickLaunch } from './mend-kit';
import { createLaunchSurvey } from './survey';
import { plainFit, sideOf } from './system';

/** What comes nearest to a size and a distance that a flat window drops: both inside the file. */

/** A file inside of which a drawing of a size, lu, has room on each side, lu. */
interface Roomy {
  width: number;
  height: number;
  room: PerSide;
}

/** Room along one axis for a window that sets a picture flush with a side, or in the middle. */
function roomAlong(rule: AxisRule, start: number, end: number): [number, number] {
  if (rule.kind === 'start') return [Math.max(0, start), 0];
  if (rule.kind === 'end') return [0, Math.max(0, end)];
  // In the middle, as much on the one side as the middle is off to the other.
  return [Math.max(0, start - end), Math.max(0, end - start)];
}

function roomyOf({ placing }: PictureLayer, drawn: Rect, screen: Rect): Roomy {
  const [left, right_] = roomAlong(placing.x, drawn.x, right(screen) - right(drawn));
  const [top, bottom_] = roomAlong(placing.y, drawn.y, bottom(screen) - bottom(drawn));
  return {
    width: drawn.width,
    height: drawn.height,
    room: { left, right: right_, top, bottom: bottom_ },
  };
}

/** The file that a rendition becomes at a density. */
function madeOf({ width, height, room }: Roomy, rendition: Rendition, density: number): Derivation {
  const px = (lu: number) => Math.round(lu * density);
  return {
    make: 'room',
    hash: rendition.hash,
    widthPx: Math.max(1, px(width)),
    heightPx: Math.max(1, px(height)),
    left: px(room.left),
    right: px(room.right),
    top: px(room.top),
    bottom: px(room.bottom),
  };
}

type Made = NonNullable<LaunchMend['make']>[number];

/** One cut with all of its files anew. @param stands a name for each file that is not there yet */
function cutWithRoom(cut: Cut, roomy: Roomy, stands: () => string): { cut: Cut; make: Made[] } {
  const make: Made[] = [];
  const renditions = cut.renditions.flatMap((r) =>
    (r.vector ? USUAL_DENSITIES : [r.density]).map((density): Rendition => {
      const from = madeOf(roomy, r, density);
      const hash = stands();
      make.push({ stands: hash, from });
      return { hash, ...pxOf(from), density, appearance: r.appearance, vector: false };
    }),
  );
  const { width, height, room } = roomy;
  const whole = { width: room.left + width + room.right, height: room.top + height + room.bottom };
  const point = ({ x, y }: { x: number; y: number }) => ({
    x: (room.left + x * width) / whole.width,
    y: (room.top + y * height) / whole.height,
  });
  const keepAreas = cut.keepAreas.map((k) => ({
    ...k,
    rect: {
      ...point(k.rect),
      width: (k.rect.width * width) / whole.width,
      height: (k.rect.height * height) / whole.height,
    },
  }));
  return { cut: { ...cut, renditions, keepAreas, focalPoint: point(cut.focalPoint) }, make };
}

const pxOf = (from: Derivation) =>
  from.make === 'room'
    ? { widthPx: from.left + from.widthPx + from.right, heightPx: from.top + from.heightPx + from.bottom }
    : { widthPx: 1, heightPx: 1 };

/** A scene whose layer shows another picture at its natural size, flush with its side. */
function shownFlush(
  { documents, scene }: { documents: Documents; scene: Scene },
  layer: PictureLayer,
  picture: string,
) {
  return withScene(
    documents,
    withLayers(scene, (l) => {
      if (l.id !== layer.id || l.kind !== 'picture') return l;
      const { when: _when, ...rest } = l;
      const placing = { x: sideOf(layer.placing.x), y: sideOf(layer.placing.y) };
      return { ...rest, picture, placing, fit: plainFit('natural', false) };
    }),
  );
}

/** The size and the distances of a layer in a flat window said as they are drawn, or put into files of its own. */
export function room(sick: SickLaunch): LaunchMend[] {
  const { documents, launch, outside, finding, newId } = sick;
  const { c, stages, sceneOf } = worstOf(sick);
  const stage = stages[finding.stage]!;
  const scene = sceneOf(finding.stage);
  const layer = layerIn(scene, finding.about);
  if (stage.system !== 'flat' || !layer) return [];
  const { x, y } = layer.placing;
  if (x.kind === 'edges' && y.kind === 'edges') return [];
  const said = mendOf(
    sick,
    `Say of ${layer.name} what is drawn: its natural size, flush with its side`,
    shownFlush({ documents, scene }, layer, layer.picture),
  );
  const survey = createLaunchSurvey(documents, launch, outside);
  const byRules = survey.byRules(c, stage);
  const drawn = byRules.layers.find((l) => l.id === layer.id);
  const picture = documents.project.pictures.find((p) => p.id === layer.picture);
  if (drawn?.kind !== 'picture' || !picture) return said;
  const roomy = roomyOf(layer, drawn.placement.drawn, fromSize(byRules.regions.screen));
  const { picture: own, make } = withRoom(picture, roomy, newId);
  const { project } = documents;
  const after = shownFlush(
    { documents: { ...documents, project: { ...project, pictures: [...project.pictures, own] } }, scene },
    layer,
    own.id,
  );
  const label = `Make files of ${layer.name} with its size and its room inside`;
  return [...mendOf(sick, label, after).map((mend) => ({ ...mend, make })), ...said];
}

function withRoom(picture: Picture, roomy: Roomy, newId: () => string): { picture: Picture; make: Made[] } {
  let count = 0;
  // No SHA-256 that anybody will meet begins with so many noughts.
  const stands = () => (count++).toString(16).padStart(64, '0');
  const cuts = picture.cuts.map((cut) => cutWithRoom(cut, roomy, stands));
  const name = `${picture.name}, with room`.slice(0, 120);
  return { picture: { id: newId(), name, cuts: cuts.map((c) => c.cut) }, make: cuts.flatMap((c) => c.make) };
}
