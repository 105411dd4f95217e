import { Documents, usersOfPicture } from '../project/documents';
import { breachId, OUTCOMES } from '../measure/judge';
import { findingsOf } from '../findings/scene';
import { casesOf } from '../screens/cases';
import { demo as documents, demoCases as cases, demoInput as input } from '../../../demo/testing';
import { oneOfEachRule, whyNotDrawn } from './can-be-drawn';
import { survey, surveyCase } from './survey';
import { summarise, tally } from '../solve/summary';

const find = (id: string) => cases.find((c) => c.id === id)!;

describe('the survey of the demo', () => {
  it('is of valid documents that survive a round trip', () => {
    expect(Documents.parse(JSON.parse(JSON.stringify(documents)))).toEqual(documents);
  });

  it('says of every case what is drawn, what was measured and how it ends', () => {
    const results = survey(input('winter-splash'), cases);
    expect(results.map((r) => r.id)).toEqual(cases.map((c) => c.id));
    for (const r of results) {
      expect(r.layers.map((l) => l.id)).toEqual(['ground', 'harbour', 'emblem', 'wordmark']);
      expect(OUTCOMES).toContain(r.outcome);
    }
    const counts = tally(results.map(summarise));
    expect(counts.fail + counts.warn + counts.clear).toBe(cases.length);
  });

  it('agrees with figures worked out by hand', () => {
    // 393 × 852 covers 4:3 at 852 ÷ 600 lu; 1136 of width are drawn, 743 of them cut, 62 % of those on the left.
    const r = surveyCase(input('winter-splash'), find('phone-393x852-3x-pill.0.light'));
    const harbour = r.layers.find((l) => l.id === 'harbour');
    if (harbour?.kind !== 'picture') throw new Error('Harbour is a picture');
    expect(harbour.placement.drawn.width).toBeCloseTo(1136, 9);
    expect(harbour.measures.crop!.left).toBeCloseTo((743 * 0.62) / 1136, 12);
    expect(harbour.measures.crop!.total).toBeCloseTo(743 / 1136, 12);
    expect(harbour.measures.enlargement).toBeCloseTo(852 / 600, 12);
    // The lighthouse is wholly cut off, which is further beyond its limit than the crop is.
    expect(summarise(r).headline).toEqual({
      layerId: 'harbour',
      measure: 'keep-lost',
      value: 1,
      beyond: 20,
      words: 'Lighthouse cut off',
    });
  });

  it('takes the file and the colour of the appearance', () => {
    const dark = surveyCase(input('winter-splash'), find('phone-393x852-3x-pill.0.dark'));
    expect(dark.layers[0]).toMatchObject({ kind: 'ground', paint: { kind: 'colour', colour: '#06141b' } });
    expect(dark.layers[1]).toMatchObject({ rendition: { appearance: 'dark' } });
    expect(dark.layers[2]).toMatchObject({ rendition: { appearance: 'light' } });
  });

  it('says the same of a case whether its twin was surveyed before it or not', () => {
    for (const scene of ['winter-splash', 'sign-in', 'notice']) {
      const some = cases.filter((_, i) => i % 9 < 2);
      const alone = some.map((c) => surveyCase(input(scene), c));
      expect(survey(input(scene), some)).toEqual(alone);
    }
  });

  it('says of cases that are drawn alike what each would say alone, and counts every one', () => {
    const { screen } = find('phone-393x852-3x-pill.0.light');
    const own = casesOf([screen, { ...screen, id: 'twin' }], ['light', 'dark']);
    // What is accepted is so on the screen that it was accepted on.
    const accepted = [
      {
        scene: 'winter-splash',
        layer: 'harbour',
        measure: 'crop' as const,
        screens: [screen.id],
        reason: 'Seen',
      },
    ];
    const asked = { ...input('winter-splash'), accepted };
    const found = survey(asked, own);
    expect(found).toEqual(own.map((c) => surveyCase(asked, c)));
    const acceptedOn = found.filter((r) => r.breaches.some((b) => b.accepted)).map((r) => r.screenId);
    expect(new Set(acceptedOn)).toEqual(new Set([screen.id]));
    const all = survey(asked, cases);
    for (const { id, cases: on } of findingsOf(asked.scene, all, cases))
      expect(on).toHaveLength(all.filter((r) => r.breaches.some((b) => breachId(b) === id)).length);
    expect(all).toHaveLength(cases.length);
  });

  it('does not take from a twin what leans on a file of another size', () => {
    const scene = input('winter-splash');
    // The emblem at its natural size, in the dark half as large; the wordmark hangs below it.
    const emblem = scene.scene.layers.find((l) => l.id === 'emblem')!;
    if (emblem.kind !== 'picture' || emblem.placing.y.kind !== 'middle')
      throw new Error('Emblem is in the middle');
    const y = { ...emblem.placing.y, extent: { kind: 'natural' as const } };
    const x = { ...y, region: 'screen' as const };
    const layers = scene.scene.layers.map((l) => (l === emblem ? { ...emblem, placing: { x, y } } : l));
    const pictures = scene.pictures.map((p) => {
      if (p.id !== 'emblem') return p;
      const [cut] = p.cuts;
      const dark = cut!.renditions.map((r) => ({
        ...r,
        appearance: 'dark' as const,
        widthPx: r.widthPx / 2,
        heightPx: r.heightPx / 2,
      }));
      return { ...p, cuts: [{ ...cut!, renditions: [...cut!.renditions, ...dark] }] };
    });
    const changed = { ...scene, pictures, scene: { ...scene.scene, layers } };
    const some = cases.slice(0, 4);
    const results = survey(changed, some);
    expect(results).toEqual(some.map((c) => surveyCase(changed, c)));
    const top = (r: (typeof results)[number]) => {
      const l = r.layers.find((one) => one.id === 'wordmark')!;
      return l.box.y;
    };
    expect(top(results[0]!)).not.toBeCloseTo(top(results[1]!), 1);
  });

  it('leaves hidden layers out of drawing and judgement', () => {
    const scene = structuredClone(input('winter-splash').scene);
    scene.layers.forEach((l) => (l.visible = l.id === 'ground'));
    const r = surveyCase({ ...input('winter-splash'), scene }, cases[0]!);
    expect(r.layers).toHaveLength(1);
    expect(summarise(r)).toEqual({ id: r.id, outcome: 'clear', headline: null });
  });

  it('names the layer whose picture is not there', () => {
    expect(() => surveyCase({ ...input('sign-in'), pictures: [] }, cases[0]!)).toThrow('“Deck photo”');
  });
});

