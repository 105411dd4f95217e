import type { IconVersion } from '../screens/screen';

/** What of a slot is seen in the end. Shares are of its shorter side. */
export interface Mask {
  /** of what is seen */
  side: number;
  /** of its corners; half of `side` is a circle */
  radius: number;
}

/** One place that an icon is shown in. */
export interface Slot {
  usage: string;
  width: number;
  height: number;
  /** px per lu; 1 where px are all that is asked for */
  density: number;
}

/** Slots that are asked for together. */
export interface SlotSet {
  id: string;
  label: string;
  note: string;
  family: 'whole-number' | 'density-class';
  mask: Mask | null;
  /** the part of the shorter side in which a glyph is safe; all of what is seen when absent */
  safe?: number;
  /** whether its files may not be see-through */
  opaque: boolean;
  versions: readonly IconVersion[];
  slots: readonly Slot[];
}

const WHOLE: readonly IconVersion[] = ['whole'];

/** A slot of so many lu at each density. */
const wide = (usage: string, width: number, height: number, ...densities: readonly number[]): Slot[] =>
  densities.map((density) => ({ usage, width, height, density }));
/** The same, square. */
const at = (usage: string, side: number, ...densities: readonly number[]): Slot[] =>
  wide(usage, side, side, ...densities);
/** A slot that is only known in px. */
const px = (usage: string, width: number, height = width): Slot => ({ usage, width, height, density: 1 });

const circle = (side: number): Mask => ({ side, radius: side / 2 });
/** Systems that round corners themselves do it by some 22 % of the side, differently from version to version: approximate. */
const ROUNDED: Mask = { side: 1, radius: 0.22 };
const APPROXIMATE_MASK =
  'The system rounds the corners, by about 22 % of the side; no file has them rounded.';

const PHONES: SlotSet = {
  id: 'phones',
  label: 'Phones of whole-number scales',
  note: APPROXIMATE_MASK,
  family: 'whole-number',
  mask: ROUNDED,
  opaque: true,
  versions: WHOLE,
  slots: [
    ...at('notification', 20, 2, 3),
    ...at('settings', 29, 2, 3),
    ...at('search', 40, 2, 3),
    ...at('home screen', 60, 2, 3),
    ...at('home screen, newer', 64, 2, 3),
    ...at('notification, newer', 38, 2, 3),
  ],
};

const TABLETS: SlotSet = {
  ...PHONES,
  id: 'tablets',
  label: 'Tablets of whole-number scales',
  slots: [
    ...at('notification', 20, 1, 2),
    ...at('settings', 29, 1, 2),
    ...at('search', 40, 1, 2),
    ...at('home screen', 76, 1, 2),
    ...at('home screen, large', 83.5, 2),
    ...at('home screen, newer', 68, 2),
  ],
};

const OLDER: SlotSet = {
  ...PHONES,
  id: 'older',
  label: 'Old phones and tablets',
  note: 'Only where very old systems are supported. The system rounds the corners.',
  slots: [
    ...at('home screen of a phone', 57, 1, 2),
    ...at('home screen of a tablet', 72, 1, 2),
    ...at('search on a tablet', 50, 1, 2),
  ],
};

const MASTER: SlotSet = {
  ...PHONES,
  id: 'master',
  label: 'One master',
  note: 'One file for each appearance, from which a system derives every size. Not see-through, no rounded corners.',
  slots: [px('master', 1024)],
};

const CLASSES = [0.75, 1, 1.5, 2, 3, 4] as const;
const FROM_ONE = CLASSES.slice(1);

const HOME_SCREEN: SlotSet = {
  id: 'home-screen',
  label: 'Home screen, as it is',
  note: 'Shown as the file is. A home screen may read the file of a density above the screen’s.',
  family: 'density-class',
  mask: null,
  opaque: false,
  versions: WHOLE,
  slots: at('home screen', 48, ...CLASSES),
};

const LAYERED: SlotSet = {
  ...HOME_SCREEN,
  id: 'layered',
  label: 'Home screen, in layers',
  note: 'Two layers of 108 lu, of which at most the middle 72 are seen, by a circle at the tightest. The glyph is safe in a circle of 66.',
  mask: circle(72 / 108),
  safe: 66 / 108,
  versions: ['plate', 'glyph', 'one-colour'],
  slots: at('layer', 108, ...CLASSES),
};

