import type { KeptFile } from '@/core/pictures/kept-file';
import type { DerivationAsked } from '@/core/pictures/derive';
import { withFilesMade } from './make-files';

const stands = (n: number) => String(n).padStart(64, '0');
const from: Extract<DerivationAsked, { make: 'room' }> = {
  make: 'room',
  hash: 'a'.repeat(64),
  widthPx: 10,
  heightPx: 20,
  left: 1,
  right: 2,
  top: 3,
  bottom: 4,
};
const kept = (hash: string): KeptFile => ({
  hash,
  type: 'png',
  widthPx: 13,
  heightPx: 27,
  vector: false,
  bytes: 99,
  transparent: true,
  turned: false,
  pictures: 1,
  profile: null,
});

describe('files that a mend needs', () => {
  it('are made one after another, and take the place of what stood for them, wherever that is', async () => {
    const asked: [string, DerivationAsked][] = [];
    const make = (id: string, one: DerivationAsked) => {
      asked.push([id, one]);
      return Promise.resolve(kept(`${asked.length}`.repeat(64)));
    };
    const rendition = (n: number) => ({
      hash: stands(n),
      widthPx: 1,
      heightPx: 1,
      density: n,
      appearance: 'light',
    });
    const patch = [
      {
        op: 'add' as const,
        path: '/project/pictures/-',
        value: { cuts: [{ renditions: [rendition(1), rendition(2)] }] },
      },
      { op: 'replace' as const, path: '/scenes/a/layers/0/picture', value: 'new' },
    ];
    const done = await withFilesMade(
      'p',
      patch,
      [
        { stands: stands(1), from },
        { stands: stands(2), from: { ...from, left: 9 } },
      ],
      make,
    );
    expect(asked.map(([id, one]) => [id, one.make === 'room' && one.left])).toEqual([
      ['p', 1],
      ['p', 9],
    ]);
    expect(done[0]).toMatchObject({
      path: '/project/pictures/-',
      value: {
        cuts: [
          {
            renditions: [
              { hash: '1'.repeat(64), widthPx: 13, heightPx: 27, density: 1, appearance: 'light', bytes: 99 },
              { hash: '2'.repeat(64), density: 2 },
            ],
          },
        ],
      },
    });
    expect(done[1]).toEqual(patch[1]);
  });

  it('that cannot be made leave nothing half done', async () => {
    const refuse = () => Promise.reject(new Error('These are too many px.'));
    await expect(withFilesMade('p', [], [{ stands: stands(1), from }], refuse)).rejects.toThrow(
      'too many px',
    );
  });
});
