import { expect, type Page } from '@playwright/test';
import { test } from './test';
import {
  PHONE,
  cell,
  createProject,
  expectCropToAgree,
  dropFiles,
  figure,
  logoPng,
  mark,
  photo,
  placeAt,
  saving,
  showAll,
  seriousFindings,
  sides,
  tabTo,
} from './fixtures';

const FITS = ['cover', 'contain', 'stretch', 'natural', 'scale down', 'match width', 'match height', 'tile'];

async function expectAllDrawn(page: Page) {
  await expect(page.locator('canvas[data-complete="false"]')).toHaveCount(0);
  await expect(page.getByRole('status', { name: 'Outcomes' })).toContainText(/[1-9]\d* (fail|warn|clear)/);
}

/** Of the row of fits: what is worst somewhere may name a fit as its cause, too. */
const fitButton = (page: Page, name: string) =>
  page.locator('.choice').filter({ hasText: new RegExp(`^${name}$`) });

test('drop a photo and a logo, fit, drag, read, reload, undo: all of it is there', async ({ page }) => {
  await createProject(page, 'Coast');
  const start = Date.now();
  await dropFiles(page, [await photo(), await mark()]);
  const imports = page.getByRole('region', { name: 'Import' });
  await expect(imports.getByText('added')).toHaveCount(2);
  await expect(page.getByRole('gridcell').first()).toBeVisible();
  // Once all went well the list closes by itself after a while.
  await expect(imports).toBeHidden();
  await expectAllDrawn(page);
  console.log(`from the drop to all cases drawn: ${Date.now() - start} ms`);
  await expect(page.getByRole('region', { name: 'Layer coast' })).toContainText(
    'Pinned 0 from all four edges of the whole screen, covers its box, keeping 50 % across, 50 % down in the middle',
  );
  await expect(page.getByRole('region', { name: 'Layer mark' })).toContainText(
    '40 % of the safe area’s width, at most 220',
  );

  await showAll(page);
  await cell(page, PHONE).click();
  await expectCropToAgree(page);
  for (const fit of FITS) {
    await fitButton(page, fit).click();
    await expect(fitButton(page, fit)).toHaveAttribute('aria-pressed', 'true');
    await expectAllDrawn(page);
  }
  // A repeated picture has no focal point; taking the tile back brings it back.
  await page.keyboard.press('Control+z');
  await fitButton(page, 'contain').click();
  await expect(figure(page, 'coast', 'Bare in its box')).toHaveText('57.8 %');
  const [, , bareTop] = await sides(page, 'coast', 'Bare to the screen’s edges');
  expect(bareTop).toBe(185);
  expect((await placeAt(page, 0.5, 184 / 640)).blue).toBe(255);
  expect((await placeAt(page, 0.5, 187 / 640)).blue).toBeLessThan(140);

  await fitButton(page, 'cover').click();
  const well = page.locator('.well');
  const box = (await well.boundingBox())!;
  const before = await sides(page, 'coast', 'Crop by side');
  await page.mouse.move(box.x + box.width * 0.5, box.y + box.height * 0.5);
  await page.mouse.down();
  for (const x of [0.55, 0.6, 0.65, 0.7])
    await page.mouse.move(box.x + box.width * x, box.y + box.height * 0.4);
  await page.mouse.up();
  await expect(page.getByRole('region', { name: 'Layer coast' })).toContainText(
    'keeping 70 % across, 40 % down',
  );
  expect((await sides(page, 'coast', 'Crop by side'))[0]).toBeGreaterThan(before[0]! + 15);
  await expectCropToAgree(page);
  await expect(saving(page)).toHaveText('saved');

  await page.reload();
  await expect(page.getByRole('region', { name: 'Layer coast' })).toContainText(
    'keeping 70 % across, 40 % down',
  );
  await expectCropToAgree(page);
  const undo = page.getByRole('button', { name: 'undo' });
  await undo.click();
  await expect(page.getByRole('region', { name: 'Layer coast' })).toContainText(
    'keeping 50 % across, 50 % down',
  );
  await undo.click();
  await expect(fitButton(page, 'contain')).toHaveAttribute('aria-pressed', 'true');
  await undo.click();
  await expect(fitButton(page, 'match height')).toHaveAttribute('aria-pressed', 'true');
  await page.getByRole('button', { name: 'redo' }).click();
  await expect(fitButton(page, 'contain')).toHaveAttribute('aria-pressed', 'true');
  await expect(saving(page)).toHaveText('saved');
  await page.reload();
  await expect(fitButton(page, 'contain')).toHaveAttribute('aria-pressed', 'true');
});

