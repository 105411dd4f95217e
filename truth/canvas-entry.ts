import { paintCanvas } from '../src/render/canvas';
import type { Drawing } from '../src/render/drawing';

/** Paints a drawing as the product’s page does. @param files addresses of pictures, by hash @returns a PNG as an address */
async function paint(drawing: Drawing, files: Record<string, string>): Promise<string> {
  const bitmaps = new Map(
    await Promise.all(
      Object.entries(files).map(
        async ([hash, address]) =>
          [hash, await createImageBitmap(await (await fetch(address)).blob())] as const,
      ),
    ),
  );
  const canvas = new OffscreenCanvas(drawing.size.width, drawing.size.height);
  paintCanvas(canvas.getContext('2d')!, drawing, (hash) => bitmaps.get(hash) ?? null);
  const blob = await canvas.convertToBlob({ type: 'image/png' });
  return new Promise((resolve) => {
    const reader = new FileReader();
    reader.onload = () => resolve(reader.result as string);
    reader.readAsDataURL(blob);
  });
}

Object.assign(globalThis, { paintDrawing: paint });
