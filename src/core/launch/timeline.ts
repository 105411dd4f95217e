import { easingOf } from '../project/easing';
import type { Launch, ScreenStage, Stage } from '../project/launch';
import { endOf, stayOf } from './stay';

/** A cold start has everything to load; in a warm one the app was still in memory. */
export const STARTS = ['cold', 'warm'] as const;
export type Start = (typeof STARTS)[number];

/** When one stage is on the screen, ms from the tap. */
export interface StageSpan {
  index: number;
  start: number;
  /** Infinity of the last stage, which stays */
  end: number;
  /** how long it takes to come in; 0 at once */
  fadeMs: number;
}

export interface Timeline {
  spans: StageSpan[];
  /** when the last stage is wholly there */
  readyMs: number;
}

type Entering = Pick<Stage, 'system' | 'enter' | 'durationMs'>;

/** How long a stage takes to come in, ms. Only the app can fade; a window of the system is there at once. */
export const fadeOf = ({ system, enter, durationMs }: Entering): number =>
  system === 'app' && enter === 'fade' ? durationMs : 0;

export const timesOf = (launch: Launch, start: Start) => (start === 'cold' ? launch : launch.warm);

/** The stages one after another, each until `stayOf` says that it goes. */
export function timelineOf(launch: Launch, stages: readonly ScreenStage[], start: Start = 'cold'): Timeline {
  const times = timesOf(launch, start);
  const spans: StageSpan[] = [];
  let from = 0;
  for (const [index, stage] of stages.entries()) {
    const fadeMs = fadeOf(stage);
    const end = endOf(stayOf(stages, index, times), from, fadeMs);
    spans.push({ index, start: from, end, fadeMs });
    from = end;
  }
  const { start: at, fadeMs } = spans.at(-1)!;
  return { spans, readyMs: at + fadeMs };
}

/** A stage and how much of it is there, 0..1. */
export interface StageShown {
  index: number;
  opacity: number;
}

/** How far a stage has come in at a time; 1 from the end of its fade on. */
function opacityAt({ start, fadeMs }: StageSpan, { easing }: Stage, t: number): number {
  if (t - start >= fadeMs) return 1;
  return Math.min(1, Math.max(0, easingOf(easing)!((t - start) / fadeMs)));
}

/**
 * What is on the screen at a time: stages back to front. While one comes in, the one before it is seen through it as
 * it was at its end. A time before the tap counts as the tap.
 */
export function shownAt({ spans }: Timeline, stages: readonly ScreenStage[], t: number): StageShown[] {
  const at = Math.max(0, t);
  const found = spans.findLastIndex((s) => at >= s.start && s.end > s.start);
  const list: StageShown[] = [];
  let when = at;
  for (let i = Math.max(0, found); i >= 0; i--) {
    const span = spans[i]!;
    if (span.end <= span.start) continue;
    const opacity = opacityAt(span, stages[i]!, when);
    list.unshift({ index: i, opacity });
    if (opacity === 1) break;
    when = span.start;
  }
  return list.filter((s) => s.opacity > 0);
}

/**
 * Moments at which something changes or is worth a look: where each stage begins, the middle and the end of each fade,
 * and the moment before a stage goes. Where one fades in, its beginning looks like the moment before.
 */
export function momentsOf({ spans, readyMs }: Timeline): number[] {
  const times = spans.flatMap(({ index, start, end, fadeMs }) => [
    ...(fadeMs > 0 && index > 0 ? [] : [start]),
    ...(fadeMs > 0 ? [start + fadeMs / 2, start + fadeMs].filter((t) => t <= end) : []),
    ...(Number.isFinite(end) && end - start > fadeMs + 80 ? [end - 1] : []),
  ]);
  return [...new Set([...times, readyMs].map((t) => Math.round(t)))].toSorted((a, b) => a - b);
}

/** One picture of a film and how long it stands, ms. */
export interface FilmFrame {
  t: number;
  ms: number;
}

/** What stands at the end of a film, so that its last picture can be seen. */
const END_MS = 1000;

/**
 * The pictures of a film: one for every stretch in which nothing changes, and evenly many while something fades.
 * @param fps pictures a second within a fade
 */
export function framesOf({ spans, readyMs }: Timeline, fps = 25): FilmFrame[] {
  const step = 1000 / fps;
  const times = spans.flatMap(({ start, end, fadeMs }) => {
    if (end <= start) return [];
    const faded = Math.min(fadeMs, end - start);
    const count = Math.floor(faded / step + 1e-9);
    const within = Array.from({ length: count }, (_, i) => start + i * step);
    return faded > 0 && count * step < faded - 1e-9
      ? [...within, start + count * step, ...(faded < end - start ? [start + faded] : [])]
      : [...within, ...(faded < end - start ? [start + faded] : [])];
  });
  return times.map((t, i) => ({ t, ms: (times[i + 1] ?? Math.max(readyMs, t) + END_MS) - t }));
}
