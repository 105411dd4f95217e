import { writeScreens } from '@/formats/screens/write';
import type { Screen } from '@/core/screens/screen';
import { download } from '../parts/download';

/** Hands screens to the browser as a file. */
export const exportScreens = (screens: readonly Screen[]): void =>
  download('screens.csv', new Blob([writeScreens(screens)], { type: 'text/csv;charset=utf-8' }));
