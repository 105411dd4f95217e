import { chooseRendition } from '@/core/pictures/choose';
import type { Screen } from '@/core/screens/screen';
import { edgesOf, fitOf, inputOf, middleOf, pictureLayer, pictureOf, SCREENS } from '@/core/testing/scenes';
import type { Layer, TextLayer } from '@/core/scene/scene';
import { lu, percent } from '@/core/values/values';
import { scenePage } from './page';
import { blockCss } from './rules';
import { sceneSheet, type ToWrite } from './scene';

const toWrite = (layers: Layer[], more: Partial<ToWrite> = {}): ToWrite => ({
  scene: inputOf(layers, []).scene,
  pictures: [pictureOf('logo', { widthPx: 300, heightPx: 200, density: 2 })],
  named: [],
  screens: SCREENS,
  address: (hash) => `${hash.slice(0, 4)}.png`,
  ...more,
});
const emblem = pictureLayer(
  {
    x: middleOf({ kind: 'length', length: percent(40), of: 'safe', max: { length: lu(220) } }),
    y: middleOf({ kind: 'from-ratio' }),
    ratio: { value: 'own', strict: true },
  },
  { id: 'emblem', name: 'Emblem' },
);
const css = (to: ToWrite, name: string) =>
  sceneSheet(to)
    .layers.find((l) => l.name === name)!
    .blocks.map(blockCss)
    .join('');

/** A text in the middle of its screen. */
const titled = (text: string): TextLayer => ({
  id: 'title',
  name: 'Title',
  kind: 'text',
  role: 'text',
  visible: true,
  text,
  placing: { x: middleOf({ kind: 'natural' }), y: middleOf({ kind: 'natural' }) },
  style: {
    font: 'sans',
    weight: 400,
    size: 20,
    lineHeight: 1.3,
    colour: { light: '#12303b' },
    align: { x: 'start', y: 'start' },
  },
});

