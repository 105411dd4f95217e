'use client';
import { createContext, useContext, useSyncExternalStore } from 'react';

export const SPEEDS = [
  { value: '1', label: 'real speed' },
  { value: '0.25', label: 'a quarter' },
  { value: '0.1', label: 'a tenth' },
] as const;

/** Where a film is, and how it goes on. */
export interface ClockState {
  playing: boolean;
  /** share of real speed */
  speed: number;
  loop: boolean;
}

/**
 * The time of a film, ms from the tap. What is drawn listens to every step of it, so that nothing else of the page is
 * made anew while it plays; the core itself knows no clock.
 */
export function createClock() {
  let state: ClockState = { playing: false, speed: 1, loop: false };
  let t = 0;
  let end = 1000;
  let from = { at: 0, t: 0 };
  let frame = 0;
  const drawn = new Set<(t: number) => void>();
  const watched = new Set<() => void>();
  const tell = () => watched.forEach((f) => f());
  const draw = () => drawn.forEach((f) => f(t));
  const set = (change: Partial<ClockState>) => {
    state = { ...state, ...change };
    from = { at: performance.now(), t };
    tell();
  };
  const step = () => {
    // Read when it is drawn: the time that the browser hands in may be of the frame before.
    const now = performance.now();
    t = from.t + (now - from.at) * state.speed;
    if (t >= end && state.loop) {
      t = 0;
      from = { at: now, t };
    }
    if (t >= end) t = end;
    draw();
    if (t >= end) set({ playing: false });
    else frame = requestAnimationFrame(step);
  };
  const pause = () => {
    cancelAnimationFrame(frame);
    set({ playing: false });
  };
  return {
    now: () => t,
    end: () => end,
    state: () => state,
    /** Hears of every new time, and of the present one at once. @returns a function that ends it */
    onTime(f: (t: number) => void) {
      drawn.add(f);
      f(t);
      return () => void drawn.delete(f);
    },
    subscribe(f: () => void) {
      watched.add(f);
      return () => void watched.delete(f);
    },
    set,
    seek(to: number) {
      t = Math.min(end, Math.max(0, to));
      from = { at: performance.now(), t };
      draw();
      tell();
    },
    setEnd(ms: number) {
      end = ms;
      if (t > end) t = end;
    },
    play() {
      if (t >= end) t = 0;
      cancelAnimationFrame(frame);
      set({ playing: true });
      frame = requestAnimationFrame(step);
    },
    pause,
  };
}
export type Clock = ReturnType<typeof createClock>;

const Context = createContext<Clock | null>(null);
export const ClockProvider = Context.Provider;

export function useClock(): Clock {
  const clock = useContext(Context);
  if (!clock) throw new Error('This part of the page needs a clock.');
  return clock;
}

export function useClockState(): ClockState {
  const clock = useClock();
  return useSyncExternalStore(clock.subscribe, clock.state, clock.state);
}
