import { LRUCache } from 'lru-cache';
import type { Size } from '@/core/geometry/rect';
import type {
  Command,
  Drawing,
  Fill,
  Glass,
  Group,
  Image,
  FillInk,
  Letters,
  Pattern,
  Rounding,
} from './drawing';
import { cached } from './cached';

type Context = CanvasRenderingContext2D | OffscreenCanvasRenderingContext2D;

/**
 * Finds the pixels of a file, with at least as many columns and rows as are drawn where there are as many; `null` while
 * they are loading. `drawn` is in px.
 */
export type BitmapOf = (hash: string, drawn: Size) => ImageBitmap | null;

function roundedPath(path: Path2D, { rect, radius }: Rounding) {
  path.roundRect(rect.x, rect.y, rect.width, rect.height, radius);
}

/** What ends the drawing of a picture, and how much of it shows through. */
function clipTo(ctx: Context, { clip, rounding, opacity }: Image | Pattern) {
  ctx.globalAlpha = opacity;
  const path = new Path2D();
  path.rect(clip.x, clip.y, clip.width, clip.height);
  ctx.clip(path);
  if (!rounding) return;
  const round = new Path2D();
  roundedPath(round, rounding);
  ctx.clip(round);
}

/** The pixels of a picture in one colour, with the alpha that they have. */
function tinted(
  bitmap: ImageBitmap | OffscreenCanvas,
  { width, height }: Size,
  tint: string,
): OffscreenCanvas {
  const canvas = new OffscreenCanvas(Math.max(1, width), Math.max(1, height));
  const ctx = canvas.getContext('2d')!;
  ctx.imageSmoothingQuality = 'high';
  ctx.drawImage(bitmap, 0, 0, width, height);
  ctx.globalCompositeOperation = 'source-in';
  ctx.fillStyle = tint;
  ctx.fillRect(0, 0, width, height);
  return canvas;
}

function drawImage(ctx: Context, command: Image, bitmap: ImageBitmap) {
  const { dest, tint } = command;
  ctx.save();
  clipTo(ctx, command);
  const pixels = resampled(bitmap, dest) ?? bitmap;
  ctx.drawImage(tint ? tinted(pixels, dest, tint) : pixels, dest.x, dest.y, dest.width, dest.height);
  ctx.restore();
}

/** What leaves a cache gives its memory back at once. */
const bitmaps = (max: number) =>
  new LRUCache<string, ImageBitmap>({ max, dispose: (bitmap) => bitmap.close() });

/** Pictures of more px than this are resampled each time, so that what is kept stays small. */
const LARGEST_RESAMPLED = 120_000;
/** Of one picture so many px are kept, in all its sizes. */
const MOST_RESAMPLED = 4_000_000;

const resampledSizes = () =>
  new LRUCache<string, ImageBitmap>({
    maxSize: MOST_RESAMPLED,
    sizeCalculation: ({ width, height }) => width * height,
    dispose: (bitmap) => bitmap.close(),
  });

interface Sizes {
  /** how often a size was drawn lately */
  seen: LRUCache<string, true>;
  made: ReturnType<typeof bitmaps>;
}
const resampledOf = new WeakMap<ImageBitmap, Sizes>();

/**
 * A picture at the size that it is drawn at, once it is drawn at that again: where only its position runs, resampling and
 * handing over a large picture for each cell is what takes long. `null` where it is not kept.
 */
function resampled(bitmap: ImageBitmap, { width, height }: Size): ImageBitmap | null {
  if (width * height > LARGEST_RESAMPLED || width * height >= bitmap.width * bitmap.height) return null;
  const own = resampledOf.get(bitmap) ?? { seen: new LRUCache({ max: 300 }), made: resampledSizes() };
  resampledOf.set(bitmap, own);
  const key = `${width} ${height}`;
  if (!own.seen.has(key)) {
    own.seen.set(key, true);
    return null;
  }
  return cached(own.made, key, () => {
    const canvas = new OffscreenCanvas(width, height);
    canvas.getContext('2d')!.drawImage(bitmap, 0, 0, width, height);
    return canvas.transferToImageBitmap();
  });
}

const swatches = new WeakMap<ImageBitmap, ReturnType<typeof bitmaps>>();

/** One cell of a pattern: the tile, resampled to its size, with its gap. */
function swatchOf({ tile, cell, tint }: Pattern, bitmap: ImageBitmap): ImageBitmap {
  const ofBitmap = swatches.get(bitmap) ?? bitmaps(200);
  swatches.set(bitmap, ofBitmap);
  return cached(ofBitmap, `${tile.width} ${tile.height} ${cell.width} ${cell.height} ${tint}`, () => {
    const swatch = new OffscreenCanvas(cell.width, cell.height);
    const inner = swatch.getContext('2d')!;
    inner.imageSmoothingQuality = 'high';
    inner.drawImage(tint ? tinted(bitmap, tile, tint) : bitmap, 0, 0, tile.width, tile.height);
    return swatch.transferToImageBitmap();
  });
}

function drawPattern(ctx: Context, command: Pattern, bitmap: ImageBitmap) {
  const { cell, pitch, origin, clip } = command;
  const fill = ctx.createPattern(swatchOf(command, bitmap), 'repeat');
  if (!fill) return;
  const scale = new DOMMatrix([pitch.x / cell.width, 0, 0, pitch.y / cell.height, origin.x, origin.y]);
  fill.setTransform(scale);
  ctx.save();
  clipTo(ctx, command);
  ctx.fillStyle = fill;
  ctx.fillRect(clip.x, clip.y, clip.width, clip.height);
  ctx.restore();
}

