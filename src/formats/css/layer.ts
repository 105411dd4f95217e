import { isRepeating } from '@/core/fit/rule';
import type { Axis } from '@/core/geometry/rect';
import type { PanelLayer, PictureLayer, PlacedLayer, TextLayer } from '@/core/scene/scene';
import { fontHash } from '@/core/text/style';
import { isZero, type Appearance, type Length } from '@/core/values/values';
import { backgroundSize, drawnBlock, objectFit, position, repeatWords, type FitAround } from './fit';
import { flowing, flowingPanel, flows } from './flow';
import { AXES, type Form, type LayerAround, type Way } from './around';
import { boxRules, selectorOf } from './box';
import { isAnchored } from './placing';
import { Rules } from './rules';
import { cssNumber, Sum } from './sum';
import { Unsaid } from './unsaid';

/** Whether CSS fits the picture by itself in every rule that holds anywhere. */
export const formOf = (layers: readonly PlacedLayer[], around: readonly LayerAround[]): Form => {
  if (layers[0]!.kind !== 'picture') return 'plain';
  const isImage = layers.every(
    (l, i) =>
      l.kind === 'picture' &&
      !l.tint &&
      objectFit(l.fit) !== null &&
      AXES.every((axis) => around[i]!.placing.along(l.id, axis).size !== null),
  );
  return isImage ? 'image' : 'block';
};

const isPut = (layer: PlacedLayer, { placing }: LayerAround): boolean =>
  AXES.some((axis) => layer.placing[axis].kind !== 'edges' && placing.along(layer.id, axis).size === null);

/** The way of a layer wherever any of its rules holds. @param panels what holds it, by the rules that hold with each */
export function wayOf(
  layers: readonly PlacedLayer[],
  panels: readonly (PlacedLayer | null)[],
  around: readonly LayerAround[],
): Way {
  const inFlow = panels.map((panel, i) => panel !== null && flows(panel, around[i]!));
  if (inFlow.every(Boolean)) return 'flow';
  if (inFlow.some(Boolean))
    throw new Unsaid(layers[0]!, 'a panel that goes around texts on some screens only');
  return layers.some((l, i) => isPut(l, around[i]!)) ? 'point' : 'direct';
}

/** The rules of one layer in one cell and appearance. */
export class LayerCss {
  constructor(private readonly around: LayerAround) {}

  /** @param panel what holds it, by the rules that hold with it */
  rules(
    layer: PlacedLayer,
    panel: PlacedLayer | null,
    { form, way, appearance }: { form: Form; way: Way; appearance: Appearance },
  ): Rules {
    const rules = new Rules();
    const selector = this.selector(layer);
    boxRules(rules, layer, way, this.around);
    if (way === 'flow') flowing(rules, selector, layer, panel!, this.around);
    if (layer.kind === 'picture') this.picture(rules, layer, form, appearance);
    else if (layer.kind === 'text') this.text(rules, layer, appearance);
    else this.panel(rules, layer, appearance);
    rules.add(this.groupSelector(layer), {
      opacity: layer.opacity !== undefined && layer.opacity < 1 && cssNumber(layer.opacity),
      visibility: !layer.visible && 'hidden',
    });
    return rules;
  }

  private name = ({ id }: Pick<PlacedLayer, 'id'>) => this.around.names.get(id)!;
  private selector = (layer: PlacedLayer) => selectorOf(layer, this.around);
  /** A panel that goes around texts holds them itself. */
  private isGroup = (layer: PlacedLayer) => this.around.holders.has(layer.id) && !flows(layer, this.around);
  private groupSelector = (layer: PlacedLayer) =>
    this.isGroup(layer) ? `.${this.name(layer)}-group` : this.selector(layer);

  /** The sizes of a layer as seen from inside it. */
  private inside(layer: PlacedLayer): Record<Axis, Sum> & { isContainer: boolean } {
    const { placing } = this.around;
    const sizes = AXES.map((axis) => placing.along(layer.id, axis).size);
    const isContainer = sizes.some((s) => s === null || isAnchored(s));
    const name = this.name(layer);
    const [x, y] = isContainer
      ? [Sum.of('100cqw', true), Sum.of('100cqh', true)]
      : [Sum.of(`var(--${name}-width)`, true), Sum.of(`var(--${name}-height)`, true)];
    return { x, y, isContainer };
  }