describe('a scene as CSS', () => {
  it('writes a rule as it is said: a share of the safe area, up to a size, in its own shape', () => {
    const said = css(toWrite([emblem]), 'emblem');
    expect(said).toContain('--emblem-width: min(var(--safe-width) * 0.4, 220px);');
    expect(said).toContain('--emblem-height: calc(var(--emblem-width) / 1.5);');
    expect(said).toContain(
      '--emblem-x: calc(var(--safe-x) + var(--safe-width) / 2 - var(--emblem-width) / 2);',
    );
    expect(said).toContain('object-fit: contain;');
    expect(said).toContain('object-position: 50% 50%;');
  });

  it('measures a layer from another by its custom properties, and from a text by its anchor', () => {
    const below = (id: string) =>
      pictureLayer(
        {
          x: middleOf({ kind: 'length', length: lu(80) }),
          y: {
            kind: 'start',
            edge: { region: `layer:${id}`, side: 'end', offset: lu(16) },
            extent: { kind: 'length', length: lu(20) },
          },
        },
        { id: 'below', name: 'Below' },
      );
    expect(css(toWrite([emblem, below('emblem')]), 'below')).toContain(
      '--below-y: calc(var(--emblem-y) + var(--emblem-height) + 16px);',
    );
    const title = titled('Winter sailings');
    const to = toWrite([title, below('title')]);
    expect(css(to, 'below')).toContain('top: calc(anchor(--title bottom) + 16px);');
    expect(scenePage({ ...to, faces: [], title: 'T' }).html).toContain('anchor-name: --title;');
  });

  it('lays what is drawn below a text out after it', () => {
    const title = titled('A & B < C');
    const scrim = pictureLayer(
      { x: edgesOf('layer:title'), y: edgesOf('layer:title') },
      { id: 'scrim', name: 'Scrim' },
    );
    const { html } = scenePage({ ...toWrite([scrim, title]), faces: [], title: 'T' });
    expect(html.indexOf('class="title')).toBeLessThan(html.indexOf('class="scrim'));
    expect(html).toMatch(/\.scrim \{\n {2}z-index: 0;/);
    expect(html).toMatch(/\.title-at \{\n {2}z-index: 1;/);
    expect(html).toContain('A &amp; B &lt; C');
  });

  it('asks the container where rules differ, and says only what differs', () => {
    const turned = {
      ...emblem,
      when: [
        { orientation: 'landscape' as const, minWidth: 600, fit: fitOf('cover') },
        { maxWidth: 400, visible: false },
      ],
    };
    const said = css(toWrite([turned]), 'emblem');
    expect(said).toContain(
      '@container screen (orientation: landscape) and (width >= 600px) {\n  .emblem {\n    object-fit: cover;',
    );
    expect(said).toContain('@container screen (width <= 400px) {\n  .emblem {\n    visibility: hidden;');
    expect(said.match(/@container/g)).toHaveLength(2);
  });

  it('takes the file that a case takes, by density, appearance and orientation', () => {
    const file = (letter: string, density: number, more = {}) => ({
      hash: letter.repeat(64),
      widthPx: 150 * density,
      heightPx: 100 * density,
      density,
      appearance: 'light' as const,
      vector: false,
      ...more,
    });
    const cut = { focalPoint: { x: 0.5, y: 0.5 }, keepAreas: [] };
    const picture = {
      id: 'logo',
      name: 'Logo',
      cuts: [
        {
          ...cut,
          cut: 'any' as const,
          renditions: [file('a', 1), file('b', 2), file('c', 2, { appearance: 'dark' })],
        },
        { ...cut, cut: 'landscape' as const, renditions: [file('d', 2)] },
      ],
    };
    const { html } = scenePage({ ...toWrite([emblem], { pictures: [picture] }), faces: [], title: 'T' });
    const sources = [...html.matchAll(/media="([^"]+)" srcset="([^"]+)"/g)].map(
      ([, media, set]) => `${set}: ${media}`,
    );
    expect(sources[0]).toBe('dddd.png 2x: (orientation: landscape)');
    expect(sources[1]).toBe('cccc.png 2x: (prefers-color-scheme: dark)');
    expect(sources[2]).toMatch(/^bbbb\.png 2x: \(min-resolution: 1\.\d+dppx\)$/);
    expect(html).toContain('srcset="aaaa.png"');
  });

  it('names the densities at which some screens take another file than it does', () => {
    const file = (letter: string, density: number) => ({
      hash: letter.repeat(64),
      widthPx: 150 * density,
      heightPx: 100 * density,
      density,
      appearance: 'light' as const,
      vector: false,
    });
    const cut = { cut: 'any' as const, focalPoint: { x: 0.5, y: 0.5 }, keepAreas: [] };
    const notes = (densities: number[]) => {
      const renditions = densities.map((d, i) => file('abcd'[i]!, d));
      const picture = { id: 'logo', name: 'Logo', cuts: [{ ...cut, renditions }] };
      const taken = (s: Screen) => chooseRendition(picture, s, 'portrait-primary', 'light').rendition.hash;
      const doubtful = SCREENS.filter((s) =>
        SCREENS.some((other) => other.density === s.density && taken(other) !== taken(s)),
      ).map((s) => s.density);
      const { html } = scenePage({ ...toWrite([emblem], { pictures: [picture] }), faces: [], title: 'T' });
      const note = /Not wholly on this page:\n- Emblem: at (.+) some systems/.exec(html)?.[1];
      return { note: note?.split(', ').map(parseFloat), doubtful: [...new Set(doubtful)].toSorted() };
    };
    const several = notes([2.9, 4]);
    expect(several.doubtful.length).toBeGreaterThan(0);
    expect(several.note).toEqual(several.doubtful);
    expect(notes([3])).toEqual({ note: undefined, doubtful: [] });
  });

  it('names what it cannot say, and whatever stands on it', () => {
    const terms = titled('Terms');
    const shrinking: Layer = {
      ...terms,
      id: 'small',
      name: 'Small print',
      placing: { x: edgesOf('safe'), y: middleOf({ kind: 'length', length: lu(40) }) },
      style: { ...terms.style, shrinkTo: 9 },
    };
    const on = pictureLayer(
      { x: edgesOf('layer:small'), y: edgesOf('layer:small') },
      { id: 'on', name: 'On it' },
    );
    const { html, notSaid } = scenePage({ ...toWrite([shrinking, on, emblem]), faces: [], title: 'T' });
    expect(notSaid.map((n) => `${n.layer.name}: ${n.rule}`)).toEqual([
      'Small print: letters that shrink until they fit',
      'On it: it is measured from “Small print”',
    ]);
    expect(html).toContain('- Small print: letters that shrink until they fit');
    expect(html).not.toContain('class="small-print"');
    expect(html).toContain('class="emblem"');
  });

  it('keeps named values named, with their dark halves', () => {
    const named = [
      { id: 'gap', name: 'Gap', value: { value: 12, unit: 'lu' as const } },
      { id: 'ink', name: 'Ink', value: { light: '#112233', dark: '#ddeeff' } },
      { id: 'idle', name: 'Idle', value: { value: 1, unit: 'lu' as const } },
    ];
    const layer = pictureLayer(
      {
        x: {
          kind: 'start',
          edge: { region: 'safe', offset: { named: 'gap' } },
          extent: { kind: 'length', length: lu(40) },
        },
        y: middleOf({ kind: 'length', length: lu(40) }),
      },
      { id: 'mark', name: 'Mark', tint: { named: 'ink' } },
    );
    const { html } = scenePage({ ...toWrite([layer], { named }), faces: [], title: 'T' });
    expect(html).toContain('--value-gap: 12px;');
    expect(html).toContain('--mark-x: calc(var(--safe-x) + var(--value-gap));');
    expect(html).toMatch(/prefers-color-scheme: dark\) \{\n {2}\.scene \{\n {4}--value-ink: #ddeeff;/);
    expect(html).not.toContain('idle');
  });
});
