import type { Launch, Target } from '../src/core/project/launch';
import type { Kind } from '../src/core/screens/screen';

const HAND: Kind[] = [
  'compact-phone',
  'phone',
  'large-phone',
  'foldable-cover',
  'foldable-inner',
  'tablet',
  'split-window',
];

const target = (id: string, name: string, more: Pick<Target, 'families' | 'kinds' | 'system'>): Target => ({
  id,
  name,
  ids: [],
  ...more,
});

/** A launch with what goes wrong in most: a white window, a logo that jumps, a clipped icon, a splash held too long. */
export const launch: Launch = {
  id: 'launch',
  name: 'Launch',
  targets: [
    target('whole-number', 'phones and tablets, whole scales', {
      families: ['whole-number'],
      kinds: HAND,
      system: 'layout',
    }),
    target('density-class', 'phones and tablets, density classes', {
      families: ['density-class'],
      kinds: HAND,
      system: 'icon',
    }),
    target('large', 'televisions and desktops', {
      families: [],
      kinds: ['tv', 'desktop-window'],
      system: 'flat',
    }),
  ],
  stages: [
    {
      id: 'window',
      scene: 'system-window',
      system: 'flat',
      enter: 'none',
      durationMs: 0,
      easing: 'linear',
      holdMs: 0,
    },
    {
      id: 'splash',
      scene: 'winter-splash',
      system: 'app',
      enter: 'fade',
      durationMs: 500,
      easing: 'ease-out',
      holdMs: 2600,
    },
    {
      id: 'first-screen',
      scene: 'sign-in',
      system: 'app',
      enter: 'none',
      durationMs: 0,
      easing: 'linear',
      holdMs: 0,
    },
  ],
  systemMs: 400,
  loadingMs: 1400,
  warm: { systemMs: 100, loadingMs: 0 },
};
