import { waitingStage, type Stage } from '../project/launch';

/** What ends a stage; every sentence, sheet and timeline of a launch says and plays this and nothing else. */
export interface Stay {
  /** the first: it goes when the app answers, ms from the tap */
  answersMs: number | null;
  /** how long it is held at least after its fade, ms; `null` where its hold means nothing, as in a first stage that does not wait */
  holdMs: number | null;
  /** it waits until everything is loaded, ms from the tap */
  loadedMs: number | null;
  /** the last one stays for good */
  isLast: boolean;
}

/** Times of a launch after one kind of start, ms from the tap. */
export interface Times {
  systemMs: number;
  loadingMs: number;
}

/**
 * What ends a stage. The first one goes when the app answers; the one that waits for the loading, the one before the last
 * unless another says so, goes once its fade and its hold are over and everything is loaded; if they are the same one, the
 * latest of these counts. Every other one lasts for its fade and its hold.
 */
export function stayOf(
  stages: readonly Pick<Stage, 'holdMs' | 'waits'>[],
  index: number,
  times: Times,
): Stay {
  const isLast = index === stages.length - 1;
  const waits = !isLast && index === waitingStage(stages);
  const isFirst = index === 0;
  return {
    answersMs: isFirst && !isLast ? times.systemMs : null,
    holdMs: isLast || (isFirst && !waits) ? null : stages[index]!.holdMs,
    loadedMs: waits ? times.loadingMs : null,
    isLast,
  };
}

/** When a stage goes, ms from the tap; Infinity of the last one. @param start when it comes, ms from the tap */
export function endOf({ answersMs, holdMs, loadedMs, isLast }: Stay, start: number, fadeMs: number): number {
  if (isLast) return Infinity;
  return Math.max(answersMs ?? 0, loadedMs ?? 0, holdMs === null ? start : start + fadeMs + holdMs);
}
