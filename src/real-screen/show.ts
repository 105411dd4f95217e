import type { Size } from '@/core/geometry/rect';
import type { ShownPicture, Showing } from '@/formats/real-screen/shown';
import { paintCanvas } from '@/render/canvas';
import { createPixelStore } from '@/render/pixel-store';

/** Draws what is sent, from the files that belong to it. @param base address that files are asked for below */
export function createShow(canvas: HTMLCanvasElement, base: string) {
  const context = canvas.getContext('2d')!;
  let showing: Showing | null = null;
  let timer = 0;
  let present: ShownPicture | null = null;
  let window: Size | null = null;

  const store = createPixelStore(
    (hash) => showing?.files.find((f) => f.hash === hash),
    async (hash, widthPx) => {
      const response = await fetch(`${base}/files/${hash}/${widthPx}`);
      if (!response.ok) throw new Error(`A file at ${widthPx} px: ${response.status}`);
      return response.blob();
    },
  );

  const paint = () => {
    if (!present) return;
    const { size } = present.drawing;
    if (canvas.width !== size.width) canvas.width = size.width;
    if (canvas.height !== size.height) canvas.height = size.height;
    // Of another window, which it was drawn for before the screen was turned, it would be pulled out of shape.
    const isOfIt = !window || (size.width === window.width && size.height === window.height);
    canvas.style.visibility = isOfIt ? 'visible' : 'hidden';
    canvas.dataset.complete = String(paintCanvas(context, present.drawing, store.pixels));
  };
  store.subscribe(paint);

  /** One picture after another, by when each begins, so that what is late is left out. */
  const run = (of: Showing, from: number) => {
    const step = () => {
      const at = performance.now() - from;
      let end = 0;
      const now = of.pictures.find((p) => at < (end += p.ms)) ?? of.pictures.at(-1)!;
      if (now !== present) {
        present = now;
        paint();
      }
      if (now === of.pictures.at(-1)) return;
      timer = requestAnimationFrame(step);
    };
    step();
  };

  const begin = () => {
    cancelAnimationFrame(timer);
    present = null;
    if (showing) run(showing, performance.now());
  };

  return {
    /** Says which window there is now. @param px of it */
    over(px: Size) {
      window = px;
      paint();
    },
    /** Takes what is sent in place of what was shown. */
    take(next: Showing) {
      showing = next;
      begin();
    },
    /** A film from its start. */
    again: begin,
    isFilm: () => (showing?.pictures.length ?? 0) > 1,
    name: () => showing?.name ?? null,
  };
}