test('the same by keyboard alone', async ({ page }) => {
  const press = (key: string) => page.keyboard.press(key);
  // Being listened for from the start, the choosing of files is taken over before the key is pressed.
  page.on('filechooser', () => {});
  await page.goto('/');
  await tabTo(page, page.getByRole('textbox', { name: 'Name of a new project' }));
  await page.keyboard.type('By keys');
  await press('Enter');
  await expect(page.getByRole('button', { name: 'Choose files' })).toBeVisible();
  await tabTo(page, page.getByRole('button', { name: 'Choose files' }));
  const chooser = page.waitForEvent('filechooser');
  await press('Enter');
  await (await chooser).setFiles([await photo(), await mark()]);
  await expect(page.getByRole('region', { name: 'Import' }).getByText('added')).toHaveCount(2);

  for (const fit of FITS) {
    await tabTo(page, fitButton(page, fit));
    await press('Enter');
    await expect(fitButton(page, fit)).toHaveAttribute('aria-pressed', 'true');
  }
  await press('Control+z');
  await tabTo(page, fitButton(page, 'cover'));
  await press('Space');
  await tabTo(page, page.locator('[role=gridcell][aria-selected=true]'));
  await press('End');
  await press('Home');
  await press('ArrowRight');
  await expect(figure(page, 'coast', 'Crop by side')).toBeVisible();

  const layer = page.getByRole('region', { name: 'Layer coast' });
  await tabTo(page, page.getByRole('button', { name: /^Focal point of coast/ }));
  await press('Shift+ArrowRight');
  await press('Shift+ArrowRight');
  await press('ArrowUp');
  await expect(layer).toContainText('keeping 70 % across, 49 % down');

  const size = page.getByRole('button', { name: /safe area’s width/ });
  await tabTo(page, size);
  await press('Enter');
  await expect(page.getByRole('textbox', { name: 'Width' })).toBeFocused();
  await press('ArrowUp');
  await press('Shift+ArrowUp');
  await expect(page.getByRole('region', { name: 'Layer mark' })).toContainText(
    '51 % of the safe area’s width',
  );
  await press('Escape');
  await expect(size).toBeFocused();

  await expect(saving(page)).toHaveText('saved');
  await page.reload();
  await expect(page.getByRole('region', { name: 'Layer mark' })).toContainText(
    '51 % of the safe area’s width',
  );
  for (let i = 0; i < 3; i++) await press('Control+z');
  await expect(page.getByRole('region', { name: 'Layer mark' })).toContainText(
    '40 % of the safe area’s width',
  );
  await expect(layer).toContainText('keeping 60 % across, 50 % down');
  await press('Control+Shift+z');
  await expect(layer).toContainText('keeping 70 % across, 50 % down');
});

