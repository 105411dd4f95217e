import { applyPatch } from '../patch/patch';
import { Documents } from '../project/documents';
import type { Layer, PictureLayer } from '../scene/scene';
import { lu } from '../values/values';
import { filePixelsOf } from '../pixels/file';
import { survey, surveyInput } from '../survey/survey';
import { demo, demoCases } from '../../../demo/testing';
import { middleOf, pictureLayer, pictureOf } from '../testing/scenes';
import { advise, type AdviceAsked } from './advise';
import { findingsOf } from './scene';
import { offerScrim } from './offer-scrim';

const cases = demoCases.filter((_, i) => i % 16 < 2);
const ground: Layer = {
  kind: 'ground',
  id: 'ground',
  name: 'Ground',
  role: 'background',
  visible: true,
  colour: { light: '#777777' },
};
const logo: PictureLayer = pictureLayer({
  x: middleOf({ kind: 'length', length: lu(120) }),
  y: middleOf({ kind: 'from-ratio' }),
  ratio: { value: 'own', strict: true },
});
/** A grey mark in the middle of a file of one colour and alpha. */
const fileOf = (border: [number, number, number, number]) => {
  const data = new Uint8Array(12 * 9 * 4);
  for (let i = 0; i < 12 * 9; i++) data.set(border, i * 4);
  for (let x = 4; x < 8; x++) data.set([140, 140, 140, 255], (4 * 12 + x) * 4);
  return filePixelsOf({ width: 12, height: 9, data });
};

function asked(layers: Layer[], border: [number, number, number, number]): AdviceAsked {
  const picture = pictureOf('logo', { widthPx: 1200, heightPx: 900, density: 3 });
  const scene = { ...demo.scenes['winter-splash']!, layers };
  const project = { ...demo.project, pictures: [picture], scenes: [scene.id], launches: [], accepted: [] };
  let made = 0;
  return {
    documents: { project, scenes: { [scene.id]: scene } },
    sceneId: scene.id,
    cases,
    outside: { fonts: null, pixels: new Map([[picture.cuts[0]!.renditions[0]!.hash, fileOf(border)]]) },
    newId: () => `new-${++made}`,
  };
}

describe('the offer of a scrim', () => {
  it('reaches what it promises on every case with something to spare, and costs nothing that it does not say', () => {
    const before = asked([ground, logo], [0, 0, 0, 0]);
    const offer = offerScrim(before, 'it', 3)!;
    expect(offer).toMatchObject({ colour: '#000000', costs: [] });
    expect(offer.reaches).toBeGreaterThan(3);
    const after = applyPatch(before.documents, offer.patch);
    expect(Documents.safeParse(after).error).toBeUndefined();
    const results = survey(surveyInput(after, after.scenes[before.sceneId]!, before.outside), cases);
    const contrasts = results.map((r) => {
      const l = r.layers.find((one) => one.id === 'it')!;
      return l.kind === 'picture' ? l.measures.contrast! : 0;
    });
    expect(Math.min(...contrasts)).toBe(offer.reaches);
    expect(findingsOf(after.scenes[before.sceneId]!, results, cases).map((f) => f.measure)).not.toContain(
      'overlap',
    );
  });

  it('is the scrim of the mend, to the last step of its alpha', () => {
    const before = asked([ground, logo], [0, 0, 0, 0]);
    const results = survey(
      surveyInput(before.documents, before.documents.scenes[before.sceneId]!, before.outside),
      cases,
    );
    const finding = findingsOf(before.documents.scenes[before.sceneId]!, results, cases).find(
      (f) => f.measure === 'contrast',
    )!;
    const mend = advise(before, finding).find((m) => m.label.includes('scrim'))!;
    const colourOf = (patch: Parameters<typeof applyPatch>[1]) =>
      applyPatch(before.documents, patch).scenes[before.sceneId]!.layers.flatMap((l) =>
        l.kind === 'panel' ? [l.colour] : [],
      );
    const offer = offerScrim(before, 'it', finding.worst.limit.min!)!;
    expect(colourOf(offer.patch)).toEqual(colourOf(mend.patch));
  });

  it('is not made for an opaque picture, which stands on its own border; nor is a tint', () => {
    const before = asked([ground, logo], [190, 190, 190, 255]);
    expect(offerScrim(before, 'it', 3)).toBeNull();
    const results = survey(
      surveyInput(before.documents, before.documents.scenes[before.sceneId]!, before.outside),
      cases,
    );
    const finding = findingsOf(before.documents.scenes[before.sceneId]!, results, cases).find(
      (f) => f.measure === 'contrast',
    )!;
    expect(advise(before, finding).map((m) => m.label)).toEqual([]);
  });

  it('says so where none is needed', () => {
    const bright = { ...ground, colour: { light: '#ffffff' } } as Layer;
    expect(offerScrim(asked([bright, logo], [0, 0, 0, 0]), 'it', 3)).toMatchObject({ alpha: 0, patch: [] });
  });
});
