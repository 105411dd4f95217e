import json from '../../../data/screens.json';
import { casesOf, type Case } from '@/core/screens/cases';
import { readCatalogue } from '@/core/screens/catalogue';
import { turn } from '@/core/screens/turn';
import type { CaseSummary } from '@/core/solve/summary';
import { readView, writeView } from './view';
import { arrange, type CaseGroup } from './arrange';
import { matchesText } from '@/core/screens/search';

const screens = readCatalogue(json);
const cases = casesOf(screens, ['light', 'dark']);
const none = { isMeasured: true, summaries: new Map<string, CaseSummary>(), marks: new Map(), found: null };
/** The view that shows every case, by its shape. */
const everyone = (params: Record<string, unknown> = {}) =>
  readView({ cases: 'all', sort: 'ratio', ...params });
const all = (groups: CaseGroup[]) => groups.flatMap((g) => g.cases.flatMap((c) => [c.shown, ...c.alike]));

describe('the arranged field', () => {
  it('holds every case of the appearance exactly once, alike ones together', () => {
    const shown = all(arrange(cases, everyone(), none));
    const light = cases.filter((c) => c.appearance === 'light');
    expect(shown.map((c) => c.id).sort()).toEqual(light.map((c) => c.id).sort());
  });

  it('is sorted by aspect ratio within each group of kind and orientation', () => {
    for (const { label, cases: members } of arrange(cases, everyone(), none)) {
      const ratios = members.map(({ shown }) => {
        const { width, height } = turn(shown.screen, shown.rotation).size;
        return width / height;
      });
      expect(ratios).toEqual(ratios.toSorted((a, b) => a - b));
      for (const r of ratios) expect(label.endsWith('landscape') ? r > 1 : r <= 1).toBe(true);
    }
  });

  it('merges landscape the other way only where nothing tells the two apart', () => {
    const groups = arrange(cases, everyone({ text: 'phone-320x568-2x-home' }), none);
    expect(groups.map((g) => g.cases.map((c) => c.alike.length))).toEqual([[0], [1]]);
    const cutout = arrange(cases, everyone({ text: 'phone-393x852-3x-pill' }), none);
    expect(cutout.map((g) => g.cases.length)).toEqual([1, 2]);
  });

  it.each([
    [{ kind: 'tablets' }, (c: (typeof cases)[number]) => c.screen.kind === 'tablet'],
    [
      { orientation: 'landscape-secondary' },
      (c: (typeof cases)[number]) => c.rotation === 270 || c.rotation === 180,
    ],
    [{ appearance: 'dark' }, (c: (typeof cases)[number]) => c.appearance === 'dark'],
    [{ text: '834x1194' }, (c: (typeof cases)[number]) => c.screen.width === 834 || c.screen.height === 834],
  ])('is narrowed by %j', (params, expected) => {
    const shown = all(arrange(cases, everyone(params), none));
    expect(shown.length).toBeGreaterThan(0);
    expect(shown.every(expected)).toBe(true);
  });

  it('is narrowed by outcome, where one is known', () => {
    const [one, two] = cases.filter((c) => c.appearance === 'light');
    const summaries = new Map<string, CaseSummary>([
      [one!.id, { id: one!.id, outcome: 'fail', headline: null }],
      [two!.id, { id: two!.id, outcome: 'clear', headline: null }],
    ]);
    expect(
      all(arrange(cases, everyone({ outcome: 'fail' }), { ...none, summaries })).map((c) => c.id),
    ).toEqual([one!.id]);
  });
});

const light = cases.filter((c) => c.appearance === 'light');
const phones = light.filter((c) => c.screen.kind === 'phone' && c.rotation === 0);
const summary = (
  id: string,
  outcome: CaseSummary['outcome'],
  beyond: number,
  measure = 'crop',
): CaseSummary => ({
  id,
  outcome,
  headline: { layerId: 'harbour', measure: measure as 'crop', value: beyond, beyond, words: 'crop' },
});

