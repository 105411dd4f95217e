import type { Size } from '@/core/geometry/rect';
import type { ShownPicture, Showing } from '@/formats/real-screen/shown';
import { paintCanvas } from '@/render/canvas';
import { createPixelStore, type PixelStore } from '@/render/pixel-store';

/** Paints pictures on a canvas, as long as they are of the window that there is. */
function createPainter(canvas: HTMLCanvasElement, pixels: PixelStore) {
  const context = canvas.getContext('2d')!;
  let present: ShownPicture | null = null;
  let window: Size | null = null;
  const paint = () => {
    if (!present) return;
    const { size } = present.drawing;
    if (canvas.width !== size.width) canvas.width = size.width;
    if (canvas.height !== size.height) canvas.height = size.height;
    // Of another window, which it was drawn for before the screen was turned, it would be pulled out of shape.
    const isOfIt = !window || (size.width === window.width && size.height === window.height);
    canvas.style.visibility = isOfIt ? 'visible' : 'hidden';
    canvas.dataset.complete = String(paintCanvas(context, present.drawing, pixels.pixels));
  };
  pixels.subscribe(paint);
  return {
    /** @param px of the window that there is now */
    over(px: Size) {
      window = px;
      paint();
    },
    show(picture: ShownPicture) {
      if (picture === present) return;
      present = picture;
      paint();
    },
  };
}

/** Draws what is sent, from the files that belong to it. @param base address that files are asked for below */
export function createShow(canvas: HTMLCanvasElement, base: string) {
  let showing: Showing | null = null;
  let timer = 0;
  const pixels = createPixelStore(
    (hash) => showing?.files.find((f) => f.hash === hash),
    async (hash, widthPx) => {
      const response = await fetch(`${base}/files/${hash}/${widthPx}`);
      if (!response.ok) throw new Error(`A file at ${widthPx} px: ${response.status}`);
      return response.blob();
    },
  );
  const painter = createPainter(canvas, pixels);

  /** One picture after another, by when each begins, so that what is late is left out. */
  const run = (pictures: readonly ShownPicture[], from: number) => {
    const at = performance.now() - from;
    let end = 0;
    const now = pictures.find((p) => at < (end += p.ms)) ?? pictures.at(-1)!;
    painter.show(now);
    if (now !== pictures.at(-1)) timer = requestAnimationFrame(() => run(pictures, from));
  };
  const begin = () => {
    cancelAnimationFrame(timer);
    if (showing) run(showing.pictures, performance.now());
  };

  return {
    over: painter.over,
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
