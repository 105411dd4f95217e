import { expect, type Page } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { unzipSync } from 'fflate';
import sharp from 'sharp';
import { closeUp, createProject, dropFiles, saving, seriousInBothThemes, tabTo, undo } from './fixtures';
import { test } from './test';

// Both begin on a store that was just made, and have much drawn.
test.describe.configure({ timeout: 240_000 });

const slots = (page: Page) => page.getByRole('region', { name: 'Slots' });
const set = (page: Page, name: RegExp) => slots(page).getByRole('grid', { name });

test('an icon is made by keyboard, looked at in its slots, judged, and taken along in all of its files', async ({
  page,
}) => {
  await page.goto('/projects/larkmoor-ferries/winter-splash');
  await expect(page.locator('[data-case]').first()).toBeVisible({ timeout: 60_000 });
  await page.locator('#scene-menu').focus();
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'new icon' }).press('Enter');

  // 39 slots of four sets, each judged by its own limits: no bars, no share of the screen, no file that is too large.
  await expect(slots(page).locator('[data-case]')).toHaveCount(39);
  await expect(slots(page)).not.toContainText('measuring…', { timeout: 60_000 });
  await expect(
    set(page, /^Home screen, in layers/)
      .getByRole('gridcell')
      .first(),
  ).toContainText('layer, 108 at 0.75x, 81 × 81 px');
  const phone = set(page, /^Phones of whole-number scales/).getByRole('gridcell', {
    name: /home screen 60 at 3x/,
  });
  await expect(phone).toContainText('home screen, 60 at 3x, 180 × 180 px');
  await phone.click();
  await expect(closeUp(page)).toContainText('180 × 180 device px');
  // Arrow keys go from slot to slot.
  await page.keyboard.press('ArrowLeft');
  await expect(closeUp(page)).toContainText('120 × 120 device px');
  expect(await seriousInBothThemes(page)).toEqual([]);

  // One set more, from the keyboard.
  await page.getByRole('button', { name: '4 sets of slots' }).press('Enter');
  await page.getByRole('checkbox', { name: /^First window of the system 5 slots/ }).check();
  await page.keyboard.press('Escape');
  await expect(slots(page).locator('[data-case]')).toHaveCount(44);
  await expect(saving(page)).toHaveText('saved');

  await tabTo(page, page.getByRole('button', { name: 'all files as ZIP' }));
  const download = page.waitForEvent('download', { timeout: 120_000 });
  await page.keyboard.press('Enter');
  const files = unzipSync(readFileSync(await (await download).path()));
  await expect(page.getByRole('status', { name: 'Message' })).toContainText(/^\d+ files of the icon\./);
  const png = async (path: string) => sharp(files[path]).metadata();
  expect(await png('phones/home-screen-60@3x.png')).toMatchObject({ width: 180, hasAlpha: false });
  expect(await png('phones/home-screen-60@3x-dark.png')).toMatchObject({ width: 180, hasAlpha: false });
  expect(await png('layered/layer-108@4x-glyph.png')).toMatchObject({ width: 432, hasAlpha: true });
  expect(await png('status-bar/notification-24@1.5x-one-colour.png')).toMatchObject({ width: 36 });
  expect(await png('splash/splash-icon-288@4x-glyph.png')).toMatchObject({ width: 1152 });

  // The screens are as they were for the other scenes, and for the launch.
  await page.getByRole('button', { name: 'findings', exact: true }).click();
  await expect(page.getByText('in all slots, light and dark.')).toBeVisible();
  await page.getByRole('button', { name: 'ship', exact: true }).click();
  await expect(page.getByRole('button', { name: /^ZIP: All files of “Icon”/ })).toBeVisible();
  await page.getByRole('button', { name: 'screens', exact: true }).click();
  await page.locator('#scene-menu').press('Enter');
  await page.getByRole('button', { name: 'Winter splash' }).press('Enter');
  await expect(page.getByRole('button', { name: 'all 243' })).toBeVisible();
});

test('all densities of a cut are made at once from one master, with a frame that is moved', async ({
  page,
}) => {
  await createProject(page, 'Cuts');
  const image = sharp({ create: { width: 1200, height: 900, channels: 3, background: '#3a6a7a' } });
  await dropFiles(page, [
    { name: 'harbour.png', mimeType: 'image/png', buffer: await image.png().toBuffer() },
  ]);
  await expect(saving(page)).toHaveText('saved');
  await page.getByRole('button', { name: 'sizes', exact: true }).click();
  const open = page.getByRole('button', { name: 'Make files of harbour', exact: false });
  await expect(open).toBeVisible({ timeout: 60_000 });
  await open.press('Enter');
  const dialog = page.getByRole('dialog', { name: /^Make files of harbour/ });
  await dialog.getByRole('checkbox', { name: /^3x/ }).check();
  await expect(dialog.getByText('enlarged 3 ×, it will be soft')).toBeVisible();
  await dialog.getByRole('button', { name: 'landscape', exact: true }).press('Enter');
  await dialog.getByRole('checkbox', { name: /^3x/ }).uncheck();
  const files = dialog.getByRole('list', { name: 'Files that are made' }).getByRole('listitem');
  await expect(files).toHaveText(['1x: 1200 × 540 px']);
  const frame = dialog.getByRole('button', { name: /^Frame/ });
  const at = () => frame.evaluate((e) => e.style.top);
  const before = await at();
  await frame.press('ArrowUp');
  expect(parseFloat(await at())).toBeLessThan(parseFloat(before));
  expect(await seriousInBothThemes(page)).toEqual([]);
  await dialog.getByRole('button', { name: 'Make 1 file' }).press('Enter');
  await expect(dialog).toBeHidden({ timeout: 60_000 });
  const harbour = page
    .getByRole('rowgroup')
    .filter({ has: page.getByRole('rowheader', { name: /^harbour/ }) });
  await expect(harbour).toContainText('landscape, light');
  await expect(harbour).toContainText('1200 × 540');
  await undo(page);
  await expect(harbour).not.toContainText('1200 × 540');
});
