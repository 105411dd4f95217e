import type { Drawing, Glass, Image, Pattern, Rounding } from './drawing';

type Context = CanvasRenderingContext2D | OffscreenCanvasRenderingContext2D;

/** Finds the pixels of a file, at least `widthPx` wide where there are as many; `null` while they are loading. */
export type Pixels = (hash: string, widthPx: number) => ImageBitmap | null;

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

function drawImage(ctx: Context, command: Image, bitmap: ImageBitmap) {
  const { dest } = command;
  ctx.save();
  clipTo(ctx, command);
  ctx.drawImage(bitmap, dest.x, dest.y, dest.width, dest.height);
  ctx.restore();
}

function drawPattern(ctx: Context, command: Pattern, bitmap: ImageBitmap) {
  const { tile, cell, pitch, origin, clip } = command;
  const swatch = new OffscreenCanvas(cell.width, cell.height);
  const inner = swatch.getContext('2d')!;
  inner.imageSmoothingQuality = 'high';
  inner.drawImage(bitmap, 0, 0, tile.width, tile.height);
  const fill = ctx.createPattern(swatch, 'repeat');
  if (!fill) return;
  const scale = new DOMMatrix([pitch.x / cell.width, 0, 0, pitch.y / cell.height, origin.x, origin.y]);
  fill.setTransform(scale);
  ctx.save();
  clipTo(ctx, command);
  ctx.fillStyle = fill;
  ctx.fillRect(clip.x, clip.y, clip.width, clip.height);
  ctx.restore();
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

/**
 * Carries out a drawing on a canvas of exactly its size.
 * @returns whether every picture was there; what is missing is left out and can be drawn again later
 */
export function paintCanvas(ctx: Context, drawing: Drawing, pixels: Pixels): boolean {
  let complete = true;
  ctx.clearRect(0, 0, drawing.size.width, drawing.size.height);
  ctx.imageSmoothingQuality = 'high';
  for (const command of drawing.commands) {
    if (command.kind === 'fill') {
      ctx.globalAlpha = command.opacity;
      ctx.fillStyle = command.colour;
      ctx.fillRect(command.rect.x, command.rect.y, command.rect.width, command.rect.height);
      ctx.globalAlpha = 1;
    } else if (command.kind === 'glass') {
      drawGlass(ctx, command);
    } else {
      const bitmap = pixels(command.hash, command.kind === 'image' ? command.dest.width : command.tile.width);
      if (!bitmap) complete = false;
      else if (command.kind === 'image') drawImage(ctx, command, bitmap);
      else drawPattern(ctx, command, bitmap);
    }
  }
  return complete;
}
