import type { Fit } from '../fit/rule';
import type { Picture } from '../pictures/picture';
import { fillScreen } from '../placing/presets';
import type { AxisRule } from '../placing/rule';
import type { PanelLayer, PictureLayer, Scene } from '../scene/scene';
import { lu, percent } from '../values/values';

/** Left free at each side of what is safe in a slot, %: what is left over fits into a circle. */
const ROOM = 18;

const zero = lu(0);
const nothing = { left: zero, right: zero, top: zero, bottom: zero };

const shownWhole: Fit = {
  size: 'contain',
  repeat: { x: 'no-repeat', y: 'no-repeat' },
  align: {
    kind: 'position',
    x: { percent: 50, offset: zero },
    y: { percent: 50, offset: zero },
  },
  clip: true,
  cornerRadius: zero,
};

/**
 * An icon: a picture whole in the middle of a plate that fills its slot.
 * @param newId gives an id for the scene and for each of its layers
 */
export function newIcon(name: string, picture: Pick<Picture, 'id' | 'name'>, newId: () => string): Scene {
  const plate: PanelLayer = {
    kind: 'panel',
    id: newId(),
    name: 'Plate',
    role: 'background',
    visible: true,
    placing: fillScreen(),
    colour: { light: '#ffffff', dark: '#101418' },
    cornerRadius: zero,
    padding: nothing,
    clip: true,
  };
  const edge = { region: 'margins', offset: zero } as const;
  const within: AxisRule = { kind: 'edges', start: edge, end: edge };
  const glyph: PictureLayer = {
    kind: 'picture',
    id: newId(),
    name: picture.name,
    role: 'logo',
    visible: true,
    picture: picture.id,
    parent: plate.id,
    placing: { x: within, y: within },
    fit: shownWhole,
  };
  const room = percent(ROOM);
  return {
    id: newId(),
    name,
    role: 'icon',
    bars: {
      status: { shown: false },
      title: { shown: false, height: 56 },
      navigation: { shown: false, style: 'gesture' },
    },
    margin: { left: room, right: room, top: room, bottom: room },
    layers: [plate, glyph],
  };
}
