import type { Documents } from '@/core/scene/documents';
import type { Picture, Rendition } from '@/core/pictures/picture';
import type { Bars, Layer, PictureLayer, Scene } from '@/core/scene/scene';
import { lu, percent } from '@/core/scene/values';
import type { KeptFile } from '@/core/pictures/kept-file';

const bars: Bars = {
  status: { shown: true },
  title: { shown: false, height: 56 },
  navigation: { shown: true, style: 'gesture' },
};
const zero = lu(0);
const noMargin = { left: zero, right: zero, top: zero, bottom: zero };
const once = { x: 'no-repeat', y: 'no-repeat' } as const;
const centred = {
  kind: 'position' as const,
  x: { percent: 50, offset: zero },
  y: { percent: 50, offset: zero },
};

/** A file without a density in its name counts as one px per logical unit. */
export const renditionOf = ({ hash, widthPx, heightPx, vector }: KeptFile): Rendition => ({
  hash,
  widthPx,
  heightPx,
  density: 1,
  appearance: 'light',
  vector,
});

export const pictureOf = (file: KeptFile, fileName: string): Picture => ({
  id: crypto.randomUUID(),
  name: fileName.replace(/\.[^.]+$/, '').slice(0, 120) || 'Picture',
  cuts: [{ cut: 'any', renditions: [renditionOf(file)], keepAreas: [], focalPoint: { x: 0.5, y: 0.5 } }],
});

/** Fills the whole screen, behind everything but the ground. */
function background(picture: Picture): PictureLayer {
  const edge = { region: 'screen' as const, offset: zero };
  const rule = { kind: 'edges' as const, start: edge, end: edge };
  return {
    kind: 'picture',
    id: crypto.randomUUID(),
    name: picture.name,
    role: 'background',
    visible: true,
    picture: picture.id,
    placing: { x: rule, y: rule },
    fit: { size: 'cover', repeat: once, align: { kind: 'focal' }, clip: true, cornerRadius: zero },
  };
}

/** A share of the safe area’s width, not too large, in its own shape in the middle of the safe area. */
function logo(picture: Picture): PictureLayer {
  const middle = { kind: 'middle' as const, region: 'safe' as const, shift: zero };
  return {
    kind: 'picture',
    id: crypto.randomUUID(),
    name: picture.name,
    role: 'logo',
    visible: true,
    picture: picture.id,
    placing: {
      x: {
        ...middle,
        extent: { kind: 'length', length: percent(40), of: 'safe', max: { length: lu(220) } },
      },
      y: { ...middle, extent: { kind: 'from-ratio' } },
      ratio: { value: 'own', strict: true },
    },
    fit: { size: 'contain', repeat: once, align: centred, clip: true, cornerRadius: zero },
  };
}

export function newScene(name: string): Scene {
  const ground: Layer = {
    kind: 'ground',
    id: crypto.randomUUID(),
    name: 'Ground',
    role: 'background',
    visible: true,
    colour: { light: '#ffffff', dark: '#101418' },
  };
  return { id: crypto.randomUUID(), name, role: 'splash', bars, margin: noMargin, layers: [ground] };
}

/**
 * Puts an imported file into the project: as a picture, and into the open scene where it has an obvious place. A
 * see-through picture becomes a logo; any other the background, if there is none yet.
 * @returns the id of the scene that it went into, or `undefined` when it only joined the pictures
 */
export function placeImported(
  documents: Documents,
  sceneId: string,
  file: KeptFile,
  fileName: string,
): string | undefined {
  const { project, scenes } = documents;
  const picture = pictureOf(file, fileName);
  project.pictures.push(picture);
  if (project.scenes.length === 0) {
    const scene = newScene('Splash');
    scenes[scene.id] = scene;
    project.scenes.push(scene.id);
  }
  const scene = scenes[sceneId] ?? scenes[project.scenes[0]!]!;
  const hasBackground = scene.layers.some((l) => l.kind === 'picture' && l.role === 'background');
  if (file.transparent) scene.layers.push(logo(picture));
  else if (!hasBackground) {
    const behind = scene.layers.filter((l) => l.kind === 'ground').length;
    scene.layers.splice(behind, 0, background(picture));
  } else return undefined;
  return scene.id;
}
