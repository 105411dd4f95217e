import fc from 'fast-check';
import { bestQuality, mostAlike, QUALITIES } from './budget';

const all = Array.from({ length: QUALITIES.most }, (_, i) => i + QUALITIES.least);

describe('the best quality within a budget', () => {
  it('is the one that trying all of them finds, where bytes grow with quality', async () => {
    const steps = fc.array(fc.nat(50), { minLength: 100, maxLength: 100 });
    await fc.assert(
      fc.asyncProperty(steps, fc.nat(6000), async (grow, budget) => {
        const bytes = grow.reduce<number[]>((list, g) => [...list, (list.at(-1) ?? 500) + g], []);
        const found = await bestQuality((q) => Promise.resolve(bytes[q - 1]!), budget);
        const fitting = all.filter((q) => bytes[q - 1]! <= budget);
        if (fitting.length === 0) expect(found).toEqual({ least: { quality: 1, bytes: bytes[0] } });
        else expect(found).toEqual({ quality: fitting.at(-1), bytes: bytes[fitting.at(-1)! - 1] });
      }),
    );
  });

  it('is also found where a little more quality takes fewer bytes', async () => {
    const bytes = (q: number) => q * 100 - (q % 7 === 0 ? 350 : 0);
    // 54 fits, 55 does not, and 56 does.
    const found = await bestQuality((q) => Promise.resolve(bytes(q)), 5450);
    const fitting = all.filter((q) => bytes(q) <= 5450);
    expect(fitting.at(-1)).toBe(56);
    expect(found).toEqual({ quality: fitting.at(-1), bytes: bytes(fitting.at(-1)!) });
  });

  it('asks for no quality twice, and for few', async () => {
    const asked: number[] = [];
    await bestQuality((q) => {
      asked.push(q);
      return Promise.resolve(q * 10);
    }, 633);
    expect(new Set(asked).size).toBe(asked.length);
    expect(asked.length).toBeLessThanOrEqual(12);
  });
});

describe('the quality that is most like the picture within a budget', () => {
  it('is the best of those that fit, whichever way bytes and likeness go', async () => {
    const hundred = fc.array(fc.nat(1000), { minLength: 100, maxLength: 100 });
    await fc.assert(
      fc.asyncProperty(hundred, hundred, fc.nat(1000), async (bytes, alike, budget) => {
        const of = (list: readonly number[]) => (q: number) => Promise.resolve(list[q - 1]!);
        const found = await mostAlike(of(bytes), of(alike), budget);
        const fitting = all.filter((q) => bytes[q - 1]! <= budget);
        if (fitting.length === 0) expect(found).toMatchObject({ least: { bytes: Math.min(...bytes) } });
        else {
          const { quality } = found as { quality: number };
          expect(fitting).toContain(quality);
          expect(alike[quality - 1]).toBe(Math.max(...fitting.map((q) => alike[q - 1]!)));
        }
      }),
    );
  });
});
