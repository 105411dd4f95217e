import * as fc from 'fast-check';
import { SCREENS } from '../testing/scenes';
import { isWhole, measuredCase, measuredScreen, Reading, sayUnread, unusable } from './measured';
import type { Rotation, Screen } from './screen';
import { OwnScreen } from './own';
import { turn } from './turn';

/** What a page that has all of the glass reads off a screen of the catalogue. */
function readOff(screen: Screen, rotation: Rotation): Reading {
  const { size, insets } = turn(screen, rotation);
  const { width, height } = size;
  const windowPx = { width: Math.round(width * screen.density), height: Math.round(height * screen.density) };
  return Reading.parse({ rotation, screen: size, window: size, windowPx, density: screen.density, insets });
}

const NAMED = { id: 'measured-1', label: 'The one on the desk' };
const turning = SCREENS.filter((s) => s.rotates);
const phone: Reading = {
  rotation: 0,
  screen: { width: 400, height: 800 },
  window: { width: 400, height: 800 },
  windowPx: { width: 1050, height: 2100 },
  density: 2.625,
  insets: { top: 40, right: 0, bottom: 24, left: 0 },
};
const onItsSide: Reading = {
  ...phone,
  rotation: 90,
  screen: { width: 800, height: 400 },
  window: { width: 800, height: 400 },
  windowPx: { width: 2100, height: 1050 },
  insets: { top: 24, right: 0, bottom: 16, left: 40 },
};

describe('A screen that a page has read', () => {
  it('has the px, the density and the insets of every screen of the catalogue that it is read off', () => {
    expect(turning.length).toBeGreaterThan(10);
    for (const screen of turning) {
      const rotations = [0, 90, 270] as const;
      const read = measuredScreen(
        rotations.map((r) => readOff(screen, r)),
        NAMED,
      );
      expect(read).toMatchObject({ ...NAMED, density: screen.density, framebufferPx: screen.framebufferPx });
      for (const r of rotations) expect(read.insets[r]).toEqual(screen.insets[r]);
      expect(read.approximate).not.toContain('insets');
      expect(OwnScreen.safeParse(read).error).toBeUndefined();
    }
  });

  it('does not hang on the order in which it was turned', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...turning),
        fc.shuffledSubarray([0, 90, 180, 270] as Rotation[], { minLength: 4 }),
        (screen, order) => {
          const read = (rotations: readonly Rotation[]) =>
            measuredScreen(
              rotations.map((r) => readOff(screen, r)),
              NAMED,
            );
          expect(read(order)).toEqual(read([0, 90, 180, 270]));
        },
      ),
    );
  });

  it('takes from one position what follows for the others, and calls that approximate', () => {
    const upright = measuredScreen([phone], NAMED);
    expect(upright.insets[90]).toEqual({ left: 40, top: 0, right: 24, bottom: 0 });
    expect(upright.approximate).toContain('insets');
    const turned = measuredScreen([onItsSide], NAMED);
    expect(turned.insets[270]).toEqual({ top: 24, right: 40, bottom: 16, left: 0 });
    expect(turned.insets[0].top).toBe(40);
    expect(turned.framebufferPx).toEqual({ width: 1050, height: 2100 });
    expect(turned.confidence).toBe('low');
    expect(measuredScreen([phone, onItsSide], NAMED)).toMatchObject({
      confidence: 'medium',
      bars: { status: { portrait: 40, landscape: 24 }, gesture: 24, buttons: null },
    });
  });

  it('keeps what was read of the whole glass when the bars of a browser come back', () => {
    const within: Reading = {
      ...phone,
      window: { width: 400, height: 700 },
      windowPx: { width: 1050, height: 1838 },
      insets: { top: 0, right: 0, bottom: 0, left: 0 },
    };
    expect(isWhole(within)).toBe(false);
    expect(measuredScreen([phone, within], NAMED)).toEqual(measuredScreen([phone], NAMED));
    expect(measuredScreen([within, phone], NAMED)).toEqual(measuredScreen([phone], NAMED));
    expect(measuredScreen([within], NAMED).framebufferPx).toEqual({ width: 1050, height: 2100 });
  });

  it('is drawn on as far as the page reaches', () => {
    const within: Reading = {
      ...onItsSide,
      window: { width: 800, height: 330 },
      windowPx: { width: 2100, height: 866 },
    };
    const { screen, rotation } = measuredCase([phone, within], within, 'dark');
    expect(turn(screen, rotation).size).toEqual({ width: 800, height: 866 / 2.625 });
    expect(turn(screen, rotation).insets).toEqual(within.insets);
    const whole = measuredCase([phone, onItsSide], phone, 'light');
    expect(whole).toMatchObject({ id: 'real-screen.0.light', rotation: 0 });
    expect(turn(whole.screen, 0).size).toEqual({ width: 400, height: 800 });
  });

  it('says what is not read yet', () => {
    expect(sayUnread([phone]).join()).toMatch(/^Turn it, so that its insets are read in landscape too\.$/);
    expect(sayUnread([onItsSide]).join()).toContain('in portrait too');
    expect(sayUnread([phone, onItsSide])).toEqual([
      expect.stringMatching(/^Something reaches 40 lu in from its natural top/),
    ]);
    const flat = { ...onItsSide, insets: { ...onItsSide.insets, left: 0 } };
    expect(sayUnread([phone, flat])).toEqual([]);
    const within = { ...phone, window: { width: 400, height: 709 } };
    expect(sayUnread([within])[0]).toMatch(/^The browser leaves 400 × 709 of 400 × 800 lu to the page/);
  });

  it('is refused where no screen can be like that', () => {
    expect(unusable([phone])).toBeNull();
    const insets = { top: 500, right: 0, bottom: 400, left: 0 };
    expect(unusable([{ ...phone, insets }])).toMatch(/meet/);
    expect(Reading.safeParse({ ...phone, density: 0 }).success).toBe(false);
    expect(Reading.safeParse({ ...phone, screen: { width: Infinity, height: 1 } }).success).toBe(false);
  });
});
