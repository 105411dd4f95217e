import { extent, intersect, type Axis, type Rect } from '@/core/geometry/rect';
import { roundHalfUp, snap } from '@/core/geometry/snap';
import type { Placement } from '@/core/fit/place';
import { isRepeated, paintedRect } from '@/core/fit/tiles';
import type { CaseResult, PictureResult } from '@/core/survey/survey';
import type { RoundRect } from '@/core/screens/outline';
import type { Command, Drawing, Image, Pattern, Rounding } from './drawing';

export interface PaintOptions {
  /** px of the drawing per lu; the screen's density gives its own pixels */
  scale: number;
  /** draw the rounded corners and the cutouts of the screen */
  glass?: boolean;
}

const CUTOUT_COLOUR = '#000000';

const scaled = ({ rect, radius }: RoundRect, scale: number): Rounding => ({
  rect: snap(rect, scale),
  radius: radius * scale,
});

const wholeExtent = (length: number, scale: number) => Math.max(1, roundHalfUp(length * scale));

type Cut = Pick<Image, 'hash' | 'clip' | 'rounding' | 'opacity'>;

function pattern(p: Placement, cut: Cut, scale: number): Pattern {
  const along = (axis: Axis) => {
    const tiling = p.tiles[axis];
    const tile = extent(p.drawn, axis);
    const pitch = Math.max(1, (tiling?.pitch ?? tile) * scale);
    return { tile: wholeExtent(tile, scale), cell: wholeExtent(tile + (tiling?.gap ?? 0), scale), pitch };
  };
  const x = along('x');
  const y = along('y');
  return {
    kind: 'pattern',
    ...cut,
    tile: { width: x.tile, height: y.tile },
    cell: { width: x.cell, height: y.cell },
    pitch: { x: x.pitch, y: y.pitch },
    origin: { x: roundHalfUp(p.drawn.x * scale), y: roundHalfUp(p.drawn.y * scale) },
  };
}

/** One picture as a command, or nothing when no part of it is visible. */
function picture(layer: PictureResult, whole: Rect, scale: number): Image | Pattern | null {
  const { placement: p, rendition, opacity } = layer;
  const box = snap(p.box, scale);
  const painted = intersect(snap(paintedRect(p), scale), whole);
  const clip = painted && (p.clipped ? intersect(painted, box) : painted);
  if (!clip) return null;
  const rounding = p.cornerRadius > 0 && p.clipped ? { rect: box, radius: p.cornerRadius * scale } : null;
  const cut: Cut = { hash: rendition.hash, clip, rounding, opacity };
  return isRepeated(p) ? pattern(p, cut, scale) : { kind: 'image', ...cut, dest: snap(p.drawn, scale) };
}

/** The one way from a measured case to what is drawn of it; the surfaces only carry out its commands. */
export function drawingOf(result: CaseResult, { scale, glass }: PaintOptions): Drawing {
  const whole = snap(result.regions.screen, scale);
  const commands: Command[] = [];
  for (const layer of result.layers) {
    if (layer.kind === 'ground') {
      const { colour, opacity } = layer;
      commands.push({ kind: 'fill', rect: snap(layer.box, scale), colour, opacity });
      continue;
    }
    const command = picture(layer, whole, scale);
    if (command) commands.push(command);
  }
  if (glass) {
    const { outline } = result;
    const holes = outline.holes.map((h) => scaled(h, scale));
    commands.push({ kind: 'glass', glass: scaled(outline.glass, scale), holes, colour: CUTOUT_COLOUR });
  }
  return { size: { width: whole.width, height: whole.height }, commands };
}
