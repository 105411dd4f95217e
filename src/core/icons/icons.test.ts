import fc from 'fast-check';
import data from '../../../data/density-and-slots.json';
import { DEFAULT_LIMITS } from '../measure/defaults';
import { filePixelsOf } from '../pixels/file';
import { casesOf, findCase } from '../screens/cases';
import { turn } from '../screens/turn';
import { outlineOf } from '../screens/outline';
import { surveyCase } from '../survey/survey';
import { inputOf, pictureOf } from '../testing/scenes';
import { iconFiles } from './files';
import { newIcon } from './new';
import { SLOT_SETS } from './sets';
import { countedFor, pxOfSlot, slotCases, slotScreens } from './slots';
import { versionOf } from './versions';

const ALL = { iconSets: SLOT_SETS.map((s) => s.id) };

/** Sets of the data file that are whole screens, not icons. */
const NO_ICONS = ['static-full-screen', 'full-screen-by-class'];

let next = 0;
const icon = () => newIcon('Icon', { id: 'logo', name: 'Logo' }, () => `id-${++next}`);
const logo = pictureOf('logo', { widthPx: 1024, heightPx: 1024, density: 1 });

/** A case of a slot, whatever it is called in its set. */
const slotCase = (start: string) => {
  const found = slotCases(ALL).find((c) => c.id.startsWith(start));
  if (!found) throw new Error(start);
  return found;
};

describe('the slots of icons', () => {
  it('are all of the data file, to the px, and every px of theirs is of it', () => {
    const known = data.iconSlots.sets
      .filter((s) => !NO_ICONS.includes(s.id))
      .flatMap((s): readonly { pixelWidth: number; pixelHeight: number }[] => s.slots);
    const said = (list: readonly { width: number; height: number }[]) =>
      list.map((s) => `${s.width} × ${s.height}`).toSorted();
    expect(said(SLOT_SETS.flatMap((s) => s.slots.map(pxOfSlot)))).toEqual(
      said(known.map((s) => ({ width: s.pixelWidth, height: s.pixelHeight }))),
    );
  });

  it('have ids of their own, and no file has the path of another', () => {
    const ids = slotScreens(ALL).map((s) => s.id);
    expect(new Set(ids).size).toBe(ids.length);
    const paths = iconFiles(ALL).map((f) => f.path);
    expect(new Set(paths).size).toBe(paths.length);
    for (const { caseId } of iconFiles(ALL)) expect(findCase(caseId, slotScreens(ALL))).not.toBeNull();
  });

  it('are what an icon is judged in, and nothing else is', () => {
    const other = casesOf(slotScreens(ALL).slice(0, 2), ['light']);
    expect(countedFor({ role: 'icon' }, { ...ALL, ratios: { low: 0.4, high: 0.5 } }, other)).toBe(
      slotCases(ALL),
    );
    expect(countedFor({ role: 'splash' }, ALL, other)).toEqual(other);
    expect(slotCases({})).toHaveLength(2 * slotScreens({}).length);
  });
});

describe('masks', () => {
  const glassOf = (start: string) => outlineOf(turn(slotCase(start).screen, 0)).glass;
  const { icon: system } = data.systemSplash;

  it('are circles as the data file has them', () => {
    const circle = (box: number, diameter: number) => ({
      rect: {
        x: expect.closeTo((box - diameter) / 2, 9) as number,
        y: expect.closeTo((box - diameter) / 2, 9) as number,
        width: expect.closeTo(diameter, 9) as number,
        height: expect.closeTo(diameter, 9) as number,
      },
      radius: expect.closeTo(diameter / 2, 9) as number,
    });
    const { withoutBackground, withBackground, layeredFallback } = system;
    expect(glassOf('splash.splash')).toEqual(
      circle(withoutBackground.box, withoutBackground.visibleCircleDiameter),
    );
    expect(glassOf('splash-ground.')).toEqual(
      circle(withBackground.box, withBackground.visibleCircleDiameter),
    );
    expect(glassOf('layered.')).toEqual(circle(layeredFallback.layer, layeredFallback.visible));
    expect(glassOf('web-maskable.manifest-512')).toEqual(circle(512, 0.8 * 512));
  });

  it('cut off of a square what lies outside of the circle: its side and diagonal decide', () => {
    const c = slotCase('splash.splash-icon-288.');
    fc.assert(
      fc.property(fc.double({ min: 1, max: 49, noNaN: true }), (room) => {
        const scene = icon();
        const share = { value: room, unit: '%' as const };
        const margin = { left: share, right: share, top: share, bottom: share };
        const input = inputOf(scene.layers, [logo], { ...scene, margin });
        const glyph = surveyCase(input, c).layers[1]!;
        const side = 192 * (1 - (2 * room) / 100);
        const lost = glyph.kind === 'picture' ? glyph.measures.intrusion!.corner : NaN;
        if (side <= system.inscribedSquare.withoutBackground) expect(lost).toBe(0);
        // Four segments of the circle are seen of the square that touches it.
        const half = side / 2;
        const angle = 2 * Math.acos(half / 96);
        const segment = (96 ** 2 / 2) * (angle - Math.sin(angle));
        const seen = side < 192 / Math.SQRT2 ? side ** 2 : Math.PI * 96 ** 2 - 4 * segment;
        expect(lost).toBeCloseTo(side ** 2 - seen, 4);
      }),
    );
  });
});

