import type { Fit } from '../src/core/fit/rule';
import type { Axis } from '../src/core/geometry/rect';
import type { Paint } from '../src/core/values/paint';
import type { Layer, PanelLayer, PictureLayer, Scene, TextLayer } from '../src/core/scene/scene';
import type { Colour, Length } from '../src/core/values/values';
import type { MadeFile } from './pictures';
import { glassOf } from './glass-html';
import { plain, PlacingCss } from './placing-css';
import type { HeldScreen } from './screens';

/**
 * A scene as an HTML page, written from its rules alone: nothing of the product places, fits or mixes anything here.
 * What is worked out, the browser works out: regions are custom properties, edges `calc()` and anchors, shapes
 * `aspect-ratio`, fits `background-*` and `object-*`, groups `opacity` and `overflow`.
 */

export interface PageOptions {
  scene: Scene;
  screen: HeldScreen;
  files: readonly MadeFile[];
  /** address of a file, by its hash */
  address: (hash: string) => string;
  /** shows one layer alone, without opacities and round corners, and what holds it only as far as it cuts it off */
  solo?: string;
  /** hides a layer and all that is drawn after it, or fills its ink with one colour */
  until?: { id: string; ink: string | null };
  /** draws what hides parts of the screen as well: cutouts red, what lies outside the corners green, bars blue */
  glass?: boolean;
}

class Page {
  private readonly css: PlacingCss;

  constructor(private readonly options: PageOptions) {
    this.css = new PlacingCss(options.screen, options.files, options.scene.direction === 'rtl');
  }

  private colour(c: Colour): string {
    const { light, dark } = c as { light: string; dark?: string };
    return this.options.screen.appearance === 'dark' ? (dark ?? light) : light;
  }

  /** What a rule calls left, and what it calls right. */
  private sides(): ['left', 'right'] | ['right', 'left'] {
    return this.options.scene.direction === 'rtl' ? ['right', 'left'] : ['left', 'right'];
  }

  private paint(p: Paint): string {
    if (!('gradient' in p)) return this.colour(p);
    const stops = p.stops.map((s) => `${this.colour(s.colour)} ${s.at}%`).join(', ');
    return p.gradient === 'linear'
      ? `linear-gradient(${p.angle}deg, ${stops})`
      : `radial-gradient(circle farthest-corner at ${p.centre.x}% ${p.centre.y}%, ${stops})`;
  }

  private set(layer: PictureLayer): string {
    const { density } = this.css.fileOf(layer).picture.cuts[0]!.renditions[0]!;
    return `image-set(url('${this.options.address(this.css.fileOf(layer).hash)}') ${density}x)`;
  }

  private backgroundSize({ size }: Fit): string {
    if (typeof size === 'object') {
      const side = (l: Length | 'auto') =>
        l === 'auto' ? 'auto' : plain(l).unit === '%' ? `${plain(l).value}%` : `${plain(l).value}px`;
      return `${side(size.width)} ${side(size.height)}`;
    }
    const sizes: Record<string, string> = {
      cover: 'cover',
      contain: 'contain',
      stretch: '100% 100%',
      natural: 'auto',
      'match-width': '100% auto',
      'match-height': 'auto 100%',
    };
    return sizes[size]!;
  }

  private position({ align }: Fit): string {
    if (align.kind === 'focal') throw new Error('A focal point is drawn otherwise.');
    const at = (a: typeof align.x) => `calc(${a.percent}% + ${plain(a.offset).value}px)`;
    return `${at(align.x)} ${at(align.y)}`;
  }

  /** A picture in its box. */
  private picture(layer: PictureLayer): string {
    const { fit, tint } = layer;
    const ink = this.ink(layer);
    if (ink) return this.inkBlock(ink);
    const colour = tint && !this.options.solo ? this.colour(tint) : null;
    const natural = this.css.natural(layer);
    const whole = 'position:absolute;inset:0';
    const address = this.options.address(this.css.fileOf(layer).hash);
    const { density } = this.css.fileOf(layer).picture.cuts[0]!.renditions[0]!;
    if (fit.align.kind === 'focal') return this.focal(layer, natural, colour);
    const word: Record<string, string> = { stretch: 'fill', natural: 'none' };
    const name = typeof fit.size === 'string' ? (word[fit.size] ?? fit.size) : '';
    const repeats = fit.repeat.x !== 'no-repeat' || fit.repeat.y !== 'no-repeat';
    // The engine’s own scale-down does not mind the density of a file.
    const isObject = ['fill', 'none', 'cover', 'contain'].includes(name) && !repeats;
    if (isObject && !colour)
      return `<img srcset="${address} ${density}x" style="${whole};width:100%;height:100%;object-fit:${name};object-position:${this.position(fit)};overflow:${fit.clip ? 'clip' : 'visible'}">`;
    const size = name === 'scale-down' ? this.scaleDown(natural) : this.backgroundSize(fit);
    const how = `${this.position(fit)} / ${size} ${fit.repeat.x} ${fit.repeat.y}`;
    if (!colour) return `<div style="${whole};background:${this.set(layer)} ${how}"></div>`;
    return `<div style="${whole};background:${colour};mask:${this.set(layer)} ${how}"></div>`;
  }

