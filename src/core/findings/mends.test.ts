import { demoDocuments } from '../../../demo/documents';
import { demo, demoCases, demoInput, demoRenditions, madeUpPixels } from '../../../demo/testing';
import { Documents, filesOfScene } from '../project/documents';
import type { AxisRule } from '../placing/rule';
import { applyPatch } from '../patch/patch';
import { isPlaced } from '../scene/scene';
import { survey } from '../survey/survey';
import { fitOf } from '../scene/when';
import { filesTried } from './advise';
import { findingsOf, type SceneFinding } from './scene';
import type { Sick } from './mend';
import { candidates } from './mends/all';

const pixels = madeUpPixels();
/** One screen in eight: enough for every kind of finding. */
const cases = demoCases.filter((_, i) => i % 8 < 2);

const start = { percent: 0, offset: { value: 0, unit: 'lu' as const } };

/** Everything that is wrong with a scene of the demo, with what mends are thought up from. */
function sick(sceneId: string, documents = demo): Sick[] {
  const scene = documents.scenes[sceneId]!;
  const input = { ...demoInput(sceneId), scene, pictures: documents.project.pictures, pixels };
  const results = survey(input, cases);
  let made = 0;
  return findingsOf(scene, results, cases).map((finding) => ({
    documents,
    scene,
    layer: scene.layers.find((l) => l.id === finding.subject.id),
    finding,
    cases,
    input,
    results,
    newId: () => `new-${made++}`,
  }));
}

describe.each(Object.keys(demo.scenes))('what may mend %s', (sceneId) => {
  const all = sick(sceneId).map((s) => ({ finding: s.finding, mends: candidates(s) }));

  it('is thought up for something that is wrong', () => {
    // Of the mended splash only the contrast of made-up opaque files is wrong, which nothing can help.
    expect(all.some(({ mends }) => mends.length > 0)).toBe(sceneId !== 'winter-splash-mended');
  });

  it('leaves valid documents, and every other scene and the limits as they are', () => {
    for (const { mends } of all) {
      for (const { label, patch } of mends) {
        const after = applyPatch(demo, patch);
        expect([label, Documents.safeParse(after).error]).toEqual([label, undefined]);
        expect(after).not.toEqual(demo);
        expect({ ...after.scenes, [sceneId]: null }).toEqual({ ...demo.scenes, [sceneId]: null });
        expect(after.project.limits).toEqual(demo.project.limits);
      }
    }
  });

  it('writes positions as somebody would', () => {
    for (const { label, patch } of all.flatMap((a) => a.mends)) {
      for (const layer of applyPatch(demo, patch).scenes[sceneId]!.layers) {
        if (layer.kind !== 'picture' || layer.fit.align.kind !== 'position') continue;
        const { x, y } = layer.fit.align;
        for (const { percent } of [x, y])
          expect([label, percent]).toEqual([label, Number(percent.toFixed(2))]);
      }
    }
  });

  it('leaves no size without effect: a share that must not pass a smaller share of the same', () => {
    const overruled = (rule: AxisRule) => {
      if (rule.kind === 'edges' || rule.extent.kind !== 'length' || !rule.extent.max) return false;
      const { length, of, max } = rule.extent;
      if ('named' in length || 'named' in max.length || of !== max.of) return false;
      return length.unit === '%' && max.length.unit === '%' && max.length.value < length.value;
    };
    for (const { label, patch } of all.flatMap((a) => a.mends))
      for (const layer of applyPatch(demo, patch).scenes[sceneId]!.layers)
        if (isPlaced(layer))
          expect([label, overruled(layer.placing.x), overruled(layer.placing.y)]).toEqual([
            label,
            false,
            false,
          ]);
  });

  it('is said in words that tell one from the other', () => {
    for (const { finding, mends } of all) {
      const labels = mends.map((m) => m.label);
      expect([finding.id, labels.length]).toEqual([finding.id, new Set(labels).size]);
      for (const label of labels) expect(label).toMatch(/^\p{Lu}/u);
    }
  });
});

