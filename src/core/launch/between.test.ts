import fc from 'fast-check';
import { filePixelsOf } from '../pixels/file';
import type { Layer, PictureLayer, Scene } from '../scene/scene';
import { lu } from '../values/values';
import { surveyCase } from '../survey/survey';
import { edgesOf, inputOf, middleOf, pictureLayer, pictureOf, UPRIGHT } from '../testing/scenes';
import { barChanges, movedByBars, sayBarChange, sayMoved } from './bars';
import { handoverOf } from './handover';

const HASHES = { small: '1'.repeat(64), large: '2'.repeat(64), other: '3'.repeat(64) };

/** A drawing of `unit` × `unit` px in three by three squares, with room around it. */
function drawing(squares: string, unit: number, room: { left: number; top: number; right: number }) {
  const width = room.left + 3 * unit + room.right;
  const height = room.top + 3 * unit;
  const data = new Uint8ClampedArray(width * height * 4);
  for (let y = 0; y < 3 * unit; y++)
    for (let x = 0; x < 3 * unit; x++) {
      if (squares[Math.floor(y / unit) * 3 + Math.floor(x / unit)] !== 'x') continue;
      const at = ((y + room.top) * width + x + room.left) * 4;
      data.set([200, 60, 20, 255], at);
    }
  return {
    pixels: filePixelsOf({ width, height, data }),
    file: { widthPx: width, heightPx: height, density: 1 },
  };
}
/** A mark in two files of other sizes with other room around it, and another mark. */
const small = drawing('xx.x.xxxx', 20, { left: 0, top: 0, right: 0 });
const large = drawing('xx.x.xxxx', 50, { left: 150, top: 50, right: 0 });
const other = drawing('.x.xxx.x.', 20, { left: 0, top: 0, right: 0 });
const pixels = new Map([
  [HASHES.small, small.pixels],
  [HASHES.large, large.pixels],
  [HASHES.other, other.pixels],
]);
const pictures = [
  pictureOf('small', { ...small.file, hash: HASHES.small }),
  pictureOf('large', { ...large.file, hash: HASHES.large }),
  pictureOf('other', { ...other.file, hash: HASHES.other }),
];

const pinned = (picture: string, x: number, y: number, width: number, more: Partial<PictureLayer> = {}) =>
  pictureLayer(
    {
      x: {
        kind: 'start',
        edge: { region: 'screen', offset: lu(x) },
        extent: { kind: 'length', length: lu(width) },
      },
      y: { kind: 'start', edge: { region: 'screen', offset: lu(y) }, extent: { kind: 'from-ratio' } },
      ratio: { value: 'own', strict: true },
    },
    { id: picture, name: picture, picture, ...more },
  );
const seen = (layers: Layer[], more: Partial<Scene> = {}) =>
  surveyCase(inputOf(layers, pictures, more), UPRIGHT);

