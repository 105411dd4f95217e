import { readFileSync } from 'node:fs';
import type { Rect } from '../src/core/geometry/rect';
import type { Random } from './random';

/** A screen as it is held, read off the catalogue without the product’s own reading of it. */
export interface HeldScreen {
  /** of the product’s case */
  caseId: string;
  appearance: 'light' | 'dark';
  width: number;
  height: number;
  density: number;
  insets: { left: number; right: number; top: number; bottom: number };
  cornerRadius: number;
  /** a notch is round only where it does not hang on an edge */
  cutouts: { rect: Rect; radius: number; isNotch: boolean }[];
  /** heights of the bars that are usually shown */
  statusBar: number;
  gestureBar: number;
}

interface Entry {
  id: string;
  kind: string;
  density: number;
  renderWidth: number;
  renderHeight: number;
  cornerRadius: number;
  supportsRotation: boolean;
  naturalOrientation: string;
  insets: Record<string, HeldScreen['insets']>;
  systemBars: {
    statusBar: { heightPortrait: number; heightLandscape: number };
    gestureBar: number | null;
    buttonNavBar: number | null;
  };
  cutouts: { shape: string; x: number; y: number; width: number; height: number; radius: number }[];
}

const catalogue = JSON.parse(readFileSync('data/screens.json', 'utf8')) as Entry[];

/** Small enough to be painted often. Windows, folds, and screens with a button bar only are left out. */
const usable = catalogue.filter(
  (e) =>
    (e.renderWidth / e.density) * (e.renderHeight / e.density) < 700_000 &&
    e.naturalOrientation === 'portrait' &&
    (e.systemBars.gestureBar !== null || e.systemBars.buttonNavBar === null) &&
    e.cutouts.every((c) => c.shape !== 'hinge'),
);

/** Natural top at the left: (x, y, w, h) becomes (y, W − x − w, h, w). */
const turned = (c: Rect, width: number): Rect => ({
  x: c.y,
  y: width - c.x - c.width,
  width: c.height,
  height: c.width,
});

export function heldScreen(random: Random): HeldScreen {
  const e = random.pick(usable);
  const isTurned = e.supportsRotation && random.chance(0.4);
  const [width, height] = [e.renderWidth / e.density, e.renderHeight / e.density];
  const { statusBar, gestureBar } = e.systemBars;
  const appearance = random.chance(0.3) ? 'dark' : 'light';
  return {
    caseId: `${e.id}.${isTurned ? 90 : 0}.${appearance}`,
    appearance,
    width: isTurned ? height : width,
    height: isTurned ? width : height,
    density: e.density,
    insets: e.insets[isTurned ? 'landscape-primary' : 'portrait-primary']!,
    cornerRadius: e.cornerRadius,
    cutouts: e.cutouts.map((c) => ({
      rect: isTurned ? turned(c, width) : { x: c.x, y: c.y, width: c.width, height: c.height },
      radius: c.radius,
      isNotch: c.shape === 'notch',
    })),
    statusBar: isTurned ? statusBar.heightLandscape : statusBar.heightPortrait,
    gestureBar: gestureBar ?? 0,
  };
}