test('every part of a sentence is edited in place, and a circle of layers is refused', async ({ page }) => {
  await createProject(page, 'Parts');
  await dropFiles(page, [
    await photo(),
    await mark(),
    { ...(await mark()), name: 'second.png', buffer: await logoPng(300) },
  ]);
  const coast = page.getByRole('region', { name: 'Layer coast' });
  const second = page.getByRole('region', { name: 'Layer second' });
  await expect(second).toBeVisible();

  await coast.getByRole('button', { name: 'whole screen' }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'safe area', exact: true }).click();
  await expect(coast).toContainText('from all four edges of the safe area');
  await coast.getByRole('button', { name: '0', exact: true }).click();
  await page.getByRole('textbox', { name: /Distance from all four/ }).fill('12,5');
  await page.keyboard.press('Escape');
  await expect(coast).toContainText('Pinned 12.5 from all four edges');
  await coast.getByRole('button', { name: 'covers its box' }).click();
  await page.getByRole('dialog').getByRole('button', { name: /^tile/ }).click();
  // It stays open for the size of a tile and its gaps.
  await page.keyboard.press('Escape');
  await expect(coast).toContainText('tiled over its box, aligned 50 % across');
  await coast.getByRole('button', { name: 'cut off' }).click();
  await page
    .getByRole('dialog')
    .getByRole('button', { name: /^left to show/ })
    .click();
  await expect(coast).toContainText('spill left to show');
  await coast.getByRole('button', { name: /coast, 4000/ }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'mark', exact: true }).click();
  await expect(coast.getByRole('button', { name: /mark, 512/ })).toBeVisible();

  await second.getByRole('button', { name: 'safe area', exact: true }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'mark' }).click();
  await expect(second).toContainText('centred across and down in mark');
  const markLayer = page.getByRole('region', { name: 'Layer mark' });
  await markLayer.getByRole('button', { name: 'safe area', exact: true }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'second' }).click();
  await expect(page.getByRole('status', { name: 'Message' })).toContainText(
    'in a circle: mark → second → mark',
  );
  await page.keyboard.press('Escape');
  await expect(markLayer).toContainText('in the safe area');

  await markLayer.getByRole('button', { name: /safe area’s width/ }).click();
  await page.getByRole('textbox', { name: 'Width' }).fill('wide');
  await expect(page.getByRole('alert').filter({ hasText: 'A number from 0' })).toBeVisible();
  await page.getByRole('checkbox', { name: 'At least' }).check();
  await page.keyboard.press('Escape');
  await expect(markLayer).toContainText('40 % of the safe area’s width, at least 200, at most 220');

  const ground = page.getByRole('region', { name: 'Layer Ground' });
  await ground.getByRole('button', { name: /#ffffff/ }).click();
  await page.getByRole('textbox', { name: 'In light', exact: true }).fill('#123456');
  await page.keyboard.press('Escape');
  await expect(ground).toContainText('#123456, dark #101418');
  await ground.getByRole('button', { name: 'hide' }).click();
  await expect(ground.getByRole('button', { name: 'show' })).toBeVisible();
  await expect(saving(page)).toHaveText('saved');
});

