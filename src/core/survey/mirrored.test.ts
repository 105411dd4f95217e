import { sentenceText } from '../sentences/parts';
import { layerSentence } from '../sentences/layer';
import type { AxisRule } from '../placing/rule';
import type { PanelLayer, Scene } from '../scene/scene';
import { lu } from '../values/values';
import { contextOf, askedLayer } from '../explain/context';
import { whyEdge } from '../explain/box';
import { inputOf, TURNED, UPRIGHT } from '../testing/scenes';
import { surveyCase } from './survey';

/** The right-to-left preview: everything that is said and drawn of it lies on the other side. */

const margin = { left: lu(10), right: lu(40), top: lu(5), bottom: lu(7) };
const edge = (offset: number) => ({ region: 'margins' as const, offset: lu(offset) });
const extent = { kind: 'length' as const, length: lu(50) };
const start: AxisRule = { kind: 'start', edge: edge(12), extent };
const panel = (id: string, x: AxisRule, more: Partial<PanelLayer> = {}): PanelLayer => ({
  kind: 'panel',
  id,
  name: 'Panel',
  role: 'other',
  visible: true,
  placing: { x, y: start },
  colour: { light: '#000000' },
  cornerRadius: lu(0),
  padding: { left: lu(3), right: lu(9), top: lu(0), bottom: lu(0) },
  clip: false,
  ...more,
});
const parent = { region: 'parent' as const, offset: lu(0) };
const layers = [
  panel('outer', start),
  panel('inner', { kind: 'edges', start: parent, end: parent }, { parent: 'outer' }),
];
const boxes = (direction: Scene['direction'], c = UPRIGHT) => {
  const result = surveyCase(inputOf(layers, [], { margin, direction }), c);
  return { regions: result.regions, outer: result.layers[0]!.box, inner: result.layers[1]!.box };
};

describe('the right-to-left preview', () => {
  it.each([UPRIGHT, TURNED])('mirrors margins, edges and paddings about the safe area it has ($id)', (c) => {
    const { regions, outer, inner } = boxes('rtl', c);
    const { safe, margins } = regions;
    const end = (r: { x: number; width: number }) => r.x + r.width;
    // The left margin of 10 is drawn at the right, where the panel then stands 12 from it.
    expect(end(safe) - end(margins)).toBeCloseTo(10, 9);
    expect(margins.x - safe.x).toBeCloseTo(40, 9);
    expect(end(margins) - end(outer)).toBeCloseTo(12, 9);
    expect(end(outer) - end(inner)).toBeCloseTo(3, 9);
    expect(inner.x - outer.x).toBeCloseTo(9, 9);
    const plain = boxes('ltr', c);
    expect(plain.outer.x - plain.regions.safe.x).toBeCloseTo(22, 9);
    expect(outer.y).toBe(plain.outer.y);
  });

  const say = (mirrored: boolean, x: AxisRule) =>
    sentenceText(layerSentence(panel('outer', x), { layers, named: [], mirrored }, []));

  it('names the sides that things are drawn at', () => {
    expect(say(false, start)).toContain('padding left 3, right 9');
    expect(say(false, start)).toContain('left edge 12 from the left of the margins');
    expect(say(true, start)).toContain('padding right 3, left 9');
    expect(say(true, start)).toContain('right edge 12 from the right of the margins');
    const beside: AxisRule = {
      kind: 'start',
      edge: { region: 'layer:outer', side: 'end', offset: lu(4) },
      extent,
    };
    expect(say(false, beside)).toContain('4 right of Panel');
    expect(say(true, beside)).toContain('4 left of Panel');
    const shifted: AxisRule = { kind: 'middle', region: 'safe', shift: lu(6), extent };
    expect(say(true, shifted)).toContain('6 left of centre');
    expect(say(true, start)).toContain('top edge 12 from the top of the margins');
  });

  it('says so in its reasons as well', () => {
    const context = contextOf(inputOf(layers, [], { margin, direction: 'rtl' }), UPRIGHT);
    const why = whyEdge(context, askedLayer(context, 'outer'), 'x', 'start');
    expect(why.text).toMatch(/^The right edge of Panel’s box .* 12 from the right of the margins\.$/);
    expect(why.because[0]!.text).toBe('The margins lie 10 inside the safe area at the right.');
    expect(why.because[0]!.part).toEqual({ layerId: null, path: ['margin', 'left'] });
  });
});
