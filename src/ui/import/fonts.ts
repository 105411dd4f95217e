import { stepOf } from '@/core/steps/commands';
import type { ProjectFont } from '@/core/text/style';
import { uploadFont, type Sending } from '../api';
import { edit } from '../state/edit';
import type { WorkbenchStore } from '../state/workbench';

export const FONT_ACCEPT = '.ttf,.otf,.woff,.woff2,font/ttf,font/otf,font/woff,font/woff2';

/** Whether a file is to be taken in as a font; whether it is one the server says. */
export const isFont = ({ name, type }: Pick<File, 'name' | 'type'>): boolean =>
  type.startsWith('font/') || /\.(ttf|otf|woff2?)$/i.test(name);

/** “Latin and Arabic” */
export function sayScripts({ scripts }: ProjectFont): string {
  if (scripts.length === 0) return 'signs only';
  const last = scripts.at(-1)!;
  return scripts.length > 1 ? `${scripts.slice(0, -1).join(', ')} and ${last}` : last;
}

/** Takes a font into the project; one that it has stays as it is. @throws RequestProblem; an AbortError when cancelled */
export async function importFont(store: WorkbenchStore, file: File, sending: Sending): Promise<ProjectFont> {
  const font = await uploadFont(store.getState().documents.project.id, file, sending);
  edit(store, stepOf('font.take-in', font.name), ({ project }) => {
    const fonts = (project.fonts ??= []);
    if (!fonts.some((f) => f.hash === font.hash)) fonts.push(font);
  });
  return font;
}
