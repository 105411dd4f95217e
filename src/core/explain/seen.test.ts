import fc from 'fast-check';
import type { Placing } from '../placing/rule';
import { setAt, valueAt, type Path } from '../sentences/parts';
import type { Layer, PanelLayer, PictureLayer } from '../scene/scene';
import { lu } from '../values/values';
import { casesOf } from '../screens/cases';
import { surveyCase } from '../survey/survey';
import { edgesOf, fitOf, inputOf, pictureLayer, pictureOf, SCREENS } from '../testing/scenes';
import { explain } from './figure';
import { steps } from './reason';

/** What is bare: the first part that is named is the one whose change moves that very edge. */

const cases = casesOf(
  SCREENS.filter((_, i) => i % 15 === 2),
  ['light'],
);
const photo = pictureOf('photo', { widthPx: 1600, heightPx: 1200, density: 2 });
const whole = (min: number, max: number) => fc.integer({ min, max });
const edge = fc.record({ region: fc.constantFrom('screen' as const, 'safe' as const), offset: whole(0, 60) });
const axis = fc.record({ start: edge, end: edge }).map(({ start, end }) => ({
  kind: 'edges' as const,
  start: { region: start.region, offset: lu(start.offset) },
  end: { region: end.region, offset: lu(end.offset) },
}));
const scene = fc.record({
  placing: fc.record({ x: axis, y: axis }) as fc.Arbitrary<Placing>,
  size: fc.constantFrom('cover' as const, 'contain' as const, 'match-width' as const, 'natural' as const),
  clip: fc.boolean(),
  x: whole(10, 90),
  y: whole(10, 90),
  panel: fc.option(axis),
});

/** Something else at a part: another distance of an edge, another place of the picture in its box. */
function changed(layers: Layer[], { layerId, path }: { layerId: string | null; path: Path }): Layer[] | null {
  const next = structuredClone(layers);
  const layer = next.find((l) => l.id === layerId);
  if (!layer) return null;
  if (path.at(-1) === 'region') setAt(layer, [[...path.slice(0, -1), 'offset']], lu(90));
  else if (path.at(-1) === 'align')
    for (const along of ['x', 'y'] as const) {
      const at = [...path, along, 'percent'];
      setAt(layer, [at], Number(valueAt(layer, at)) > 50 ? 5 : 95);
    }
  else if (path.includes('padding')) setAt(layer, [path], lu(90));
  else return null;
  return next;
}

it('is explained by the part whose change moves the edge that is bare', () => {
  let compared = 0;
  fc.assert(
    fc.property(scene, fc.nat(cases.length - 1), (s, at) => {
      const c = cases[at]!;
      const panel: PanelLayer | null = s.panel && {
        kind: 'panel',
        id: 'panel',
        name: 'Panel',
        role: 'other',
        visible: true,
        placing: { x: s.panel, y: edgesOf('screen') },
        colour: { light: '#ffffff' },
        cornerRadius: lu(0),
        padding: { left: lu(0), right: lu(0), top: lu(0), bottom: lu(0) },
        clip: true,
      };
      const picture: PictureLayer = pictureLayer(s.placing, {
        id: 'photo',
        picture: 'photo',
        role: 'background',
        fit: fitOf(s.size, s.clip, { x: s.x, y: s.y }),
        ...(panel && { parent: 'panel' }),
      });
      const layers = panel ? [panel, picture] : [picture];
      const input = inputOf(layers, [photo]);
      const distanceIn = (list: Layer[]) => {
        const it = surveyCase({ ...input, scene: { ...input.scene, layers: list } }, c).layers.find(
          (l) => l.id === 'photo',
        )!;
        if (it.kind !== 'picture') throw new Error('It is a picture');
        return it.measures.bareScreen.distance;
      };
      const before = distanceIn(layers);
      for (const side of ['left', 'right', 'top', 'bottom'] as const) {
        if (before[side] < 1) continue;
        const why = explain(input, c, 'photo', { name: 'bare-screen', side });
        const part = steps(why).flatMap(({ reason: r }) => (r.part ? [r.part] : []))[0]!;
        const next = changed(layers, part);
        if (!next) continue;
        compared++;
        expect([side, part.path, Math.abs(distanceIn(next)[side] - before[side]) > 0.01]).toEqual([
          side,
          part.path,
          true,
        ]);
      }
    }),
    { numRuns: 200 },
  );
  expect(compared).toBeGreaterThan(200);
});

it('of a picture that is cut off at its box is the edge of the box, not how the picture lies in it', () => {
  const placing = { x: edgesOf('screen'), y: edgesOf('screen') };
  const pinned = structuredClone(placing);
  pinned.y = {
    kind: 'edges',
    start: { region: 'screen', offset: lu(5) },
    end: { region: 'screen', offset: lu(5) },
  };
  const picture = pictureLayer(pinned, {
    id: 'photo',
    picture: 'photo',
    role: 'background',
    fit: fitOf('cover'),
  });
  const why = explain(inputOf([picture], [photo]), cases[0]!, 'photo', {
    name: 'bare-screen',
    side: 'bottom',
  });
  const said = steps(why).map(({ reason: r }) => r.text);
  expect(said.join(' ')).toContain('bottom edge of');
  expect(said.join(' ')).not.toContain('because of how it lies in it');
});
