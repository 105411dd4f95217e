import type { Raster } from '../pixels/raster';
import { hiddenBy } from './hidden';
import { locate } from './locate';

const SIZE = { width: 140, height: 160 };
type Colour = readonly [number, number, number];

interface Box {
  x: number;
  y: number;
  width: number;
  height: number;
}
const isIn = ({ x: left, y: top, width, height }: Box, x: number, y: number) =>
  x >= left && x < left + width && y >= top && y < top + height;

const painted = (paint: (x: number, y: number) => readonly number[]): Raster => {
  const data = new Uint8Array(SIZE.width * SIZE.height * 4).fill(255);
  for (let y = 0; y < SIZE.height; y++)
    for (let x = 0; x < SIZE.width; x++) data.set(paint(x, y), (y * SIZE.width + x) * 4);
  return { ...SIZE, data };
};

/** A night sky, a dark plate that is seen through a little, and a bright mark upon it that does not move with it. */
const sky = (x: number, y: number): Colour => [8 + y / 12, 20 + y / 8, 36 + y / 7 + 4 * Math.sin(x / 15)];
const PLATE: Box = { x: 35, y: 40, width: 70, height: 80 };
const MARK: Box = { x: 50, y: 55, width: 40, height: 40 };
const BRIGHT: Colour = [250, 240, 220];

const scene = (plate: Box | null) =>
  painted((x, y) => {
    if (isIn(MARK, x, y)) return BRIGHT;
    const under = sky(x, y);
    return plate && isIn(plate, x, y) ? under.map((v, c) => v * 0.15 + [6, 20, 27][c]! * 0.85) : under;
  });
const above = painted((x, y) => (isIn(MARK, x, y) ? [...BRIGHT, 255] : [0, 0, 0, 0]));
const nothing = new Uint8Array(SIZE.width * SIZE.height);

it('what lies under something opaque, or right beside it, is not looked at', () => {
  const hidden = hiddenBy(nothing, above);
  const at = (x: number, y: number) => hidden[y * SIZE.width + x];
  expect([at(50, 55), at(47, 55), at(46, 55), at(92, 94), at(93, 94)]).toEqual([1, 1, 0, 1, 0]);
  expect(hiddenBy(new Uint8Array(nothing).fill(1, 0, 1), above)[0]).toBe(1);
});

it.each([
  [-10, -9],
  [7, 0],
  [0, -6],
])('a plate that moved by %d, %d under a mark that stayed is found where it is', (x, y) => {
  const shot = scene({ ...PLATE, x: PLATE.x + x, y: PLATE.y + y });
  const found = locate(
    { whole: scene(PLATE), without: scene(null), shot, ignored: hiddenBy(nothing, above) },
    16,
  );
  if (found.state !== 'found') throw new Error(found.state);
  expect(Math.abs(found.at.x - x)).toBeLessThanOrEqual(0.5);
  expect(Math.abs(found.at.y - y)).toBeLessThanOrEqual(0.5);
});