describe('telling cases', () => {
  const ends = new Map(light.map((c, i) => [c.id, summary(c.id, i % 3 === 0 ? 'fail' : 'warn', i)]));
  const known = { ...none, summaries: ends };

  it('stand for every case between them, each once; first the gravest that most people have', () => {
    const [group, ...more] = arrange(cases, readView({}), known);
    expect(more).toEqual([]);
    expect(
      all([group!])
        .map((c) => c.id)
        .sort(),
    ).toEqual(light.map((c) => c.id).sort());
    expect(group!.cases.length).toBeLessThan(30);
    const order = group!.cases.map(({ shown, alike }) => ({
      outcome: ends.get(shown.id)!.outcome,
      weight: [shown, ...alike].reduce((sum, c) => sum + c.screen.weight, 0),
    }));
    const fails = order.filter((o) => o.outcome === 'fail');
    const warns = order.filter((o) => o.outcome === 'warn');
    expect(order).toEqual([...fails, ...warns]);
    for (const those of [fails, warns]) expect(those).toEqual(those.toSorted((a, b) => b.weight - a.weight));
  });

  it('are the worst of those that are alike: of a kind, held alike, with the same thing wrong', () => {
    for (const { shown, alike } of arrange(cases, readView({}), known)[0]!.cases) {
      const worst = ends.get(shown.id)!;
      for (const c of alike) {
        const other = ends.get(c.id)!;
        expect(other.outcome).toBe(worst.outcome);
        expect(other.headline!.beyond).toBeLessThanOrEqual(worst.headline!.beyond);
        expect(turn(c.screen, c.rotation).size.width > turn(c.screen, c.rotation).size.height).toBe(
          turn(shown.screen, shown.rotation).size.width > turn(shown.screen, shown.rotation).size.height,
        );
      }
    }
  });

  it('hold the chosen one at their end where it is like another, which then stands for one less', () => {
    const before = arrange(cases, readView({}), known)[0]!.cases;
    const chosen = before.find((t) => t.alike.length > 0)!.alike[0]!;
    const after = arrange(cases, readView({ case: chosen.id }), known)[0]!.cases;
    expect(after.at(-1)).toEqual({ shown: chosen, alike: [] });
    expect(after.slice(0, -1).map((t) => t.shown)).toEqual(before.map((t) => t.shown));
    expect(all([{ id: '', label: '', cases: after }]).length).toBe(light.length);
  });

  it('are not said before they are known, and neither is an order by outcome', () => {
    const unknown = { ...none, isMeasured: false };
    expect(arrange(cases, readView({}), unknown)).toEqual([]);
    expect(arrange(cases, readView({ cases: 'all' }), unknown)).toEqual([]);
    expect(all(arrange(cases, everyone(), unknown)).length).toBe(light.length);
  });

  it('give way to all of what is searched for', () => {
    const found = arrange(cases, readView({ text: 'tablet' }), known);
    expect(all(found).every((c) => /tablet/i.test(c.screen.kind + c.screen.label))).toBe(true);
    expect(found.flatMap((g) => g.cases).length).toBeGreaterThan(5);
  });

  it('all of them come by outcome, the worst first', () => {
    const groups = arrange(cases, readView({ cases: 'all' }), known);
    expect(groups.map((g) => g.label)).toEqual(['▲ fail', '◭ warn']);
    expect(all(groups).length).toBe(light.length);
  });
});

describe('the search', () => {
  const found = (text: string) => light.filter((c) => matchesText(c.screen, text));

  it.each([
    ['390x844', (c: Case) => c.screen.width === 390 && c.screen.height === 844],
    ['844 × 390', (c: Case) => c.screen.width === 390 && c.screen.height === 844],
    [
      '1170',
      (c: Case) => c.screen.framebufferPx.width === 1170 || /1170/.test(JSON.stringify(c.screen.panelPx)),
    ],
    ['tablet', (c: Case) => /tablet/i.test(c.screen.kind + c.screen.label)],
    ['unfolded', (c: Case) => c.screen.kind === 'foldable-inner'],
    ['20:9', (c: Case) => Math.abs(c.screen.height / c.screen.width / (20 / 9) - 1) < 0.02],
    ['20 : 9 phone', (c: Case) => /phone|cover/.test(c.screen.kind)],
  ])('finds “%s”', (text, expected) => {
    expect(found(text).length).toBeGreaterThan(0);
    expect(found(text).length).toBeLessThan(light.length);
    for (const c of found(text)) expect([c.id, expected(c)]).toEqual([c.id, true]);
  });

  it('finds a ratio however the screen is held, and none where there is none', () => {
    const turned = found('20:9').map((c) => c.rotation);
    expect(new Set(turned)).toEqual(new Set([0, 90, 270]));
    expect(found('99:1')).toEqual([]);
    expect(phones.some((c) => matchesText(c.screen, '1:1'))).toBe(false);
  });
});

describe('the view in the address', () => {
  it.each([
    '',
    '?case=phone-393x852-3x-pill.0.light',
    '?appearance=dark&kind=tablets&orientation=landscape-primary&outcome=fail&text=834&guides=on',
  ])('survives a round trip: “%s”', (query) => {
    const view = readView(Object.fromEntries(new URLSearchParams(query)));
    expect(writeView(view)).toBe(query);
  });

  it('takes what it cannot read as not said', () => {
    const odd = {
      appearance: 'dim',
      kind: 'watches',
      orientation: 'up',
      outcome: 'odd',
      text: ['a'],
      guides: '1',
    };
    expect(writeView(readView(odd))).toBe('');
  });
});
