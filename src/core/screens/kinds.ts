import { SLOT_KIND, type Screen } from './screen';

interface KindGroup {
  id: string;
  label: string;
  kinds: readonly Screen['kind'][];
}

/** Kinds that people look at together, in the order in which they look. Every kind is in one group. */
export const KIND_GROUPS = [
  {
    id: 'phones',
    label: 'Phones',
    kinds: ['compact-phone', 'phone', 'large-phone', 'foldable-cover'],
  },
  { id: 'foldables', label: 'Unfolded', kinds: ['foldable-inner'] },
  { id: 'tablets', label: 'Tablets', kinds: ['tablet'] },
  { id: 'windows', label: 'Split and desktop windows', kinds: ['split-window', 'desktop-window'] },
  { id: 'television', label: 'Television and car', kinds: ['tv'] },
  { id: 'icons', label: 'Slots of icons', kinds: [SLOT_KIND] },
] as const satisfies readonly KindGroup[];

/** Those of what somebody holds or sits before. */
export const SCREEN_GROUPS = KIND_GROUPS.filter((g) => g.id !== 'icons');

export const kindGroupOf = (screen: Screen) =>
  KIND_GROUPS.find((g) => (g.kinds as readonly string[]).includes(screen.kind))!;
