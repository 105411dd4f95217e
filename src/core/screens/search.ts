import type { Size } from '../geometry/rect';
import { kindGroupOf } from './kinds';
import type { Screen } from './screen';
import { kindName, kindWord } from './words';

/** “20:9” or “19.5 : 9”, in one word. */
const RATIO = /^(\d+(?:\.\d+)?):(\d+(?:\.\d+)?)$/;
/** By how much the ratio of a screen may differ from one that is asked for, as a part of it: sizes are whole numbers. */
const NEAR = 0.01;

const longToShort = ({ width, height }: Size) => Math.max(width, height) / Math.min(width, height);

/** Whether a screen has the ratio of a word, however it is held; `null` for a word that is none. */
function hasRatio(word: string, screen: Size): boolean | null {
  const [, a, b] = RATIO.exec(word) ?? [];
  if (!a || !b) return null;
  const asked = longToShort({ width: Number(a), height: Number(b) });
  return Math.abs(longToShort(screen) / asked - 1) <= NEAR;
}

const bothWays = ({ width, height }: Size) =>
  `${width}x${height} ${width}×${height} ${height}x${width} ${height}×${width}`;

/**
 * Whether a screen is meant by what somebody searches for: its size in lu or in px, its kind, its name, or its ratio. All
 * words have to be met.
 */
export function matchesText(screen: Screen, text: string): boolean {
  const { label, id, framebufferPx, panelPx } = screen;
  const kinds = `${kindGroupOf(screen).label} ${kindName(screen)} ${kindWord(screen.kind)}`;
  const sizes = [screen, framebufferPx, panelPx].map(bothWays).join(' ');
  const haystack = `${label} ${sizes} ${kinds} ${id}`.toLowerCase();
  // A ratio and a size may be written with spaces.
  const words = text
    .toLowerCase()
    .replace(/\s*([:×])\s*/g, '$1')
    .split(/\s+/)
    .filter(Boolean);
  return words.every((word) => hasRatio(word, screen) ?? haystack.includes(word));
}
