import { sayLength, sayNumber, sayShare, saySize } from '../words/numbers';
import { moveBetween, type Rect } from '../geometry/rect';
import type { FilePixels } from '../pixels/file';
import type { CaseResult } from '../survey/survey';
import type { Layer } from '../scene/scene';
import { placingDropped, type DrawnElsewhere } from './dropped';
import type { LaunchFault } from './fault';
import { outsideCircle } from './handover';
import type { StageResult } from './survey';
import { ICON_WINDOW, MASK_ID, SYSTEM_WORDS } from './system';

/** Lu up to which nobody sees that something lies elsewhere than its rule says. */
const NEAR = 0.5;

const drawnIn = (result: CaseResult, layerId: string): Rect | null => {
  const layer = result.layers.find((l) => l.id === layerId);
  return layer && layer.kind !== 'ground' ? layer.placement.drawn : null;
};
const sayRect = (r: Rect) =>
  `${saySize(r)} lu, ${sayNumber(r.x)} from the left and ${sayNumber(r.y)} from the top`;

/** Why a layer is not drawn as its rule says. @param on where it lies on the case, of a picture that is drawn elsewhere */
const whyOutside = (layer: Layer | undefined, on: DrawnElsewhere | null, usual: string): string =>
  on && layer?.kind === 'picture' ? placingDropped(layer, on) : usual;

/**
 * What a window of the system does not draw as its rules say.
 * @param byRules the stage as it would be by its rules
 */
export function outsideFaults(
  { outside, stage, result }: StageResult,
  index: number,
  layerOf: (id: string) => Layer | undefined,
  byRules: () => CaseResult,
): LaunchFault[] {
  return outside.flatMap(({ layerId, why: usual, placed }): LaunchFault[] => {
    const is = placed && result ? drawnIn(result, layerId) : null;
    const asked = is && drawnIn(byRules(), layerId);
    if (placed && (!is || !asked || moveBetween(asked, is).furthest < NEAR)) return [];
    const layer = layerOf(layerId);
    const name = layer?.name ?? layerId;
    const on = is && asked && result && { asked, is, regions: result.regions };
    const places = is && asked ? [`By its rule it is ${sayRect(asked)}; it is drawn ${sayRect(is)}.`] : [];
    return [
      {
        rule: 'outside-stage',
        stage: index,
        about: layerId,
        value: 1,
        say: () => {
          const why = whyOutside(layer, on, usual);
          return {
            said: `${name} is not drawn as its rule says: ${why}`,
            because: [
              `This stage is drawn by ${SYSTEM_WORDS[stage.system].label}.`,
              `${name}: ${why}.`,
              ...places,
            ],
          };
        },
      },
    ];
  });
}

/** Everything around the icon's middle is alike on every screen, so that each file is looked at once. */
export function createMasked(pixels: ReadonlyMap<string, FilePixels>) {
  const known = new Map<string, number>();
  return ({ stage, result }: StageResult, index: number, name: string): LaunchFault[] => {
    const layer = result?.layers.find((l) => l.kind === 'picture' && l.parent === MASK_ID);
    const file = layer?.kind === 'picture' ? pixels.get(layer.rendition.hash) : undefined;
    if (layer?.kind !== 'picture' || !file || !result) return [];
    const { screen } = result.regions;
    const { drawn } = layer.placement;
    const key = `${layer.rendition.hash} ${stage.padding}`;
    const circle = { x: screen.width / 2, y: screen.height / 2, radius: ICON_WINDOW.circle / 2 };
    const value = known.get(key) ?? outsideCircle(drawn, file, circle);
    known.set(key, value);
    return [
      {
        rule: 'icon-masked',
        stage: index,
        about: layer.pictureId,
        value,
        say: () => ({
          said: `${sayShare(value)} of ${name} is cut off by the circle of the system`,
          because: [
            `The system draws the icon ${sayLength(ICON_WINDOW.box)} wide and shows a circle of ${sayLength(ICON_WINDOW.circle)}.`,
            stage.padding > 0
              ? `The file is set into it with ${sayShare(stage.padding)} of room along each side.`
              : 'The file reaches to the edge of its box, without room for the circle.',
          ],
        }),
      },
    ];
  };
}
