import {
  acrossThePanel,
  downThePanel,
  fillScreen,
  label,
  middleOfSafeArea,
  panelInTheMiddle,
  stripAtBottom,
  underLayer,
} from '@/core/placing/presets';
import { isHugging, type Placing } from '@/core/placing/rule';
import type { Picture } from '@/core/pictures/picture';
import { lu } from '@/core/values/values';
import { USUAL_LINE } from '@/core/text/style';
import type { Layer, LayerRole, PanelLayer, Scene, TextLayer } from '@/core/scene/scene';
import { guessRole } from '@/core/scene/role';
import { newId } from '@/workers/new-id';
import { groundLayer, newPictureLayer } from '@/core/project/place-picture';

/** A usual rule that a layer is added with. */
export interface Preset {
  value: string;
  label: string;
  note: string;
  make: () => Layer;
}

const pad = lu(16);

const panelLayer = (placing: Placing): PanelLayer => ({
  kind: 'panel',
  id: newId(),
  name: 'Panel',
  role: 'other',
  visible: true,
  placing,
  colour: { light: '#ffffffcc', dark: '#101418cc' },
  cornerRadius: lu(12),
  padding: { left: pad, right: pad, top: pad, bottom: pad },
  clip: true,
});

function textLayer(placing: Placing, more: Partial<TextLayer> = {}): TextLayer {
  return {
    kind: 'text',
    id: newId(),
    name: 'Text',
    role: 'text',
    visible: true,
    placing,
    text: 'A line of text',
    style: {
      font: 'sans',
      weight: 400,
      size: 18,
      lineHeight: USUAL_LINE,
      colour: { light: '#1b1b1b', dark: '#ffffff' },
      align: { x: 'middle', y: 'start' },
    },
    ...more,
  };
}

/** The panel that was added last, and what it holds at its bottom. */
function lastPanel({ layers }: Scene) {
  const panel = layers.findLast((l) => l.kind === 'panel');
  const held = panel && layers.findLast((l) => 'parent' in l && l.parent === panel.id);
  return { panel, held };
}

/** The usual rules for a picture; the last logo is what a label goes under. */
export function picturePresets(scene: Scene, picture: Picture): Preset[] {
  const { panel, held } = lastPanel(scene);
  const logo = scene.layers.findLast((l) => l.role === 'logo');
  const [file] = picture.cuts[0]!.renditions;
  // Where it does not fill the screen it is no background.
  const role = guessRole({ ...file!, name: picture.name }, true);
  const shown = (as: LayerRole, placing: Placing) => newPictureLayer(picture, as, placing, newId);
  return [
    {
      value: 'fill',
      label: 'fills the whole screen',
      note: 'A background, pinned to all four edges',
      make: () => shown('background', fillScreen()),
    },
    {
      value: 'middle',
      label: 'in the middle of the safe area',
      note: 'A logo, 40 % of the width, at most 220',
      make: () => shown('logo', middleOfSafeArea()),
    },
    {
      value: 'strip',
      label: 'a strip at the bottom',
      note: 'From side to side, 64 high, above the bar',
      make: () => shown(role, stripAtBottom()),
    },
    ...(logo
      ? [
          {
            value: 'under',
            label: `under ${logo.name}`,
            note: '16 below it, in the middle across',
            make: () => shown(role, underLayer(logo.id)),
          },
        ]
      : []),
    ...(panel
      ? [
          {
            value: 'in-panel',
            label: `in ${panel.name}`,
            note: held ? `In the middle across, 12 below ${held.name}` : 'In the middle across, at its top',
            make: () => ({
              ...shown(role, acrossThePanel(held?.id ?? null, isHugging(panel.placing.x))),
              parent: panel.id,
            }),
          },
        ]
      : []),
  ];
}

/** The usual rules for what needs no picture. */
export function otherPresets(scene: Scene): Preset[] {
  const logo = scene.layers.findLast((l) => l.role === 'logo');
  const { panel, held } = lastPanel(scene);
  return [
    {
      value: 'label',
      label: logo ? `text under ${logo.name}` : 'text in the middle',
      note: 'As wide as its widest line, at most 90 % of the safe area',
      make: () => textLayer(label(logo?.id ?? null)),
    },
    {
      value: 'panel',
      label: 'a panel of 80 %',
      note: 'In the middle, as high as the layers that it holds',
      make: () => panelLayer(panelInTheMiddle()),
    },
    ...(panel
      ? [
          {
            value: 'in-panel',
            label: `text in ${panel.name}`,
            note: held ? `From side to side, 12 below ${held.name}` : 'From side to side, at its top',
            make: () => textLayer(downThePanel(held?.id ?? null), { parent: panel.id }),
          },
        ]
      : []),
    {
      value: 'ground',
      label: 'a ground',
      note: 'A colour or gradient over the whole screen, behind everything',
      make: () => groundLayer(newId),
    },
  ];
}
