import { demo, madeUpPixels } from '../../../demo/testing';
import type { Documents } from '../project/documents';
import { casesOf } from '../screens/cases';
import type { Screen } from '../screens/screen';
import { SCREENS } from '../testing/scenes';
import { halfWide } from '../testing/fonts';
import { runThrough } from '../findings/trying';
import type { Acceptance } from '../measure/accept';
import { review } from '../review/review';
import type { PictureLayer } from '../scene/scene';
import { DIRECTIONS, type Since } from './schema';
import { since } from './since';

const outside = { fonts: halfWide, pixels: madeUpPixels() };
const few = SCREENS.filter((_, i) => i % 18 === 0);
const NOBODY = {
  id: '0b7b5f2e-6a51-4c1e-9a63-0c1f2d3e4f50',
  by: 'Ines',
  why: '',
  at: '2026-11-02T09:00:00.000Z',
  revision: 4,
  digest: 'd'.repeat(64),
};

const judged = (documents: Documents, screens: readonly Screen[]) =>
  runThrough(review({ documents, revision: 5, digest: 'e'.repeat(64), screens, outside, ink: new Map() }));

/** What has changed from one state to another, with both as they are judged. */
function compared(before: Documents, after: Documents, [was, is] = [few, few]) {
  const [then, now] = [judged(before, was), judged(after, is)];
  const said: Since = runThrough(
    since({
      signOff: { ...NOBODY, documents: before, screens: was },
      before: then,
      review: now,
      now: { documents: after, screens: is },
      outside,
    }),
  );
  return { then, now, said };
}

const edited = (recipe: (d: Documents) => void): Documents => {
  const copy = structuredClone(demo);
  recipe(copy);
  return copy;
};
const harbour = (d: Documents) =>
  d.scenes['winter-splash']!.layers.find((l) => l.kind === 'picture') as PictureLayer;
const mended = 'winter-splash-mended';
const of = ({ differences }: Since, direction: (typeof DIRECTIONS)[number]) =>
  differences.filter((d) => d.direction === direction);
const titles = ({ changes }: Since, causes: readonly number[]) => causes.map((i) => changes[i]!.title);

