import type { Command, Drawing } from '@/render/drawing';
import { Problem } from '../problem';
import { DRAWING } from './limits';

/** How many layers a drawing has, those of its groups with them. */
const layersOf = (commands: readonly Command[]): number =>
  commands.reduce((n, c) => n + (c.kind === 'group' ? 1 + layersOf(c.commands) : 1), 0);

const pixelsOf = ({ size }: Drawing) => size.width * size.height;

/** How much there is to draw: layers × px. */
export const costOf = (drawing: Drawing): number => layersOf(drawing.commands) * pixelsOf(drawing);

/** In millions, without figures that nobody needs. */
const millions = (n: number) => Math.round(n / 1e6);

/** @param mostSide px @throws Problem 422 for a side out of range, or more layers × px than are drawn in one go */
export function refuseTooLarge(drawing: Drawing, mostSide: number): void {
  const { width, height } = drawing.size;
  if (Math.max(width, height) > mostSide || Math.min(width, height) < 1)
    throw new Problem(
      422,
      `A drawing of ${width} × ${height} px is out of range: 1 to ${mostSide} px a side.`,
    );
  const cost = costOf(drawing);
  if (cost > DRAWING.most)
    throw new Problem(
      422,
      `A drawing of ${width} × ${height} px with ${layersOf(drawing.commands)} layers is too much: ${millions(cost)} million layers × px, of which ${millions(DRAWING.most)} million are drawn. Ask for it at a smaller scale.`,
    );
}

/** How much there is to draw of a film: what its pictures show is drawn once, and laid over one another in each. */
export const costOfFilm = (drawings: readonly Drawing[]): number =>
  drawings.reduce((sum, d) => sum + pixelsOf(d) * (1 + d.commands.length / 10), 0);

/** @throws Problem 422 for more px than are drawn in one go */
export function refuseLongFilm(drawings: readonly Drawing[]): void {
  const cost = costOfFilm(drawings);
  if (cost > DRAWING.mostOfFilm)
    throw new Problem(
      422,
      `This film is too much: ${drawings.length} pictures with ${millions(cost)} million px, of which ${millions(DRAWING.mostOfFilm)} million are drawn. Ask for it at a smaller scale, or shorten its fades.`,
    );
}

/** The cost of what waits behind all others, as it takes long. */
export const LARGEST = DRAWING.large + 1;
