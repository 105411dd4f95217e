/** An SVG as PNG, at its own size. @throws where the browser cannot draw so large a picture */
export async function pngOf(svg: string): Promise<Blob> {
  const address = URL.createObjectURL(new Blob([svg], { type: 'image/svg+xml' }));
  try {
    const image = new Image();
    image.src = address;
    await image.decode();
    const canvas = new OffscreenCanvas(image.naturalWidth, image.naturalHeight);
    const surface = canvas.getContext('2d');
    if (!surface) throw new Error('There is no room for a picture of this size. Choose fewer px per lu.');
    surface.drawImage(image, 0, 0);
    return await canvas.convertToBlob({ type: 'image/png' });
  } finally {
    URL.revokeObjectURL(address);
  }
}