describe('what has changed since a sign-off', () => {
  it('is nothing where nothing has', () => {
    const { said } = compared(demo, structuredClone(demo));
    expect(said.changes).toEqual([]);
    expect(said.differences).toEqual([]);
    for (const { cases } of said.parts)
      expect(cases).toMatchObject({ worse: 0, better: 0, differs: 0, added: 0, gone: 0 });
  });

  it('counts every case once, and what is worse one way is better the other way round', () => {
    const after = edited(
      (d) => void (d.scenes[mended]!.layers.find((l) => l.kind === 'picture')!.opacity = 0.5),
    );
    const moved = edited((d) => {
      const layer = d.scenes[mended]!.layers.find((l) => l.kind === 'picture') as PictureLayer;
      layer.fit = { ...layer.fit, mode: 'none' } as PictureLayer['fit'];
    });
    const cases = casesOf(few, ['light', 'dark']).length;
    for (const [a, b] of [
      [demo, after],
      [demo, moved],
    ] as const) {
      const [there, back] = [compared(a, b).said, compared(b, a).said];
      for (const { cases: c } of [...there.parts, ...back.parts])
        expect(c.worse + c.better + c.differs + c.same + c.added).toBe(cases);
      const on = (d: Since['differences']) => d.map((x) => `${x.id} ${x.cases.length}`).toSorted();
      expect(on(of(there, 'worse'))).toEqual(on(of(back, 'better')));
      expect(on(of(there, 'other'))).toEqual(on(of(back, 'other')));
    }
  });

  it('holds every new failure of the review, with the outcomes that both reviews say', () => {
    const after = edited((d) => {
      const layer = harbour(d);
      layer.placing = { ...layer.placing, x: { ...layer.placing.x } };
      d.project.limits = d.project.limits.map((l) =>
        l.measure === 'crop' && l.max !== undefined ? { ...l, max: l.max / 4 } : l,
      );
    });
    const { then, now, said } = compared(demo, after);
    const outcomes = (r: typeof now) =>
      new Map(
        r.scenes.flatMap((s) =>
          s.findings.flatMap((f) =>
            f.cases.flatMap((c) =>
              c.accepted === undefined ? [[`${s.id} ${f.id} ${c.caseId}` as string, c.outcome] as const] : [],
            ),
          ),
        ),
      );
    const [was, is] = [outcomes(then), outcomes(now)];
    const worse = of(said, 'worse').flatMap((d) =>
      d.cases.map((c) => ({ key: `${d.in.id} ${d.id} ${c.caseId}`, ...c })),
    );
    expect(worse.length).toBeGreaterThan(0);
    const named = new Set<string>(worse.map((w) => w.key));
    for (const [key, outcome] of is)
      if (outcome === 'fail' && was.get(key) !== 'fail') expect(named).toContain(key);
    for (const { key, before, after: then_ } of worse) {
      expect([key, before!.outcome]).toEqual([key, was.get(key) ?? 'clear']);
      expect([key, then_.outcome]).toEqual([key, is.get(key) ?? 'clear']);
    }
    expect(of(said, 'better')).toEqual([]);
  });

  it('says of each which change it comes from, of several that were made at once', () => {
    const limit = demo.project.limits.find((l) => l.measure === 'crop' && l.outcome === 'fail')!;
    const after = edited((d) => {
      // One that does harm to another scene, one that does none, and one that tightens a limit.
      d.project.limits = d.project.limits.map((l) =>
        l.measure === limit.measure && l.role === limit.role && l.outcome === 'fail'
          ? { ...l, max: 0.01 }
          : l,
      );
      d.project.pictures[0]!.name = 'Harbour, renamed';
      d.scenes['winter-splash']!.layers.at(-1)!.name = 'The last one';
    });
    const { said } = compared(demo, after);
    const worse = of(said, 'worse').filter((d) => d.measure === 'crop');
    expect(worse.length).toBeGreaterThan(0);
    for (const d of worse)
      expect(titles(said, d.causes)).toEqual([expect.stringMatching(/^Limit of .*crop/) as string]);
  });

  it('says of a picture with another file how large both are, and not by their hashes', () => {
    const after = edited((d) => {
      const [first] = d.project.pictures;
      first!.cuts[0]!.renditions = first!.cuts[0]!.renditions.map((r) => ({
        ...r,
        hash: '7'.repeat(64),
        widthPx: 300,
        heightPx: 200,
      }));
    });
    const { said } = compared(demo, after);
    const name = demo.project.pictures[0]!.name;
    const [change] = said.changes;
    expect(change!.title).toMatch(new RegExp(`^${name}: (another file|\\d other files)$`));
    expect(change!.after).toMatch(/^\d files?, (up to )?300 × 200 px$/);
    const worse = of(said, 'worse').filter((d) => d.measure === 'enlargement');
    expect(worse.length).toBeGreaterThan(0);
    for (const d of worse) expect(titles(said, d.causes)).toEqual([change!.title]);
  });

  it('takes what is found on a screen that came for worse, because of the screens', () => {
    const own: Screen = { ...few[0]!, id: 'own', origin: 'custom', weight: 1 };
    const after = edited((d) => void (d.project.screens = [own as Documents['project']['screens'][number]]));
    const { said } = compared(demo, after, [few, [...few, own]]);
    const worse = of(said, 'worse');
    expect(worse.length).toBeGreaterThan(0);
    for (const d of worse.filter((x) => x.source === 'scene')) {
      expect(d.cases.every((c) => c.before === null && c.caseId!.startsWith('own.'))).toBe(true);
      expect(titles(said, d.causes)).toEqual([expect.stringContaining('Screen') as string]);
    }
    const gone = compared(after, demo, [[...few, own], few]).said;
    expect(of(gone, 'worse')).toEqual([]);
    for (const { cases } of gone.parts) expect(cases.gone).toBeGreaterThan(0);
  });

  it('tells what was accepted and is not any more', () => {
    const all = judged(demo, few).scenes.flatMap((s) => s.findings);
    const first = all.find((f) => f.outcome === 'fail' && f.accepted === null)!;
    const acceptance: Acceptance = {
      scene: first.in.id,
      layer: first.subject.id,
      measure: first.measure as Acceptance['measure'],
      screens: few.map((s) => s.id),
      reason: 'Known',
    };
    const accepted = edited((d) => void (d.project.accepted = [...(d.project.accepted ?? []), acceptance]));
    const { said } = compared(accepted, demo);
    const found = of(said, 'worse').find((d) => d.id === first.id && d.in.id === first.in.id)!;
    expect(found.cases.length).toBe(first.cases.length);
    expect(titles(said, found.causes)).toEqual([expect.stringContaining('Accepted') as string]);
    expect(of(compared(demo, accepted).said, 'worse')).toEqual([]);
  });
});
