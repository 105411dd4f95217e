import fc from 'fast-check';
import { readFileSync } from 'node:fs';
import { demo } from '../../../demo/testing';
import { halfWide } from '@/core/testing/fonts';
import { SCREENS, UPRIGHT, TURNED } from '@/core/testing/scenes';
import { casesOf } from '@/core/screens/cases';
import { parse, converter } from 'culori';
import { sheetJsonSchema } from './all';
import { buildSheet, type ToSheet } from './build';
import { colourFacts, oklchOf } from './colours';
import { fileLabels } from './file-labels';
import { sheetHtml } from './html';
import { sheetMarkdown } from './markdown';
import { figuresOf, sayAt, Sheet, type Section } from './schema';
import { columnsOf, screenTargets } from './targets';

const targets = screenTargets(demo.project, SCREENS);
const labels = fileLabels(demo.project.pictures);
const sheetOf = (more: Partial<ToSheet> = {}): Sheet =>
  buildSheet({
    documents: demo,
    revision: 3,
    sceneId: 'winter-splash',
    target: targets[0]!,
    chosen: UPRIGHT,
    fonts: halfWide,
    address: (hash) => labels.get(hash)!,
    ...more,
  });
const section = (sheet: Sheet, id: string): Section => sheet.sections.find((s) => s.id === id)!;
const row = (of: Section, id: string) => of.rows.find((r) => r.id === id)!;
const fact = (of: Section, id: string) => of.facts.find((f) => f.id === id)!;

