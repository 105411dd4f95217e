import type { LayerRole } from './scene';

/** What is known of a picture before it is placed. */
export interface TakenPicture {
  /** of the picture or its file */
  name: string;
  /** whether some of it is see-through; `undefined` where nobody looked */
  transparent?: boolean | undefined;
  widthPx: number;
  heightPx: number;
}

/** Words of a name that say what a picture is; whole words, as “markup” is no mark. */
const SAYS: readonly (readonly [LayerRole, RegExp])[] = [
  ['background', /(^|[^a-z])(background|backdrop|bg|photo|hero|wallpaper)([^a-z]|$)/i],
  ['logo', /(^|[^a-z])(logo|logotype|wordmark|emblem|icon|mark|badge|brand|sign|symbol)([^a-z]|$)/i],
];

/** Fewer px than this along its longer side, and it is no picture that fills a screen. */
const LEAST_BACKGROUND_PX = 600;

/**
 * What a picture is likely to be in a scene: by its name, then by whether it is see-through, then by its size. A scene has
 * one background.
 */
export function guessRole(
  { name, transparent, widthPx, heightPx }: TakenPicture,
  hasBackground: boolean,
): Exclude<LayerRole, 'text'> {
  const said = SAYS.find(([, word]) => word.test(name))?.[0] as Exclude<LayerRole, 'text'> | undefined;
  if (said && !(said === 'background' && hasBackground)) return said;
  if (said === 'background') return 'other';
  if (transparent) return 'logo';
  return !hasBackground && Math.max(widthPx, heightPx) >= LEAST_BACKGROUND_PX ? 'background' : 'other';
}
