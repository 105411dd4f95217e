import fc from 'fast-check';
import { demo, madeUpPixels } from '../../../demo/testing';
import { runThrough } from '../findings/trying';
import { applyPatch } from '../patch/patch';
import { SCREENS } from '../testing/scenes';
import { halfWide } from '../testing/fonts';
import { review } from './review';
import { openSignOff, sealed, SignOffFault } from './sign-off';
import { PRODUCT_VERSION } from './version';

const screens = SCREENS.filter((_, i) => i % 40 === 0);
const judged = runThrough(
  review({
    documents: demo,
    revision: 4,
    digest: 'd'.repeat(64),
    screens,
    outside: { fonts: halfWide, pixels: madeUpPixels() },
    ink: new Map(),
  }),
);
const frozen = {
  id: '0b7b5f2e-6a51-4c1e-9a63-0c1f2d3e4f50',
  by: 'Ines',
  why: 'Shown to the harbour office',
  revision: 4,
  version: PRODUCT_VERSION,
  at: '2026-11-02T09:00:00.000Z',
  documents: demo,
  screens,
  review: judged,
};

/** Every place of a JSON value that is neither a list nor an object, as a pointer. */
function leaves(value: unknown, at = ''): string[] {
  if (typeof value !== 'object' || value === null) return [at];
  return Object.entries(value).flatMap(([key, v]) =>
    leaves(v, `${at}/${key.replaceAll('~', '~0').replaceAll('/', '~1')}`),
  );
}

function fault(text: string): unknown {
  try {
    openSignOff(text);
    return null;
  } catch (error) {
    return error;
  }
}

describe('a sign-off', () => {
  it('comes back as it was signed, and the same is sealed alike', () => {
    const text = sealed(frozen);
    const { digest, ...read } = openSignOff(text);
    expect(read).toEqual(JSON.parse(JSON.stringify(frozen)));
    expect(digest).toMatch(/^[0-9a-f]{64}$/);
    expect(sealed({ ...frozen, documents: structuredClone(demo) })).toBe(text);
    const other = openSignOff(sealed({ ...frozen, by: 'Ina' }));
    expect(other.digest).not.toBe(digest);
  });

  it('names the part that was changed, whichever it is', () => {
    const text = sealed(frozen);
    const json = JSON.parse(text) as Record<string, unknown>;
    const all = leaves(json).filter((at) => at !== '/schema');
    const named: [RegExp, RegExp][] = [
      [/^\/documents\/project/, /the project/],
      [/^\/documents\/scenes\/winter-splash\//, /the scene “.*” \(winter-splash\)/],
      [/^\/screens/, /the screens/],
      [/^\/review/, /the review/],
      [/^\/(by|why|at|id|revision)/, /who signed it|missing or damaged/],
    ];
    fc.assert(
      fc.property(fc.constantFrom(...all), fc.constantFrom<unknown>('x', 7.5, null), (path, value) => {
        const changed = applyPatch(json, [{ op: 'replace', path, value }]);
        fc.pre(JSON.stringify(changed) !== text);
        const found = fault(JSON.stringify(changed));
        expect(found).toBeInstanceOf(SignOffFault);
        const word = named.find(([at]) => at.test(path))?.[1];
        if (word)
          expect(`${path}: ${(found as Error).message}`).toMatch(
            new RegExp(`${word.source}|missing or damaged`),
          );
      }),
      { numRuns: 60 },
    );
  });

  it('notices a byte that is another one, wherever it lies', () => {
    const text = sealed(frozen);
    fc.assert(
      fc.property(fc.nat(text.length - 1), fc.constantFrom('0', 'a', '9', 'z'), (i, letter) => {
        fc.pre(text[i] !== letter);
        expect(fault(text.slice(0, i) + letter + text.slice(i + 1))).toBeInstanceOf(SignOffFault);
      }),
      { numRuns: 60 },
    );
  });

  it('refuses what is none, in words', () => {
    expect(fault('{')).toMatchObject({ message: expect.stringContaining('not JSON') as string });
    expect(fault('{}')).toMatchObject({ message: expect.stringContaining('no sign-off') as string });
  });
});
