import sharp from 'sharp';
import type { Command, Drawing } from '@/render/drawing';
import { keepFile } from '../importing/picture';
import { ownStore } from '../testing/store';
import { refuseTooLarge } from './cost';
import { drawn } from './drawn';

const store = ownStore();

/** A kilobyte that would be drawn for a minute, in gigabytes. */
const turbulence = (side: number) =>
  Buffer.from(
    `<svg xmlns="http://www.w3.org/2000/svg" width="${side}" height="${side}"><filter id="f" x="0" y="0" width="1" height="1">` +
      '<feTurbulence baseFrequency="0.01" numOctaves="40"/>'.repeat(12) +
      `</filter><rect width="${side}" height="${side}" filter="url(#f)"/></svg>`,
  );

const fill = (size: number): Command => ({
  kind: 'fill',
  rect: { x: 0, y: 0, width: size, height: size },
  radius: 0,
  ink: { kind: 'colour', colour: '#204060' },
  opacity: 1,
});
const drawing = (size: number, layers = 1): Drawing => ({
  size: { width: size, height: size },
  commands: Array.from({ length: layers }, () => fill(size)),
});
const paint = (of: Drawing, signal?: AbortSignal) =>
  drawn({ kind: 'paint', input: of, cost: 1, name: 'This case' }, { project: 'p', signal });

describe('a drawing that takes too much', () => {
  it('is ended and refused in words, leaves nothing behind, and hinders no other file', async () => {
    const slow = keepFile(turbulence(4000), 'slow.svg').catch((error: unknown) => error);
    const png = await sharp({ create: { width: 40, height: 40, channels: 3, background: '#f80' } })
      .png()
      .toBuffer();
    expect(await keepFile(png, 'small.png')).toMatchObject({ widthPx: 40 });
    const kept = store.files().length;
    const refused = await slow;
    expect(refused).toMatchObject({ status: 422 });
    expect(String(refused)).toMatch(/“slow\.svg” takes too (long|much memory).*Simplify its filters/);
    expect(store.files()).toHaveLength(kept);
  });

  it('is refused before it begins when it has too many layers for its size', () => {
    expect(() => refuseTooLarge(drawing(8192, 8), 8192)).toThrow(
      /8192 × 8192 px with 8 layers is too much.*smaller scale/,
    );
    expect(() => refuseTooLarge(drawing(9000), 8192)).toThrow(/out of range/);
    expect(() => refuseTooLarge(drawing(3000, 8), 8192)).not.toThrow();
  });
});

describe('a drawing that nobody waits for', () => {
  it('ends at once, and the next one is drawn', async () => {
    const leaving = new AbortController();
    const left = paint(drawing(6000, 6), leaving.signal).catch((error: unknown) => error);
    setTimeout(() => leaving.abort(), 50);
    expect(await left).toMatchObject({ status: 499 });
    const { width } = await sharp(await paint(drawing(20))).metadata();
    expect(width).toBe(20);
  });

  it('is not begun when its reader left before its turn', async () => {
    await expect(paint(drawing(20), AbortSignal.abort())).rejects.toMatchObject({ status: 499 });
  });
});

it('says what the input is to blame for in the words of whoever found it', async () => {
  await expect(
    keepFile(Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"><script/></svg>'), 'a.svg'),
  ).rejects.toThrow('“a.svg” is not taken: it holds the element script');
});
