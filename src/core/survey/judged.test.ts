import fc from 'fast-check';
import { DEFAULT_LIMITS } from '../measure/defaults';
import { filePixelsOf } from '../pixels/file';
import type { Raster } from '../pixels/raster';
import { stripAtBottom } from '../placing/presets';
import type { Layer, LayerRole, TextLayer } from '../scene/scene';
import { lu, percent } from '../values/values';
import { ground, label } from '../testing/painted';
import { fitOf, inputOf, middleOf, pictureLayer, pictureOf, UPRIGHT } from '../testing/scenes';

import { surveyCase, type CaseResult } from './survey';

/** What is drawn is judged, whatever it is called. */

const HASH = 'd'.repeat(64);
const picture = pictureOf('mark', { widthPx: 40, heightPx: 10, density: 0.1, hash: HASH });
/** A wordmark in one colour with clear room around it, or on an opaque plate. */
const mark = (colour: number, opaque = false): Raster => ({
  width: 40,
  height: 10,
  data: Uint8Array.from({ length: 40 * 10 * 4 }, (_, i) => {
    const [x, y] = [Math.floor(i / 4) % 40, Math.floor(i / 160)];
    const isInk = x >= 4 && x < 36 && y >= 2 && y < 8;
    if (i % 4 === 3) return isInk || opaque ? 255 : 0;
    return isInk ? colour : 120;
  }),
});
const white: Layer = { ...ground, colour: { light: '#ffffff' } } as Layer;
const strip = (role: LayerRole) =>
  pictureLayer(stripAtBottom(), { id: 'it', picture: 'mark', role, fit: fitOf('contain') });

const surveyed = (layers: Layer[], raster = mark(255)): CaseResult =>
  surveyCase(
    {
      ...inputOf(layers, [picture]),
      limits: DEFAULT_LIMITS.map((l) => ({ ...l })),
      pixels: new Map([[HASH, filePixelsOf(raster)]]),
    },
    UPRIGHT,
  );
const broken = ({ breaches }: CaseResult) =>
  breaches.filter((b) => b.subjectId === 'it').map((b) => b.limit.measure);

describe('a see-through picture', () => {
  it('that cannot be made out is wrong as a logo and as something else', () => {
    for (const role of ['logo', 'other'] as const)
      expect([role, broken(surveyed([white, strip(role)]))]).toEqual([
        role,
        expect.arrayContaining(['contrast']),
      ]);
  });

  it('that stands out, or is opaque, is not', () => {
    expect(broken(surveyed([white, strip('other')], mark(0)))).toEqual([]);
    expect(broken(surveyed([white, strip('other')], mark(255, true)))).not.toContain('contrast');
  });

  it('is cut off by as much of its ink as is not seen, not by its clear room', () => {
    // 300 lu wide at the left edge: ink begins at a tenth of it.
    const at = (offset: number) => ({
      ...strip('other'),
      placing: {
        x: {
          kind: 'start' as const,
          edge: { region: 'screen' as const, offset: lu(offset) },
          extent: { kind: 'length' as const, length: lu(300) },
        },
        y: middleOf({ kind: 'from-ratio' }),
        ratio: { value: 'own' as const, strict: true },
      },
    });
    fc.assert(
      fc.property(fc.integer({ min: -300, max: 0 }), (offset) => {
        const it = surveyed([white, at(offset)], mark(0)).layers.find((l) => l.id === 'it')!;
        if (it.kind !== 'picture') throw new Error('It is a picture');
        // Ink from 30 to 270 lu of the drawing.
        const hidden = Math.max(0, Math.min(240, -offset - 30));
        if (it.placement.visible) expect(it.measures.cutOff).toBeCloseTo(hidden / 240, 9);
      }),
    );
    expect(broken(surveyed([white, at(-20)], mark(0)))).not.toContain('cut-off');
    expect(broken(surveyed([white, at(-60)], mark(0)))).toContain('cut-off');
  });
});

describe('a text', () => {
  const text = (more: Partial<TextLayer>, style: Partial<TextLayer['style']> = {}): TextLayer => ({
    ...label,
    style: { ...label.style, colour: { light: '#000000' }, ...style },
    ...more,
  });

  it('that is shortened says how many letters are left out', () => {
    const long = text({ text: 'Boats leave at noon and again at six' }, { maxLines: 1 });
    const result = surveyed([white, long]);
    const it = result.layers.at(-1)!;
    if (it.kind !== 'text') throw new Error('It is a text');
    const count = (s: string) => s.replaceAll(/[\s…]/g, '').length;
    expect(it.measures.shortened).toBe(count(long.text) - count(it.lines.map((l) => l.text).join('')));
    expect(broken(result)).toContain('shortened');
    expect(broken(surveyed([white, text({ text: 'Noon' }, { maxLines: 1 })]))).toEqual([]);
  });

  it('of letters under 9 lu is too small to read, also where they shrink to that', () => {
    expect(broken(surveyed([white, text({ text: 'Noon' }, { size: 8.9 })]))).toEqual(['letter-size']);
    expect(broken(surveyed([white, text({ text: 'Noon' }, { size: 9 })]))).toEqual([]);
    const narrow = {
      x: middleOf({ kind: 'length', length: lu(60) }),
      y: middleOf({ kind: 'length', length: percent(1) }),
    };
    const shrunk = text(
      { text: 'Boats leave at noon', placing: narrow as TextLayer['placing'] },
      { shrinkTo: 4 },
    );
    expect(broken(surveyed([white, shrunk]))).toContain('letter-size');
  });

  it('is judged by its contrast whatever its role', () => {
    for (const role of ['text', 'other', 'logo'] as const)
      expect(
        broken(surveyed([white, text({ text: 'Noon', role }, { colour: { light: '#fefefe' } })])),
      ).toContain('contrast');
  });
});
