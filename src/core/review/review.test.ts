import { demo, demoInput, madeUpPixels } from '../../../demo/testing';
import { readFileSync } from 'node:fs';
import { DEFAULT_LIMITS } from '../measure/defaults';
import { filesOf, type Documents } from '../project/documents';
import { casesOf } from '../screens/cases';
import { weightsOf } from '../screens/weights';
import { tally } from '../solve/summary';
import { survey } from '../survey/survey';
import { halfWide } from '../testing/fonts';
import { SCREENS } from '../testing/scenes';
import { runThrough } from '../findings/trying';
import { caseCounts, foundCounts } from './counts';
import { canonicalJson, digestOf } from './digest';
import { review, type ReviewInput, type ReviewProgress } from './review';
import { Review } from './schema';
import { PRODUCT_VERSION } from './version';

const pixels = madeUpPixels();
const screens = SCREENS.filter((_, i) => i % 12 === 0);
const input = (documents: Documents = demo): ReviewInput => ({
  documents,
  revision: 7,
  digest: 'd',
  screens,
  outside: { fonts: halfWide, pixels },
  ink: new Map(),
});
const of = (documents?: Documents) => runThrough(review(input(documents)));

describe('the review of a project', () => {
  const whole = of();

  it('is the same to the byte each time, and when it is read again', () => {
    const text = JSON.stringify(whole);
    expect(JSON.stringify(of())).toBe(text);
    expect(JSON.stringify(Review.parse(JSON.parse(text)))).toBe(text);
    // The order in which something was written into the documents is not seen.
    const turned = JSON.parse(canonicalJson(demo)) as Documents;
    expect(JSON.stringify(of(turned))).toBe(text);
  });

  it('holds every scene, launch and picture in the order of the project', () => {
    expect(whole.scenes.map((s) => s.id)).toEqual(demo.project.scenes);
    expect(whole.launches.map((l) => l.id)).toEqual(demo.project.launches!.map((l) => l.id));
    expect(whole.files.map((f) => f.id)).toEqual(demo.project.pictures.map((p) => p.id));
    expect(whole).toMatchObject({ revision: 7, digest: 'd', screens: screens.length });
  });

  it('counts cases as a survey of each scene does', () => {
    const cases = casesOf(screens, ['light', 'dark']);
    expect(whole.cases).toBe(cases.length);
    for (const { id, counts, weights, findings, found } of whole.scenes) {
      expect([id, counts]).toEqual([id, tally(survey({ ...demoInput(id), pixels }, cases))]);
      expect(weights.fail + weights.warn + weights.clear).toBeCloseTo(1, 5);
      expect(found).toEqual(foundCounts(findings));
      for (const f of findings) {
        expect(f).toMatchObject({ source: 'scene', in: { id } });
        if (f.outcome !== 'clear') expect(f.worst.caseId).not.toBeNull();
      }
    }
    for (const { findings, counts } of whole.launches)
      expect(counts).toEqual(caseCounts(findings, cases, weightsOf(cases)).counts);
  });

  it('says how far it is, in cases that only grow, and can be let be', () => {
    const steps = review(input());
    const told: ReviewProgress[] = [];
    for (let i = 0; i < 4; i++) {
      const { value, done } = steps.next();
      if (!done) told.push(value);
    }
    expect(told).toHaveLength(4);
    for (const [i, { done, of: all, doing }] of told.entries()) {
      expect(done).toBeGreaterThan(told[i - 1]?.done ?? 0);
      expect(done).toBeLessThanOrEqual(all);
      expect(doing).not.toBe('');
    }
    expect(steps.return({} as Review).done).toBe(true);
  });

  it('names what it has not looked at', () => {
    expect(whole.notChecked).toEqual([]);
    const bare: Documents = {
      project: { ...demo.project, launches: undefined, ratios: { low: 0.4, high: 0.6 } },
      scenes: { ...demo.scenes, notice: { ...demo.scenes.notice!, layers: [] } },
    };
    const said = runThrough(
      review({ ...input(bare), outside: { fonts: halfWide, pixels: new Map() } }),
    ).notChecked.map(({ what, why }) => `${what}: ${why}`);
    const files = filesOf(demo.project.pictures).length;
    expect(said).toEqual([
      `${demo.scenes.notice!.name}: Nothing in it can be judged yet.`,
      expect.stringMatching(/^\d+ cases: They lie outside the ratios/),
      `Contrast with the pixels of ${files} files: They could not be read.`,
      'The launch: It is not described.',
    ]);
  });

  it('of an empty project is empty', () => {
    const project = { ...demo.project, scenes: [], pictures: [], launches: [], limits: [...DEFAULT_LIMITS] };
    expect(of({ project, scenes: {} })).toMatchObject({ scenes: [], launches: [], files: [] });
  });
});

describe('the digest', () => {
  it('is that of what is in the documents, not of how it is written', () => {
    const own = digestOf(demo, screens);
    expect(own).toMatch(/^[0-9a-f]{64}$/);
    expect(digestOf(JSON.parse(canonicalJson(demo)) as Documents, screens)).toBe(own);
    const renamed = { ...demo, project: { ...demo.project, name: 'Other' } };
    expect(digestOf(renamed, screens)).not.toBe(own);
    expect(digestOf(demo, screens.slice(1))).not.toBe(own);
  });

  it('is of the version that the package has', () => {
    const { version } = JSON.parse(readFileSync('package.json', 'utf8')) as { version: string };
    expect(PRODUCT_VERSION).toBe(version);
  });
});
