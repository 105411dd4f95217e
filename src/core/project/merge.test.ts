import fc from 'fast-check';
import { demo } from '../../../demo/testing';
import { scenesShown } from './launch';
import type { DeviceCheck, Evidence } from './proof';
import { sayPlace, saySides } from '../sentences/differences';
import { Documents } from './documents';
import { merge3, placeKey, type Version } from './merge';
import type { PictureLayer } from '../scene/scene';

const changed = (recipe: (d: Documents) => void): Documents => {
  const copy = structuredClone(demo);
  recipe(copy);
  return copy;
};
const scene = (d: Documents) => d.scenes['winter-splash']!;
const layer = (d: Documents, id: string) => scene(d).layers.find((l) => l.id === id) as PictureLayer;
const [first, second] = scene(demo)
  .layers.filter((l) => l.kind === 'picture')
  .map((l) => l.id) as [string, string];
const said = ({ clashes }: ReturnType<typeof merge3>, mine: Documents, theirs: Documents) =>
  clashes.map((c) => {
    const sides = saySides(c, { mine, theirs });
    return [sayPlace(c.place, [mine, theirs]), sides.mine, sides.theirs];
  });

const launched = new Set((demo.project.launches ?? []).flatMap(scenesShown));

describe('what two people made of the same project', () => {
  it('is taken together where each adds a set of slots that icons are made for', () => {
    const base = changed((d) => void (d.project.iconSets = ['phones']));
    const mine = { ...structuredClone(base) };
    const theirs = { ...structuredClone(base) };
    mine.project.iconSets = ['phones', 'web'];
    theirs.project.iconSets = ['phones', 'store'];
    const { documents, clashes } = merge3(base, mine, theirs);
    expect(clashes).toEqual([]);
    expect([...documents.project.iconSets!].toSorted()).toEqual(['phones', 'store', 'web']);
  });

  it('is taken together where they changed different things, also of one layer', () => {
    const mine = changed((d) => void (layer(d, first).opacity = 0.4));
    const theirs = changed((d) => {
      layer(d, first).name = 'Renamed';
      layer(d, second).visible = false;
      d.project.name = 'Their name';
    });
    const { documents, clashes, taken, problem } = merge3(demo, mine, theirs);
    expect([clashes, problem]).toEqual([[], null]);
    expect(layer(documents, first)).toMatchObject({ opacity: 0.4, name: 'Renamed' });
    expect(layer(documents, second).visible).toBe(false);
    expect(documents.project.name).toBe('Their name');
    expect(taken.map((t) => t.from).toSorted()).toEqual(['mine', 'theirs', 'theirs', 'theirs']);
  });

  it('clashes thing by thing, each said by its figure, and each is chosen by itself', () => {
    const mine = changed((d) => {
      layer(d, first).opacity = 0.31;
      layer(d, first).name = 'Mine';
    });
    const theirs = changed((d) => {
      layer(d, first).opacity = 0.45;
      layer(d, first).name = 'Theirs';
    });
    const asked = merge3(demo, mine, theirs);
    const name = scene(demo).name;
    expect(said(asked, mine, theirs)).toEqual(
      expect.arrayContaining([
        [`${name}, Mine: opacity`, '31\u00a0%', '45\u00a0%'],
        [`${name}, Mine: name`, '“Mine”', '“Theirs”'],
      ]),
    );
    const [opacity] = asked.clashes.filter((c) => c.place.at(-1) === 'opacity');
    const { documents } = merge3(
      demo,
      mine,
      theirs,
      new Map([[placeKey(opacity!.place), 'theirs' as Version]]),
    );
    expect(layer(documents, first)).toMatchObject({ opacity: 0.45, name: 'Mine' });
  });

  it('says a layer that one took away and the other changed by its sentence, and keeps what it needs', () => {
    const mine = changed((d) => void (layer(d, first).opacity = 0.5));
    const picture = layer(demo, first).picture;
    const theirs = changed((d) => {
      for (const s of Object.values(d.scenes))
        s.layers = s.layers.filter((l) => l.kind !== 'picture' || l.picture !== picture);
      d.project.pictures = d.project.pictures.filter((p) => p.id !== picture);
    });
    const asked = merge3(demo, mine, theirs);
    expect(asked.clashes).toHaveLength(1);
    const [[title, here, elsewhere]] = said(asked, mine, theirs) as [[string, string, string]];
    expect(title).toBe(`${scene(demo).name}, ${layer(demo, first).name}`);
    expect(here).toMatch(/50.%.*Role:/);
    expect(elsewhere).toBe('taken away');
    expect(asked.problem).toBeNull();
    expect(asked.documents.project.pictures.map((p) => p.id)).toContain(picture);
    const theirWay = merge3(
      demo,
      mine,
      theirs,
      new Map([[placeKey(asked.clashes[0]!.place), 'theirs' as Version]]),
    );
    expect(layer(theirWay.documents, first)).toBeUndefined();
    expect(theirWay.problem).toBeNull();
  });

  it('is offered as a whole where single things fit and all of them do not', () => {
    const fill = (prefix: string) =>
      changed((d) => {
        const [model] = scene(d).layers;
        const count = 40;
        for (let i = 0; i < count; i++)
          scene(d).layers.push({ ...structuredClone(model!), id: `${prefix}${i}` });
      });
    const asked = merge3(demo, fill('a'), fill('b'));
    expect(asked.clashes.map((c) => c.place)).toEqual([[]]);
    expect(asked.problem).toBeNull();
  });

  it('says of two places of a picture how far each lies along', () => {
    const held = (percent: number) =>
      changed((d) => {
        const harbour = layer(d, 'harbour');
        if (harbour?.kind !== 'picture' || harbour.fit.align.kind !== 'position')
          throw new Error('It is not held.');
        harbour.fit.align.x.percent = percent;
      });
    const [mine, theirs] = [held(52), held(82)];
    const [clash] = merge3(demo, mine, theirs).clashes;
    const { mine: here, theirs: there } = saySides(clash!, { mine, theirs });
    expect([here, there]).toEqual([
      expect.stringMatching(/\(52 % across\)$/),
      expect.stringMatching(/\(82 % across\)$/),
    ]);
  });

  it('keeps the screenshots and the looks at devices of both', () => {
    const shot = (id: string) => ({ id, hash: id.repeat(64) }) as unknown as Evidence;
    const look = (target: string, note: string): DeviceCheck => ({
      ...{ check: 'light-and-dark', target, done: true, note, at: '2026-01-05T09:00:00.000Z' },
    });
    const proof = (id: string, checked: DeviceCheck[]) =>
      changed((d) => {
        d.project.evidence = [shot(id)];
        d.project.checked = checked;
      });
    const mine = proof('a', [look('one', ''), look('two', 'mine')]);
    const theirs = proof('b', [look('two', 'theirs')]);
    const { documents, clashes } = merge3(demo, mine, theirs);
    expect(documents.project.evidence?.map((e) => e.id).toSorted()).toEqual(['a', 'b']);
    expect(documents.project.checked).toHaveLength(2);
    expect(clashes.map((c) => sayPlace(c.place, [mine, theirs]))).toEqual(['Looked at on a device']);
  });

  /** a scene that nothing else is done to */
  const other = demo.project.scenes.find((id) => id !== 'winter-splash' && !launched.has(id))!;
  const edits: ((d: Documents, n: number) => void)[] = [
    (d, n) => void (d.project.name = `Name ${n}`),
    (d, n) => void (layer(d, first).opacity = n / 100),
    (d, n) => void (d.project.named[0]!.name = `Value ${n}`),
    (d, n) =>
      void (
        layer(d, `new-${n}`) ??
        scene(d).layers.push({ ...structuredClone(scene(demo).layers[0]!), id: `new-${n}` })
      ),
    (d) => void scene(d).layers.reverse(),
    (d) => void d.project.limits.pop(),
    (d, n) => void (scene(d).margin.left = { value: n, unit: 'lu' }),
    (d) => void delete d.scenes[other],
  ];
  const steps = fc.array(fc.tuple(fc.nat(edits.length - 1), fc.integer({ min: 1, max: 99 })), {
    maxLength: 5,
  });
  const after = (list: readonly [number, number][]) =>
    changed((d) => {
      for (const [i, n] of list) edits[i]!(d, n);
      d.project.scenes = d.project.scenes.filter((id) => d.scenes[id]);
    });

  it('is all of one side where the other changed nothing, and loses nothing that only one side added', () =>
    fc.assert(
      fc.property(steps, steps, (a, b) => {
        const [mine, theirs] = [after(a), after(b)];
        expect(merge3(demo, mine, demo).documents).toEqual(mine);
        expect(merge3(demo, demo, theirs).documents).toEqual(theirs);
        const merged = merge3(demo, mine, theirs);
        if (merged.clashes.some((c) => c.place.length === 0)) return;
        const ids = (d: Documents) => scene(d).layers.map((l) => l.id);
        for (const id of [...ids(mine), ...ids(theirs)]) expect(ids(merged.documents)).toContain(id);
        for (const c of merged.clashes) {
          expect(sayPlace(c.place, [mine, theirs])).not.toBe('');
          const sides = saySides(c, { mine, theirs });
          expect(sides.mine).not.toBe(sides.theirs);
        }
      }),
    ));
});
