import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { expect, type APIRequestContext, type Page } from '@playwright/test';
import type { Documents } from '../src/core/project/documents';
import type { Review } from '../src/core/review/schema';
import type { Since } from '../src/core/since/schema';
import { coulee } from './coulee';
import {
  dropFiles,
  made,
  mark,
  numbersIn,
  lens,
  outcomes,
  saving,
  seriousInBothThemes,
  tallyOf,
} from './fixtures';
import { signOff, signOffs } from './signing';
import { test } from './test';

const COPY = 'Larkmoor Ferries (copy)';
const CASE = 'phone-360x640-2x.0.light';

const layer = (page: Page, name: string) => page.getByRole('region', { name: `Layer ${name}`, exact: true });
const copyOf = (page: Page) => page.getByRole('listitem', { name: COPY, exact: true });
const idOf = (page: Page) => new URL(page.url()).pathname.split('/')[2]!;

/** The archive of a project, in a folder that is there as long as it is worked with. */
async function withArchive<T>(
  { request, baseURL, project }: { request: APIRequestContext; baseURL: string; project: string },
  work: (file: string) => Promise<T>,
): Promise<T> {
  const job = await made(request, baseURL, { kind: 'export', options: { as: 'archive' } }, project);
  const folder = mkdtempSync(path.join(tmpdir(), 'coulee-walk-'));
  try {
    const file = path.join(folder, `${project}.zip`);
    writeFileSync(file, await (await request.get(job.result!.href)).body());
    return await work(file);
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

/** Brings the demo in beside itself. */
async function importArchive(page: Page, file: string): Promise<void> {
  await page.getByLabel('open an archive').setInputFiles(file);
  await expect(copyOf(page)).toBeVisible({ timeout: 60_000 });
}

/** Brings a picture of one’s own into a scene of the demo, and says where it is. */
async function importAndPlace(page: Page): Promise<void> {
  await copyOf(page).getByRole('link', { name: 'Winter splash' }).click();
  await expect(layer(page, 'Emblem')).toBeVisible();
  await dropFiles(page, [await mark()]);
  const own = layer(page, 'mark');
  await own.getByRole('button', { name: /safe area’s width/ }).click();
  await page.getByRole('textbox', { name: 'Width', exact: true }).fill('24');
  await page.keyboard.press('Escape');
  await expect(own).toContainText('24 % of the safe area’s width');
  await expect(saving(page)).toHaveText('saved');
}

/** Mends what is found of the large picture, and sees that it does as it said. */
async function findAndMend(page: Page): Promise<void> {
  await lens(page, 'findings').click();
  const { fail } = await tallyOf(page);
  await page.getByRole('button', { name: /^▲ Harbour has a keep area cut off/ }).click();
  const mend = page.locator('.mends li').first();
  await expect(mend).toContainText(`▲ fail ${fail} →`, { timeout: 60_000 });
  const [, promised] = /▲ fail \d+ → (\d+)/.exec(await mend.innerText())!;
  await mend.getByRole('button', { name: /^Apply: / }).click();
  await expect(outcomes(page)).toContainText(`${promised} fail`, { timeout: 60_000 });
  expect(Number(promised)).toBeLessThan(fail);
  await expect(saving(page)).toHaveText('saved');
}

/** The launch as it is looked at on a device. */
async function lookAtLaunch(page: Page): Promise<void> {
  await lens(page, 'launch').click();
  await page.getByRole('button', { name: 'on a real device' }).click();
  const device = page.getByRole('region', { name: 'On a real device' });
  await device.getByRole('checkbox').first().check();
  await expect(device.getByRole('listitem').first()).toContainText('found right');
  await expect(saving(page)).toHaveText('saved');
}

/** A screenshot that is what the server draws, dropped on the project. */
async function holdScreenshot(page: Page): Promise<void> {
  const [, , project, scene] = new URL(page.url()).pathname.split('/');
  const drawn = await page.request.get(`/api/v1/projects/${project}/scenes/${scene}/cases/${CASE}?glass=0`);
  const glass = page.getByRole('region', { name: 'On a real screen' });
  const real = { name: 'real.png', mimeType: 'image/png', buffer: await drawn.body() };
  await glass.getByLabel('choose a screenshot').setInputFiles(real);
  const hold = glass.getByRole('button', { name: 'hold it against this' });
  const list = glass.getByRole('list', { name: 'Real screenshots' });
  await expect(list.or(hold)).toBeVisible({ timeout: 60_000 });
  if (await hold.isVisible()) {
    await glass.getByLabel('It may be of').selectOption(CASE);
    await hold.click();
  }
  await expect(list).toContainText('Everything that is looked for agrees with the rules.', {
    timeout: 60_000,
  });
  await expect(saving(page)).toHaveText('saved');
}

/** What the page says of the scene where it is signed off, against the review of the command line. */
async function expectCountsToAgree(page: Page, review: Review): Promise<void> {
  const tally = await tallyOf(page);
  const [heading] = await page.locator('.verdict h2').allInnerTexts();
  const fails = numbersIn(heading!)[0]!;
  const row = signOffs(page).getByRole('list', { name: 'Sign-offs' }).getByRole('listitem');
  await expect(row).toContainText(`▲ ${fails}`);
  const scene = review.scenes.find((s) => s.name === 'Winter splash')!;
  const { fail, warn, clear } = scene.counts;
  expect(tally).toEqual({ fail, warn, clear });
  const judged = page.getByRole('table', { name: new RegExp('^' + COPY.replace(/[()]/g, '\\$&')) });
  for (const { name, counts, found } of [...review.scenes, ...review.launches]) {
    const named = page.getByRole('button', { name, exact: true });
    const said = numbersIn(await judged.getByRole('row').filter({ has: named }).innerText());
    const numbers = [counts.fail, counts.warn, counts.clear, found.fail, found.warn];
    expect([name, ...said.slice(0, numbers.length)]).toEqual([name, ...numbers]);
  }
  const all = [...review.scenes, ...review.launches, ...review.files];
  expect(all.reduce((sum, { found }) => sum + found.fail, 0)).toBe(fails);
}

/** Another file of too few pixels, and what it makes worse. @returns on how many cases, as the page says */
async function spoil(page: Page): Promise<number> {
  await lens(page, 'screens').click();
  const small = { ...(await mark(200)), name: 'small.png' };
  const choosing = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: 'Replace the file of mark', exact: true }).click();
  await (await choosing).setFiles(small);
  const dialog = page.getByRole('dialog', { name: 'Another file for mark' });
  await dialog.getByRole('button', { name: 'Take the new file' }).click();
  await expect(saving(page)).toHaveText('saved');
  await lens(page, 'ship').click();
  await expect(signOffs(page)).toContainText(/\d+ things? got worse/, { timeout: 120_000 });
  const cause = signOffs(page).locator('.since-worse .since-cause').filter({ hasText: 'mark: another file' });
  await expect(cause).toContainText('mark has too few pixels');
  const [, onPage] = /(\d+) cases/.exec(await cause.innerText())!;
  await cause.getByRole('button', { name: 'cases: mark has too few pixels' }).press('Enter');
  for (const shown of ['as it was signed off', 'now', 'where both differ'])
    await expect(cause.getByRole('figure', { name: shown }).or(cause.getByText(shown)).first()).toBeVisible();
  const drawn = () =>
    cause
      .locator('.case-beside img')
      .evaluateAll((all) => all.filter((i) => (i as HTMLImageElement).naturalWidth > 0).length);
  await expect.poll(drawn).toBe(3);
  expect(await seriousInBothThemes(page)).toEqual([]);
  return Number(onPage);
}