  /** Never larger than its natural size, and whole: the smaller of both, by container units. */
  private scaleDown = ({ width, height }: { width: number; height: number }) =>
    `min(${width}px, 100cqw, ${width / height} * 100cqh) auto`;

  /** Covers, and keeps a point in the middle as far as no side is bared. */
  private focal(
    layer: PictureLayer,
    { width, height }: { width: number; height: number },
    colour: string | null,
  ): string {
    const { focalPoint } = this.css.fileOf(layer).picture.cuts[0]!;
    const { x, y } = focalPoint!;
    const w = `max(100cqw, ${width / height} * 100cqh)`;
    const h = `max(100cqh, ${height / width} * 100cqw)`;
    const at = (box: string, drawn: string, share: number) =>
      `clamp(${box} - ${drawn}, ${box} / 2 - ${share} * ${drawn}, 0px)`;
    const css = `position:absolute;width:${w};height:${h};left:${at('100cqw', w, x)};top:${at('100cqh', h, y)}`;
    const how = `0 0 / 100% 100% no-repeat`;
    return colour
      ? `<div style="${css};background:${colour};mask:${this.set(layer)} ${how}"></div>`
      : `<div style="${css};background:${this.set(layer)} ${how}"></div>`;
  }

  /** The colour with which the ink of the layer that is looked at is filled. */
  private ink({ id }: Layer): string | null {
    const { until } = this.options;
    return until?.id === id ? until.ink : null;
  }

  private inkBlock = (colour: string) =>
    `<div style="position:absolute;inset:-2000px;background:${colour}"></div>`;

  private text(layer: TextLayer): string {
    const words = layer.text.replaceAll('&', '&amp;').replaceAll('<', '&lt;');
    const ink = this.ink(layer);
    const block = ink ? this.inkBlock(ink) : '';
    const colour = ink ? 'transparent' : this.colour(layer.style.colour);
    return `${block}<span data-words="${layer.id}" style="color:${colour}">${words}</span>`;
  }

  private textCss({ style }: TextLayer): string {
    const [start, end] = this.sides();
    const align = { start, middle: 'center', end }[style.align.x];
    return `font:${style.weight} ${style.size}px/${style.lineHeight} shipped-${style.font};text-align:${align};white-space:pre-line;overflow-wrap:break-word`;
  }

  private isShown(layer: Layer): boolean {
    const { until, scene } = this.options;
    if (!until) return true;
    const at = (id: string) => scene.layers.findIndex((l) => l.id === id);
    if (layer.id === until.id) return until.ink !== null;
    // Letters under a layer are no ground: what stands out from them is told by overlap.
    if (layer.kind === 'text') return false;
    return at(layer.id) < at(until.id);
  }

  private panelInside(layer: PanelLayer): string {
    const pad = (side: keyof PanelLayer['padding'], axis: Axis) =>
      this.css.length(layer.padding[side], this.css.sizeOf('screen', axis));
    const [left, right] = this.sides();
    const inset = `${pad('top', 'y')} ${pad(right, 'x')} ${pad('bottom', 'y')} ${pad(left, 'x')}`;
    const held = this.options.scene.layers.filter((l) => l.kind !== 'ground' && l.parent === layer.id);
    return `<div style="position:absolute;inset:${inset}">${held.map((l) => this.layer(l)).join('')}</div>`;
  }

  private radiusCss(radius: Length): string {
    if (this.options.solo || plain(radius).value === 0) return '';
    const { value, unit } = plain(radius);
    // % is of the shorter side, which only container units know.
    return `;border-radius:${unit === '%' ? `calc(100cqmin * ${value / 100})` : `${value}px`}`;
  }

