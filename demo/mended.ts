import type { AxisRule, Edge } from '../src/core/placing/rule';
import type { Scene } from '../src/core/scene/scene';
import type { Bars } from '../src/core/screens/bar-rules';
import type { Acceptance } from '../src/core/measure/accept';
import { fillScreen } from '../src/core/placing/presets';
import { lu, percent } from '../src/core/values/values';
import { bars, emblem, fit, ground, held, margin, ownShape, wordmark } from './rules';

/** The splash once everything that was wrong with it is mended: clear on every screen. */

const signs: Partial<Bars['status']> = { colour: { named: 'deep-water' }, symbols: 'light' };

/** A share of the screen’s short side, so that it is as large turned as it is upright, but not lost on a long screen. */
const shareOfShort = (share: number, least: number): AxisRule => ({
  kind: 'middle',
  region: 'safe',
  shift: lu(0),
  extent: {
    kind: 'length',
    length: percent(share),
    of: 'short',
    min: { length: percent(least), of: 'screen' },
  },
});

const outside = (id: string): Edge => ({ region: `layer:${id}`, offset: lu(-16) });

export const mendedSplash: Scene = {
  id: 'winter-splash-mended',
  name: 'Mended splash',
  role: 'splash',
  bars: {
    ...bars,
    status: { ...bars.status, ...signs },
    navigation: { ...bars.navigation, ...signs },
  },
  margin,
  layers: [
    ground({ named: 'deep-water' }),
    {
      kind: 'picture',
      id: 'harbour',
      name: 'Harbour',
      role: 'background',
      visible: true,
      picture: 'harbour-cuts',
      placing: fillScreen(),
      fit: fit('cover', held(52, 52)),
      // Upright it takes another cut, with its subjects elsewhere.
      when: [{ orientation: 'portrait', fit: fit('cover', held(50, 50)) }],
    },
    // Light on the dark of the plate, whatever part of the sky lies under it.
    {
      kind: 'panel',
      id: 'plate',
      name: 'Plate',
      role: 'other',
      visible: true,
      placing: {
        x: { kind: 'edges', start: outside('wordmark'), end: outside('wordmark') },
        y: { kind: 'edges', start: outside('emblem'), end: outside('wordmark') },
      },
      colour: { light: '#12303bd9', dark: '#06141bd9' },
      cornerRadius: lu(16),
      padding: { left: lu(0), right: lu(0), top: lu(0), bottom: lu(0) },
      clip: true,
    },
    emblem(
      {
        x: shareOfShort(28, 13),
        y: { kind: 'start', edge: { region: 'safe', offset: lu(24) }, extent: { kind: 'from-ratio' } },
        ratio: ownShape,
      },
      'emblem-trimmed',
    ),
    wordmark(shareOfShort(36, 16)),
  ],
};

/** The one screen on which the logo lies under a hinge, and why nobody minds. */
export const accepted: Acceptance[] = ['emblem', 'wordmark'].map((layer) => ({
  scene: mendedSplash.id,
  layer,
  measure: 'under-cutout',
  screens: ['fold-inner-1114x720-2-5x-dual'],
  reason: 'While it starts, the app is on one half of this device only.',
}));
