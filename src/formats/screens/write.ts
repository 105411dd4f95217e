import Papa from 'papaparse';
import type { Screen } from '@/core/screens/screen';

const COLUMNS: readonly (readonly [string, (s: Screen) => string | number])[] = [
  ['name', (s) => s.label],
  ['width', (s) => s.framebufferPx.width],
  ['height', (s) => s.framebufferPx.height],
  ['px per lu', (s) => s.density],
  ['weight', (s) => s.weight],
  ['top', (s) => s.insets[0].top],
  ['right', (s) => s.insets[0].right],
  ['bottom', (s) => s.insets[0].bottom],
  ['left', (s) => s.insets[0].left],
  ['kind', (s) => s.kind],
  ['from', (s) => s.origin],
  ['id', (s) => s.id],
];

/** Screens as CSV, sizes in device px, as they can be read again. */
export const writeScreens = (screens: readonly Screen[]): string =>
  Papa.unparse({
    fields: COLUMNS.map(([name]) => name),
    data: screens.map((s) => COLUMNS.map(([, of]) => of(s))),
  });
