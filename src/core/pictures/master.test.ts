import fc from 'fast-check';
import { checkFiles, unevenFiles } from '../files/check';
import { agree, madeFrom, masterIn, setsOf, withMaster } from './master';
import type { Picture, Rendition } from './picture';
import { besides, slotForAll, slotsOf, staying, toMake, withAllReplaced, withOneReplaced } from './replace';

let count = 0;
const file = (widthPx: number, density: number, more: Partial<Rendition> = {}): Rendition => ({
  hash: (++count).toString(16).padStart(64, '0'),
  widthPx,
  heightPx: widthPx,
  density,
  appearance: 'light',
  vector: false,
  ...more,
});
const pictureWith = (...renditions: Rendition[]): Picture => ({
  id: 'logo',
  name: 'logo',
  cuts: [{ cut: 'any', renditions, keepAreas: [], focalPoint: { x: 0.2, y: 0.8 } }],
});
const findings = (p: Picture) =>
  checkFiles({ pictures: [p], densities: [1, 2, 3], needed: new Map(), ink: new Map() }).map((f) => [
    f.rule,
    f.file.density,
  ]);

describe('the file that others are made from', () => {
  it('is one of those on which most agree, and not the largest of all', () => {
    const [one, two, three] = [file(150, 1), file(300, 2), file(440, 3)];
    expect(masterIn([one, two, three])).toEqual({ master: two, doubt: [] });
    expect(findings(pictureWith(one, two, three))).toEqual([['uneven', 3]]);
  });

  it('is, of as many that say one thing as another, one with a natural size of whole lu', () => {
    const [two, three] = [file(300, 2), file(440, 3)];
    expect(masterIn([two, three])).toEqual({ master: two, doubt: [] });
    expect(findings(pictureWith(two, three))).toContainEqual(['uneven', 3]);
  });

  it('is asked for where nothing tells, until somebody names it', () => {
    const [two, three] = [file(300, 2), file(480, 3)];
    const picture = pictureWith(two, three);
    expect(masterIn([two, three]).doubt).toEqual([three, two]);
    expect(unevenFiles([picture])[0]!.said).toBe(
      'The files do not go together: the 3x file has 480 × 480 px, the 2x file has 300 × 300 px. Say which of them is right.',
    );
    const [set] = setsOf(picture);
    const named = withMaster(picture, set!, 2);
    expect(findings(named)).toContainEqual(['uneven', 3]);
    expect(findings(withMaster(named, set!, 3))).toContainEqual(['uneven', 2]);
    expect(findings(named).flat()).not.toContain('undecided');
  });

  it('is not outvoted by what was made from it', () => {
    const master = file(450, 3);
    const made = [1, 2].map((d) => file(150 * d, d, { madeFrom: master.hash }));
    expect(masterIn([...made, master]).master).toBe(master);
    // Two of another size were made from a file that has been replaced since: they count by themselves again.
    const other = file(600, 3);
    expect(masterIn([...made, other]).master).toBe(made[1]);
  });

  it('agrees with all that are made from it, whatever its size, so that nothing is uneven', () => {
    const densities = fc.uniqueArray(fc.constantFrom(0.75, 1, 1.5, 2, 3, 4), { minLength: 1 });
    fc.assert(
      fc.property(
        fc.integer({ min: 40, max: 5000 }),
        fc.integer({ min: 40, max: 5000 }),
        densities,
        (w, h, all) => {
          const top = Math.max(...all);
          const master = file(w, top, { heightPx: h });
          const set = all.map((d) => (d === top ? master : file(1, d, madeFrom(master, d))));
          expect(set.every((r) => agree(r, master))).toBe(true);
          expect(unevenFiles([pictureWith(...set)])).toEqual([]);
        },
      ),
    );
  });

  it('leaves vectors out', () => {
    const vector = file(40, 1, { vector: true });
    expect(masterIn([vector])).toEqual({ master: null, doubt: [] });
    const two = file(300, 2);
    expect(masterIn([vector, two]).master).toBe(two);
  });
});

describe('a new file for a picture', () => {
  const [one, two, three, dark] = [
    file(100, 1),
    file(200, 2),
    file(300, 3),
    file(300, 3, { appearance: 'dark' }),
  ];
  const picture = pictureWith(one, two, three, dark);
  const slot = slotsOf(picture).find((s) => s.file === two)!;
  const next = { hash: 'f'.repeat(64), widthPx: 600, heightPx: 300, vector: false };

  it('takes the place of all densities for the same cut and appearance, which are made from it', () => {
    expect(besides(picture, slot)).toEqual([one, three]);
    expect(slotForAll(picture, slot).density).toBe(3);
    const asked = toMake(picture, slot, next);
    expect(asked).toEqual([
      { density: 1, widthPx: 200, heightPx: 100 },
      { density: 2, widthPx: 400, heightPx: 200 },
    ]);
    const made = asked.map(({ density, ...px }) => ({
      density,
      file: { ...next, hash: `${density}`.repeat(64), ...px },
    }));
    const after = withAllReplaced(picture, slot, next, made);
    expect(slotsOf(after).map((s) => [s.appearance, s.density, s.file.widthPx])).toEqual([
      ['light', 1, 200],
      ['light', 2, 400],
      ['light', 3, 600],
      ['dark', 3, 300],
    ]);
    expect(staying(picture, after).map((s) => s.appearance)).toEqual(['dark']);
    expect(after.cuts[0]!.focalPoint).toEqual(picture.cuts[0]!.focalPoint);
    expect(unevenFiles([after])).toEqual([]);
    expect(after.cuts[0]!.renditions.filter((r) => r.madeFrom === next.hash)).toHaveLength(2);
  });

  it('takes the place of one alone, and what stays is said', () => {
    const after = withOneReplaced(picture, slot, next);
    expect(slotsOf(after).map((s) => s.file.widthPx)).toEqual([100, 600, 300, 300]);
    expect(staying(picture, after)).toHaveLength(3);
  });

  it('that is a vector fits every density by itself', () => {
    const vector = { ...next, vector: true };
    expect(toMake(picture, slot, vector)).toEqual([]);
    const after = withAllReplaced(picture, slot, vector, []);
    expect(slotsOf(after).map((s) => [s.appearance, s.vector])).toEqual([
      ['light', true],
      ['dark', false],
    ]);
  });

  it('changes nothing of other cuts', () => {
    const wide = { ...picture.cuts[0]!, cut: 'landscape' as const };
    const both = { ...picture, cuts: [...picture.cuts, wide] };
    expect(withAllReplaced(both, slot, next, []).cuts[1]).toEqual(wide);
  });
});
