import { demoDocuments } from '../../../demo/documents';
import { lu, percent } from '../values/values';
import type { Layer, PictureLayer } from '../scene/scene';
import { layerSentence, picturePart, whenSentence } from './layer';
import { sentenceText } from './parts';
import { placingTokens } from './placing';

const { project, scenes } = demoDocuments(() => []);
const say = (layer: Layer, scene = scenes['winter-splash']!) =>
  sentenceText(layerSentence(layer, { layers: scene.layers, named: project.named }, project.pictures));
const layer = (id: string, scene = 'winter-splash') => scenes[scene]!.layers.find((l) => l.id === id)!;

describe('sentences', () => {
  it('say the focal point of each cut where they differ', () => {
    const harbour = layer('harbour', 'winter-splash-mended') as PictureLayer;
    const focal: PictureLayer = { ...harbour, fit: { ...harbour.fit, align: { kind: 'focal' } } };
    expect(say(focal)).toContain(
      'keeping 55 % across, 55 % down; on the portrait cut 45 % across, 55 % down in the middle',
    );
    expect(say({ ...focal, picture: 'harbour' })).toContain('keeping 55 % across, 55 % down in the middle');
  });

  it.each([
    ['ground', 'winter-splash', 'Fills the whole screen with deep water.'],
    ['ground', 'system-window', 'Fills the whole screen with #ffffff.'],
    [
      'harbour',
      'winter-splash',
      'Pinned 0 from all four edges of the whole screen, covers its box, aligned 62 % across, 55 % down, spill cut off. Role: background.',
    ],
    [
      'emblem',
      'winter-splash',
      '38 % of the safe area’s width, at most 220, keeps its shape, centred across, 6 % above centre in the safe area, shown whole in its box. Role: logo.',
    ],
    [
      'wordmark',
      'winter-splash',
      '52 % of the safe area’s width, at most 280, keeps its shape, centred across in the safe area, top edge 12 below Emblem, shown whole in its box. Role: logo.',
    ],
    [
      'emblem',
      'sign-in',
      '112 wide, keeps its shape, centred across in the content area, top edge 24 from the top of the content area, shown whole in its box. Role: logo.',
    ],
    [
      'deck',
      'sign-in',
      'Pinned 0 from all four edges of the whole screen, covers its box, keeping 70 % across, 50 % down in the middle, spill cut off. Role: background.',
    ],
  ])('%s of %s', (id, scene, expected) => expect(say(layer(id, scene), scenes[scene])).toBe(expected));

  it('say each edge where they are not alike, and both bounds', () => {
    const edge = (region: 'screen' | 'safe', value: number) => ({ region, offset: lu(value) });
    const tokens = placingTokens(
      {
        x: { kind: 'edges', start: edge('screen', 0), end: edge('safe', 8) },
        y: {
          kind: 'end',
          edge: edge('safe', 20),
          extent: { kind: 'natural', min: { length: lu(40) }, max: { length: percent(30), of: 'long' } },
        },
      },
      { layers: [], named: [] },
    );
    expect(sentenceText(tokens)).toBe(
      'natural height, at least 40, at most 30 % of the screen’s longer side, left edge 0 from the left of the whole screen, right edge 8 from the right of the safe area, bottom edge 20 from the bottom of the safe area',
    );
  });

  it('name the picture of a layer, also when it is gone', () => {
    const swapped: PictureLayer = { ...(layer('harbour') as PictureLayer), picture: 'harbour-upright' };
    expect(picturePart(swapped, project.pictures).text).toBe('Harbour, upright cut');
    expect(picturePart(swapped, []).text).toBe('a picture that is gone');
  });

  it('say when a rule differs, with the parts of its own', () => {
    const usual = layer('harbour') as PictureLayer;
    const { placing, fit } = usual;
    const differs: PictureLayer = {
      ...usual,
      when: [
        { orientation: 'landscape', placing, fit: { ...fit, size: 'contain' } },
        { minWidth: 600, maxWidth: 900, visible: false },
      ],
    };
    const names = { layers: [], named: [] };
    const tokens = whenSentence(differs, 0, names, project.pictures);
    expect(sentenceText(tokens)).toBe(
      'In landscape: pinned 0 from all four edges of the whole screen, shown whole in its box, aligned 62 % across, 55 % down, spill cut off.',
    );
    for (const token of tokens) {
      if (typeof token === 'string') continue;
      for (const path of token.paths) expect(path.slice(0, 2)).toEqual(['when', 0]);
    }
    expect(sentenceText(whenSentence(differs, 1, names, project.pictures))).toBe(
      'From 600 to 900 lu of width: not shown.',
    );
  });
});
