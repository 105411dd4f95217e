import json from '../../../data/screens.json';
import { casesOf } from '@/core/screens/cases';
import { readCatalogue } from '@/core/screens/catalogue';
import { turn } from '@/core/screens/turn';
import type { CaseSummary } from '@/core/solve/summary';
import { readView, writeView } from '../state/view';
import { arrange, type CaseGroup } from './arrange';

const screens = readCatalogue(json);
const cases = casesOf(screens, ['light', 'dark']);
const none = { summaries: new Map<string, CaseSummary>(), marks: new Map(), found: null };
const all = (groups: CaseGroup[]) => groups.flatMap((g) => g.cases.flatMap((c) => [c.shown, ...c.alike]));

describe('the arranged field', () => {
  it('holds every case of the appearance exactly once, alike ones together', () => {
    const shown = all(arrange(cases, readView({}), none));
    const light = cases.filter((c) => c.appearance === 'light');
    expect(shown.map((c) => c.id).sort()).toEqual(light.map((c) => c.id).sort());
  });

  it('is sorted by aspect ratio within each group of kind and orientation', () => {
    for (const { label, cases: members } of arrange(cases, readView({}), none)) {
      const ratios = members.map(({ shown }) => {
        const { width, height } = turn(shown.screen, shown.rotation).size;
        return width / height;
      });
      expect(ratios).toEqual(ratios.toSorted((a, b) => a - b));
      for (const r of ratios) expect(label.endsWith('landscape') ? r > 1 : r <= 1).toBe(true);
    }
  });

  it('merges landscape the other way only where nothing tells the two apart', () => {
    const groups = arrange(cases, readView({ text: 'phone-320x568-2x-home' }), none);
    expect(groups.map((g) => g.cases.map((c) => c.alike.length))).toEqual([[0], [1]]);
    const cutout = arrange(cases, readView({ text: 'phone-393x852-3x-pill' }), none);
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
    const shown = all(arrange(cases, readView(params), none));
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
      all(arrange(cases, readView({ outcome: 'fail' }), { ...none, summaries })).map((c) => c.id),
    ).toEqual([one!.id]);
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
