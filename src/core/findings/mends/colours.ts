import { around } from '../../placing/presets';
import { lu, type Colour } from '../../values/values';
import type { Layer, PanelLayer, PlacedLayer, Scene } from '../../scene/scene';
import { sayAlpha } from '../../words/numbers';
import { resolveColour } from '../../values/values';
import type { Case } from '../../screens/cases';
import type { SurveyInput } from '../../survey/prepare';
import { scrimFor, type Scrim } from '../../survey/scrim';
import { isOpaque } from '../../pixels/file';
import { drawnOn, layerMend, placedLayer, sceneMend, type Mender, type Sick } from '../mend';

/** Alpha goes into two hexadecimal digits, upwards, so that a scrim is not too weak by rounding. */
const withAlpha = (colour: string, alpha: number): string =>
  colour +
  Math.min(255, Math.ceil(alpha * 255))
    .toString(16)
    .padStart(2, '0');

const pad = lu(0);

/** A see-through panel right under a layer, a little larger than it. */
const scrimUnder = (layer: PlacedLayer, colour: Colour, id: string): PanelLayer => ({
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

/** A scrim as it is laid: with a reserve. */
export interface LaidScrim extends Scrim {
  scene: Scene;
}

/** A scene with the weakest scrim under a layer that is enough on every case, and a reserve; `null` where none is. */
export function withScrim(
  input: SurveyInput,
  cases: readonly Case[],
  layer: PlacedLayer,
  least: number,
  newId: () => string,
): LaidScrim | null {
  const found = scrimFor(input, cases, layer.id, least);
  if (!found) return null;
  const alpha = found.alpha === 0 ? 0 : Math.min(1, found.alpha + RESERVE);
  const colour = { light: withAlpha(found.colour, alpha) };
  const layers = input.scene.layers.flatMap((l) =>
    l.id === layer.id ? [scrimUnder(layer, colour, newId()), l] : [l],
  );
  return { ...found, alpha: Math.ceil(alpha * 255) / 255, scene: { ...input.scene, layers } };
}

/** A scrim that is enough on every case. */
export const scrim: Mender = (sick) => {
  const layer = placedLayer(sick);
  const { limit } = sick.finding.worst;
  const laid = layer && withScrim(sick.input, sick.cases, layer, limit.min ?? 3, sick.newId);
  if (!laid || laid.alpha === 0) return [];
  const word = laid.colour === '#000000' ? 'black' : 'white';
  return sceneMend(sick, `Lay a ${word} scrim of ${sayAlpha(laid.alpha)} under it`, () => laid.scene);
};

/** Whether one of the files that the layer is drawn from is opaque, as far as its pixels are known. */
const drawnOpaque = (sick: Sick): boolean =>
  drawnOn(sick).some((l) => {
    const file = l.kind === 'picture' && sick.input.pixels?.get(l.rendition.hash);
    return file && isOpaque(file.sums);
  });

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
  // A tint would leave nothing of an opaque picture but a plain rectangle.
  if (layer?.kind !== 'picture' || drawnOpaque(sick)) return [];
  return inks.flatMap(([word, tint]) =>
    layerMend(sick, `Tint it ${word}`, (l) => (l.kind === 'picture' ? { ...l, tint } : l)),
  );
};

const BARS = { 'bar:status': 'status', 'bar:title': 'title', 'bar:navigation': 'navigation' } as const;

/** Signs of the other kind on a bar, or a bar with a colour of its own. */
export const barSigns: Mender = (sick) => {
  const bar = BARS[sick.finding.subject.id as keyof typeof BARS];
  if (!bar) return [];
  const set = (label: string, more: object) =>
    sceneMend(sick, label, (scene) => ({
      ...scene,
      bars: { ...scene.bars, [bar]: { ...scene.bars[bar], ...more } },
    }));
  const ground = sick.scene.layers.find((l) => l.kind === 'ground');
  const plain = ground && !('gradient' in ground.colour) ? ground.colour : null;
  return [
    ...set('Use light symbols on it', { symbols: 'light' }),
    ...set('Use dark symbols on it', { symbols: 'dark' }),
    ...(plain
      ? set('Give it the colour of the ground, with light symbols', { colour: plain, symbols: 'light' })
      : []),
    ...set('Make it black, half see-through, with light symbols', {
      colour: { light: '#00000099' },
      symbols: 'light',
    }),
    ...set('Make it white, half see-through, with dark symbols', {
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
