import fc from 'fast-check';
import json from '../../../data/screens.json';
import { area, bottom, right } from '../geometry/rect';
import { lu, percent } from '../values/values';
import type { Bars } from './bar-rules';
import { casesOf, defaultRotations, findCase } from './cases';
import { readCatalogue } from './catalogue';
import { kindGroupOf } from './kinds';
import { regionsOf, safeInsets, visibleBars } from './regions';
import { Screen } from './screen';
import { naturalSize, orientationOf, turn, turnRect, turnSide } from './turn';

const screens = readCatalogue(json);
const byId = (id: string) => screens.find((s) => s.id === id)!;
const shown: Bars = {
  status: { shown: true },
  title: { shown: false, height: 56 },
  navigation: { shown: true, style: 'gesture' },
};
const hidden: Bars = {
  ...shown,
  status: { shown: false },
  navigation: { shown: false, style: 'gesture' },
};
const none = { left: lu(0), right: lu(0), top: lu(0), bottom: lu(0) };
const anyScreen = fc.constantFrom(...screens);
const anyRotation = fc.constantFrom(0, 90, 180, 270) as fc.Arbitrary<0 | 90 | 180 | 270>;

describe('the catalogue', () => {
  it('is read whole, and every kind belongs to a group', () => {
    expect(screens).toHaveLength(json.length);
    for (const s of screens) expect(kindGroupOf(s).kinds).toContain(s.kind);
  });

  it('survives a round trip with what others keep beside, and refuses it elsewhere', () => {
    const odd = { ...screens[0]!, extensions: { madeIn: 'a test' } };
    expect(Screen.parse(JSON.parse(JSON.stringify(odd)))).toEqual(odd);
    expect(Screen.safeParse({ ...screens[0]!, madeIn: 'a test' }).success).toBe(false);
  });

  it('names the entry and the field when something is wrong', () => {
    const broken = [{ ...json[0], density: 'three' }];
    expect(() => readCatalogue(broken)).toThrow(/density/);
  });

  it('takes its geometry from the framebuffer, not from the rounded label', () => {
    expect(naturalSize(byId('phone-412x915-2-625x')).width).toBeCloseTo(1080 / 2.625, 12);
  });
});

describe('turning a screen', () => {
  it('names rotation 0 after the natural shape', () => {
    expect(orientationOf(byId('phone-393x852-3x-pill'), 90)).toBe('landscape-primary');
    expect(orientationOf(byId('phone-393x852-3x-pill'), 270)).toBe('landscape-secondary');
    expect(orientationOf(byId('tablet-1280x800-2x-landscape'), 0)).toBe('landscape-primary');
    expect(orientationOf(byId('tablet-1280x800-2x-landscape'), 90)).toBe('portrait-primary');
  });

  it('leaves upside-down portrait out, and everything but 0 where the screen does not turn', () => {
    expect(defaultRotations(byId('phone-393x852-3x-pill'))).toEqual([0, 90, 270]);
    expect(defaultRotations(byId('tablet-1280x800-2x-landscape'))).toEqual([0, 90, 180]);
    expect(defaultRotations(byId('tv-960x540-2x'))).toEqual([0]);
  });

  it('puts the natural top at the left at 90 and at the right at 270', () => {
    expect([0, 90, 180, 270].map((r) => turnSide('top', r as 0))).toEqual(['top', 'left', 'bottom', 'right']);
    const [pill] = turn(byId('phone-393x852-3x-pill'), 90).cutouts;
    expect(pill).toMatchObject({ x: 11, y: 134, width: 37, height: 125 });
  });

  it('keeps areas, and comes back after four quarter turns', () => {
    fc.assert(
      fc.property(anyScreen, fc.nat(300), fc.nat(300), (screen, x, y) => {
        const size = naturalSize(screen);
        const r = { x, y, width: 40, height: 20 };
        const once = turnRect(r, 90, size);
        expect(area(once)).toBe(area(r));
        const back = turnRect(once, 270, { width: size.height, height: size.width });
        for (const key of ['x', 'y', 'width', 'height'] as const) expect(back[key]).toBeCloseTo(r[key], 9);
      }),
    );
  });

  it('keeps every cutout on the screen in every rotation', () => {
    for (const screen of screens) {
      for (const rotation of [0, 90, 180, 270] as const) {
        const { size, cutouts } = turn(screen, rotation);
        for (const c of cutouts) {
          expect(Math.min(c.x, c.y)).toBeGreaterThanOrEqual(-1);
          expect(right(c)).toBeLessThanOrEqual(size.width + 1);
          expect(bottom(c)).toBeLessThanOrEqual(size.height + 1);
        }
      }
    }
  });
});

