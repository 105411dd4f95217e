import { bottom, intersect, right, type Rect, type Size } from '@/core/geometry/rect';
import type {
  Command,
  Drawing,
  Fill,
  FillInk,
  Glass,
  Group,
  Image,
  Letters,
  Pattern,
  Rounding,
} from './drawing';

/** Addresses of files, by their hash; such as one that holds the file itself. */
export type Address = (hash: string) => string;

const number = (value: number) => String(Math.round(value * 1e4) / 1e4);

const rectAttributes = ({ x, y, width, height }: Rect, radius = 0) =>
  `x="${number(x)}" y="${number(y)}" width="${number(width)}" height="${number(height)}"${radius > 0 ? ` rx="${number(radius)}"` : ''}`;

const opacityOf = (opacity: number) => (opacity < 1 ? ` opacity="${number(opacity)}"` : '');

/** A colour, with its alpha apart, as every reader of SVG takes it. */
function paintAttributes(colour: string, name: 'fill' | 'stop' | 'flood'): string {
  const alpha = colour.length > 7 ? parseInt(colour.slice(7), 16) / 255 : 1;
  const property = name === 'fill' ? 'fill' : `${name}-color`;
  return `${property}="${colour.slice(0, 7)}"${alpha < 1 ? ` ${name}-opacity="${number(alpha)}"` : ''}`;
}

/** Whether a point lies in a rounded rectangle, or on its edge. */
function holdsPoint({ rect, radius }: Rounding, x: number, y: number): boolean {
  const r = Math.min(radius, rect.width / 2, rect.height / 2);
  const outX = Math.max(rect.x + r - x, x - (right(rect) - r), 0);
  const outY = Math.max(rect.y + r - y, y - (bottom(rect) - r), 0);
  return Math.hypot(outX, outY) <= r + HAIR && (r > 0 || (outX <= HAIR && outY <= HAIR));
}

/** Less than anybody sees, px. */
const HAIR = 1e-6;

/** Whether all of a rectangle lies in a rounded one, which is so when its corners do. */
const holds = (rounding: Rounding, rect: Rect): boolean =>
  [rect.x, right(rect)].every((x) => [rect.y, bottom(rect)].every((y) => holdsPoint(rounding, x, y)));

/** As far as a command paints; `null` where it paints nothing. */
function reachOfOne(command: Command): Rect | null {
  switch (command.kind) {
    case 'fill':
      return command.rect;
    case 'image':
      return intersect(command.dest, command.clip);
    case 'pattern':
      return command.clip;
    case 'letters':
      return command.bounds;
    case 'group': {
      const inside = reachOf(command.commands);
      return inside && command.clip ? intersect(inside, command.clip.rect) : inside;
    }
    case 'glass':
      return command.glass.rect;
  }
}

/** As far as commands paint between them; `null` where they paint nothing. */
function reachOf(commands: readonly Command[]): Rect | null {
  const reaches = commands.map(reachOfOne).filter((r) => r !== null);
  if (reaches.length === 0) return null;
  const x = Math.min(...reaches.map((r) => r.x));
  const y = Math.min(...reaches.map((r) => r.y));
  return {
    x,
    y,
    width: Math.max(...reaches.map(right)) - x,
    height: Math.max(...reaches.map(bottom)) - y,
  };
}

/** A drawing as elements of SVG 2. Everything that is referred to is defined once, under a name of its own. */
class Writer {
  readonly definitions: string[] = [];

  constructor(
    private readonly canvas: Rect,
    private readonly address: Address,
  ) {}

  /** @returns its name */
  private define(make: (id: string) => string): string {
    const id = `d${this.definitions.length + 1}`;
    this.definitions.push(make(id));
    return id;
  }

  all = (commands: readonly Command[]): string => commands.map((c) => this.command(c)).join('');

  private command(command: Command): string {
    switch (command.kind) {
      case 'fill':
        return this.fill(command);
      case 'image':
        return this.image(command);
      case 'pattern':
        return this.pattern(command);
      case 'letters':
        return this.letters(command);
      case 'group':
        return this.group(command);
      case 'glass':
        return this.glass(command);
    }
  }

  private ink(ink: FillInk): string {
    if (ink.kind === 'colour') return paintAttributes(ink.colour, 'fill');
    const stops = ink.stops.map(
      (s) => `<stop offset="${number(s.at)}" ${paintAttributes(s.colour, 'stop')}/>`,
    );
    const id = this.define((name) => {
      const units = `id="${name}" gradientUnits="userSpaceOnUse"`;
      return ink.kind === 'linear'
        ? `<linearGradient ${units} x1="${number(ink.from.x)}" y1="${number(ink.from.y)}" x2="${number(ink.to.x)}" y2="${number(ink.to.y)}">${stops.join('')}</linearGradient>`
        : `<radialGradient ${units} cx="${number(ink.centre.x)}" cy="${number(ink.centre.y)}" r="${number(ink.radius)}">${stops.join('')}</radialGradient>`;
    });
    return `fill="url(#${id})"`;
  }

