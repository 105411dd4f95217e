import { execFile } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { expect, type Page } from '@playwright/test';
import type { Documents } from '../src/core/project/documents';
import type { Since } from '../src/core/since/schema';
import { FEW_SPLASH } from './few-screens';
import {
  createProject,
  dropFiles,
  made,
  mark,
  rampJpeg,
  saving,
  seriousInBothThemes,
  tabTo,
} from './fixtures';
import { test } from './test';

const part = (page: Page) => page.getByRole('region', { name: 'Sign-off' });
const numbersIn = (text: string) => [...text.matchAll(/\d+/g)].map((m) => Number(m[0]));

/** Opens a lens from the bar. */
const lens = (page: Page, name: string) => page.getByRole('button', { name, exact: true }).click();

/** What the command line ends with and says of an archive. */
const coulee = (...args: string[]) =>
  new Promise<{ code: number; out: string }>((resolve) => {
    execFile(process.execPath, ['bin/coulee.mjs', ...args], { maxBuffer: 64 * 1024 * 1024 }, (error, out) =>
      resolve({ code: typeof error?.code === 'number' ? error.code : 0, out }),
    );
  });

/** A screenshot that is what the server draws, dropped on the project. */
async function holdScreenshot(page: Page): Promise<void> {
  const [, , project, scene] = new URL(page.url()).pathname.split('/');
  const caseId = 'phone-360x640-2x.0.light';
  const drawn = await page.request.get(`/api/v1/projects/${project}/scenes/${scene}/cases/${caseId}?glass=0`);
  const glass = page.getByRole('region', { name: 'On a real screen' });
  const real = { name: 'real.png', mimeType: 'image/png', buffer: await drawn.body() };
  await glass.getByLabel('choose a screenshot').setInputFiles(real);
  const hold = glass.getByRole('button', { name: 'hold it against this' });
  const list = glass.getByRole('list', { name: 'Real screenshots' });
  await expect(list.or(hold)).toBeVisible({ timeout: 60_000 });
  if (await hold.isVisible()) {
    await glass.getByLabel('It may be of').selectOption(caseId);
    await hold.click();
  }
  await expect(list).toContainText('Everything that is seen agrees with the rules.', { timeout: 60_000 });
  await expect(saving(page)).toHaveText('saved');
}

/** The documents of the sign-off that the page compares with. */
async function signedDocuments(page: Page): Promise<Documents> {
  const { pathname, searchParams } = new URL(page.url());
  const [, , project] = pathname.split('/');
  const kept = await page.request.get(`/api/v1/projects/${project}/sign-offs/${searchParams.get('since')}`);
  return ((await kept.json()) as { documents: Documents }).documents;
}

async function signOff(page: Page, by: string) {
  await expect(page.locator('.verdict table')).toBeVisible({ timeout: 60_000 });
  await tabTo(page, part(page).getByLabel('Your name'));
  await page.keyboard.press('Control+a');
  await page.keyboard.type(by);
  await page.keyboard.press('Tab');
  await page.keyboard.type('As it was shown');
  await page.keyboard.press('Enter');
  await expect(part(page).getByRole('list', { name: 'Sign-offs' })).toContainText(by, { timeout: 60_000 });
}

