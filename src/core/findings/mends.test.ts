import { demo, demoCases, demoInput, madeUpPixels } from '../../../demo/testing';
import { Documents } from '../scene/documents';
import { applyPatch } from '../scene/patch';
import { survey } from '../survey/survey';
import { findingsOf } from './finding';
import type { Sick } from './mend';
import { candidates } from './mends/all';

const pixels = madeUpPixels();
/** One screen in eight: enough for every kind of finding. */
const cases = demoCases.filter((_, i) => i % 8 < 2);

/** Everything that is wrong with a scene of the demo, with what mends are thought up from. */
function sick(sceneId: string): Sick[] {
  const input = { ...demoInput(sceneId), pixels };
  const results = survey(input, cases);
  let made = 0;
  return findingsOf(results, cases).map((finding) => ({
    documents: demo,
    scene: demo.scenes[sceneId]!,
    layer: demo.scenes[sceneId]!.layers.find((l) => l.id === finding.layerId),
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
    expect(all.some(({ mends }) => mends.length > 0)).toBe(true);
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

  it('is said in words that tell one from the other', () => {
    for (const { finding, mends } of all) {
      const labels = mends.map((m) => m.label);
      expect([finding.id, labels.length]).toEqual([finding.id, new Set(labels).size]);
      for (const label of labels) expect(label).toMatch(/^\p{Lu}/u);
    }
  });
});
