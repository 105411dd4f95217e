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
  const tall = () => masks.last().evaluate((e) => (e as HTMLElement).style.height);
  const low = await tall();
  await page.keyboard.press('Shift+ArrowDown');
  expect(Number.parseFloat(await tall())).toBeGreaterThan(Number.parseFloat(low));
  // Wherever it is dragged to, it stays on the screen.
  const picture = (await shot.locator('.shot-picture').boundingBox())!;
  const held = (await masks.last().boundingBox())!;
  await page.mouse.move(held.x + held.width / 2, held.y + held.height / 2);
  await page.mouse.down();
  await page.mouse.move(picture.x - 400, picture.y - 60);
  await page.mouse.up();
  await expect(masks.last()).toHaveCSS('left', '0px');
  await expect(masks.last()).toHaveCSS('top', '0px');
  const { width: kept } = (await masks.last().boundingBox())!;
  expect(Math.abs(kept - held.width)).toBeLessThan(0.5);
  const corner = (await masks.last().locator('.mark-corner').boundingBox())!;
  await page.mouse.move(corner.x + corner.width / 2, corner.y + corner.height / 2);
  await page.mouse.down();
  await page.mouse.move(corner.x + corner.width / 2 + 40, corner.y + corner.height / 2);
  await page.mouse.up();
  await expect(masks.last()).toHaveCSS('left', '0px');
  expect((await masks.last().boundingBox())!.width).toBeGreaterThan(kept + 30);
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

test('a screenshot that is dropped on the project finds its screen by its size, or brings it along', async ({
  page,
  request,
}) => {
  const drawn = await request.get(
    `/api/v1/projects/${FEW_PROJECT}/scenes/winter-splash/cases/${CASE}?glass=0`,
  );
  const png = await drawn.body();
  await page.goto(`${FEW_SPLASH}?lens=ship`);
  const glass = page.getByRole('region', { name: 'On a real screen' });
  const list = glass.getByRole('list', { name: 'Real screenshots' }).getByRole('listitem');
  const choose = glass.getByLabel('choose a screenshot');
  await choose.setInputFiles({ name: 'phone.png', mimeType: 'image/png', buffer: png });
  const hold = glass.getByRole('button', { name: 'hold it against this' });
  await expect(list.or(hold).first()).toBeVisible({ timeout: 60_000 });
  // Several screens may have that size.
  if (await hold.isVisible()) {
    await glass.getByLabel('It may be of').selectOption(CASE);
    await hold.press('Enter');
  }
  await expect(list).toContainText('Everything that is looked for agrees with the rules.', {
    timeout: 60_000,
  });

  const strange = await sharp(png).resize(722, 1500, { fit: 'fill' }).png().toBuffer();
  await choose.setInputFiles({ name: 'strange.png', mimeType: 'image/png', buffer: strange });
  await expect(glass).toContainText('No screen of the project has 722 × 1500 px.');
  await glass.getByLabel('px per lu').fill('2');
  await glass.getByRole('button', { name: 'Add a screen of this size' }).press('Enter');
  await expect(list).toHaveCount(2, { timeout: 60_000 });
  await expect(list.first()).toContainText('361 × 750');
  expect(await seriousInBothThemes(page)).toEqual([]);

  const broken = { name: 'broken.png', mimeType: 'image/png', buffer: Buffer.from('no picture') };
  await choose.setInputFiles(broken);
  await expect(glass.getByRole('alert')).toContainText('“broken.png” is no picture that can be read.');

  // All of it are steps of the project, which are taken back one by one.
  await page.reload();
  await expect(list).toHaveCount(2);
  await list.last().getByRole('button', { name: 'look at it' }).press('Enter');
  await expect(part(page)).toContainText('phone.png');
});