test('from own pictures to a sign-off, and what got worse since, alike on the page, in the archive and for the build', async ({
  page,
  request,
  baseURL,
}) => {
  test.setTimeout(240_000);
  await createProject(page, 'Harbour app');
  const photo = { name: 'coast.jpg', mimeType: 'image/jpeg', buffer: await rampJpeg(2400, 1800) };
  await dropFiles(page, [photo, await mark()]);
  await expect(page.getByRole('region', { name: 'Layer mark' })).toBeVisible();
  await expect(page.getByRole('status', { name: 'Outcomes' })).toContainText('clear', { timeout: 60_000 });
  // Found, and mended.
  await lens(page, 'findings');
  await page.locator('.finding-head').filter({ hasText: 'mark too high' }).first().click();
  await page
    .getByRole('button', { name: /^Apply: / })
    .first()
    .click({ timeout: 60_000 });
  await expect(page.getByRole('button', { name: 'undo this' }).first()).toBeVisible({ timeout: 30_000 });
  await expect(saving(page)).toHaveText('saved');
  // From the tap on, and looked at on a device.
  await lens(page, 'launch');
  await page.getByRole('button', { name: 'Describe the launch' }).click();
  await page.getByRole('button', { name: 'on a real device' }).click();
  const device = page.getByRole('region', { name: 'On a real device' });
  await device.getByRole('checkbox').first().check();
  await expect(device.getByRole('listitem').first()).toContainText('found right');
  await expect(saving(page)).toHaveText('saved');
  await lens(page, 'sizes');
  await expect(page.locator('.sizes-table').first()).toBeVisible({ timeout: 60_000 });
  await lens(page, 'ship');
  await expect(page.getByRole('region', { name: 'mark', exact: true })).toBeVisible();
  await holdScreenshot(page);
  await signOff(page, 'Ines');
  // What was found then is what the verdict says now.
  const row = page.getByRole('list', { name: 'Sign-offs' }).getByRole('listitem');
  const [found] = await page.locator('.verdict h2').allInnerTexts();
  const fails = /(\d+) findings? fail/.exec(found!)?.[1] ?? '0';
  await expect(row).toContainText(`▲ ${fails}`);
  await expect(part(page)).toContainText('Nothing was changed', { timeout: 60_000 });

  // Another file, with too few pixels.
  await lens(page, 'screens');
  const small = { name: 'small.jpg', mimeType: 'image/jpeg', buffer: await rampJpeg(400, 300) };
  await page.locator('[data-replace]').first().setInputFiles(small);
  const dialog = page.getByRole('dialog', { name: 'Another file for coast' });
  await dialog.getByRole('button', { name: 'Take the new file' }).click({ timeout: 60_000 });
  await expect(saving(page)).toHaveText('saved');
  await lens(page, 'ship');
  await expect(part(page)).toContainText(/\d+ things? got worse/, { timeout: 60_000 });
  const cause = part(page).locator('.since-worse .since-cause').filter({ hasText: 'coast: another file' });
  await expect(cause).toContainText('coast has too few pixels');
  const [onPage] = /(\d+) cases/.exec(await cause.innerText())!;
  await cause.getByRole('button', { name: 'cases: coast has too few pixels' }).press('Enter');
  for (const shown of ['as it was signed off', 'now', 'where both differ'])
    await expect(cause.getByRole('figure', { name: shown }).or(cause.getByText(shown)).first()).toBeVisible();
  await expect
    .poll(() =>
      cause
        .locator('.case-beside img')
        .evaluateAll((all) => all.filter((i) => (i as HTMLImageElement).naturalWidth > 0).length),
    )
    .toBe(3);
  expect(await seriousInBothThemes(page)).toEqual([]);

  // What was signed off holds the look at a device and the screenshot.
  const { project: signed } = await signedDocuments(page);
  expect(signed.checked).toMatchObject([{ done: true }]);
  expect(signed.evidence).toMatchObject([{ name: 'real.png' }]);

  // The archive holds the sign-off, and the build sees the same.
  const [, , project] = new URL(page.url()).pathname.split('/');
  const id = new URL(page.url()).searchParams.get('since')!;
  const said = (await (
    await request.get(`/api/v1/projects/${project}/sign-offs/${id}/since`)
  ).json()) as Since;
  const job = await made(request, baseURL!, { kind: 'export', options: { as: 'archive' } }, project);
  const folder = mkdtempSync(path.join(tmpdir(), 'coulee-signed-'));
  try {
    const file = path.join(folder, 'app.zip');
    writeFileSync(file, await (await request.get(job.result!.href)).body());
    const { code, out } = await coulee(
      'check',
      file,
      '--against',
      'last',
      '--fail-on',
      'worse',
      '--as',
      'json',
    );
    expect(code).toBe(1);
    expect(JSON.parse(out)).toEqual(said);
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
  const pixels = said.differences.find((d) => d.direction === 'worse' && d.measure === 'enlargement')!;
  expect(numbersIn(onPage)[0]).toBe(pixels.cases.length);
  // A week later the start page says so, too.
  await page.goto('/');
  const card = page.getByRole('listitem', { name: 'Harbour app' });
  await expect(card).toContainText(/signed off by Ines .+ since then: \d+ things? got worse/, {
    timeout: 60_000,
  });
});

test('a project is looked at as it was signed off, and nothing in it can be changed', async ({ page }) => {
  await page.goto(`${FEW_SPLASH}?lens=ship`);
  await signOff(page, 'Ola');
  await part(page).getByRole('link', { name: 'open as it was' }).first().click();
  const note = page.getByRole('note');
  await expect(note).toContainText('as Ola signed it off on', { timeout: 60_000 });
  await expect(page.locator('.verdict table')).toBeVisible({ timeout: 60_000 });
  await expect(part(page)).toHaveCount(0);
  await lens(page, 'screens');
  await page.getByRole('button', { name: 'contain', exact: true }).first().click({ timeout: 60_000 });
  await expect(page.getByRole('status', { name: 'Message' })).toContainText(
    'signed off by Ola: nothing in it can be changed',
  );
  expect(await seriousInBothThemes(page)).toEqual([]);
  await note.getByRole('link', { name: 'back to what it is now' }).click();
  await expect(part(page)).toContainText('Nothing was changed', { timeout: 60_000 });
});
