import { isPlaced, type Layer, type Scene } from '../src/core/scene/scene';
import type { AxisRule, Placing } from '../src/core/placing/rule';
import type { Fit } from '../src/core/fit/rule';

/** Counts what kinds of rules a scene is made of, so that one sees that all of them were drawn. */
export function tally(scene: Scene, counts: Map<string, number>): void {
  const add = (what: string) => counts.set(what, (counts.get(what) ?? 0) + 1);
  const axis = (rule: AxisRule) => {
    add(`held by ${rule.kind}`);
    if (rule.kind !== 'edges') add(`size ${rule.extent.kind}`);
  };
  const placing = (p: Placing) => {
    axis(p.x);
    axis(p.y);
    if (p.ratio)
      add(`${p.ratio.value === 'own' ? 'own' : 'given'} shape, ${p.ratio.strict ? 'kept' : 'giving way'}`);
    const text = JSON.stringify(p);
    for (const [, region] of text.matchAll(
      /"(?:region|of)":"(screen|safe|content|margins|parent|short|long|layer)/g,
    ))
      add(`region ${region}`);
    for (const [, unit] of text.matchAll(/"unit":"([^"]+)"/g)) add(`unit ${unit}`);
    for (const _ of text.matchAll(/"named":/g)) add('unit named');
    for (const _ of text.matchAll(/"side":/g)) add('other side');
  };
  const fit = (f: Fit) => {
    add(`fit ${typeof f.size === 'string' ? f.size : 'of its own size'}`);
    add(`align ${f.align.kind}`);
    for (const mode of [f.repeat.x, f.repeat.y]) if (mode !== 'no-repeat') add(`repeat ${mode}`);
    if (!f.clip) add('not clipped');
  };
  const layer = (l: Layer) => {
    add(`layer ${l.kind}`);
    if (!isPlaced(l)) return;
    placing(l.placing);
    if (l.parent) add('nested');
    if (l.kind === 'picture') fit(l.fit);
    for (const w of l.when ?? []) {
      add('when');
      if (w.placing) placing(w.placing);
      if (w.fit) fit(w.fit);
    }
  };
  scene.layers.forEach(layer);
  if (scene.direction === 'rtl') add('mirrored');
}
