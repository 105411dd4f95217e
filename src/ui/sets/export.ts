import { TABLE_TYPES, writeScreens, type TableType } from '@/formats/screens/write';
import type { Screen } from '@/core/screens/screen';
import { download } from '../parts/download';

/** Hands screens to the browser as a file. */
export const exportScreens = (screens: readonly Screen[], type: TableType): void =>
  download(`screens.${type}`, new Blob([writeScreens(screens, type)], { type: TABLE_TYPES[type] }));
