import { produce } from 'immer';
import { demo } from '../../../demo/testing';
import { Documents } from './documents';
import { duplicateScene, launchesOf, removeScene } from './scenes';

const counter = () => {
  let n = 0;
  return () => `new-${n++}`;
};
/** As the page does it: on a draft. */
const copied = (id: string) => {
  let copy = '';
  const documents = produce(demo, (draft) => {
    copy = duplicateScene(draft, id, counter())!;
  });
  return { documents, scene: documents.scenes[copy]!, copy };
};

describe.each(Object.keys(demo.scenes))('a copy of %s', (id) => {
  const { documents, scene, copy } = copied(id);
  const original = demo.scenes[id]!;

  it('stands right behind it in a valid project, and leaves everything else as it was', () => {
    expect(Documents.safeParse(documents).error).toBeUndefined();
    const at = demo.project.scenes.indexOf(id);
    expect(documents.project.scenes).toEqual(demo.project.scenes.toSpliced(at + 1, 0, copy));
    const { [copy]: _, ...others } = documents.scenes;
    expect(others).toEqual(demo.scenes);
    expect(documents.project.launches).toEqual(demo.project.launches);
  });

  it('has ids of its own, and nothing in it means a layer of the original', () => {
    expect(scene.layers).toHaveLength(original.layers.length);
    const own = new Set(scene.layers.map((l) => l.id));
    expect(own.size).toBe(scene.layers.length);
    for (const l of original.layers) expect(own.has(l.id)).toBe(false);
    const meant = [...JSON.stringify(scene).matchAll(/"(?:layer:|parent":")([^"]+)"/g)].map((m) => m[1]!);
    const had = [...JSON.stringify(original).matchAll(/"(?:layer:|parent":")([^"]+)"/g)];
    expect(meant).toHaveLength(had.length);
    for (const m of meant) expect([...own]).toContain(m);
  });

  it('says the same in all but its ids and its name', () => {
    const back = new Map(scene.layers.map((l, i) => [l.id, original.layers[i]!.id]));
    let text = JSON.stringify({ ...scene, id, name: original.name });
    for (const [now, was] of back) text = text.replaceAll(now, was);
    expect(JSON.parse(text)).toEqual(original);
    expect(scene.name).toBe(`${original.name} (copy)`);
  });
});

it('what is accepted of a scene is accepted of its copy, on the copy’s own layers', () => {
  const { documents, scene, copy } = copied('winter-splash-mended');
  const of = (id: string) => documents.project.accepted!.filter((a) => a.scene === id);
  expect(of('winter-splash-mended').length).toBeGreaterThan(0);
  expect(of(copy)).toHaveLength(of('winter-splash-mended').length);
  for (const { layer } of of(copy)) expect(scene.layers.map((l) => l.id)).toContain(layer);
});

it('there is no copy of a scene that is not there', () => {
  const documents = structuredClone(demo);
  expect(duplicateScene(documents, 'gone', counter())).toBeNull();
  expect(documents).toEqual(demo);
});

it('a scene goes with what is accepted of it, and leaves a valid project', () => {
  const documents = structuredClone(demo);
  removeScene(documents, 'winter-splash-mended');
  expect(Documents.safeParse(documents).error).toBeUndefined();
  expect(documents.project.accepted).toEqual([]);
  expect(documents.project.scenes).not.toContain('winter-splash-mended');
});

it('names the launches that show a scene, as a stage or as a first window of its own', () => {
  expect(launchesOf('winter-splash', demo.project)).toEqual(demo.project.launches!.map((l) => l.name));
  expect(launchesOf('winter-splash-mended', demo.project)).toEqual([]);
  const launches = demo.project.launches!.map((l) => ({
    ...l,
    targets: l.targets.map((t) => ({ ...t, scene: 'winter-splash-mended' })),
  }));
  expect(launchesOf('winter-splash-mended', { ...demo.project, launches })).toHaveLength(launches.length);
  const documents = structuredClone(demo);
  removeScene(documents, 'winter-splash');
  expect(Documents.safeParse(documents).error?.message).toContain('cannot go');
});
