import { sayNumber } from '../../words/numbers';
import { extent as extentOf } from '../../geometry/rect';
import { mapMeasured } from '../../placing/measured';
import type { AxisRule, Bound, Edge, Extent, Placing, Region } from '../../placing/rule';
import { isPercent, lu, percent, type Length } from '../../values/values';
import { isPlaced, type PlacedLayer } from '../../scene/scene';
import type { When } from '../../scene/when';
import { turn } from '../../screens/turn';
import { drawnOn, layerMend, placedLayer, placingMend, type Mender, type Sick } from '../mend';

const AXES = ['x', 'y'] as const;

const onBoth = (p: Placing, change: (rule: AxisRule, axis: 'x' | 'y') => AxisRule): Placing => ({
  ...p,
  x: change(p.x, 'x'),
  y: change(p.y, 'y'),
});

/** Whatever is measured from one of some regions, from another one. */
const measuredFrom = (rule: AxisRule, from: readonly Region[], to: Region, offset = lu(0)): AxisRule =>
  mapMeasured(
    rule,
    (e) => (from.includes(e.region) && !e.side ? { region: to, offset } : e),
    (r) => (from.includes(r) ? to : r),
  );

/** A background out to the edges of the screen. */
export const toTheScreen: Mender = (sick) =>
  placedLayer(sick)
    ? placingMend(sick, 'Measure its edges from the whole screen', (p) =>
        onBoth(p, (rule) => measuredFrom(rule, ['safe', 'content', 'margins', 'screen'], 'screen')),
      )
    : [];

/** All four edges of the screen, whatever the rule was. */
export const fillTheScreen: Mender = (sick) => {
  const edge: Edge = { region: 'screen', offset: lu(0) };
  const rule: AxisRule = { kind: 'edges', start: edge, end: edge };
  return placedLayer(sick)
    ? placingMend(sick, 'Pin it to all four edges of the screen', () => ({ x: rule, y: rule }))
    : [];
};

/** Measured from the safe area, with room to its edges. */
export const intoTheSafeArea: Mender = (sick) => {
  if (!placedLayer(sick)) return [];
  return [
    ...placingMend(sick, 'Measure it from the safe area', (p) =>
      onBoth(p, (rule) => measuredFrom(rule, ['screen', 'content'], 'safe', lu(8))),
    ),
    ...placingMend(sick, 'Put it in the middle of the safe area', (p) =>
      onBoth(p, (rule) =>
        rule.kind === 'edges' ? rule : { kind: 'middle', region: 'safe', shift: lu(0), extent: rule.extent },
      ),
    ),
  ];
};

const withExtent = (rule: AxisRule, change: (extent: Extent) => Extent): AxisRule =>
  rule.kind === 'edges' ? rule : { ...rule, extent: change(rule.extent) };

/** Both a share of the same: bounding the one by the other would leave it without any effect. */
const areAlike = (e: Extent, { length, of = 'screen' }: Bound): e is Extent & { kind: 'length' } =>
  e.kind === 'length' && isPercent(e.length) && isPercent(length) && (e.of ?? 'screen') === of;

const valueOf = (length: Length) => ('value' in length ? length.value : Infinity);

/** The extent made smaller where it is a share of the same, and bounded where it is not. */
const narrowed = (e: Extent, max: Bound): Extent => {
  if (!areAlike(e, max)) return { ...e, max };
  return valueOf(max.length) < valueOf(e.length) ? { ...e, length: max.length } : e;
};

const atMost = (p: Placing, axis: 'x' | 'y', max: Bound): Placing => ({
  ...p,
  [axis]: withExtent(p[axis], (e) => narrowed(e, max)),
});
const atLeast = (p: Placing, axis: 'x' | 'y', min: Bound): Placing => ({
  ...p,
  [axis]: withExtent(p[axis], (e) => ({ ...e, min })),
});

const WORDS = { x: 'width', y: 'height' } as const;
/** Shares that sizes are tried in, %. */
const SHARES = [70, 50, 30, 20];

/** Keeps the shape of what would otherwise be squashed by a bound on one axis. */
const keepingShape = (sick: Sick, p: Placing): Placing => {
  const layer = placedLayer(sick);
  if (layer?.kind !== 'picture' || p.x.kind === 'edges' || p.y.kind === 'edges') return p;
  if (p.ratio) return p;
  if (p.x.extent.kind !== 'from-ratio' && p.y.extent.kind !== 'from-ratio')
    return { ...p, y: { ...p.y, extent: { kind: 'from-ratio' } }, ratio: { value: 'own', strict: true } };
  return p;
};