describe('insets with bars shown and hidden', () => {
  const insets = (id: string, rotation: 0 | 90 | 180 | 270, bars: Bars) =>
    safeInsets(turn(byId(id), rotation), bars);

  it('are the stored ones while the bars are shown', () => {
    expect(insets('phone-360x800-3x', 90, shown)).toEqual({ top: 28, right: 0, bottom: 24, left: 36 });
  });

  it('leave the depth of the cutout where a bar is hidden', () => {
    expect(insets('phone-360x800-3x', 0, hidden)).toEqual({ top: 27, right: 0, bottom: 0, left: 0 });
    expect(insets('phone-320x568-2x-home', 0, hidden).top).toBe(0);
  });

  it('stay on a whole-number screen with a cutout', () => {
    expect(insets('phone-393x852-3x-pill', 0, hidden)).toEqual(insets('phone-393x852-3x-pill', 0, shown));
  });

  it('do not change where the screen has no such bar', () => {
    expect(insets('tv-960x540-2x', 0, hidden)).toEqual({ top: 27, right: 48, bottom: 27, left: 48 });
  });

  it('make room for the button bar: at the natural bottom of a narrow screen, at the bottom of a wide one', () => {
    const buttons: Bars = { ...shown, navigation: { shown: true, style: 'buttons' } };
    expect(insets('phone-360x800-3x', 90, buttons)).toEqual({ top: 28, right: 48, bottom: 0, left: 36 });
    expect(insets('phone-360x800-3x', 0, buttons).bottom).toBe(48);
    expect(insets('tablet-876x1400-2x', 90, buttons).bottom).toBe(48);
  });

  it('add the cutout upside down and leave the bars where they are', () => {
    expect(insets('phone-360x800-3x', 180, shown)).toEqual({ top: 36, right: 0, bottom: 27, left: 0 });
  });
});

describe('regions', () => {
  it('measure a % margin on the safe area, per axis', () => {
    const turned = turn(byId('phone-393x852-3x-pill'), 0);
    const { margins, safe } = regionsOf(turned, shown, { ...none, left: percent(10), top: percent(10) });
    expect(margins.x).toBeCloseTo(safe.width * 0.1, 9);
    expect(margins.y).toBeCloseTo(safe.y + safe.height * 0.1, 9);
  });

  it('take the visible bars off the content, the title bar below the status bar', () => {
    const turned = turn(byId('phone-360x800-3x'), 0);
    const bars: Bars = { ...shown, title: { shown: true, height: 56 } };
    expect(visibleBars(turned, bars)).toEqual({ left: 0, right: 0, top: 92, bottom: 24 });
    expect(regionsOf(turned, hidden, none).content).toEqual(regionsOf(turned, hidden, none).screen);
  });

  it('lie inside the screen on every screen, rotation and choice of bars', () => {
    fc.assert(
      fc.property(anyScreen, anyRotation, fc.constantFrom(shown, hidden), (screen, rotation, bars) => {
        const regions = regionsOf(turn(screen, rotation), bars, none);
        for (const r of [regions.safe, regions.content, regions.margins]) {
          expect(Math.min(r.x, r.y)).toBeGreaterThanOrEqual(0);
          expect(right(r)).toBeLessThanOrEqual(regions.screen.width + 1e-9);
          expect(bottom(r)).toBeLessThanOrEqual(regions.screen.height + 1e-9);
        }
      }),
    );
  });
});

describe('cases', () => {
  it('are found again by their id', () => {
    const cases = casesOf(screens, ['light', 'dark']);
    expect(new Set(cases.map((c) => c.id)).size).toBe(cases.length);
    for (const c of cases) expect(findCase(c.id, screens)).toEqual(c);
  });

  it.each(['', 'phone.0.light', 'phone-393x852-3x-pill.45.light', 'phone-393x852-3x-pill.0.dim'])(
    'are not found by “%s”',
    (id) => expect(findCase(id, screens)).toBeNull(),
  );
});
