import type { Picture } from '@/core/pictures/picture';
import { cutFor } from '@/core/pictures/choose';
import { isPlaced, type GroundLayer, type PlacedLayer, type Scene } from '@/core/scene/scene';
import { onSize } from '@/core/scene/when';
import type { Screen } from '@/core/screens/screen';
import { plainOf, type Appearance, type NamedValue } from '@/core/values/values';
import { cellsOf, relatives, type Cell, type Cells } from './cells';
import { fileRules, naturalCss, takenFiles, type TakenFiles } from './files';
import { flows, standsAfter } from './flow';
import type { Form, LayerAround, Way } from './around';
import { formOf, LayerCss, wayOf } from './layer';
import { Lengths, plainLength } from './lengths';
import { identifiers } from './names';
import { Colours, namedColour } from './paint';
import { PlacingCss } from './placing';
import { regionRules } from './regions';
import { Rules, type Block } from './rules';
import { cssNumber } from './sum';
import { Unsaid } from './unsaid';

/** A scene that is to be written as CSS. */
export interface ToWrite {
  scene: Scene;
  pictures: readonly Picture[];
  named: readonly NamedValue[];
  /** those that it is for: their densities say which files are taken */
  screens: readonly Screen[];
  /** of a file, by its hash */
  address: (hash: string) => string;
  /** whether lines of a text are broken on any of the screens; they may be when absent */
  breaks?: (id: string) => boolean;
}

/** What is not said, because CSS has no words for it without a script. */
export interface NotSaid {
  layer: { id: string; name: string };
  /** what it is about, such as “letters that shrink until they fit” */
  rule: string;
}

/** One layer as CSS. */
export interface LayerSheet {
  layer: PlacedLayer | GroundLayer;
  /** its class */
  name: string;
  form: Form;
  way: Way;
  /** of a panel: whether it is as large as the texts in it, so that what it holds is laid out in it */
  flows: boolean;
  /** the layer below which it stands in the flow of its panel */
  after: string | null;
  blocks: Block[];
  /** of a picture, in portrait and in landscape */
  files: Record<Cell['orientation'], TakenFiles> | null;
}

/** A scene as CSS. */
export interface SceneSheet {
  layers: LayerSheet[];
  /** what all layers stand on: regions, named values, density */
  common: Block[];
  notSaid: NotSaid[];
}

const DARK = '@media (prefers-color-scheme: dark)';
const container = (query: string) => `@container screen ${query}`;

/** Writes one scene. */
class Writer {
  readonly notSaid: NotSaid[] = [];
  private readonly names: ReadonlyMap<string, string>;
  private readonly values: ReadonlyMap<string, string>;
  private readonly lengths: Lengths;
  private readonly colours: Colours;
  private readonly arounds = new Map<string, LayerAround>();
  private readonly placed: PlacedLayer[];

  constructor(private readonly to: ToWrite) {
    this.names = identifiers(to.scene.layers, 'layer');
    const values = identifiers(
      to.named.filter((n) => !isShare(n, to.named)),
      'value',
    );
    this.values = new Map([...values].map(([id, name]) => [id, `--value-${name}`]));
    this.lengths = new Lengths(to.named, this.values);
    this.colours = new Colours(to.named, this.values);
    this.placed = to.scene.layers.filter(isPlaced);
  }

  private filesIn(layer: PlacedLayer, orientation: Cell['orientation']): TakenFiles | null {
    const picture = layer.kind === 'picture' && this.to.pictures.find((p) => p.id === layer.picture);
    return picture ? takenFiles(picture, this.to.screens, { orientation }) : null;
  }

  /** What layers are written with on the screens of a cell. */
  private around({ orientation, size }: Cell): LayerAround {
    const key = `${size.width} ${size.height}`;
    const kept = this.arounds.get(key);
    if (kept) return kept;
    const { lengths, colours, names } = this;
    const mirrored = this.to.scene.direction === 'rtl';
    const natural = (layer: PlacedLayer) => {
      const files = this.filesIn(layer, orientation);
      return files && naturalCss(files, names.get(layer.id)!);
    };
    const layers = this.placed.map((l) => onSize(l, size));
    const around: LayerAround = {
      layers,
      placing: new PlacingCss({ layers, names, lengths, natural, mirrored }),
      lengths,
      colours,
      names,
      natural,
      focalPoint: (layer) =>
        cutFor(this.to.pictures.find((p) => p.id === layer.picture)!.cuts, orientation).focalPoint,
      breaks: this.to.breaks ?? (() => true),
      holders: new Set(this.placed.flatMap((l) => l.parent ?? [])),
      mirrored,
    };
    this.arounds.set(key, around);
    return around;
  }