/** Smaller on the screens on which it is too large. */
export const smaller: Mender = (sick) => {
  const layer = placedLayer(sick);
  if (!layer) return [];
  return AXES.flatMap((axis) =>
    SHARES.flatMap((share) => {
      const max: Bound = { length: percent(share), of: 'safe' };
      const rule = layer.placing[axis];
      const order = rule.kind !== 'edges' && areAlike(rule.extent, max) ? 'Make it' : 'At most';
      return placingMend(sick, `${order} ${share} % of the safe area’s ${WORDS[axis]}`, (p) =>
        atMost(keepingShape(sick, p), axis, max),
      );
    }),
  );
};

/** As large as its file has pixels for, bounded along either axis, so that a bound that is there already can stay. */
export const asLargeAsSharp: Mender = (sick) => {
  const { limit } = sick.finding.worst;
  const least = leastWidth(sick);
  return AXES.flatMap((axis) => {
    const extents = drawnOn(sick).flatMap((l) =>
      l.kind === 'picture' && l.measures.enlargement! > 0
        ? [(extentOf(l.placement.drawn, axis) / l.measures.enlargement!) * Math.min(1, limit.max ?? 1)]
        : [],
    );
    const most = Math.floor(Math.min(...extents));
    if (extents.length === 0 || most < 1) return [];
    const bounded = (p: Placing) => atMost(keepingShape(sick, p), axis, { length: lu(most) });
    const word = axis === 'x' ? 'wide' : 'high';
    return [
      ...placingMend(sick, `At most ${most} ${word}, for which there are enough pixels`, bounded),
      ...(least === null
        ? []
        : placingMend(sick, `At most ${most} ${word}, but at least ${least} % of the screen’s width`, (p) =>
            atLeast(bounded(p), 'x', { length: percent(least) }),
          )),
    ];
  });
};

/** The least share of the width that the project accepts of the layer’s role, %. */
function leastWidth({ input, layer }: Sick): number | null {
  const limit = input.limits.find((l) => l.measure === 'share-width' && l.role === layer?.role && l.min);
  return limit?.min === undefined ? null : Math.ceil(limit.min * 100);
}

/** Larger on the screens on which it is too small. */
export const larger: Mender = (sick) => {
  const { limit } = sick.finding.worst;
  if (!placedLayer(sick) || limit.min === undefined) return [];
  const share = Math.ceil(limit.min * 100);
  const axis = limit.measure === 'share-height' ? 'y' : 'x';
  return placingMend(sick, `At least ${share} % of the screen’s ${WORDS[axis]}`, (p) =>
    atLeast(keepingShape(sick, p), axis, { length: percent(share) }),
  );
};

/** Under whatever it lies across, or further away from it. */
export const below: Mender = (sick) => {
  const layer = placedLayer(sick);
  if (!layer) return [];
  const others = sick.scene.layers.filter(
    (l) => l.id !== layer.id && l.kind !== 'ground' && l.role !== 'background' && l.visible,
  );
  return others.flatMap((other) =>
    placingMend(sick, `Put it 16 below ${other.name}`, (p) => ({
      ...p,
      y: {
        kind: 'start',
        edge: { region: `layer:${other.id}`, side: 'end', offset: lu(16) },
        extent: p.y.kind === 'edges' ? { kind: 'natural' } : p.y.extent,
      },
    })),
  );
};

/** An extent of its own instead of what it holds, which is nothing. */
export const ownExtent: Mender = (sick) => {
  const layer = placedLayer(sick);
  const drawn = drawnOn(sick);
  if (!layer || drawn.length === 0) return [];
  const least = 48;
  return placingMend(sick, `At least ${sayNumber(least)} wide and high`, (p) =>
    onBoth(p, (rule) => withExtent(rule, (e) => ({ ...e, min: { length: lu(least) } }))),
  );
};

