import { naturalSize } from '@/core/screens/turn';
import { kindWord } from '@/core/screens/words';
import { sayDensity, saySize } from '@/core/words/numbers';
import { open, targetOf, type ProjectAsked } from './asked';
import { write, type Io } from './check';
import { columns } from './columns';

export interface ScreensAsked extends ProjectAsked {
  as?: 'json';
  out?: string;
}

/** Lists the screens of a project, or of one of its sets. */
export async function screens(asked: ScreensAsked, io: Io): Promise<void> {
  const opened = await open(asked);
  try {
    const { screens: list } = targetOf(opened, asked.target);
    const rows = list.map((s) => [
      s.id,
      kindWord(s.kind),
      saySize(naturalSize(s)),
      `${sayDensity(s.density)}×`,
      s.family,
    ]);
    const text =
      asked.as === 'json'
        ? `${JSON.stringify(list, null, 1)}\n`
        : `${columns([['screen', 'kind', 'lu', 'density', 'family'], ...rows]).join('\n')}\n`;
    write(text, asked, io);
  } finally {
    opened.close();
  }
}