const STATUS_BAR: SlotSet = {
  ...HOME_SCREEN,
  id: 'status-bar',
  label: 'Status bar',
  note: 'White on nothing: only how opaque it is counts.',
  versions: ['one-colour'],
  slots: at('notification', 24, ...FROM_ONE),
};

const SPLASH: SlotSet = {
  ...HOME_SCREEN,
  id: 'splash',
  label: 'First window of the system',
  note: 'A box of 288 lu in the middle of the window, of which a circle of 192 is seen.',
  mask: circle(192 / 288),
  versions: ['glyph'],
  slots: at('splash icon', 288, ...FROM_ONE),
};

const SPLASH_GROUND: SlotSet = {
  ...SPLASH,
  id: 'splash-ground',
  label: 'First window of the system, with a ground',
  note: 'A box of 240 lu in the middle of the window, of which a circle of 160 is seen.',
  mask: circle(160 / 240),
  versions: WHOLE,
  slots: at('splash icon', 240, ...FROM_ONE),
};

const STRIP: SlotSet = {
  ...SPLASH,
  id: 'splash-strip',
  label: 'Strip of the first window',
  note: 'At the bottom of the first window of the system, 200 × 80 lu.',
  mask: null,
  slots: wide('strip', 200, 80, ...FROM_ONE),
};

const TELEVISION: SlotSet = {
  ...HOME_SCREEN,
  id: 'television',
  label: 'Television',
  note: 'A banner of 160 × 90 lu on the home screen.',
  slots: wide('banner', 160, 90, ...FROM_ONE),
};

const STORE: SlotSet = {
  ...HOME_SCREEN,
  id: 'store',
  label: 'Stores',
  note: 'Pictures beside the description of an app.',
  opaque: true,
  slots: [
    px('icon, large', 1024),
    px('icon', 512),
    px('banner', 1024, 500),
    px('banner on a television', 1280, 720),
  ],
};

const WEB: SlotSet = {
  ...HOME_SCREEN,
  id: 'web',
  label: 'Web',
  note: 'Icons of a page, of its manifest and on a home screen, and the picture of a link to it.',
  slots: [
    ...[16, 32, 48].map((side) => px('tab', side)),
    ...[72, 96, 128, 144, 192, 256, 384, 512].map((side) => px('manifest', side)),
    ...[120, 152, 167, 180].map((side) => px('home screen', side)),
    px('link', 1200, 630),
  ],
};

const MASKABLE: SlotSet = {
  ...HOME_SCREEN,
  id: 'web-maskable',
  label: 'Web, to be masked',
  note: 'Icons with the purpose “maskable” of a web app manifest: any mask may be laid over them that leaves a circle of 80 %.',
  mask: circle(0.8),
  slots: [192, 512].map((side) => px('manifest', side)),
};

const DESKTOP: SlotSet = {
  ...HOME_SCREEN,
  id: 'desktop',
  label: 'Desktops',
  note: 'Entries of icon files, and tiles.',
  slots: [
    ...[16, 24, 32, 48, 64, 128, 256].map((side) => px('entry of a file', side)),
    ...[16, 32, 128, 256, 512].flatMap((side) => at('entry of a set', side, 1, 2)),
    px('tile, small', 70),
    px('tile, medium', 150),
    px('tile, wide', 310, 150),
    px('tile, large', 310),
  ],
};

/** Every set of slots that is known. Sizes: data/density-and-slots.json, `iconSlots` and `systemSplash`. */
export const SLOT_SETS: readonly SlotSet[] = [
  PHONES,
  TABLETS,
  LAYERED,
  HOME_SCREEN,
  STATUS_BAR,
  SPLASH,
  SPLASH_GROUND,
  STRIP,
  WEB,
  MASKABLE,
  MASTER,
  STORE,
  DESKTOP,
  TELEVISION,
  OLDER,
];

/** What an icon is made for where nothing is said of it. */
export const USUAL_SETS: readonly string[] = [PHONES.id, LAYERED.id, STATUS_BAR.id, WEB.id];