  layers(): LayerSheet[] {
    const found = this.to.scene.layers.map((layer) =>
      isPlaced(layer) ? this.layerOrNot(layer) : this.ground(layer),
    );
    const lost = new Set(this.notSaid.map((n) => n.layer.id));
    return found.filter((l) => l !== null).filter(({ layer }) => this.canStay(layer, lost));
  }

  private layerOrNot(layer: PlacedLayer): LayerSheet | null {
    try {
      return this.layer(layer);
    } catch (error) {
      if (!(error instanceof Unsaid)) throw error;
      const rule = error.layer.id === layer.id ? error.rule : `it is measured from “${error.layer.name}”`;
      this.notSaid.push({ layer: { id: layer.id, name: layer.name }, rule });
      return null;
    }
  }

  /** Whether nothing that a layer stands on is missing. */
  private canStay(layer: PlacedLayer | GroundLayer, lost: ReadonlySet<string>): boolean {
    if (!isPlaced(layer)) return true;
    const stands = standsOn(layer, this.placed);
    const missing = stands.find((l) => lost.has(l.id));
    if (!missing) return true;
    this.notSaid.push({
      layer: { id: layer.id, name: layer.name },
      rule: `it is measured from “${missing.name}”`,
    });
    return false;
  }

  private ground(layer: GroundLayer): LayerSheet {
    const name = this.names.get(layer.id)!;
    const rules = (appearance: Appearance) =>
      new Rules().add(`.${name}`, {
        position: 'absolute',
        inset: '0',
        background: this.colours.paint(layer.colour, appearance),
        opacity: layer.opacity !== undefined && layer.opacity < 1 && cssNumber(layer.opacity),
        visibility: !layer.visible && 'hidden',
      });
    const light = rules('light');
    const blocks = [
      { where: [], rules: light },
      { where: [DARK], rules: rules('dark').besides(light) },
    ];
    return { layer, name, form: 'plain', way: 'direct', flows: false, after: null, blocks, files: null };
  }

  private layer(layer: PlacedLayer): LayerSheet {
    const cells = cellsOf(relatives(layer, this.to.scene.layers));
    const arounds = cells.all.map((cell) => this.around(cell));
    const on = cells.all.map(({ size }) => onSize(layer, size));
    const form = formOf(on, arounds);
    const holder = this.placed.find((l) => l.id === layer.parent);
    const panels = cells.all.map(({ size }) => (holder ? onSize(holder, size) : null));
    const way = wayOf(on, panels, arounds);
    const rulesIn = (i: number, appearance: Appearance) =>
      new LayerCss(arounds[i]!).rules(on[i]!, panels[i]!, { form, way, appearance });
    const rules = cells.all.map((_, i) => rulesIn(i, 'light'));
    // The usual rule is what is said first: that of a cell in which none that differs holds.
    const usual = Math.max(
      0,
      on.findIndex((l) => l === layer),
    );
    const base = rules[usual]!;
    const name = this.names.get(layer.id)!;
    const files = layer.kind === 'picture' ? this.bothFiles(layer) : null;
    const blocks: Block[] = [
      { where: [], rules: base },
      { where: [DARK], rules: rulesIn(usual, 'dark').besides(base) },
      ...differing(
        cells,
        rules.map((r) => r.besides(base)),
      ),
      ...(files ? fileBlocks(files, name, form === 'block' ? this.to.address : null) : []),
    ];
    const after = way === 'flow' ? standsAfter(layer) : null;
    return { layer, name, form, way, flows: flows(on[usual]!, arounds[usual]!), after, blocks, files };
  }

  private bothFiles = (layer: PlacedLayer) => ({
    portrait: this.filesIn(layer, 'portrait')!,
    landscape: this.filesIn(layer, 'landscape')!,
  });