/** The layers that a layer leans on: its panels, and what it or they are measured from. */
function leansOn(sick: Sick): PlacedLayer[] {
  const byId = (id: string | undefined) =>
    sick.scene.layers.find((l): l is PlacedLayer => l.id === id && isPlaced(l));
  const found = new Set<PlacedLayer>();
  const visit = (layer: PlacedLayer | undefined) => {
    if (!layer || found.has(layer)) return;
    found.add(layer);
    visit(byId(layer.parent));
    for (const [, id] of JSON.stringify(layer.placing).matchAll(/"layer:([^"]+)"/g)) visit(byId(id));
  };
  const own = placedLayer(sick);
  visit(own ?? undefined);
  return [...found].filter((l) => l !== own);
}

/** What a mend is thought up from, for another layer than the one that suffers. */
const of = (sick: Sick, layer: PlacedLayer): Sick => ({
  ...sick,
  layer,
  finding: { ...sick.finding, subject: { id: layer.id, name: layer.name } },
});

/** What pushes a layer out of place made smaller, or put elsewhere. */
export const mendWhatItLeansOn: Mender = (sick) =>
  leansOn(sick).flatMap((layer) =>
    [...smaller(of(sick, layer)), ...toTheTop(of(sick, layer)), ...smallerType(of(sick, layer))].map((m) => ({
      ...m,
      label: `${layer.name}: ${m.label[0]!.toLowerCase()}${m.label.slice(1)}`,
    })),
  );

/** Up to the top of the safe area, where there is the most room below. */
export const toTheTop: Mender = (sick) =>
  placingMend(sick, 'Start it 8 below the top of the safe area', (p) =>
    p.y.kind === 'edges'
      ? p
      : { ...p, y: { kind: 'start', edge: { region: 'safe', offset: lu(8) }, extent: p.y.extent } },
  );

/** Down to the bottom of the safe area. */
export const toTheBottom: Mender = (sick) =>
  placingMend(sick, 'End it 8 above the bottom of the safe area', (p) =>
    p.y.kind === 'edges'
      ? p
      : { ...p, y: { kind: 'end', edge: { region: 'safe', offset: lu(8) }, extent: p.y.extent } },
  );

/** Smaller letters. */
export const smallerType: Mender = (sick) =>
  sick.layer?.kind === 'text'
    ? [0.85, 0.7].flatMap((factor) =>
        layerMend(sick, `Write it ${Math.round((1 - factor) * 100)} % smaller`, (l) =>
          l.kind === 'text'
            ? { ...l, style: { ...l.style, size: Math.round(l.style.size * factor * 10) / 10 } }
            : l,
        ),
      )
    : [];

/** Beside a hinge, on the screens that have one there: in the left or the upper half. */
export const besideTheHinge: Mender = (sick) => {
  const own = placedLayer(sick);
  if (!own) return [];
  const outer = (l: PlacedLayer): PlacedLayer => {
    const holder = sick.scene.layers.find((p): p is PlacedLayer => p.id === l.parent && isPlaced(p));
    return holder ? outer(holder) : l;
  };
  const layer = outer(own);
  const on = new Set(sick.finding.cases.map((f) => f.caseId));
  const sizes = new Map<string, { width: number; turned: When['orientation']; across: boolean }>();
  for (const c of sick.cases) {
    if (!on.has(c.id)) continue;
    const { size, cutouts } = turn(c.screen, c.rotation);
    const hinge = cutouts.find((k) => k.shape === 'hinge' && k.width > 0 && k.height > 0);
    const turned = size.width > size.height ? 'landscape' : 'portrait';
    if (hinge)
      sizes.set(`${size.width} ${turned}`, { width: size.width, turned, across: hinge.height > hinge.width });
  }
  if (sizes.size === 0) return [];
  const half = (rule: AxisRule): AxisRule => ({
    kind: 'middle',
    region: 'screen',
    shift: percent(-26),
    extent:
      rule.kind === 'edges'
        ? { kind: 'length', length: percent(40) }
        : { max: { length: percent(40) }, ...rule.extent },
  });
  return layerMend(of(sick, layer), `${layer.name}: beside the hinge, in the left or upper half`, (l) => {
    if (!isPlaced(l)) return l;
    const rules = [...sizes.values()].map(({ width, turned, across }): When => {
      const axis = across ? 'x' : 'y';
      const placing = { ...l.placing, [axis]: half(l.placing[axis]) };
      return { orientation: turned, minWidth: Math.floor(width), maxWidth: Math.ceil(width), placing };
    });
    return { ...l, when: [...rules, ...(l.when ?? [])].slice(0, 16) };
  });
};
