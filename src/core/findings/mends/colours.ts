import { around } from '../../placing/presets';
import { lu, type Colour } from '../../scene/values';
import type { Layer, PanelLayer } from '../../scene/scene';
import { sayShare } from '../../formats/numbers';
import { resolveColour } from '../../scene/values';
import { scrimFor } from '../../survey/scrim';
import { layerMend, placedLayer, sceneMend, type Mender } from '../mend';

/** Alpha goes into two hexadecimal digits, upwards, so that a scrim is not too weak by rounding. */
export const withAlpha = (colour: string, alpha: number): string =>
  colour +
  Math.min(255, Math.ceil(alpha * 255))
    .toString(16)
    .padStart(2, '0');

const pad = lu(0);

/** A see-through panel right under a layer, a little larger than it. */
export const scrimUnder = (layer: Layer & { parent?: string }, colour: Colour, id: string): PanelLayer => ({
  kind: 'panel',
  id,
  name: `Scrim under ${layer.name}`.slice(0, 120),
  role: 'other',
  visible: true,
  ...(layer.parent && { parent: layer.parent }),
  placing: around(layer.id, 8),
  colour,
  cornerRadius: lu(8),
  padding: { left: pad, right: pad, top: pad, bottom: pad },
  clip: false,
});

/** A little more than is just enough, so that the next small change does not undo it. */
const RESERVE = 0.05;

/** A scrim that is enough on every case. */
export const scrim: Mender = (sick) => {
  const layer = placedLayer(sick);
  const { limit } = sick.finding.worst.breach;
  const found = layer && scrimFor(sick.input, sick.cases, layer.id, limit.min ?? 3);
  if (!layer || !found || found.alpha === 0) return [];
  const alpha = Math.min(1, found.alpha + RESERVE);
  const colour = { light: withAlpha(found.colour, alpha) };
  const word = found.colour === '#000000' ? 'black' : 'white';
  const label = `Lay a ${word} scrim of ${sayShare(Math.ceil(alpha * 255) / 255)} under it`;
  return sceneMend(sick, label, (scene) => ({
    ...scene,
    layers: scene.layers.flatMap((l) =>
      l.id === layer.id ? [scrimUnder(layer, colour, sick.newId()), l] : [l],
    ),
  }));
};

/** Ink in white or in black. */
export const otherInk: Mender = (sick) => {
  const { layer } = sick;
  const inks: [string, Colour][] = [
    ['white', { light: '#ffffff' }],
    ['black', { light: '#000000' }],
    ['black, and white in the dark', { light: '#000000', dark: '#ffffff' }],
  ];
  if (layer?.kind === 'text')
    return inks.flatMap(([word, colour]) =>
      layerMend(sick, `Write it in ${word}`, (l) =>
        l.kind === 'text' ? { ...l, style: { ...l.style, colour } } : l,
      ),
    );
  if (layer?.kind !== 'picture') return [];
  return inks.flatMap(([word, tint]) =>
    layerMend(sick, `Tint it ${word}`, (l) => (l.kind === 'picture' ? { ...l, tint } : l)),
  );
};

const BARS = { 'bar:status': 'status', 'bar:title': 'title', 'bar:navigation': 'navigation' } as const;

/** Signs of the other kind on a bar, or a bar with a colour of its own. */
export const barSigns: Mender = (sick) => {
  const bar = BARS[sick.finding.layerId as keyof typeof BARS];
  if (!bar) return [];
  const set = (label: string, more: object) =>
    sceneMend(sick, label, (scene) => ({
      ...scene,
      bars: { ...scene.bars, [bar]: { ...scene.bars[bar], ...more } },
    }));
  const ground = sick.scene.layers.find((l) => l.kind === 'ground');
  const plain = ground && !('gradient' in ground.colour) ? ground.colour : null;
  return [
    ...set('Use light signs on it', { symbols: 'light' }),
    ...set('Use dark signs on it', { symbols: 'dark' }),
    ...(plain
      ? set('Give it the colour of the ground, with light signs', { colour: plain, symbols: 'light' })
      : []),
    ...set('Make it black, half see-through, with light signs', {
      colour: { light: '#00000099' },
      symbols: 'light',
    }),
    ...set('Make it white, half see-through, with dark signs', {
      colour: { light: '#ffffffb3' },
      symbols: 'dark',
    }),
  ];
};

/** One ground, no more and no less. */
export const oneGround: Mender = (sick) => {
  const grounds = sick.scene.layers.filter((l) => l.kind === 'ground' && l.visible);
  if (grounds.length > 1)
    return sceneMend(sick, `Hide all grounds but ${grounds.at(-1)!.name}`, (scene) => ({
      ...scene,
      layers: scene.layers.map((l) =>
        l.kind === 'ground' && l !== grounds.at(-1) ? { ...l, visible: false } : l,
      ),
    }));
  const ground: Layer = {
    kind: 'ground',
    id: sick.newId(),
    name: 'Ground',
    role: 'background',
    visible: true,
    colour: { light: '#ffffff', dark: '#000000' },
  };
  return sceneMend(sick, 'Lay a ground, white and black in the dark', (scene) => ({
    ...scene,
    layers: [ground, ...scene.layers],
  }));
};

/** Ground and picture of one kind in the dark. */
export const pairGround: Mender = (sick) => {
  const { named } = sick.input;
  const change = (label: string, recolour: (light: string) => Colour) =>
    sceneMend(sick, label, (scene) => ({
      ...scene,
      layers: scene.layers.map((l) =>
        l.kind === 'ground' && !('gradient' in l.colour)
          ? { ...l, colour: recolour(resolveColour(l.colour, 'light', named)) }
          : l,
      ),
    }));
  return [
    ...change('Keep the ground light in the dark, as the picture is', (light) => ({ light })),
    ...change('Make the ground black in the dark', (light) => ({ light, dark: '#000000' })),
  ];
};