  common(): Block[] {
    const light = new Rules();
    const dark = new Rules();
    for (const value of this.to.named) {
      const property = this.values.get(value.id);
      if (!property) continue;
      const colour = namedColour(value, this.to.named);
      const plain = plainOf(value.id, this.to.named)!;
      light.add('.scene', { [property]: colour ? colour.light : plainLength(plain as never).css() });
      if (colour?.dark) dark.add('.scene', { [property]: colour.dark });
    }
    const densities = [...new Set(this.to.screens.map((s) => s.density))].toSorted((a, b) => a - b);
    return [
      { where: [], rules: regionRules(this.to.scene, this.lengths).with(light) },
      { where: [DARK], rules: dark },
      ...densities.map((density, i) => ({
        where:
          i === 0 ? [] : [`@media (min-resolution: ${cssNumber((densities[i - 1]! + density) / 2)}dppx)`],
        rules: new Rules().add('.scene', { '--density': cssNumber(density) }),
      })),
    ];
  }
}

/** Blocks for the cells in which something else is said, as few as there can be. */
function differing({ all, query }: Cells, more: readonly Rules[]): Block[] {
  const at = (orientation: Cell['orientation'], stretch: number) =>
    more[all.findIndex((c) => c.orientation === orientation && c.stretch === stretch)]!;
  const stretches = [...new Set(all.map((c) => c.stretch))];
  const isAlike = (orientation: Cell['orientation']) =>
    stretches.every((s) => at(orientation, s).css() === at(orientation, 0).css());
  const blocks: Block[] = [];
  const add = (orientation: Cell['orientation'] | null, stretch: number | null, rules: Rules) => {
    if (!rules.isEmpty) blocks.push({ where: [container(query(orientation, stretch))], rules });
  };
  if (isAlike('portrait') && isAlike('landscape')) {
    add('portrait', null, at('portrait', 0));
    add('landscape', null, at('landscape', 0));
    return blocks;
  }
  for (const s of stretches) {
    const [portrait, landscape] = [at('portrait', s), at('landscape', s)];
    if (portrait.css() === landscape.css()) add(null, s, portrait);
    else {
      add('portrait', s, portrait);
      add('landscape', s, landscape);
    }
  }
  return blocks;
}

/** What the files of a picture declare; those of a cut for landscape only there. */
function fileBlocks(
  files: NonNullable<LayerSheet['files']>,
  name: string,
  address: ToWrite['address'] | null,
): Block[] {
  const blocks = (of: TakenFiles, where: string[]) =>
    fileRules(of, name, address).map(({ media, rules }) => ({
      where: [...(media ? [`@media ${media}`] : []), ...where],
      rules,
    }));
  const upright = blocks(files.portrait, []);
  const turned = blocks(files.landscape, [container('(orientation: landscape)')]);
  const css = (list: Block[]) => list.map((b) => b.where[0] + b.rules.css()).join();
  const same =
    upright.length === turned.length && upright.every((b, i) => b.rules.css() === turned[i]!.rules.css());
  return (same && css(upright) !== '' ? upright : [...upright, ...turned]).filter((b) => !b.rules.isEmpty);
}

/** Whether a named value comes to a share, which is of something else wherever it is used. */
function isShare(value: NamedValue, named: readonly NamedValue[]): boolean {
  const plain = plainOf(value.id, named);
  return plain === null || ('unit' in plain && plain.unit === '%');
}

/** What a layer cannot be drawn without: what it is measured from, and what holds it. */
function standsOn(layer: PlacedLayer, layers: readonly PlacedLayer[]): PlacedLayer[] {
  const found = relatives(layer, layers).filter((l) => l.id !== layer.id);
  const isHeld = (l: PlacedLayer): boolean =>
    l.parent === layer.id || layers.some((p) => p.id === l.parent && p.id !== layer.id && isHeld(p));
  return found.filter((l) => !isHeld(l));
}

/** Writes a scene as CSS. */
export function sceneSheet(to: ToWrite): SceneSheet {
  const writer = new Writer(to);
  const layers = writer.layers();
  return { layers, common: writer.common(), notSaid: writer.notSaid };
}
