import { expect } from '@playwright/test';
import { test } from './test';
import { Painter } from '../truth/browser';
import { compareScene } from '../truth/compare';
import { randomScene } from '../truth/scenes';

/** Random scenes against a browser engine, which is told their rules in HTML and CSS: `npm run --silent truth` does more. */
const SCENES = 16;
const PER_TEST = 4;
const SEED = 16;

test.describe('random scenes are placed, measured and painted as a browser does it', () => {
  let painter: Painter;
  test.beforeAll(async () => {
    painter = await Painter.open();
  });
  test.afterAll(() => painter.close());

  for (let from = 0; from < SCENES; from += PER_TEST) {
    test(`scenes ${from + 1} to ${from + PER_TEST}`, async () => {
      test.setTimeout(300_000);
      let compared = 0;
      const off: string[] = [];
      for (let i = from; i < from + PER_TEST; i++) {
        const random = await randomScene(SEED * 100_000 + i);
        const checks = await compareScene(random, painter);
        compared += checks.length;
        off.push(...checks.filter((c) => c.off > 1).map((c) => `scene ${random.seed}: ${c.said}`));
      }
      console.log(`${compared} figures of ${PER_TEST} scenes compared`);
      expect(off).toEqual([]);
      expect(compared).toBeGreaterThan(20 * PER_TEST);
    });
  }
});