test('the whole job on the demo: from an import to a sign-off, and what got worse since, alike everywhere', async ({
  page,
  request,
  baseURL,
}) => {
  test.setTimeout(480_000);
  page.setDefaultTimeout(60_000);
  await page.goto('/');
  const demo = { request, baseURL: baseURL!, project: 'larkmoor-ferries' };
  await withArchive(demo, (file) => importArchive(page, file));
  await importAndPlace(page);
  await findAndMend(page);
  await lookAtLaunch(page);
  await lens(page, 'sizes').click();
  await expect(page.locator('.sizes-table').first()).toBeVisible({ timeout: 60_000 });
  await lens(page, 'ship').click();
  await expect(page.getByRole('region', { name: 'mark', exact: true })).toBeVisible({ timeout: 60_000 });
  await holdScreenshot(page);
  await signOff(page, 'Ines');
  const own = { ...demo, project: idOf(page) };
  const check = (file: string, ...more: string[]) => coulee('check', file, '--as', 'json', ...more);
  const before = await withArchive(own, check);
  await expectCountsToAgree(page, JSON.parse(before.out) as Review);
  await expect(signOffs(page)).toContainText('Nothing was changed', { timeout: 120_000 });
  const onPage = await spoil(page);

  // What was signed off holds the look at a device and the screenshot.
  const kept = `/api/v1/projects/${own.project}/sign-offs/${new URL(page.url()).searchParams.get('since')}`;
  const { documents } = (await (await request.get(kept)).json()) as { documents: Documents };
  expect(documents.project.checked).toMatchObject([{ done: true }]);
  expect(documents.project.evidence).toMatchObject([{ name: 'real.png' }]);

  // The archive holds the sign-off, and the build sees the same.
  const said = (await (await request.get(`${kept}/since`)).json()) as Since;
  const { code, out } = await withArchive(own, (file) =>
    check(file, '--against', 'last', '--fail-on', 'worse'),
  );
  expect(code).toBe(1);
  expect(JSON.parse(out)).toEqual(said);
  const pixels = said.differences.find((d) => d.direction === 'worse' && d.measure === 'enlargement')!;
  expect(onPage).toBe(pixels.cases.length);
  // A week later the start page says so, too.
  await page.goto('/');
  const copy = copyOf(page);
  await expect(copy).toContainText(/signed off by Ines .+ since then: \d+ things? got worse/, {
    timeout: 120_000,
  });
  // The next test finds the demo alone.
  await copy.getByRole('button', { name: 'delete' }).click();
  await expect(copy).toHaveCount(0);
});