function styleOf(ctx: Context, ink: FillInk): string | CanvasGradient {
  if (ink.kind === 'colour') return ink.colour;
  const gradient =
    ink.kind === 'linear'
      ? ctx.createLinearGradient(ink.from.x, ink.from.y, ink.to.x, ink.to.y)
      : ctx.createRadialGradient(ink.centre.x, ink.centre.y, 0, ink.centre.x, ink.centre.y, ink.radius);
  for (const { at, colour } of ink.stops) gradient.addColorStop(at, colour);
  return gradient;
}

function drawFill(ctx: Context, { rect, radius, ink, opacity }: Fill) {
  ctx.save();
  ctx.globalAlpha = opacity;
  ctx.fillStyle = styleOf(ctx, ink);
  if (radius > 0) {
    const path = new Path2D();
    roundedPath(path, { rect, radius });
    ctx.fill(path);
  } else ctx.fillRect(rect.x, rect.y, rect.width, rect.height);
  ctx.restore();
}

const paths = new LRUCache<string, Path2D>({ max: 2000 });
const numbers = new LRUCache<string, number>({ max: 4000 });
const sprites = bitmaps(800);
let nextNumber = 0;

/** Letters of more px than this are drawn each time, so that what is kept stays small. */
const LARGEST_SPRITE = 160_000;

function fillLetters(ctx: Context, { lines, scale, colour }: Letters, from: { x: number; y: number }) {
  ctx.fillStyle = colour;
  for (const { outline, at } of lines) {
    ctx.setTransform(scale, 0, 0, scale, at.x - from.x, at.y - from.y);
    ctx.fill(cached(paths, outline, () => new Path2D(outline)));
  }
}

/** Letters as they lie on the px grid, drawn once for wherever they lie alike: filling outlines is what takes long. */
function spriteOf(letters: Letters): ImageBitmap {
  const { lines, bounds, scale, colour } = letters;
  const each = lines.map(({ outline, at }) => {
    const number = cached(numbers, outline, () => nextNumber++);
    return `${number} ${at.x - bounds.x} ${at.y - bounds.y}`;
  });
  return cached(sprites, `${each.join()} ${bounds.width} ${bounds.height} ${scale} ${colour}`, () => {
    const canvas = new OffscreenCanvas(bounds.width, bounds.height);
    fillLetters(canvas.getContext('2d')!, letters, bounds);
    return canvas.transferToImageBitmap();
  });
}

function drawLetters(ctx: Context, letters: Letters) {
  const { bounds, opacity } = letters;
  if (bounds.width < 1 || bounds.height < 1) return;
  ctx.save();
  ctx.globalAlpha = opacity;
  if (bounds.width * bounds.height > LARGEST_SPRITE) fillLetters(ctx, letters, { x: 0, y: 0 });
  else ctx.drawImage(spriteOf(letters), bounds.x, bounds.y);
  ctx.restore();
}

/** A group that is see-through is drawn by itself first, so that its layers do not show through one another. */
function drawGroup(ctx: Context, group: Group, size: Size, pixels: BitmapOf): boolean {
  const { clip, opacity, commands } = group;
  if (opacity === 0) return true;
  ctx.save();
  if (clip) {
    const path = new Path2D();
    roundedPath(path, clip);
    ctx.clip(path);
  }
  let complete: boolean;
  if (opacity === 1) complete = drawAll(ctx, commands, size, pixels);
  else {
    const canvas = new OffscreenCanvas(size.width, size.height);
    complete = drawAll(canvas.getContext('2d')!, commands, size, pixels);
    ctx.globalAlpha = opacity;
    ctx.drawImage(canvas, 0, 0);
  }
  ctx.restore();
  return complete;
}

function drawGlass(ctx: Context, { glass, holes, colour }: Glass) {
  const cutouts = new Path2D();
  for (const hole of holes) roundedPath(cutouts, hole);
  ctx.fillStyle = colour;
  ctx.fill(cutouts);
  const inside = new Path2D();
  roundedPath(inside, glass);
  ctx.globalCompositeOperation = 'destination-in';
  ctx.fillStyle = '#000';
  ctx.fill(inside);
  ctx.globalCompositeOperation = 'source-over';
}

function drawPixels(ctx: Context, command: Image | Pattern, pixels: BitmapOf): boolean {
  const bitmap = pixels(command.hash, command.kind === 'image' ? command.dest : command.tile);
  if (!bitmap) return false;
  if (command.kind === 'image') drawImage(ctx, command, bitmap);
  else drawPattern(ctx, command, bitmap);
  return true;
}

function drawAll(ctx: Context, commands: readonly Command[], size: Size, pixels: BitmapOf): boolean {
  let complete = true;
  for (const command of commands) {
    if (command.kind === 'fill') drawFill(ctx, command);
    else if (command.kind === 'letters') drawLetters(ctx, command);
    else if (command.kind === 'glass') drawGlass(ctx, command);
    else if (command.kind === 'group') complete = drawGroup(ctx, command, size, pixels) && complete;
    else complete = drawPixels(ctx, command, pixels) && complete;
  }
  return complete;
}

/**
 * Carries out a drawing on a canvas of exactly its size.
 * @returns whether every picture was there; what is missing is left out and can be drawn again later
 */
export function paintCanvas(ctx: Context, drawing: Drawing, pixels: BitmapOf): boolean {
  ctx.clearRect(0, 0, drawing.size.width, drawing.size.height);
  ctx.imageSmoothingQuality = 'high';
  return drawAll(ctx, drawing.commands, drawing.size, pixels);
}
