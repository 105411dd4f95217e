import type { Layer, PanelLayer, TextLayer } from '../scene/scene';
import { lu } from '../values/values';
import { pictureLayer } from '../testing/scenes';
import { inDrawingOrder, lineUpOn } from './line-up';

const whole = {
  kind: 'edges' as const,
  start: { region: 'screen' as const, offset: lu(0) },
  end: { region: 'screen' as const, offset: lu(0) },
};
const panel = (id: string, more: Partial<PanelLayer> = {}): PanelLayer => ({
  kind: 'panel',
  id,
  name: id,
  role: 'other',
  visible: true,
  placing: { x: whole, y: whole },
  colour: { light: '#ffffff' },
  cornerRadius: lu(0),
  padding: { left: lu(0), right: lu(0), top: lu(0), bottom: lu(0) },
  clip: false,
  ...more,
});
const picture = (id: string, more: Partial<Layer> = {}) =>
  ({ ...pictureLayer({ x: whole, y: whole }), id, name: id, ...more }) as Layer;

const ids = (layers: readonly Layer[]) => layers.map((l) => l.id).join(' ');
const TALL = { width: 400, height: 800 };
const WIDE = { width: 800, height: 400 };

describe('layers', () => {
  it('are drawn in their order, what a panel holds right after it', () => {
    const layers = [
      picture('inner', { parent: 'card' } as Partial<TextLayer>),
      picture('back'),
      panel('card'),
      panel('box', { parent: 'card' }),
      picture('deep', { parent: 'box' } as Partial<TextLayer>),
      picture('front'),
    ];
    expect(ids(inDrawingOrder(layers))).toBe('back card inner box deep front');
  });

  it('are hidden with the panel that holds them, however deep', () => {
    const layers = [
      panel('card', { visible: false }),
      panel('box', { parent: 'card' }),
      picture('deep', { parent: 'box' } as Partial<TextLayer>),
      picture('front'),
    ];
    const { drawn, layers: all } = lineUpOn(layers, TALL);
    expect(ids(drawn)).toBe('front');
    // What is hidden is still there for others to be measured from.
    expect(ids(all)).toBe('card box deep front');
  });

  it('are lined up once for all screens on which the same rules hold', () => {
    const layers = [
      picture('back'),
      picture('logo', { when: [{ orientation: 'landscape', visible: false }, { maxWidth: 300 }] }),
    ];
    const [tall, wide] = [lineUpOn(layers, TALL), lineUpOn(layers, WIDE)];
    expect(ids(tall.drawn)).toBe('back logo');
    expect(ids(wide.drawn)).toBe('back');
    expect(lineUpOn(layers, { width: 320, height: 500 })).toBe(tall);
    expect(lineUpOn(layers, { width: 900, height: 600 })).toBe(wide);
    expect(lineUpOn(layers, { width: 280, height: 500 })).not.toBe(tall);
    expect(lineUpOn([...layers], TALL)).not.toBe(tall);
  });
});
