import type { Project } from '../project/project';
import { caseId } from '../screens/cases';
import { APPEARANCES, type Appearance } from '../values/values';
import type { Size } from '../geometry/rect';
import type { IconVersion } from '../screens/screen';
import { pxOfSlot, slotId, slotName, slotSetsOf } from './slots';

/** One file of an icon: what it shows, and in which slot. */
export interface IconFile {
  /** with a folder for each set of slots */
  path: string;
  /** of the slot, as the icon is looked at in it */
  caseId: string;
  version: IconVersion;
  appearance: Appearance;
  px: Size;
  /** whether it may not be see-through */
  opaque: boolean;
}

const VERSION_ENDINGS: Record<IconVersion, string> = {
  whole: '',
  glyph: '-glyph',
  plate: '-plate',
  'one-colour': '-one-colour',
};

/** Every file of an icon in the slots of a project; a shape in one colour looks alike in the dark. */
export function iconFiles(project: Pick<Project, 'iconSets'>): IconFile[] {
  return slotSetsOf(project).flatMap((set) =>
    set.slots.flatMap((slot) =>
      set.versions.flatMap((version) =>
        APPEARANCES.filter((a) => a === 'light' || version !== 'one-colour').map((appearance) => ({
          path: `${set.id}/${slotName(slot)}${VERSION_ENDINGS[version]}${appearance === 'dark' ? '-dark' : ''}.png`,
          caseId: caseId(slotId(set, slot), 0, appearance),
          version,
          appearance,
          px: pxOfSlot(slot),
          opaque: set.opaque && version !== 'one-colour',
        })),
      ),
    ),
  );
}