test('layers are named, thinned, moved, duplicated and deleted, and differ when turned', async ({ page }) => {
  await createProject(page, 'Layers');
  await dropFiles(page, [await photo(), await mark()]);
  const layer = (name: string) => page.getByRole('region', { name: `Layer ${name}`, exact: true });
  await expect(layer('mark')).toBeVisible();
  const menu = (name: string) => page.getByRole('button', { name: `More about ${name}`, exact: true });
  const act = async (name: string, action: string) => {
    await menu(name).click();
    await page.getByRole('dialog').getByRole('button', { name: action }).click();
  };
  const order = () =>
    page.locator('.layer').evaluateAll((list) => list.map((l) => l.getAttribute('aria-label')!.slice(6)));

  await menu('mark').click();
  await page.getByRole('textbox', { name: 'Name', exact: true }).fill('Badge');
  await page.getByRole('textbox', { name: 'Opacity' }).fill('40');
  expect(await seriousFindings(page)).toEqual([]);
  await page.keyboard.press('Escape');
  await expect(layer('Badge')).toBeVisible();
  await act('Badge', 'duplicate');
  await expect.poll(order).toEqual(['Ground', 'coast', 'Badge', 'Badge (copy)']);
  await page.keyboard.press('Escape');
  await act('coast', 'move forward');
  await expect.poll(order).toEqual(['Ground', 'Badge', 'coast', 'Badge (copy)']);
  await page.keyboard.press('Escape');
  await act('Badge (copy)', 'delete');
  await expect.poll(order).toEqual(['Ground', 'Badge', 'coast']);

  await page.getByRole('button', { name: 'add', exact: true }).click();
  await page.getByRole('combobox', { name: 'Picture to add' }).selectOption('mark');
  await page
    .getByRole('dialog')
    .getByRole('button', { name: /^under Badge/ })
    .click();
  await expect(layer('mark')).toContainText('top edge 16 below Badge');
  await act('Badge', 'delete');
  await expect(page.getByRole('status', { name: 'Message' })).toContainText('mark is measured from Badge');
  await page.keyboard.press('Escape');

  await showAll(page);
  await cell(page, PHONE.replace('.0.', '.90.')).click();
  await expect(figure(page, 'coast', 'Drawn')).toHaveText('640 × 480 lu');
  await act('coast', 'differs when turned');
  const differs = layer('coast').locator('.differs');
  await expect(differs).toContainText(
    'In landscape: pinned 0 from all four edges of the whole screen, covers its box',
  );
  await differs.getByRole('button', { name: 'covers its box' }).click();
  await page
    .getByRole('dialog')
    .getByRole('button', { name: /^contain/ })
    .click();
  await expect(figure(page, 'coast', 'Drawn')).toHaveText('480 × 360 lu');
  await differs.getByRole('button', { name: 'In landscape', exact: true }).click();
  await page.getByRole('checkbox', { name: 'From a width on' }).check();
  await page.getByRole('textbox', { name: 'Width' }).fill('800');
  await page.keyboard.press('Escape');
  await expect(differs).toContainText('In landscape from 800 lu of width');
  await expect(figure(page, 'coast', 'Drawn')).toHaveText('640 × 480 lu');
  await cell(page, PHONE).click();
  await expect(figure(page, 'coast', 'Drawn')).toHaveText('853.3 × 640 lu');
  await differs.getByRole('button', { name: /^Remove/ }).click();
  await expect(differs).toHaveCount(0);
  await expect(saving(page)).toHaveText('saved');
});

test('filters narrow the field, and a link shows the same', async ({ page }) => {
  await page.goto('/projects/larkmoor-ferries/winter-splash?cases=all&sort=ratio');
  await expect(page.getByRole('gridcell').first()).toBeVisible();
  const all = await page.getByRole('gridcell').count();
  await page.getByRole('button', { name: 'filters' }).click();
  await page.getByRole('combobox', { name: 'Kind' }).selectOption('Tablets');
  await expect(page.getByRole('gridcell')).not.toHaveCount(all);
  await page.getByRole('combobox', { name: 'Orientation' }).selectOption('portrait');
  await page.getByRole('searchbox').fill('834');
  await expect(page.getByRole('gridcell').first()).toBeVisible();
  const names = await page
    .getByRole('gridcell')
    .evaluateAll((list) => list.map((c) => c.getAttribute('aria-label')));
  for (const name of names) expect(name).toMatch(/^Tablet 834 × .*, portrait/);
  await page.reload();
  await expect(page.getByRole('gridcell')).toHaveCount(names.length);
  await page.getByRole('searchbox').fill('no such screen');
  await expect(page.getByText('No screen is left by these filters')).toBeVisible();
  await page.getByRole('button', { name: 'show all' }).click();
  await expect(page.getByRole('gridcell')).toHaveCount(all);
  await page.getByRole('button', { name: 'filters' }).click();
  await page.getByRole('combobox', { name: 'Outcome' }).selectOption('◭ warn');
  await expect(page.getByRole('gridcell').first()).toHaveAccessibleName(/: warn/);
  for (const c of await page.getByRole('gridcell').all()) await expect(c).toHaveAccessibleName(/: warn/);
});
