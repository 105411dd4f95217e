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
export class Clock {
  private current: ClockState = { playing: false, speed: 1, loop: false };
  private t = 0;
  private last = 1000;
  private from = { at: 0, t: 0 };
  private frame = 0;
  private readonly drawn = new Set<(t: number) => void>();
  private readonly watched = new Set<() => void>();

  now(): number {
    return this.t;
  }

  /** Hears of every new time, and of the present one at once. @returns a function that ends it */
  onTime(f: (t: number) => void): () => void {
    this.drawn.add(f);
    f(this.t);
    return () => void this.drawn.delete(f);
  }

  // Handed on by themselves.
  readonly state = (): ClockState => this.current;
  readonly subscribe = (f: () => void) => {
    this.watched.add(f);
    return () => void this.watched.delete(f);
  };

  set(change: Partial<ClockState>): void {
    this.current = { ...this.current, ...change };
    this.from = { at: performance.now(), t: this.t };
    this.tell();
  }

  seek(to: number): void {
    this.t = Math.min(this.last, Math.max(0, to));
    this.from = { at: performance.now(), t: this.t };
    this.draw();
    this.tell();
  }

  setEnd(ms: number): void {
    this.last = ms;
    if (this.t > ms) this.t = ms;
  }

  play(): void {
    if (this.t >= this.last) this.t = 0;
    cancelAnimationFrame(this.frame);
    this.set({ playing: true });
    this.frame = requestAnimationFrame(this.step);
  }

  pause(): void {
    cancelAnimationFrame(this.frame);
    this.set({ playing: false });
  }

  private tell(): void {
    for (const f of this.watched) f();
  }

  private draw(): void {
    for (const f of this.drawn) f(this.t);
  }

  private readonly step = (): void => {
    // Read when it is drawn: the time that the browser hands in may be of the frame before.
    const now = performance.now();
    this.t = this.from.t + (now - this.from.at) * this.current.speed;
    if (this.t >= this.last && this.current.loop) {
      this.t = 0;
      this.from = { at: now, t: 0 };
    }
    if (this.t >= this.last) this.t = this.last;
    this.draw();
    if (this.t >= this.last) this.set({ playing: false });
    else this.frame = requestAnimationFrame(this.step);
  };
}

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