  /** An item in the box that its rule gives it. */
  private layer(layer: Layer): string {
    const { solo } = this.options;
    if (layer.kind === 'ground') {
      if (solo || !this.isShown(layer)) return '';
      return `<div style="position:absolute;inset:0;background:${this.paint(layer.colour)}"></div>`;
    }
    const { placing } = layer;
    const [x, y] = [this.css.along(placing.x, 'x'), this.css.along(placing.y, 'y')];
    const shape = this.css.shape(layer, placing);
    const opacity = solo ? 1 : (layer.opacity ?? 1);
    const box = `${this.css.extentCss(layer, placing, 'x')};${this.css.extentCss(layer, placing, 'y')}${shape === null ? '' : `;aspect-ratio:${shape}`}`;
    const hidden =
      (solo && solo !== layer.id) || !this.isShown(layer) ? ';visibility:hidden' : ';visibility:visible';
    const row = this.options.scene.direction === 'rtl' ? 'row-reverse' : 'row';
    const wrapper = `position:absolute;display:flex;flex-direction:${row};justify-content:${x.align};align-items:${y.align};${x.css};${y.css}`;
    const item = `position:relative;flex:none;min-width:0;min-height:0;box-sizing:border-box;anchor-name:--a-${layer.id};${box};opacity:${opacity}`;
    return `<div style="${wrapper}"><div data-id="${layer.id}" style="${item}${layer.kind === 'text' ? `;${this.textCss(layer)}${hidden}` : ''}">${this.inside(layer, hidden)}</div></div>`;
  }

  /** What is drawn in a box, cut off and rounded as it says. */
  private inside(layer: Layer, hidden: string): string {
    const { solo } = this.options;
    if (layer.kind === 'text') return this.text(layer);
    const sized = 'position:absolute;inset:0;container-type:size';
    if (layer.kind === 'picture') {
      const repeats = layer.fit.repeat.x !== 'no-repeat' || layer.fit.repeat.y !== 'no-repeat';
      const clip = (layer.fit.clip || repeats) && !this.ink(layer);
      const cut = `position:absolute;inset:0;overflow:${clip ? 'hidden' : 'visible'}${clip ? this.radiusCss(layer.fit.cornerRadius) : ''}`;
      return `<div style="${sized};contain:size style${hidden}"><div style="${cut};container-type:size;contain:size style">${this.picture(layer)}</div></div>`;
    }
    if (layer.kind !== 'panel') return '';
    const paint = solo || !this.isShown(layer) ? 'none' : this.paint(layer.colour);
    const radius = this.radiusCss(layer.cornerRadius);
    const fill = `<div style="position:absolute;inset:0;background:${paint}${radius}"></div>`;
    return `${fill}<div style="position:absolute;inset:0;overflow:${layer.clip ? 'hidden' : 'visible'}${layer.clip ? radius : ''}">${this.panelInside(layer)}</div>`;
  }

  private regions(): string {
    const [left] = this.sides();
    const { screen, scene } = this.options;
    const { insets: i, width, height, statusBar, gestureBar } = screen;
    const title = scene.bars.title.shown ? scene.bars.title.height : 0;
    const m = (side: keyof Scene['margin'], size: string) =>
      this.css.length(scene.margin[side], `var(--safe-${size})`);
    return `
      --screen-x:0px; --screen-y:0px; --screen-w:${width}px; --screen-h:${height}px;
      --safe-x:${i.left}px; --safe-y:${i.top}px; --safe-w:${Math.max(0, width - i.left - i.right)}px; --safe-h:${Math.max(0, height - i.top - i.bottom)}px;
      --content-x:0px; --content-y:${statusBar + title}px; --content-w:${width}px; --content-h:${height - statusBar - title - gestureBar}px;
      --margins-x:calc(var(--safe-x) + ${m(left, 'w')}); --margins-y:calc(var(--safe-y) + ${m('top', 'h')});
      --margins-w:calc(var(--safe-w) - ${m('left', 'w')} - ${m('right', 'w')}); --margins-h:calc(var(--safe-h) - ${m('top', 'h')} - ${m('bottom', 'h')});`;
  }

  write(): string {
    const { scene, screen, glass, solo } = this.options;
    // On nothing at all the engine gives some groups the wrong alpha; a window that nobody has painted is white or black.
    const behind = solo ? 'transparent' : screen.appearance === 'dark' ? '#000' : '#fff';
    const layers = scene.layers.filter((l) => l.kind === 'ground' || l.parent === undefined);
    const css = `background:${behind};position:absolute;left:0;top:0;width:${screen.width}px;height:${screen.height}px;overflow:hidden;${this.regions()}`;
    return `<div id="screen" style="${css}">${layers.map((l) => this.layer(l)).join('')}${glass ? glassOf(screen, scene) : ''}</div>`;
  }
}

/** The screen of a page with nothing else in it. */
export const screenOf = (options: PageOptions): string => new Page(options).write();