  private fill({ rect, radius, ink, opacity }: Fill): string {
    return `<rect ${rectAttributes(rect, radius)} ${this.ink(ink)}${opacityOf(opacity)}/>\n`;
  }

  /**
   * What cuts something off. One that cuts nothing is left out: renderers differ most in groups within groups that are cut.
   * @param reach as far as what is cut reaches; `null` where nothing is drawn
   */
  private clip(rects: readonly Rounding[], reach: Rect | null): string {
    const seen = reach && intersect(reach, this.canvas);
    const cutting = rects.filter((r) => seen !== null && !holds(r, seen));
    // Each cuts what the one before has left.
    return cutting.reduce((inside, { rect, radius }) => {
      const id = this.define(
        (name) => `<clipPath id="${name}"${inside}><rect ${rectAttributes(rect, radius)}/></clipPath>`,
      );
      return ` clip-path="url(#${id})"`;
    }, '');
  }

  /** Keeps the alpha of what is drawn, and replaces its colour. */
  private tint(tint: string | null): string {
    if (!tint) return '';
    const id = this.define(
      (name) =>
        `<filter id="${name}" x="0" y="0" width="1" height="1" color-interpolation-filters="sRGB"><feFlood ${paintAttributes(tint, 'flood')}/><feComposite in2="SourceAlpha" operator="in"/></filter>`,
    );
    return ` filter="url(#${id})"`;
  }

  private file = (hash: string, at: Rect) =>
    `<image ${rectAttributes(at)} preserveAspectRatio="none" href="${this.address(hash)}"/>`;

  private image({ hash, dest, clip, rounding, tint, opacity }: Image): string {
    const cut = this.clip([{ rect: clip, radius: 0 }, ...(rounding ? [rounding] : [])], dest);
    return `<g${cut}${opacityOf(opacity)}><g${this.tint(tint)}>${this.file(hash, dest)}</g></g>\n`;
  }

  private pattern({ hash, tile, cell, pitch, origin, clip, rounding, tint, opacity }: Pattern): string {
    const id = this.define(
      (name) =>
        `<pattern id="${name}" patternUnits="userSpaceOnUse" x="${origin.x}" y="${origin.y}" width="${number(pitch.x)}" height="${number(pitch.y)}">${this.file(hash, { x: 0, y: 0, width: (tile.width * pitch.x) / cell.width, height: (tile.height * pitch.y) / cell.height })}</pattern>`,
    );
    const cut = rounding ? this.clip([rounding], clip) : '';
    return `<g${cut}${opacityOf(opacity)}><g${this.tint(tint)}><rect ${rectAttributes(clip)} fill="url(#${id})"/></g></g>\n`;
  }

  private letters({ lines, scale, colour, opacity }: Letters): string {
    const paths = lines.map(
      ({ outline, at }) =>
        `<path transform="translate(${number(at.x)} ${number(at.y)}) scale(${scale})" d="${outline}"/>`,
    );
    return `<g ${paintAttributes(colour, 'fill')}${opacityOf(opacity)}>${paths.join('')}</g>\n`;
  }

  private group({ clip, opacity, commands }: Group): string {
    const cut = clip ? this.clip([clip], reachOf(commands)) : '';
    return `<g${cut}${opacityOf(opacity)}>\n${this.all(commands)}</g>\n`;
  }

  /** What lies outside the glass is taken away from everything: see `svgOf`. */
  private glass({ holes, colour }: Glass): string {
    return holes
      .map((h) => `<rect ${rectAttributes(h.rect, h.radius)} ${paintAttributes(colour, 'fill')}/>\n`)
      .join('');
  }

  whole = ({ commands }: Drawing): string => {
    const body = this.all(commands);
    const glass = commands.find((c) => c.kind === 'glass');
    if (!glass) return body;
    const cut = this.clip([glass.glass], reachOf(commands));
    return cut ? `<g${cut}>\n${body}</g>\n` : body;
  };
}

/**
 * Carries out a drawing as SVG, text as outlines.
 * @param size what it is shown at, such as lu; the drawing itself is in its px
 */
export function svgOf(drawing: Drawing, size: Size, address: Address): string {
  const { width, height } = drawing.size;
  const writer = new Writer({ x: 0, y: 0, width, height }, address);
  const body = writer.whole(drawing);
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${number(size.width)}" height="${number(size.height)}" viewBox="0 0 ${width} ${height}">\n<defs>${writer.definitions.join('\n')}</defs>\n${body}</svg>\n`;
}
