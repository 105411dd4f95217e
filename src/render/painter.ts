import {
  contains,
  extent,
  fittingRadius,
  inset,
  intersect,
  mapSides,
  type Axis,
  type Rect,
} from '@/core/geometry/rect';
import { roundHalfUp, snap } from '@/core/geometry/snap';
import type { Placement } from '@/core/fit/place';
import { isRepeated, paintedRect } from '@/core/fit/tiles';
import { straightStops, type PlacedPaint } from '@/core/fit/gradient';
import type { BarResult } from '@/core/screens/bars';
import type { CaseResult, LayerResult, PanelResult, PictureResult, TextResult } from '@/core/survey/survey';
import type { RoundRect } from '@/core/screens/outline';
import type { Command, Drawing, Fill, Group, Image, FillInk, Letters, Pattern, Rounding } from './drawing';
import { EM } from './em';
import type { Fonts } from './fonts';

export interface PaintOptions {
  /** px of the drawing per lu; the screen's density gives its own pixels */
  scale: number;
  /** draw what lies over the scene: the bars that it shows, the rounded corners and the cutouts of the screen */
  glass?: boolean;
  /** only a scene without text can be drawn without them */
  fonts: Pick<Fonts, 'outline'> | null;
}

const CUTOUT_COLOUR = '#000000';

/** On the grid a rectangle may be a px shorter than its radius asks for. */
function scaled({ rect, radius }: RoundRect, scale: number): Rounding {
  const snapped = snap(rect, scale);
  return { rect: snapped, radius: fittingRadius(radius * scale, snapped) };
}

const wholeExtent = (length: number, scale: number) => Math.max(1, roundHalfUp(length * scale));

type Cut = Pick<Image, 'hash' | 'clip' | 'rounding' | 'opacity' | 'tint'>;

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
  const { placement: p, rendition, opacity, tint } = layer;
  const box = snap(p.box, scale);
  const painted = intersect(snap(paintedRect(p), scale), whole);
  const clip = painted && (p.clipped ? intersect(painted, box) : painted);
  if (!clip) return null;
  const rounding =
    p.cornerRadius > 0 && p.clipped ? scaled({ rect: p.box, radius: p.cornerRadius }, scale) : null;
  const cut: Cut = { hash: rendition.hash, clip, rounding, opacity, tint };
  return isRepeated(p) ? pattern(p, cut, scale) : { kind: 'image', ...cut, dest: snap(p.drawn, scale) };
}

function inkOf(paint: PlacedPaint, scale: number): FillInk {
  const px = (p: { x: number; y: number }) => ({ x: p.x * scale, y: p.y * scale });
  if (paint.kind === 'colour') return paint;
  const stops = straightStops(paint.stops);
  if (paint.kind === 'linear') return { ...paint, stops, from: px(paint.from), to: px(paint.to) };
  return { ...paint, stops, centre: px(paint.centre), radius: paint.radius * scale };
}

const solid = (colour: string): FillInk => ({ kind: 'colour', colour });

/** Outlines are not snapped: a letter that moves by whole px from line to line would dance. */
function letters(
  { lines, face, fontSize, colour, opacity, placement }: TextResult,
  { scale, fonts }: PaintOptions,
): Letters {
  if (!fonts) throw new Error('A text is drawn with fonts.');
  return {
    kind: 'letters',
    lines: lines.map(({ text, x, baseline, reading }) => ({
      outline: fonts.outline(text, face, reading),
      at: { x: x * scale, y: baseline * scale },
    })),
    // Letters may reach over their line, but by less than they are high.
    bounds: snap(
      inset(
        placement.drawn,
        mapSides(() => -fontSize),
      ),
      scale,
    ),
    scale: (fontSize * scale) / EM,
    colour,
    opacity,
  };
}

/** Whether a panel cuts something off; a clip that does not is left out, because it costs a surface much. */
function cuts({ box, clip, placement }: PanelResult, held: readonly LayerResult[]): boolean {
  const inner = inset(
    box,
    mapSides(() => placement.cornerRadius),
  );
  const inside = (l: LayerResult) => {
    if (l.kind === 'ground') return false;
    const reach = l.kind === 'text' ? -l.fontSize / 2 : 0;
    return contains(
      inner,
      inset(
        paintedRect(l.placement),
        mapSides(() => reach),
      ),
    );
  };
  return clip && !held.every(inside);
}

/** A panel and what it holds, which is drawn as one. */
function panel(layer: PanelResult, clip: boolean, held: Command[], scale: number): Group {
  const { box, placement, paint, opacity } = layer;
  const rounding = scaled({ rect: box, radius: placement.cornerRadius }, scale);
  const fill: Fill = { kind: 'fill', ...rounding, ink: inkOf(paint, scale), opacity: 1 };
  return { kind: 'group', clip: clip ? rounding : null, opacity, commands: [fill, ...held] };
}

function barCommands({ rect, colour, signs, ink }: BarResult, scale: number): Fill[] {
  const fill = (r: RoundRect, of: string): Fill => ({
    kind: 'fill',
    ...scaled(r, scale),
    ink: solid(of),
    opacity: 1,
  });
  return [...(colour ? [fill({ rect, radius: 0 }, colour)] : []), ...signs.map((s) => fill(s, ink))];
}

/** The one way from a measured case to what is drawn of it; the surfaces only carry out its commands. */
export function drawingOf(result: CaseResult, options: PaintOptions): Drawing {
  const { scale } = options;
  const whole = snap(result.regions.screen, scale);
  const drawn = (layer: LayerResult): Command | null => {
    switch (layer.kind) {
      case 'ground': {
        const ink = inkOf(layer.paint, scale);
        return { kind: 'fill', rect: snap(layer.box, scale), radius: 0, ink, opacity: layer.opacity };
      }
      case 'picture':
        return picture(layer, whole, scale);
      case 'text':
        return letters(layer, options);
      case 'panel':
        return panel(layer, cuts(layer, layersIn(layer.id)), heldBy(layer.id), scale);
    }
  };
  const layersIn = (parent: string | undefined) =>
    result.layers.filter((l) => (l.kind === 'ground' ? undefined : l.parent) === parent);
  const heldBy = (parent: string | undefined): Command[] =>
    layersIn(parent)
      .map(drawn)
      .filter((command) => command !== null);
  const commands = heldBy(undefined);
  if (options.glass) {
    commands.push(...result.bars.flatMap((b) => barCommands(b, scale)));
    const { outline } = result;
    const holes = outline.holes.map((h) => scaled(h, scale));
    commands.push({ kind: 'glass', glass: scaled(outline.glass, scale), holes, colour: CUTOUT_COLOUR });
  }
  return { size: { width: whole.width, height: whole.height }, commands };
}