it('a cut on which nobody has marked the keep areas is not offered as if it kept them', () => {
  const upright = demo.project.pictures.find((p) => p.id === 'harbour-upright')!;
  const offered = (documents: typeof demo) =>
    sick('winter-splash', documents)
      .filter(({ finding }) => finding.measure === 'keep-lost')
      .flatMap((s) => candidates(s).map((m) => m.label))
      .filter((label) => label.includes(`take “${upright.name}”`));
  const order = `In portrait take “${upright.name}” as the cut of Harbour`;
  expect(offered(demo)).toEqual([order]);
  const bare = { ...upright, cuts: upright.cuts.map((c) => ({ ...c, keepAreas: [] })) };
  const pictures = demo.project.pictures.map((p) => (p === upright ? bare : p));
  const unmarked = { ...demo, project: { ...demo.project, pictures } };
  expect(offered(unmarked)).toEqual([`${order}; Lighthouse, Ferry are not marked on it yet`]);
});

it('a picture that is held otherwise in portrait is held anew by each rule', () => {
  const sceneId = 'winter-splash-mended';
  const documents = structuredClone(demo);
  const harbour = documents.scenes[sceneId]!.layers.find((l) => l.id === 'harbour')!;
  if (harbour.kind !== 'picture') throw new Error('It is no picture.');
  for (const rule of [-1, 0]) fitOf(harbour, rule).align = { kind: 'position', x: start, y: start };
  const [bad] = sick(sceneId, documents).filter(({ finding }) => finding.measure === 'keep-lost');
  const [mend] = candidates(bad!).filter(({ label }) => label.startsWith('Hold it'));
  expect(mend!.label).toMatch(
    /^Hold it [\d.]+ % across, [\d.]+ % down; in portrait [\d.]+ % across, [\d.]+ % down$/,
  );
  const left = sick(sceneId, applyPatch(documents, mend!.patch));
  expect(left.filter(({ finding }) => finding.measure === 'keep-lost')).toEqual([]);
});

it('files that a mend may take are known beforehand, so that their pixels can be', () => {
  const documents = demoDocuments((id) => demoRenditions(id, (i) => `${id} ${i}`));
  const of = (layerId: string) =>
    filesTried(documents, 'winter-splash', { subject: { id: layerId } } as SceneFinding).toSorted();
  expect(of('harbour')).toEqual([
    'harbour-large 0',
    'harbour-large 1',
    'harbour-tall 0',
    'harbour-tall 1',
    'harbour-upright 0',
    'harbour-upright 1',
  ]);
  expect(of('wordmark')).toEqual([]);
  expect(of('bar:status')).toEqual([]);
  const all = new Set([
    ...filesOfScene(documents.scenes['winter-splash']!, documents.project.pictures),
    ...of('harbour'),
  ]);
  for (const s of sick('winter-splash', documents).filter(({ layer }) => layer?.id === 'harbour'))
    for (const { label, patch } of candidates(s)) {
      const after = applyPatch(documents, patch);
      for (const hash of filesOfScene(after.scenes['winter-splash']!, after.project.pictures))
        expect([label, all.has(hash)]).toEqual([label, true]);
    }
});

it('a larger picture of the same drawing has to show what the one before had to', () => {
  const finding = sick('winter-splash').find((s) => s.finding.id === 'harbour enlargement')!;
  const mend = candidates(finding).find((m) => m.label.startsWith('Show “Harbour, large” instead'))!;
  const after = applyPatch(demo, mend.patch);
  const lost = (documents: typeof demo) =>
    sick('winter-splash', documents).find((s) => s.finding.id === 'harbour keep-lost')?.finding.cases.length;
  expect(lost(demo)).toBeGreaterThan(0);
  expect(lost(after)).toBe(lost(demo));
});
