import type { Project } from '../project/project';
import type { Scene } from '../scene/scene';
import { casesOf, type Case } from '../screens/cases';
import { countedCases } from '../screens/counted';
import { BARE } from '../screens/free';
import { SLOT_KIND, type Screen } from '../screens/screen';
import { APPEARANCES } from '../values/values';
import { sayDensity, sayNumber, saySize } from '../words/numbers';
import { SLOT_SETS, USUAL_SETS, type Slot, type SlotSet } from './sets';

/** The sets that a project makes its icons for, in their order; the usual ones where it says nothing. */
export function slotSetsOf({ iconSets }: Pick<Project, 'iconSets'>): SlotSet[] {
  const wanted: readonly string[] = iconSets ?? USUAL_SETS;
  const chosen = SLOT_SETS.filter((s) => wanted.includes(s.id));
  return chosen.length > 0 ? chosen : SLOT_SETS.filter((s) => USUAL_SETS.includes(s.id));
}

/** Px of the file of a slot. */
export const pxOfSlot = ({ width, height, density }: Slot) => ({
  width: Math.round(width * density),
  height: Math.round(height * density),
});

const slug = (text: string) =>
  text
    .toLowerCase()
    .replaceAll(/[^a-z0-9]+/g, '-')
    .replaceAll(/^-|-$/g, '');

/** How a slot is told from the others of its set; also the name of its file, without what it ends with. */
export function slotName(slot: Slot): string {
  const { usage, width, height, density } = slot;
  const size = width === height ? sayNumber(width) : `${sayNumber(width)}x${sayNumber(height)}`;
  return `${slug(usage)}-${size}${density === 1 ? '' : `@${sayDensity(density)}x`}`;
}

/** The screen that a slot is. */
export const slotId = (set: SlotSet, slot: Slot): string => `${set.id}.${slotName(slot)}`;

/** The size of a slot in lu: “60”, “200 × 80”. */
export const saySlotSize = ({ width, height }: Slot): string =>
  width === height ? sayNumber(width) : saySize({ width, height });

/** “Home screen 60 at 3x” */
const sayLabel = (set: SlotSet, slot: Slot): string =>
  `${set.label}: ${slot.usage} ${saySlotSize(slot)}${slot.density === 1 ? '' : ` at ${sayDensity(slot.density)}x`}`;

const around = (inset: number) => ({ top: inset, right: inset, bottom: inset, left: inset });

/** A set whose files show one thing other than all of an icon is looked at as they are. */
function shownIn({ versions }: SlotSet): Pick<Screen, 'shows'> {
  const [only] = versions;
  return versions.length === 1 && only !== 'whole' ? { shows: only } : {};
}

/** A slot as a screen: what of it is seen is its glass, and where a glyph is safe is its safe area. */
function screenOf(set: SlotSet, slot: Slot, weight: number): Screen {
  const framebufferPx = pxOfSlot(slot);
  const shorter = Math.min(framebufferPx.width, framebufferPx.height) / slot.density;
  const { side, radius } = set.mask ?? { side: 1, radius: 0 };
  const safe = around(((1 - (set.safe ?? side)) / 2) * shorter);
  return {
    ...BARE,
    id: slotId(set, slot),
    label: sayLabel(set, slot),
    kind: SLOT_KIND,
    family: set.family,
    width: Math.max(1, Math.round(slot.width)),
    height: Math.max(1, Math.round(slot.height)),
    framebufferPx,
    panelPx: framebufferPx,
    density: slot.density,
    cornerRadius: radius * shorter,
    maskInset: ((1 - side) / 2) * shorter,
    insets: { 0: safe, 90: safe, 180: safe, 270: safe },
    cutouts: [],
    rotates: false,
    ...shownIn(set),
    weight,
    origin: 'catalogue',
    confidence: 'high',
    approximate: [],
  };
}

/** Sets never change, and are asked for again and again. */
const known = new Map<string, Screen[]>();

/** The slots of the sets that a project makes its icons for, as screens; all of the same weight, together 1. */
export function slotScreens(project: Pick<Project, 'iconSets'>): Screen[] {
  const sets = slotSetsOf(project);
  const key = sets.map((s) => s.id).join();
  const before = known.get(key);
  if (before) return before;
  const count = sets.reduce((sum, s) => sum + s.slots.length, 0);
  const screens = sets.flatMap((set) => set.slots.map((slot) => screenOf(set, slot, 1 / count)));
  known.set(key, screens);
  return screens;
}

/** Whether a scene is an icon, which is looked at in its slots instead of on screens. */
export const isIcon = (scene: Pick<Scene, 'role'> | undefined): boolean => scene?.role === 'icon';

/** What a scene is looked at on: an icon in its slots, anything else on screens. */
export const screensFor = (
  scene: Pick<Scene, 'role'> | undefined,
  project: Pick<Project, 'iconSets'>,
  screens: readonly Screen[],
): readonly Screen[] => (isIcon(scene) ? slotScreens(project) : screens);

const caseLists = new WeakMap<readonly Screen[], Case[]>();

/** All cases of the slots of a project; the same list for as long as it makes its icons for the same sets. */
export function slotCases(project: Pick<Project, 'iconSets'>): Case[] {
  const screens = slotScreens(project);
  const cases = caseLists.get(screens) ?? casesOf(screens, APPEARANCES);
  caseLists.set(screens, cases);
  return cases;
}

/** The cases on which a scene is judged: an icon in all of its slots, anything else where the project counts it. */
export const countedFor = (
  scene: Pick<Scene, 'role'> | undefined,
  project: Pick<Project, 'iconSets' | 'ratios'>,
  cases: readonly Case[],
): Case[] => (isIcon(scene) ? slotCases(project) : countedCases(cases, project.ratios));
