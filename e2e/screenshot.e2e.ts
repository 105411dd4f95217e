import { expect, type Page } from '@playwright/test';
import sharp from 'sharp';
import { FEW_PROJECT, FEW_SPLASH } from './few-screens';
import { seriousInBothThemes, tabTo } from './fixtures';
import { test } from './test';

const CASE = 'phone-360x780-2x.0.light';
const part = (page: Page) => page.getByRole('region', { name: 'Real screenshots' });

test('a real screenshot is laid over its case, what is left out is moved, and all of it is kept until it is removed', async ({
  page,
  request,
}) => {
  const drawn = await request.get(
    `/api/v1/projects/${FEW_PROJECT}/scenes/winter-splash/cases/${CASE}?glass=0`,
  );
  const png = await drawn.body();
  const { width, height } = await sharp(png).metadata();
  const lower = await sharp(png)
    .extract({ left: 0, top: 0, width, height: height - 3 })
    .extend({ top: 3, extendWith: 'copy' })
    .png()
    .toBuffer();

  await page.goto(`${FEW_SPLASH}?case=${CASE}`);
  const choose = part(page).getByLabel('choose a screenshot');
  await expect(choose).toBeAttached({ timeout: 60_000 });
  await choose.setInputFiles({ name: 'phone.png', mimeType: 'image/png', buffer: lower });
  const shot = part(page).getByRole('list', { name: 'Screenshots' }).getByRole('listitem');
  await expect(shot).toContainText('3 px lower than ruled', { timeout: 60_000 });
  const edges = shot.getByRole('table', { name: 'Edges off by device px' });
  await expect(edges.getByRole('row', { name: /^Emblem/ })).toContainText('+3');
  await expect(shot.getByRole('img', { name: 'where phone.png differs from the case' })).toBeVisible();
  expect(await seriousInBothThemes(page)).toEqual([]);

  // The bar is what is left out; more is left out and moved by keyboard.
  const masks = shot.getByRole('button', { name: /^left out, / });
  const before = await masks.count();
  await tabTo(page, shot.getByRole('button', { name: 'leave out a part' }));
  await page.keyboard.press('Enter');
  await expect(masks).toHaveCount(before + 1);
  const top = () => masks.last().evaluate((e) => (e as HTMLElement).style.top);
  const was = await top();
  await masks.last().focus();
  await page.keyboard.press('ArrowDown');
  expect(await top()).not.toBe(was);
  await shot.getByRole('button', { name: 'look again' }).press('Enter');
  await expect(shot.getByRole('button', { name: 'look again' })).toHaveCount(0, { timeout: 60_000 });
  await expect(masks).toHaveCount(before + 1);

  await page.reload();
  await expect(shot).toContainText('3 px lower than ruled', { timeout: 60_000 });
  await shot.getByRole('button', { name: 'remove this screenshot' }).press('Enter');
  await expect(shot).toHaveCount(0);

  const other = await sharp(png)
    .resize(width, height - 60, { fit: 'fill' })
    .png()
    .toBuffer();
  await choose.setInputFiles({ name: 'other.png', mimeType: 'image/png', buffer: other });
  await expect(part(page).getByRole('alert')).toContainText(
    `This screenshot has ${width} × ${height - 60} px`,
  );
});
