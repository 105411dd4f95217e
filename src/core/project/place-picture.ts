import type { Documents } from './documents';
import type { Arrived, Assigned } from '@/core/pictures/assign';
import type { Picture, Rendition } from '@/core/pictures/picture';
import { fillScreen, middleOfSafeArea } from '@/core/placing/presets';
import type { Placing } from '@/core/placing/rule';
import type { Layer, LayerRole, PictureLayer, Scene } from '@/core/scene/scene';
import type { Bars } from '@/core/screens/bar-rules';
import { lu } from '@/core/values/values';
import type { KeptFile } from '@/core/pictures/kept-file';
import { guessRole } from '@/core/scene/role';

const bars: Bars = {
  status: { shown: true },
  title: { shown: false, height: 56 },
  navigation: { shown: true, style: 'gesture' },
};
/** Makes an id that no other thing has; the core makes none of its own, as it is random. */
type NewId = () => string;

const zero = lu(0);
const noMargin = { left: zero, right: zero, top: zero, bottom: zero };
const once = { x: 'no-repeat', y: 'no-repeat' } as const;
const centred = {
  kind: 'position' as const,
  x: { percent: 50, offset: zero },
  y: { percent: 50, offset: zero },
};

/** What a picture says of a kept file. */
export const fileOf = ({
  hash,
  widthPx,
  heightPx,
  vector,
  bytes,
  profile,
  transparent,
  turned,
  type,
}: KeptFile): Arrived['file'] => ({
  hash,
  widthPx,
  heightPx,
  vector,
  bytes,
  transparent,
  ...(profile !== null && { profile }),
  // Browsers follow the EXIF of a JPEG and a PNG.
  ...(turned && type === 'webp' && { turned: true as const }),
});

/** A file without a density in its name counts as one px per logical unit. */
export const renditionOf = (kept: KeptFile): Rendition => ({
  ...fileOf(kept),
  density: 1,
  appearance: 'light',
});

export const newPicture = (file: KeptFile, fileName: string, newId: NewId): Picture => ({
  id: newId(),
  name: fileName.replace(/\.[^.]+$/, '').slice(0, 120) || 'Picture',
  cuts: [{ cut: 'any', renditions: [renditionOf(file)], keepAreas: [], focalPoint: { x: 0.5, y: 0.5 } }],
});

const focal = { kind: 'focal' } as const;

/** A layer that shows a picture: a background covers its box, anything else is shown whole in it. */
export function newPictureLayer(
  picture: Picture,
  role: LayerRole,
  placing: Placing,
  newId: NewId,
): PictureLayer {
  const fills = role === 'background';
  return {
    kind: 'picture',
    id: newId(),
    name: picture.name,
    role,
    visible: true,
    picture: picture.id,
    placing,
    fit: {
      size: fills ? 'cover' : 'contain',
      repeat: once,
      align: fills ? focal : centred,
      clip: true,
      cornerRadius: zero,
    },
  };
}

export const groundLayer = (newId: NewId): Layer => ({
  kind: 'ground',
  id: newId(),
  name: 'Ground',
  role: 'background',
  visible: true,
  colour: { light: '#ffffff', dark: '#101418' },
});

export function newScene(name: string, newId: NewId): Scene {
  return { id: newId(), name, role: 'splash', bars, margin: noMargin, layers: [groundLayer(newId)] };
}

/**
 * Puts an imported file into the project: as a picture, and into the open scene, by the role that it is likely to have.
 * @returns the id of the scene that it went into
 */
export function placeImported(
  documents: Documents,
  sceneId: string,
  file: KeptFile,
  fileName: string,
  newId: NewId,
): string {
  const { project, scenes } = documents;
  const picture = newPicture(file, fileName, newId);
  project.pictures.push(picture);
  if (project.scenes.length === 0) {
    const scene = newScene('Splash', newId);
    scenes[scene.id] = scene;
    project.scenes.push(scene.id);
  }
  const scene = scenes[sceneId] ?? scenes[project.scenes[0]!]!;
  placeIn(scene, picture, guessRole({ ...file, name: fileName }, hasBackgroundIn(scene)), newId);
  return scene.id;
}

/** What a picture that is taken in may be shown as. */
export const SHOWN = ['background', 'logo', 'other', 'nothing'] as const;
export type ShownAs = (typeof SHOWN)[number];
export const SHOWN_WORDS: Record<ShownAs, string> = {
  background: 'a background',
  logo: 'a logo',
  other: 'something else',
  nothing: 'nothing yet',
};

/** Puts a picture into a scene by the usual rule of its role. */
export function placeIn(scene: Scene, picture: Picture, role: ShownAs, newId: NewId): void {
  if (role === 'nothing') return;
  putIn(
    scene,
    newPictureLayer(picture, role, role === 'background' ? fillScreen() : middleOfSafeArea(), newId),
  );
}

/** What each picture of files that came together is likely to be, by its name; one of them may be the background. */
export function guessRoles(files: readonly Assigned[], hasBackground: boolean): Map<string, ShownAs> {
  const roles = new Map<string, ShownAs>();
  for (const { picture, arrived } of files) {
    if (roles.has(picture)) continue;
    const taken = hasBackground || [...roles.values()].includes('background');
    roles.set(picture, guessRole({ ...arrived.file, name: picture }, taken));
  }
  return roles;
}

/** Whether a picture fills a scene already. */
export const hasBackgroundIn = ({ layers }: Scene): boolean =>
  layers.some((l) => l.kind === 'picture' && l.role === 'background');

/** Puts a layer where it belongs: what fills the screen behind everything but the grounds, anything else to the front. */
export function putIn({ layers }: Scene, layer: Layer): void {
  const grounds = layers.filter((l) => l.kind === 'ground').length;
  const place = layer.kind === 'ground' ? 0 : layer.role === 'background' ? grounds : layers.length;
  layers.splice(place, 0, layer);
}
