'use client';
import { useLayoutEffect, useMemo, useRef } from 'react';
import { shownAt } from '@/core/launch/timeline';
import { paintCanvas } from '@/render/canvas';
import { createFilm } from '@/render/film';
import { usePixels } from '../drawing/CaseCanvas';
import { useWorkbench } from '../state/context';
import { useClock } from './clock';
import type { Film } from '../state/launched';

interface Props {
  film: Film;
  /** CSS px per lu */
  scale: number;
  /** ms from the tap; the clock’s when absent */
  at?: number;
}

/** A launch on one case at a time; while the clock runs it is painted anew whenever something else is to be seen. */
export function FilmCanvas({ film, scale, at }: Props) {
  const ref = useRef<HTMLCanvasElement>(null);
  const clock = useClock();
  const store = usePixels();
  const version = store.version();
  const fonts = useWorkbench((s) => s.fonts);
  const { c, stages, plain, timeline } = film;
  const frames = useMemo(
    () =>
      createFilm(
        stages.map((s) => s.result),
        { scale: scale * window.devicePixelRatio, glass: true, fonts },
      ),
    [stages, scale, fonts],
  );
  const size = stages.find((s) => s.result)?.result?.regions.screen;
  const radius = c.screen.cornerRadius * scale;

  useLayoutEffect(() => {
    const canvas = ref.current;
    const context = canvas?.getContext('2d');
    if (!canvas || !context) return;
    let last: string | null = null;
    const draw = (t: number) => {
      const shown = shownAt(timeline, plain, t);
      const key = shown.map((s) => `${s.index} ${s.opacity}`).join();
      if (key === last) return;
      last = key;
      const drawing = frames(shown);
      if (!drawing) return;
      if (canvas.width !== drawing.size.width) canvas.width = drawing.size.width;
      if (canvas.height !== drawing.size.height) canvas.height = drawing.size.height;
      canvas.dataset.complete = String(paintCanvas(context, drawing, store.pixels));
      canvas.dataset.shown = key;
    };
    if (at === undefined) return clock.onTime(draw);
    draw(at);
    return undefined;
  }, [frames, timeline, plain, clock, store, version, at]);

  if (!size) return null;
  return (
    <span className="glass film-glass" style={{ borderRadius: radius }} aria-hidden="true">
      <canvas
        ref={ref}
        data-scale={scale}
        style={{ width: size.width * scale, height: size.height * scale, borderRadius: radius }}
      />
    </span>
  );
}
