import sharp from 'sharp';
import type { Case } from '../src/core/screens/cases';
import { isPlaced, type Scene } from '../src/core/scene/scene';
import { onSize } from '../src/core/scene/when';
import type { Screen } from '../src/core/screens/screen';
import { surveyCase, type CaseResult, type PlacedResult } from '../src/core/survey/survey';
import { scenePage } from '../src/formats/css/page';
import { sceneSheet, type NotSaid } from '../src/formats/css/scene';
import { drawingOf } from '../src/render/painter';
import { paintPng } from '../src/render/sharp';
import { dataAddress } from '../src/server/importing/data-address';
import { pageFaces } from '../src/server/importing/faces';
import { serverFonts } from '../src/server/fonts/fonts';
import { filePixelsOf } from '../src/core/pixels/file';
import type { Painter } from './browser';
import type { PageOnScreens } from './css-layout';
import type { PageScene } from './css-scenes';
import { hangsOnRounding } from './product';

/** A page of a scene as it was laid out and painted, against the core. */
export interface PageCheck {
  boxes: number;
  /** boxes that lie elsewhere, and pictures that differ, said with the case */
  off: string[];
  /** the furthest that a box lies off, device px */
  furthest: number;
  /** pictures that were compared, and the most that one differs, of full scale over the whole canvas */
  painted: number;
  differs: number;
  notSaid: NotSaid[];
}

/** Device px, and of full scale. */
export const PAGE_TOLERANCE = { box: 0.5, paint: 0.02 } as const;

/** What the engine rounds of letters and lines may come to, lu. */
const rounding = (l: PlacedResult): number =>
  l.kind === 'text'
    ? Math.max(Math.max(...l.lines.map((line) => line.text.length)) / 96, l.lines.length / 64)
    : 0;

/** The mean difference of all px of two pictures, of full scale. */
async function difference(a: Buffer, b: Buffer): Promise<number> {
  const raw = (png: Buffer) => sharp(png).removeAlpha().raw().toBuffer({ resolveWithObject: true });
  const [one, two] = [await raw(a), await raw(b)];
  const width = Math.min(one.info.width, two.info.width);
  const height = Math.min(one.info.height, two.info.height);
  let sum = 0;
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width * 3; x++)
      sum += Math.abs(one.data[y * one.info.width * 3 + x]! - two.data[y * two.info.width * 3 + x]!);
  return sum / (width * height * 3) / 255;
}

/** What the product draws of a case, without the layers that the page does not say. */
async function drawn(
  result: CaseResult,
  { files }: PageScene,
  lost: ReadonlySet<string>,
  c: Case,
): Promise<Buffer> {
  const layers = result.layers.filter((l) => !lost.has(l.id));
  const drawing = drawingOf({ ...result, layers } as CaseResult, {
    scale: c.screen.density,
    fonts: serverFonts(),
  });
  const png = await paintPng(drawing, (hash) => Promise.resolve(files.get(hash)!.png));
  return sharp(png)
    .flatten({ background: c.appearance === 'dark' ? '#000000' : '#ffffff' })
    .png()
    .toBuffer();
}

/** The scene with the rules that hold on a case. */
const heldOn = (scene: Scene, { regions }: CaseResult): Scene => ({
  ...scene,
  layers: scene.layers.map((l) => (isPlaced(l) ? onSize(l, regions.screen) : l)),
});

/**
 * Lays a scene out as its page on one screen after another, and compares.
 * @param toPaint cases that are painted as well
 */
export async function comparePage(
  made: PageScene,
  {
    painter,
    shown,
    screens,
    cases,
    toPaint,
  }: {
    painter: Painter;
    shown: PageOnScreens;
    /** that the page is for */
    screens: readonly Screen[];
    cases: readonly Case[];
    toPaint: readonly Case[];
  },
): Promise<PageCheck> {
  const { scene, pictures, named, files, seed } = made;
  const address = (hash: string) => dataAddress(files.get(hash)!.png, 'image/png');
  const to = { scene, pictures, named, screens, address };
  const faces = pageFaces(scene, () => Buffer.alloc(0));
  const { html, notSaid } = scenePage({ ...to, faces, title: scene.name });
  const names = new Map(sceneSheet(to).layers.map((l) => [l.layer.id, l.name]));
  const lost = new Set(notSaid.map((n) => n.layer.id));
  const pixels = new Map([...files].map(([hash, f]) => [hash, filePixelsOf(f.raster)]));
  const check: PageCheck = { boxes: 0, off: [], furthest: 0, painted: 0, differs: 0, notSaid };
  await shown.show(painter.file(`scene-${seed}.html`, Buffer.from(html)));
  for (const c of cases) {
    const result = surveyCase({ scene, pictures, named, limits: [], fonts: serverFonts(), pixels }, c);
    const laid = await shown.on(c, scene, [...names.values()]);
    for (const l of result.layers) {
      const name = names.get(l.id);
      if (l.kind === 'ground' || !name) continue;
      const box = laid[name]!;
      const by = Math.max(
        ...(['x', 'y', 'width', 'height'] as const).map((k) => Math.abs(box[k] - l.box[k])),
      );
      const px = Math.max(0, by - rounding(l)) * c.screen.density;
      check.boxes++;
      check.furthest = Math.max(check.furthest, px);
      if (px <= PAGE_TOLERANCE.box) continue;
      const say = (r: typeof box) => [r.x, r.y, r.width, r.height].map((v) => v.toFixed(2)).join(' ');
      check.off.push(`scene ${seed}, ${c.id}, ${l.id} (${l.kind}): page ${say(box)}, core ${say(l.box)}`);
    }
    if (!toPaint.includes(c) || hangsOnRounding({ scene: heldOn(scene, result) }, result)) continue;
    const differs = await difference(await shown.shot(c), await drawn(result, made, lost, c));
    check.painted++;
    check.differs = Math.max(check.differs, differs);
    if (differs > PAGE_TOLERANCE.paint)
      check.off.push(`scene ${seed}, ${c.id}: the picture differs by ${(differs * 100).toFixed(2)} %`);
  }
  return check;
}