  private picture(rules: Rules, layer: PictureLayer, form: Form, appearance: Appearance): void {
    const { isContainer, ...box } = this.inside(layer);
    const { lengths, natural, focalPoint } = this.around;
    const { fit } = layer;
    const around: FitAround = { fit, natural: natural(layer)!, box, focalPoint: focalPoint(layer), lengths };
    const selector = this.selector(layer);
    const repeats = isRepeating(fit);
    const clip = fit.clip || repeats;
    const radius = clip && this.radius(fit.cornerRadius, layer);
    if (form === 'image') {
      rules.add(selector, {
        'object-fit': objectFit(fit),
        'object-position': position(around),
        overflow: clip ? 'clip' : 'visible',
        'border-radius': radius,
      });
      return;
    }
    rules.add(selector, {
      'container-type': isContainer && 'size',
      overflow: clip ? 'clip' : 'visible',
      'border-radius': radius,
    });
    const file = `var(--${this.name(layer)}-file)`;
    const how = repeats
      ? `${position(around)} / ${backgroundSize(around)} ${repeatWords(fit)}`
      : '0 0 / 100% 100% no-repeat';
    rules.add(`${selector} > div`, {
      ...(repeats
        ? { position: 'absolute', left: '0', top: '0', width: '100%', height: '100%' }
        : drawnBlock(around)),
      background: layer.tint ? this.around.colours.colour(layer.tint, appearance) : `${file} ${how}`,
      mask: layer.tint && `${file} ${how}`,
    });
  }

  /** % of a radius is of the shorter side. */
  private radius(radius: Length, layer: PlacedLayer): string | null {
    if (isZero(radius)) return null;
    const { x, y, isContainer } = this.inside(layer);
    const plain = () => {
      if (isContainer) throw new Unsaid(layer, 'corners that are a share of a size that a text gives');
      return Sum.min([x, y]);
    };
    return this.around.lengths.of(radius, plain).css();
  }

  private text(rules: Rules, layer: TextLayer, appearance: Appearance): void {
    const { style } = layer;
    if (style.shrinkTo !== undefined) throw new Unsaid(layer, 'letters that shrink until they fit');
    const { mirrored, colours } = this.around;
    const words = { start: mirrored ? 'right' : 'left', middle: 'center', end: mirrored ? 'left' : 'right' };
    const down = { start: 'start', middle: 'center', end: 'end' };
    const hash = fontHash(style.font);
    rules.add(this.selector(layer), {
      font: `${hash ? 400 : style.weight} ${cssNumber(style.size)}px / ${cssNumber(style.lineHeight)} ${familyOf(style.font)}`,
      'text-align': words[style.align.x],
      'align-content': down[style.align.y],
      'unicode-bidi': 'plaintext',
      'white-space': 'pre-line',
      'overflow-wrap': 'break-word',
    });
    rules.add(`${this.selector(layer)} > span`, {
      color: colours.colour(style.colour, appearance),
      ...(style.maxLines !== undefined && {
        display: '-webkit-box',
        '-webkit-box-orient': 'vertical',
        '-webkit-line-clamp': String(style.maxLines),
        overflow: 'hidden',
      }),
    });
  }

  private panel(rules: Rules, layer: PanelLayer, appearance: Appearance): void {
    const { colours } = this.around;
    const radius = this.radius(layer.cornerRadius, layer);
    rules.add(this.selector(layer), {
      background: colours.paint(layer.colour, appearance),
      'border-radius': radius,
    });
    if (flows(layer, this.around)) flowingPanel(rules, this.selector(layer), layer, this.around);
    if (this.isGroup(layer) && layer.clip)
      rules.add(this.groupSelector(layer), { 'clip-path': this.clip(layer, radius) });
  }

  /** The panel's own box, seen from its group, which has the width of the screen and no height. */
  private clip(layer: PanelLayer, radius: string | null): string {
    const { placing, mirrored } = this.around;
    const name = this.name(layer);
    if (!AXES.every((axis) => placing.isKnown(layer.id, axis)))
      throw new Unsaid(layer, 'a panel that cuts off what it holds, where a text places it');
    const [near, far] = [`var(--${name}-x)`, `calc(100% - var(--${name}-x) - var(--${name}-width))`];
    const below = `calc(0px - var(--${name}-y) - var(--${name}-height))`;
    const [left, right] = mirrored ? [far, near] : [near, far];
    return `inset(var(--${name}-y) ${right} ${below} ${left}${radius ? ` round ${radius}` : ''})`;
  }
}

/** The family under which a page declares a font. */
export const familyOf = (font: TextLayer['style']['font']): string => {
  const hash = fontHash(font);
  return hash ? `font-${hash.slice(0, 12)}` : `page-${font}`;
};
