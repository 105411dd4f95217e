import { expect, test } from '@playwright/test';
import { readFileSync, writeFileSync } from 'node:fs';
import { pathToFileURL } from 'node:url';
import { demo, madeUpPixels } from '../demo/testing';
import { readCatalogue } from '../src/core/screens/catalogue';
import { reportHtml } from '../src/formats/report/html';
import { makeReport } from '../src/render/report/make';
import { fontsFor } from '../src/server/fonts/fonts';
import { logoPng, seriousFindings } from './fixtures';

let page: string;

test.beforeAll(async ({}, info) => {
  test.setTimeout(120_000);
  const screens = readCatalogue(JSON.parse(readFileSync('data/screens.json', 'utf8'))).slice(0, 2);
  const fonts = fontsFor(demo);
  const host = {
    pixels: () => Promise.resolve(madeUpPixels()),
    ink: () => Promise.resolve(new Map()),
    fonts: () => Promise.resolve(fonts),
  };
  const picture = logoPng(64);
  const wanted = { documents: demo, revision: 1, screens };
  const made = await makeReport(
    wanted,
    host,
    () => picture,
    () => Promise.resolve(),
  );
  const file = info.outputPath('report.html');
  writeFileSync(file, reportHtml(made));
  page = pathToFileURL(file).href;
});

for (const colorScheme of ['light', 'dark'] as const)
  test(`a report opens from disk without a script, loads nothing and reads well, ${colorScheme}`, async ({
    browser,
  }) => {
    const context = await browser.newContext({ colorScheme });
    const opened = await context.newPage();
    const asked: string[] = [];
    opened.on('request', (r) => {
      if (!r.url().startsWith('data:')) asked.push(r.url());
    });
    await opened.goto(page);
    await expect(opened.getByRole('heading', { level: 1 })).toHaveText('Larkmoor Ferries');
    const pictures = await opened
      .locator('img')
      .evaluateAll((all) => all.map((one) => (one as HTMLImageElement).naturalWidth));
    expect(pictures.length).toBeGreaterThan(20);
    expect(Math.min(...pictures)).toBeGreaterThan(0);
    expect(await opened.locator('script').count()).toBe(0);
    expect(asked).toEqual([page]);
    expect(await seriousFindings(opened)).toEqual([]);
    await context.close();
  });

test('a printed report shows why without a click, and at 320 px nothing runs out at the side', async ({
  page: opened,
}) => {
  await opened.goto(page);
  const why = opened.locator('details ul').first();
  await expect(why).not.toBeVisible();
  await opened.emulateMedia({ media: 'print' });
  await expect(why).toBeVisible();
  await opened.emulateMedia({ media: 'screen' });
  await opened.setViewportSize({ width: 320, height: 700 });
  const wide = await opened.evaluate(() => document.documentElement.scrollWidth);
  expect(wide).toBeLessThanOrEqual(320);
});