describe('a build sheet', () => {
  it('says each length as it is ruled, and what it comes to in lu and in px of the device', () => {
    const emblem = section(sheetOf(), 'emblem');
    const width = row(emblem, 'width');
    expect(width.ruled).toBe('38 % of the safe area’s width, at most 220');
    // A phone of 393 × 852 lu at 3 px per lu: 38 % of 393 is 149.34.
    expect(width.at[3]).toEqual({
      lu: expect.closeTo(149.34, 6) as number,
      px: expect.closeTo(448.02, 6) as number,
    });
    expect(row(emblem, 'left').at[3]).toMatchObject({ lu: expect.closeTo((393 - 149.34) / 2, 6) as number });
    expect(row(emblem, 'left').ruled).toBe('centred across in the safe area');
    expect(row(emblem, 'file').at[3]).toMatch(/^4×, light, \d+ × \d+ px$/);
  });

  it('takes the smallest, the most used and the largest screen, and one of one’s choice that is none of them', () => {
    const area = (id: string) => {
      const { framebufferPx: px, density } = SCREENS.find((s) => s.id === id)!;
      return (px.width / density) * (px.height / density);
    };
    const [smallest, used, largest] = columnsOf(SCREENS, null).map((c) => c.case.screen);
    for (const s of SCREENS) {
      expect(area(s.id)).toBeGreaterThanOrEqual(area(smallest!.id));
      expect(area(s.id)).toBeLessThanOrEqual(area(largest!.id));
      expect(s.weight).toBeLessThanOrEqual(used!.weight);
    }
    expect(columnsOf(SCREENS, TURNED).at(-1)).toMatchObject({ id: 'chosen', caseId: TURNED.id });
    const same = casesOf([used!], ['dark'])[0]!;
    expect(columnsOf(SCREENS, same)).toHaveLength(3);
  });

  it('has the sets of screens that launches name, besides the kinds', () => {
    expect(targets[0]).toMatchObject({ id: 'all', screens: SCREENS });
    const kinds = targets.slice(1, 6).flatMap((t) => t.screens);
    expect(kinds).toHaveLength(SCREENS.length);
    const named = demo.project.launches!.flatMap((l) => l.targets.map((t) => t.name));
    expect(targets.slice(6).map((t) => t.name)).toEqual(named);
  });

  it('says colours for light and dark, hexadecimal and as oklch, and what stands in for a half that is not there', () => {
    const named = section(sheetOf(), 'named');
    const deep = demo.project.named.find((n) => n.name === 'deep water')!;
    expect(fact(named, `${deep.id}-light`).text).toMatch(/^#12303b · oklch\(29\.\d+% 0\.04\d* 22\d\.?\d*\)$/);
    const own = colourFacts('c', 'colour', { light: '#123456' }, []);
    expect(own.map((f) => f.text)[1]).toBe('none of its own: the light one is taken');
    const back = converter('rgb');
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 0xffffff }), (n) => {
        const hex = `#${n.toString(16).padStart(6, '0')}`;
        const [a, b] = [back(parse(hex))!, back(parse(oklchOf(hex)))!];
        for (const c of ['r', 'g', 'b'] as const) expect(Math.abs(a[c] - b[c])).toBeLessThan(0.5 / 255);
      }),
    );
  });

  it('says of a launch when each stage is there, how it comes, and what first windows show', () => {
    const launch = sheetOf().sections.find((s) => s.about.startsWith('launch'))!;
    const { stages, systemMs } = demo.project.launches![0]!;
    expect(launch.facts.filter((f) => /^stage \d+$/.test(f.what))).toHaveLength(stages.length);
    expect(fact(launch, 'stage-1-cold').text).toBe(`0 ms to ${systemMs} ms, from the tap`);
    expect(fact(launch, 'stage-1-fade').text).toBe('at once');
    const fading = stages.findIndex((s) => s.enter === 'fade');
    const { durationMs, easing } = stages[fading]!;
    expect(fact(launch, `stage-${fading + 1}-fade`).text).toBe(`${durationMs} ms`);
    expect(fact(launch, `stage-${fading + 1}-easing`).text).toBe(easing);
    expect(fact(launch, `stage-${stages.length}-warm`).text).toMatch(/^[\d.,]+ m?s on, from the tap$/);
    const counted = launch.facts
      .filter((f) => f.id.startsWith('target-'))
      .map((f) => Number(/on (\d+) screens/.exec(f.text)![1]));
    expect(counted.reduce((sum, n) => sum + n, 0)).toBe(SCREENS.length);
    expect(fact(launch, 'dark-winter-splash').text).toContain('Emblem');
  });

  it('has the CSS of each layer with all that it stands on, or says why there is none', () => {
    for (const sceneId of demo.project.scenes)
      for (const s of sheetOf({ sceneId }).sections) {
        if (!s.sentence) continue;
        expect(s.css ?? s.notSaid).toBeTruthy();
        const css = s.css ?? '';
        const declared = new Set([...css.matchAll(/(--[a-z0-9-]+):/g)].map((m) => m[1]!));
        const used = [...css.matchAll(/var\((--[a-z0-9-]+)\)/g)].map((m) => m[1]!);
        expect(used.filter((name) => !declared.has(name))).toEqual([]);
      }
  });

  it('is by its published schema, and comes back whole', () => {
    const sheet = sheetOf();
    expect(Sheet.parse(JSON.parse(JSON.stringify(sheet)))).toEqual(sheet);
    const published = JSON.parse(readFileSync('docs/schemas/sheet.schema.json', 'utf8')) as object;
    expect(published).toEqual(JSON.parse(JSON.stringify(sheetJsonSchema())));
  });

  it('holds every figure in each of its forms', () => {
    const sheet = sheetOf();
    const figures = figuresOf(sheet);
    const [md, html] = [sheetMarkdown(sheet), sheetHtml(sheet)];
    const plain = (text: string) => text.replaceAll(/\\([\\`*_{}[\]<>#|~])/g, '$1');
    const unescaped = html
      .replaceAll('&amp;', '&')
      .replaceAll('&lt;', '<')
      .replaceAll('&gt;', '>')
      .replaceAll('&quot;', '"');
    for (const text of figures.values()) {
      expect(plain(md)).toContain(text.replaceAll('\n', text.includes(';\n') ? '\n' : ' '));
      expect(unescaped).toContain(text);
    }
    expect(sayAt({ lu: -12.34, px: -37.02 })).toBe('−12.3 lu · −37 px');
  });

  it('lets no name end a cell, an element or a block of Markdown', () => {
    const documents = structuredClone(demo);
    const scene = documents.scenes['winter-splash']!;
    scene.layers[1]!.name = 'A | `b` <script>*/ ``` \n# c';
    const sheet = sheetOf({ documents });
    const md = sheetMarkdown(sheet);
    expect(md).toContain(String.raw`## A \| \`b\` \<script\>\*/`);
    expect(md.split('\n').filter((l) => l.startsWith('# '))).toHaveLength(1);
    expect(sheetHtml(sheet)).not.toContain('<script');
  });
});
