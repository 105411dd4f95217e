import { checkFolder, FOLDER_RULES, type FolderFile, type FolderRule } from './folder';
import type { OutFile } from './names';

const hash = (n: number) => n.toString(16).padStart(64, '0');
const side = (n: number) => 10 + (n % 40);

/** 40 files of a project, each with bytes and a size of its own. */
const wanted: OutFile[] = Array.from({ length: 40 }, (_, n) => ({
  path: `set/picture-${n}.png`,
  pictureId: `p${n}`,
  hash: hash(n),
  bytes: 1000 + n,
  about: `Picture ${n}`,
  widthPx: side(n),
  heightPx: side(n),
  vector: false,
  transparent: n % 2 === 0,
}));

const asWanted = (w: OutFile): FolderFile => ({
  path: w.path,
  hash: w.hash,
  bytes: w.bytes,
  type: 'png',
  widthPx: w.widthPx,
  heightPx: w.heightPx,
  transparent: w.transparent ?? false,
  profile: null,
});

/** What is done to the file of a number so that it breaks a rule. */
const FAULTS: Record<FolderRule, (f: FolderFile, n: number) => FolderFile[]> = {
  missing: () => [],
  'named-otherwise': (f) => [{ ...f, path: f.path.replace('picture', 'Picture') }],
  swapped: (f, n) => [{ ...f, hash: hash(n + 1) }],
  'wrong-size': (f) => [{ ...f, hash: hash(900), widthPx: f.widthPx + 1 }],
  'not-a-picture': (f) => [{ ...f, hash: hash(901), type: null }],
  'another-picture': (f) => [{ ...f, hash: hash(907), apart: 23.4 }],
  'wrong-type': (f) => [{ ...f, hash: hash(902), type: 'jpeg' }],
  alpha: (f) => [{ ...f, hash: hash(903), transparent: true }],
  profile: (f) => [{ ...f, hash: hash(904), profile: 'Wide' }],
  edited: (f) => [{ ...f, hash: hash(905), bytes: f.bytes + 5 }],
  'too-heavy': (f) => [{ ...f, bytes: 90_000 }],
  twice: (f) => [f, { ...f, path: 'copy.png' }],
  surplus: (f) => [f, { ...f, path: 'old/left-over.png', hash: hash(906) }],
};

describe('a folder of files', () => {
  it('has nothing wrong with it where it is what the project would write', () => {
    expect(checkFolder({ wanted, found: wanted.map(asWanted) })).toEqual([]);
  });

  it.each(FOLDER_RULES)('is told %s by itself, and nothing else of it', (rule) => {
    // An odd one, which is not see-through.
    const n = 7;
    const found = wanted.flatMap((w, i) => (i === n ? FAULTS[rule](asWanted(w), n) : [asWanted(w)]));
    const faults = checkFolder({ wanted, found, heaviest: 50_000 });
    expect(faults.map((f) => f.rule)).toEqual([rule]);
    expect(faults[0]!.said).not.toBe('');
    expect(faults[0]!.mend).not.toBe('');
  });

  it('is told all twelve at once, each where it is', () => {
    const at = new Map(FOLDER_RULES.map((rule, i) => [2 * i + 1, rule]));
    const found = wanted.flatMap((w, i) => {
      const rule = at.get(i);
      return rule ? FAULTS[rule](asWanted(w), i) : [asWanted(w)];
    });
    const rules = checkFolder({ wanted, found, heaviest: 50_000 }).map((f) => f.rule);
    expect(rules.toSorted()).toEqual([...FOLDER_RULES].toSorted());
  });

  it('is not told of files that a system leaves behind', () => {
    const left = { ...asWanted(wanted[0]!), path: '.index', hash: hash(999), type: null };
    const inside = { ...left, path: '.cache/picture.png' };
    expect(checkFolder({ wanted, found: [...wanted.map(asWanted), left, inside] })).toEqual([]);
  });
});
