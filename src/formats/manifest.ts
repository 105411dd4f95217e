import { z } from 'zod';
import type { Rendition } from '@/core/pictures/picture';
import { scenesInOrder, type Documents } from '@/core/project/documents';
import type { Scene } from '@/core/scene/scene';
import { resolveColour, type Appearance } from '@/core/values/values';
import { outFiles, type FileFacts } from './files/names';
import { MEDIA_TYPES } from './text/media-types';

const Icon = z.object({
  src: z.string().describe('where it lies beside the manifest, by the naming of files'),
  sizes: z.string().describe('in px, or “any” of one that is drawn'),
  type: z.string(),
  purpose: z.literal('any'),
});

const Look = {
  icons: z.array(Icon),
  theme_color: z.string().optional(),
  background_color: z.string().optional(),
};

/** Source: Web Application Manifest (W3C); for dark, `color_scheme_dark` of Manifest Incubations (WICG). */
export const WebManifest = z.object({
  name: z.string(),
  ...Look,
  color_scheme_dark: z.object(Look).optional(),
});
export type WebManifest = z.infer<typeof WebManifest>;

/** Of a file whose type is known; others cannot be icons. */
const mediaTypeOf = (type = ''): string | undefined =>
  (MEDIA_TYPES as Readonly<Record<string, string>>)[type];

/** In which scenes icons and colours are looked for: the first of these that there is. */
const LOOKED_IN = ['icon', 'first-window', 'splash', 'screen'] as const;

/** Scenes of the first of these roles of which `find` finds something. */
function firstWith<T>(scenes: readonly Scene[], find: (scene: Scene) => T[]): T[] {
  for (const role of LOOKED_IN) {
    const found = scenes.filter((s) => s.role === role).flatMap(find);
    if (found.length > 0) return found;
  }
  return [];
}

/** The pictures that stand for the app: those of logos. */
const logosIn = ({ layers }: Scene): string[] =>
  layers.flatMap((l) => (l.kind === 'picture' && l.role === 'logo' && l.visible ? [l.picture] : []));

/** The one colour of the ground of a scene; none where it has several. */
function groundIn({ layers }: Scene) {
  const ground = layers.find((l) => l.kind === 'ground' && l.visible);
  return ground?.kind === 'ground' && !('gradient' in ground.colour) ? [ground.colour] : [];
}

const sizesOf = ({ vector, widthPx, heightPx }: Rendition) => (vector ? 'any' : `${widthPx}x${heightPx}`);

/**
 * The icons and the colours of a project as a Web App Manifest: logos of the scene that stands for the app, and the
 * colour of the ground of its first window.
 * @param facts of each file, by its hash @param pattern by which files are named, as in the ZIP of all files
 * @throws PatternFault
 */
export function webManifest({ project, scenes }: Documents, facts: FileFacts, pattern: string): WebManifest {
  const inOrder = scenesInOrder({ project, scenes });
  const logos = new Set(firstWith(inOrder, logosIn));
  const pictures = project.pictures.filter((p) => logos.has(p.id));
  const paths = new Map(outFiles(pictures, pattern, facts).map(({ hash, path }) => [hash, path]));
  const files = pictures.flatMap((p) => p.cuts.flatMap((c) => c.renditions));
  const iconsOf = (appearance: Appearance) => {
    const icons = files.flatMap((file): WebManifest['icons'] => {
      const src = paths.get(file.hash);
      const type = mediaTypeOf(facts[file.hash]?.type);
      if (src === undefined || !type || file.appearance !== appearance) return [];
      return [{ src, sizes: sizesOf(file), type, purpose: 'any' }];
    });
    return icons.filter(({ src }, i) => icons.findIndex((other) => other.src === src) === i);
  };
  const [ground] = firstWith(inOrder, groundIn);
  const lookOf = (appearance: Appearance) => {
    const colour = ground && resolveColour(ground, appearance, project.named);
    return { icons: iconsOf(appearance), ...(colour && { theme_color: colour, background_color: colour }) };
  };
  const [light, dark] = [lookOf('light'), lookOf('dark')];
  const hasDark = dark.icons.length > 0 || dark.background_color !== light.background_color;
  return { name: project.name, ...light, ...(hasDark && { color_scheme_dark: dark }) };
}

/** Source: Web Application Manifest, §6. */
export const MANIFEST_TYPE = 'application/manifest+json';

/** The same as text. */
export const writeManifest = (manifest: WebManifest): string => `${JSON.stringify(manifest, null, 2)}\n`;
