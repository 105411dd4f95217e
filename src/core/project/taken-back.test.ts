import fc from 'fast-check';
import { demo } from '../../../demo/testing';
import { applyPatch, sameJson, type Operation } from '../patch/patch';
import type { Documents } from './documents';
import { changedPlaces } from './places';
import { withTakenBack } from './taken-back';

const edited = (recipe: (d: Documents) => void): Documents => {
  const copy = structuredClone(demo);
  recipe(copy);
  return copy;
};
const splash = (d: Documents) => d.scenes['winter-splash']!;
const placesOf = (after: Documents) => changedPlaces(demo, after).map((c) => c.place.join('/'));

const RECIPES: Record<string, (d: Documents) => void> = {
  'a layer that is another': (d) => void (splash(d).layers[1]!.opacity = 0.3),
  'a layer that went': (d) => void splash(d).layers.splice(2, 1),
  'a layer that came': (d) => void splash(d).layers.splice(1, 0, { ...splash(d).layers[1]!, id: 'second' }),
  'layers in another order': (d) => void splash(d).layers.reverse(),
  'a scene that went': (d) => {
    delete d.scenes['winter-splash'];
    d.project.scenes = d.project.scenes.filter((id) => id !== 'winter-splash');
  },
  'a limit that is another': (d) => void (d.project.limits[0]!.max = 0.123),
  'a picture that is described otherwise': (d) =>
    void (d.project.pictures[0]!.cuts[0]!.focalPoint = { x: 0.1, y: 0.2 }),
  'named values that went': (d) => void (d.project.named = []),
  'something that is accepted': (d) =>
    void (d.project.accepted = [
      ...(d.project.accepted ?? []),
      {
        scene: 'winter-splash',
        layer: 'harbour',
        measure: 'crop',
        screens: [],
        reason: 'Seen',
        worst: 1,
      } as never,
    ]),
};

describe('changes that are taken back', () => {
  it.each(Object.entries(RECIPES))('all of them lead back: %s', (_, recipe) => {
    const after = edited(recipe);
    const back = withTakenBack(after, demo, changedPlaces(demo, after));
    expect(sameJson(back, demo)).toBe(true);
  });

  it('lead back by whatever several things were changed, and one alone leaves the others', () => {
    const names = Object.keys(RECIPES).filter((n) => n !== 'a scene that went');
    fc.assert(
      fc.property(fc.uniqueArray(fc.constantFrom(...names), { minLength: 2, maxLength: 4 }), (some) => {
        const after = edited((d) => some.forEach((name) => RECIPES[name]!(d)));
        const changes = changedPlaces(demo, after);
        expect(sameJson(withTakenBack(after, demo, changes), demo)).toBe(true);
        for (const one of changes) {
          const left = changedPlaces(demo, withTakenBack(after, demo, [one])).map((c) => c.place.join('/'));
          expect(left).not.toContain(one.place.join('/'));
        }
      }),
    );
  });

  it('are called by what they are of', () => {
    expect(placesOf(demo)).toEqual([]);
    expect(placesOf(edited(RECIPES['a layer that is another']!))).toEqual([
      `scenes/winter-splash/layers/${splash(demo).layers[1]!.id}/opacity`,
    ]);
    expect(placesOf(edited(RECIPES['layers in another order']!))).toEqual([
      'scenes/winter-splash/layers/order',
    ]);
  });

  it('are found wherever a patch has changed something', () => {
    const text = fc.constantFrom('/project/name', '/scenes/winter-splash/name', '/project/pictures/0/name');
    fc.assert(
      fc.property(text, fc.string({ minLength: 1, maxLength: 9 }), (path, value) => {
        const patch: Operation[] = [{ op: 'replace', path, value }];
        const after = applyPatch(demo, patch);
        const changes = changedPlaces(demo, after);
        expect(changes.length).toBe(sameJson(demo, after) ? 0 : 1);
        expect(sameJson(withTakenBack(after, demo, changes), demo)).toBe(true);
      }),
    );
  });
});
