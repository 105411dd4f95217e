import { expect, test } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { casesOf } from '../src/core/screens/cases';
import { readCatalogue } from '../src/core/screens/catalogue';
import { Painter } from '../truth/browser';
import { comparePage } from '../truth/css-compare';
import { PageOnScreens } from '../truth/css-layout';
import { pageScene } from '../truth/css-scenes';

/** Ten scenes of `npm run truth:css`, on a few of its screens. */
const SCENES = 10;
const SCREENS = [
  'phone-320x568-2x-home',
  'phone-393x851-2-75x',
  'phone-430x932-3x-pill',
  'tablet-876x1400-2x',
];

test('pages of CSS lay scenes out as they are drawn here', async () => {
  test.setTimeout(120_000);
  const catalogue = readCatalogue(JSON.parse(readFileSync('data/screens.json', 'utf8')));
  const screens = SCREENS.map((id) => catalogue.find((s) => s.id === id)!);
  const cases = screens.flatMap((screen, i) =>
    casesOf([screen], [i % 2 === 0 ? 'light' : 'dark']).filter((c) => c.rotation !== 270),
  );
  const painter = await Painter.open();
  try {
    const shown = await PageOnScreens.open(await painter.blank());
    let [boxes, painted] = [0, 0];
    for (let i = 0; i < SCENES; i++) {
      const toPaint = [cases[i % 2]!];
      const check = await comparePage(await pageScene(20_000 + i), {
        painter,
        shown,
        screens,
        cases,
        toPaint,
      });
      expect(check.off).toEqual([]);
      painted += check.painted;
      boxes += check.boxes;
    }
    // A picture of which it hangs on rounding how often it is repeated is left out.
    expect(painted).toBeGreaterThan(SCENES / 2);
    expect(boxes).toBeGreaterThan(300);
  } finally {
    await painter.close();
  }
});