describe('an icon', () => {
  it('that is new has nothing cut off in any slot', () => {
    const scene = icon();
    const input = { ...inputOf(scene.layers, [logo], scene), limits: DEFAULT_LIMITS };
    for (const c of slotCases(ALL)) {
      const { breaches } = surveyCase(input, c);
      expect(breaches.filter((b) => b.limit.measure !== 'enlargement')).toEqual([]);
    }
  });

  it('is not held against what it does not stand on where its glyph is alone', () => {
    const white = new Uint8Array(64 * 64 * 4).fill(255);
    // See-through at its border, so that it is a shape and no rectangle.
    for (let at = 0; at < 64 * 64; at++) if (at % 64 < 8 || at % 64 > 55) white[at * 4 + 3] = 0;
    const pixels = new Map([
      [logo.cuts[0]!.renditions[0]!.hash, filePixelsOf({ width: 64, height: 64, data: white })],
    ]);
    const scene = icon();
    const input = { ...inputOf(scene.layers, [logo], scene), limits: DEFAULT_LIMITS, pixels };
    const faint = slotCases({ iconSets: ['phones', 'status-bar', 'splash'] }).filter((c) =>
      surveyCase(input, c).breaches.some((b) => b.limit.measure === 'contrast'),
    );
    const sets = new Set(faint.map((c) => `${c.screen.id.split('.')[0]} ${c.appearance}`));
    expect(sets).toEqual(new Set(['phones light']));
  });

  it('has lines of under a px in small slots, and those alone', () => {
    const side = 256;
    const bytes = new Uint8Array(side * side * 4);
    // A ring of 12 px, of a file of 256.
    for (let at = 0; at < side * side; at++) {
      const r = Math.hypot((at % side) + 0.5 - 128, Math.floor(at / side) + 0.5 - 128);
      if (r < 120 && r > 108) bytes[at * 4 + 3] = 255;
    }
    const pixels = new Map([
      [logo.cuts[0]!.renditions[0]!.hash, filePixelsOf({ width: side, height: side, data: bytes })],
    ]);
    const scene = icon();
    const input = { ...inputOf(scene.layers, [logo], scene), limits: DEFAULT_LIMITS, pixels };
    const thin = slotCases({ iconSets: ['web'] }).filter((c) =>
      surveyCase(input, c).breaches.some((b) => b.limit.measure === 'thin-line'),
    );
    // The glyph is 64 % of its slot: 12 px of 256 are under one in slots of less than 33.3 px.
    expect([...new Set(thin.map((c) => c.screen.framebufferPx.width))]).toEqual([16, 32]);
  });

  it('comes apart into what stands on its plate, the plate, and its shape in one colour', () => {
    const scene = icon();
    const [plate, glyph] = scene.layers;
    expect(versionOf(scene, 'whole')).toBe(scene);
    expect(versionOf(scene, 'plate').layers.map((l) => l.visible)).toEqual([true, false]);
    expect(versionOf(scene, 'glyph').layers).toEqual([{ ...plate, colour: { light: '#00000000' } }, glyph]);
    expect(versionOf(scene, 'one-colour').layers[1]).toEqual({ ...glyph, tint: { light: '#ffffff' } });
  });
});
