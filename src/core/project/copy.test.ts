import { demo, madeUpPixels } from '../../../demo/testing';
import { runThrough } from '../findings/trying';
import { review } from '../review/review';
import { halfWide } from '../testing/fonts';
import { SCREENS } from '../testing/scenes';
import { copiedProject } from './copy';
import { Documents } from './documents';

describe('a copy of a project', () => {
  let n = 0;
  const copy = copiedProject(demo, () => `new-${n++}`);
  const ids = (documents: Documents) => [
    documents.project.id,
    ...documents.project.scenes,
    ...Object.values(documents.scenes).flatMap((s) => s.layers.map((l) => l.id)),
    ...documents.project.pictures.map((p) => p.id),
    ...documents.project.named.map((v) => v.id),
    ...(documents.project.launches ?? []).flatMap((l) => [l.id, ...l.stages.map((s) => s.id)]),
  ];

  it('has an id of its own for everything, and is whole', () => {
    const before = new Set(ids(demo));
    for (const id of ids(copy)) expect(before.has(id)).toBe(false);
    expect(ids(copy)).toHaveLength(ids(demo).length);
    expect(Documents.parse(copy)).toEqual(copy);
    const text = JSON.stringify(copy);
    for (const layer of Object.values(demo.scenes).flatMap((s) => s.layers))
      expect(text).not.toContain(`"layer:${layer.id}"`);
  });

  it('keeps what people have called things, and what a keep area is of', () => {
    const names = (d: Documents) => Object.values(d.scenes).flatMap((s) => s.layers.map((l) => l.name));
    expect(names(copy)).toEqual(names(demo));
    const subjects = (d: Documents) =>
      d.project.pictures.flatMap((p) => p.cuts.flatMap((c) => c.keepAreas.map((k) => k.subject)));
    expect(subjects(copy)).toEqual(subjects(demo));
    expect(copy.project.name).toBe(`${demo.project.name} (copy)`);
  });

  it('is judged as the original is, with all that is accepted', () => {
    const judged = (documents: Documents) =>
      runThrough(
        review({
          documents,
          revision: 1,
          digest: 'd',
          screens: SCREENS.slice(0, 6),
          outside: { fonts: halfWide, pixels: madeUpPixels() },
          ink: new Map(),
        }),
      );
    const [a, b] = [judged(demo), judged(copy)];
    const said = (r: typeof a) =>
      [...r.scenes, ...r.launches].map((s) => [s.name, s.counts, s.found, s.findings.map((f) => f.said)]);
    expect(said(b)).toEqual(said(a));
    expect(b.files.map((f) => f.found)).toEqual(a.files.map((f) => f.found));
  });
});