describe('what cannot be drawn', () => {
  const edge = (id: string) => ({
    region: `layer:${id}` as const,
    offset: { value: 0, unit: 'lu' as const },
  });
  const circle = structuredClone(documents);
  const [, , emblem] = circle.scenes['winter-splash']!.layers;
  if (emblem?.kind !== 'picture') throw new Error('Emblem is a picture');
  const y = { kind: 'edges' as const, start: edge('wordmark'), end: edge('wordmark') };
  emblem.when = [{ minWidth: 1900, placing: { y, x: y } }];

  it('is found on the one screen where a rule that differs closes a circle, by name', () => {
    expect(oneOfEachRule(circle.scenes['winter-splash']!, cases)).toHaveLength(2);
    expect(whyNotDrawn(circle, 'winter-splash', cases, null)).toContain('Emblem → Wordmark → Emblem');
    expect(whyNotDrawn(documents, 'winter-splash', cases, null)).toBeNull();
  });
});

describe('documents', () => {
  it('refuse to lose a picture that is in use, and list its users', () => {
    const without = structuredClone(documents);
    without.project.pictures = without.project.pictures.filter((p) => p.id !== 'emblem');
    const message = Documents.safeParse(without).error!.issues[0]!.message;
    expect(message).toContain('Winter splash, Emblem');
    expect(usersOfPicture('emblem', documents.scenes)).toHaveLength(5);
    expect(usersOfPicture('deck-upright', documents.scenes)).toEqual([]);
  });

  it('keep the list of scenes and the scenes together', () => {
    const { 'sign-in': _, ...scenes } = documents.scenes;
    expect(Documents.safeParse({ ...documents, scenes }).error!.issues[0]!.message).toContain('“sign-in”');
  });
});
