import { createGuessed } from './guessed';

describe('whoever tries addresses', () => {
  it('waits longer each time, up to five seconds', async () => {
    const pauses: number[] = [];
    const guessed = createGuessed((ms) => Promise.resolve(pauses.push(ms)));
    for (let i = 0; i < 13; i++) expect(await guessed.wait()).toBe(true);
    expect(pauses).toEqual([100, 200, 400, 800, 1600, 3200, 5000, 5000]);
  });

  it('hears nothing at all while too many wait, and is heard again once they are answered', async () => {
    const waiting: (() => void)[] = [];
    const guessed = createGuessed(() => new Promise<void>((resolve) => waiting.push(resolve)));
    for (let i = 0; i < 5; i++) await guessed.wait();
    const held = Array.from({ length: 32 }, () => guessed.wait());
    expect(await guessed.wait()).toBe(false);
    waiting.splice(0).forEach((answer) => answer());
    expect(await Promise.all(held)).toEqual(Array.from({ length: 32 }, () => true));
    const next = guessed.wait();
    waiting.splice(0).forEach((answer) => answer());
    expect(await next).toBe(true);
  });
});