describe('two pictures of one content', () => {
  it('jump by their ink, whatever room is around it, and are named both', () => {
    // 60 px of ink at 100, and 150 px of 300 at 25 + 150 / 2: the same ink from 100 to 160, then from 100 to 175.
    const before = seen([pinned('small', 100, 200, 60)]);
    const after = seen([pinned('large', 25, 200, 150)]);
    const { jumps, appears, vanishes } = handoverOf(before, after, pixels, 0);
    expect([appears, vanishes]).toEqual([[], []]);
    expect(jumps).toHaveLength(1);
    expect(jumps[0]).toMatchObject({ name: 'large', wasName: 'small', pictureId: 'large' });
    expect(jumps[0]!.from).toMatchObject({ x: 100, y: 200, width: 60 });
    expect(jumps[0]!.to.x).toBeCloseTo(100, 6);
    expect(jumps[0]!.to.y).toBeCloseTo(225, 6);
    expect(jumps[0]!.to.width).toBeCloseTo(75, 6);
    expect(jumps[0]!.scale).toBeCloseTo(1.25, 6);
  });

  it('stand still where their ink does, wherever their files lie', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 200 }), fc.integer({ min: 20, max: 120 }), (x, width) => {
        const before = seen([pinned('small', x + width, 100, width)]);
        // Its ink is half as wide as its file, from the middle on, and 50 of 200 px from the top.
        const after = seen([pinned('large', x, 100 - width / 3, 2 * width)]);
        const [jump] = handoverOf(before, after, pixels, 0).jumps;
        expect(jump!.furthest).toBeLessThan(0.01);
      }),
      { numRuns: 40 },
    );
  });

  it('are told by what is drawn: another mark, another tint, or pixels that nobody knows come and go', () => {
    const before = seen([pinned('small', 100, 200, 60)]);
    const comes = (layer: PictureLayer, known: typeof pixels | null = pixels) =>
      handoverOf(before, seen([layer]), known, 0).appears;
    expect(comes(pinned('other', 100, 200, 60))).toEqual(['other']);
    expect(comes(pinned('large', 100, 200, 60, { tint: { light: '#0000ff' } }))).toEqual(['large']);
    expect(comes(pinned('large', 100, 200, 60, { tint: { light: '#c83c14' } }))).toEqual([]);
    expect(comes(pinned('large', 100, 200, 60), null)).toEqual(['large']);
  });

  it('that are there twice move the shorter way', () => {
    const before = seen([pinned('small', 0, 0, 60, { id: 'a' }), pinned('small', 200, 400, 60, { id: 'b' })]);
    const after = seen([pinned('small', 210, 400, 60, { id: 'c' })]);
    const { jumps } = handoverOf(before, after, pixels, 0);
    expect(jumps.map((j) => [j.layers.before, j.furthest])).toEqual([['b', 10]]);
  });
});

describe('a bar that comes or goes', () => {
  const bars = (status: boolean, title = 0): Pick<Scene, 'bars'> => ({
    bars: {
      status: { shown: status },
      title: { shown: title > 0, height: title },
      navigation: { shown: true, style: 'gesture' },
    },
  });
  const layers = [
    pictureLayer(
      {
        x: middleOf({ kind: 'length', length: lu(60) }),
        y: middleOf({ kind: 'length', length: lu(60) }, 'content'),
      },
      { id: 'mark', name: 'Mark', picture: 'small' },
    ),
    pictureLayer(
      { x: edgesOf('screen'), y: edgesOf('screen') },
      { id: 'still', name: 'Still', picture: 'small' },
    ),
  ];

  it('is told with how deep it is, and nothing is where the bars are alike', () => {
    const [with_, without] = [seen(layers, bars(true)), seen(layers, bars(false))];
    const { portrait } = UPRIGHT.screen.bars.status;
    expect(barChanges(with_, with_)).toEqual([]);
    expect(barChanges(without, with_)).toEqual([{ kind: 'status', before: 0, after: portrait }]);
    expect(barChanges(with_, without)).toEqual([{ kind: 'status', before: portrait, after: 0 }]);
    expect(sayBarChange(barChanges(without, with_)[0]!)).toBe(
      `the status bar appears and takes ${portrait} lu`,
    );
    const title = barChanges(with_, seen(layers, bars(true, 56)));
    expect(title).toEqual([{ kind: 'title', before: 0, after: 56 }]);
  });

  it('moves what is measured from it, by half of its depth in the middle, and nothing else', () => {
    const moved = movedByBars(seen(layers, bars(true)), seen(layers, bars(true, 56)));
    expect(moved.map((m) => m.name)).toEqual(['Mark']);
    expect(moved[0]).toMatchObject({ shift: { x: 0, y: 28 }, furthest: 28 });
    expect(sayMoved(moved[0]!)).toBe('Mark goes 28 lu down');
    expect(movedByBars(seen(layers, bars(true)), seen(layers, bars(true)))).toEqual([]);
  });
});
