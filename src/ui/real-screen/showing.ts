import type { FileSize } from '@/core/pictures/previews';
import { framesOf, shownAt } from '@/core/launch/timeline';
import type { CaseResult } from '@/core/survey/survey';
import type { ShownPicture, Showing } from '@/formats/real-screen/shown';
import { hashesIn } from '@/render/drawing';
import { createFilm } from '@/render/film';
import type { Fonts } from '@/render/fonts';
import { drawingOf } from '@/render/painter';
import type { Film } from '../state/launched';

/** Pictures a second while something fades, on glass. */
const FADE_FPS = 50;

interface Drawn {
  name: string;
  fonts: Fonts | null;
  /** px of a file of the project */
  sizeOf: (hash: string) => FileSize | undefined;
}

const showing = ({ name, sizeOf }: Drawn, pictures: ShownPicture[]): Showing => {
  const hashes = new Set(pictures.flatMap((p) => hashesIn(p.drawing.commands)));
  const files = [...hashes].flatMap((hash) => {
    const size = sizeOf(hash);
    return size ? [{ hash, widthPx: size.widthPx, heightPx: size.heightPx }] : [];
  });
  return { name, files, pictures };
};

/** The glass is real there: its corners and cutouts are not drawn. */
const paintAs = (density: number, fonts: Fonts | null) => ({ scale: density, glass: false, fonts });

/** A scene on a real screen, px by px. @param density of the screen, px per lu */
export const stillOf = (result: CaseResult, density: number, by: Drawn): Showing =>
  showing(by, [{ ms: 0, drawing: drawingOf(result, paintAs(density, by.fonts)) }]);

/** A launch on a real screen, as the pictures that follow one another; `null` where nothing of it is drawn. */
export function filmOf({ c, stages, plain, timeline }: Film, by: Drawn): Showing | null {
  const frames = createFilm(
    stages.map((s) => s.result),
    paintAs(c.screen.density, by.fonts),
  );
  const pictures = framesOf(timeline, FADE_FPS).flatMap(({ t, ms }) => {
    const drawing = frames(shownAt(timeline, plain, t));
    return drawing ? [{ ms, drawing }] : [];
  });
  return pictures.length > 0 ? showing(by, pictures) : null;
}
