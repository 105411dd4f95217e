import type { StageShown } from '@/core/launch/timeline';
import type { CaseResult } from '@/core/survey/survey';
import type { Command, Drawing, Group } from './drawing';
import { drawingOf, type PaintOptions } from './painter';

/** A stage of a film as it is drawn; `null` where nothing is. */
export type FilmStage = CaseResult | null;

/** Each stage as a drawing without the glass, which lies over the whole film; kept for as long as its stage is. */
interface Layered {
  size: Drawing['size'];
  own: Command[];
  glass: Command[];
}

function layered(result: CaseResult, options: PaintOptions): Layered {
  const { size, commands } = drawingOf(result, { ...options, glass: true });
  return {
    size,
    own: commands.filter((c) => c.kind !== 'glass'),
    glass: commands.filter((c) => c.kind === 'glass'),
  };
}

/**
 * Draws the frames of a film on one case: stages back to front, each as see-through as it is, its bars with it, and the
 * glass of the screen over all of them.
 */
export function createFilm(
  stages: readonly FilmStage[],
  options: PaintOptions,
): (shown: readonly StageShown[]) => Drawing | null {
  const drawn = stages.map((s) => s && layered(s, options));
  const [first] = drawn.filter((d) => d !== null);
  if (!first) return () => null;
  return (shown) => {
    const commands = shown.flatMap(({ index, opacity }): Command[] => {
      const own = drawn[index]?.own ?? [];
      const group: Group = { kind: 'group', clip: null, opacity, commands: own };
      return own.length > 0 ? [group] : [];
    });
    return { size: first.size, commands: [...commands, ...(options.glass ? first.glass : [])] };
  };
}
