import { expect, test, type Page } from '@playwright/test';
import {
  cell,
  closeUp,
  createProject,
  dropFiles,
  figure,
  logoPng,
  placeAt,
  rampJpeg,
  saving,
  seriousFindings,
  tabTo,
} from './fixtures';

/** Without cutout and corners, so that the drawing reaches its edges. */
const PHONE = 'phone-360x640-3x.0.light';
const FITS = ['cover', 'contain', 'stretch', 'natural', 'scale down', 'match width', 'match height', 'tile'];

const photo = async () => ({ name: 'coast.jpg', mimeType: 'image/jpeg', buffer: await rampJpeg() });
const mark = async () => ({ name: 'mark.png', mimeType: 'image/png', buffer: await logoPng() });

const sides = async (page: Page, layer: string, row: string) =>
  (await figure(page, layer, row).textContent())!
    .replace(/ (%|lu)$/, '')
    .replaceAll('−', '-')
    .split(' · ')
    .map(Number);

/** Crop of each side as the table says it, against what of the photo stands at the edges of the drawing. */
async function expectCropToAgree(page: Page) {
  await expect
    .poll(async () => {
      const [left, right, top, bottom] = await sides(page, 'coast', 'Crop by side');
      const start = await placeAt(page, 0.002, 0.001);
      const end = await placeAt(page, 0.998, 0.999);
      const off = [
        start.x * 100 - left!,
        (1 - end.x) * 100 - right!,
        start.y * 100 - top!,
        (1 - end.y) * 100 - bottom!,
      ];
      return Math.max(...off.map(Math.abs));
    })
    .toBeLessThan(1);
}

async function expectAllDrawn(page: Page) {
  await expect(page.locator('canvas[data-complete="false"]')).toHaveCount(0);
  await expect(page.getByRole('status', { name: 'Outcomes' })).toContainText(/[1-9]\d* (fail|warn|clear)/);
}

test('drop a photo and a logo, fit, drag, read, reload, undo: all of it is there', async ({ page }) => {
  await createProject(page, 'Coast');
  const start = Date.now();
  await dropFiles(page, [await photo(), await mark()]);
  const imports = page.getByRole('region', { name: 'Import' });
  await expect(imports.getByText('added')).toHaveCount(2);
  await expect(page.getByRole('gridcell').first()).toBeVisible();
  await expectAllDrawn(page);
  console.log(`from the drop to all cases drawn: ${Date.now() - start} ms`);
  await imports.getByRole('button', { name: 'put away' }).click();
  await expect(page.getByRole('region', { name: 'Layer coast' })).toContainText(
    'Pinned 0 from all four edges of the whole screen, covers its box, keeping 50 % across, 50 % down in the middle',
  );
  await expect(page.getByRole('region', { name: 'Layer mark' })).toContainText(
    '40 % of the safe area’s width, at most 220',
  );

  await cell(page, PHONE).click();
  await expectCropToAgree(page);
  for (const fit of FITS) {
    await page.getByRole('button', { name: fit, exact: true }).click();
    await expect(page.getByRole('button', { name: fit, exact: true })).toHaveAttribute(
      'aria-pressed',
      'true',
    );
    await expectAllDrawn(page);
  }
  // A repeated picture has no focal point; taking the tile back brings it back.
  await page.keyboard.press('Control+z');
  await page.getByRole('button', { name: 'contain', exact: true }).click();
  await expect(figure(page, 'coast', 'Bare in its box')).toHaveText('57.8 %');
  const [, , bareTop] = await sides(page, 'coast', 'Bare to the screen’s edges');
  expect(bareTop).toBe(185);
  expect((await placeAt(page, 0.5, 184 / 640)).blue).toBe(255);
  expect((await placeAt(page, 0.5, 187 / 640)).blue).toBeLessThan(140);

  await page.getByRole('button', { name: 'cover', exact: true }).click();
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
  await expect(page.getByRole('button', { name: 'contain', exact: true })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
  await undo.click();
  await expect(page.getByRole('button', { name: 'match height', exact: true })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
  await page.getByRole('button', { name: 'redo' }).click();
  await expect(page.getByRole('button', { name: 'contain', exact: true })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
  await expect(saving(page)).toHaveText('saved');
  await page.reload();
  await expect(page.getByRole('button', { name: 'contain', exact: true })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
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
    await tabTo(page, page.getByRole('button', { name: fit, exact: true }));
    await press('Enter');
    await expect(page.getByRole('button', { name: fit, exact: true })).toHaveAttribute(
      'aria-pressed',
      'true',
    );
  }
  await press('Control+z');
  await tabTo(page, page.getByRole('button', { name: 'cover', exact: true }));
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
  await expect(coast).toContainText('tiled over its box, held at 50 % across');
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
  await differs.getByRole('button', { name: /^Take away/ }).click();
  await expect(differs).toHaveCount(0);
  await expect(saving(page)).toHaveText('saved');
});

test('filters narrow the field, and a link shows the same', async ({ page }) => {
  await page.goto('/projects/larkmoor-ferries/winter-splash');
  const all = await page.getByRole('gridcell').count();
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
  await page.getByRole('combobox', { name: 'Outcome' }).selectOption('◭ warn');
  await expect(page.getByRole('gridcell').first()).toHaveAccessibleName(/: warn/);
  for (const c of await page.getByRole('gridcell').all()) await expect(c).toHaveAccessibleName(/: warn/);
});

test('a file is replaced after a look at all cases before and after', async ({ page }) => {
  await createProject(page, 'Replace');
  await dropFiles(page, [await photo()]);
  await expect(page.getByRole('gridcell').first()).toBeVisible();
  await cell(page, PHONE).click();
  const small = { name: 'small.jpg', mimeType: 'image/jpeg', buffer: await rampJpeg(400, 300) };
  await page.locator('[data-replace]').setInputFiles(small);
  const dialog = page.getByRole('dialog', { name: 'Another file for coast' });
  await expect(dialog).toContainText('4000 × 3000 px becomes 400 × 300 px');
  await expect(dialog.locator('li.changed').first()).toBeVisible();
  expect(await seriousFindings(page)).toEqual([]);
  await dialog.getByRole('button', { name: 'Take the new file' }).click();
  await expect(figure(page, 'coast', 'Device px per file px')).toHaveText('6.4');
  await expectCropToAgree(page);
  await page.keyboard.press('Control+z');
  await expect(figure(page, 'coast', 'Device px per file px')).toHaveText('0.64');
});

test('two tabs: what does not meet is merged, what does is asked about, and both are kept', async ({
  page,
  context,
}) => {
  await createProject(page, 'Tabs');
  await dropFiles(page, [await photo(), await mark()]);
  await expect(page.getByRole('region', { name: 'Layer mark' })).toBeVisible();
  await expect(saving(page)).toHaveText('saved');
  const other = await context.newPage();
  await other.goto(page.url());

  await page.getByRole('button', { name: 'contain', exact: true }).click();
  await expect(saving(page)).toHaveText('saved');
  await other.getByRole('region', { name: 'Layer mark' }).getByRole('button', { name: 'hide' }).click();
  await expect(other.getByRole('status', { name: 'Message' })).toContainText('taken in');
  await expect(other.getByRole('button', { name: 'contain', exact: true })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
  await expect(saving(other)).toHaveText('saved');

  await page.getByRole('button', { name: 'stretch', exact: true }).click();
  await expect(page.getByRole('status', { name: 'Message' })).toContainText('taken in');
  await expect(saving(page)).toHaveText('saved');
  await other.getByRole('button', { name: 'natural', exact: true }).click();
  const dialog = other.getByRole('dialog', { name: 'Changed here and elsewhere' });
  await expect(dialog).toBeVisible();
  expect(await seriousFindings(other)).toEqual([]);
  await dialog.getByRole('button', { name: 'both, mine as a copy' }).click();
  await dialog.getByRole('button', { name: 'Go on with these' }).click();
  await expect(saving(other)).toHaveText('saved');
  await expect(other.getByRole('button', { name: 'stretch', exact: true })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
  await other.getByRole('button', { name: 'Splash' }).click();
  await other.getByRole('button', { name: 'Splash (mine)' }).click();
  await expect(other.getByRole('button', { name: 'natural', exact: true })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
});

test('without the server nothing is lost, and it is said', async ({ page, context }) => {
  await createProject(page, 'Offline');
  await dropFiles(page, [await photo()]);
  await expect(page.getByRole('gridcell').first()).toBeVisible();
  await expect(saving(page)).toHaveText('saved');
  await context.setOffline(true);
  await page.getByRole('button', { name: 'stretch', exact: true }).click();
  await expect(saving(page)).toHaveText('not saved: no server');
  await expect(page.getByRole('status', { name: 'Message' })).toContainText('kept here');
  await page.getByRole('button', { name: 'tile', exact: true }).click();
  await context.setOffline(false);
  await expect(saving(page)).toHaveText('saved', { timeout: 15_000 });
  await page.reload();
  await expect(page.getByRole('button', { name: 'tile', exact: true })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
});

test('files that are refused say so where they were dropped, and the others are taken', async ({
  page,
  request,
  baseURL,
}) => {
  await createProject(page, 'Refused');
  const good = await mark();
  await dropFiles(page, [
    { name: 'notes.png', mimeType: 'image/png', buffer: Buffer.from('these are notes and not a picture') },
    { name: 'empty.jpg', mimeType: 'image/jpeg', buffer: Buffer.alloc(0) },
    { name: 'cut.png', mimeType: 'image/png', buffer: good.buffer.subarray(0, 900) },
    {
      name: 'script.svg',
      mimeType: 'image/svg+xml',
      buffer: Buffer.from('<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"><script/></svg>'),
    },
    good,
  ]);
  const imports = page.getByRole('region', { name: 'Import' });
  await expect(imports.getByText('not added')).toHaveCount(4);
  await expect(imports).toContainText('“notes.png” is not a picture that can be read');
  await expect(imports).toContainText('“empty.jpg” is empty');
  await expect(imports).toContainText('“cut.png” is damaged');
  await expect(imports).toContainText('“script.svg” is not taken: it holds the element script');
  await expect(page.getByRole('region', { name: 'Layer mark' })).toBeVisible();

  const files = `${new URL(page.url()).pathname.split('/').slice(0, 3).join('/').replace('/projects', '/api/projects')}/files`;
  const origin = { origin: baseURL! };
  const send = (name: string, data: Buffer) =>
    request.post(`${files}?name=${encodeURIComponent(name)}`, { headers: origin, data });
  expect((await send('../up.png', good.buffer)).status()).toBe(422);
  const long = await send(`${'x'.repeat(300)}.png`, good.buffer);
  expect(long.status()).toBe(422);
  expect((await long.json()).title).toContain('the limit is 120');
  const large = await send('large.png', Buffer.alloc(65 * 1024 * 1024, 1));
  expect(large.status()).toBe(413);
  expect((await large.json()).title).toContain('64 MB');
  const api = files.replace('/files', '');
  const patch = (data: string, headers = {}) =>
    request.patch(api, { headers: { ...origin, 'if-match': '"1"', ...headers }, data });
  expect((await patch('{"id":')).status()).toBe(400);
  expect((await (await patch('{"id":"x"}')).json()).title).toMatch(/^id:/);
  expect((await patch('{}', { 'if-match': 'x' })).status()).toBe(428);
  expect((await request.patch(api, { data: '{}' })).status()).toBe(403);
  expect((await request.get('/api/projects/none')).status()).toBe(404);
  expect((await request.get('/api/health')).ok()).toBe(true);
});

test('a picture is pasted, and an import is cancelled while it is sent', async ({ page }) => {
  await createProject(page, 'Paste');
  const { buffer } = await mark();
  await page.evaluate((base64) => {
    const transfer = new DataTransfer();
    const bytes = Uint8Array.from(atob(base64), (c) => c.charCodeAt(0));
    transfer.items.add(new File([bytes], 'pasted.png', { type: 'image/png' }));
    window.dispatchEvent(new ClipboardEvent('paste', { clipboardData: transfer, bubbles: true }));
  }, buffer.toString('base64'));
  await expect(page.getByRole('region', { name: 'Layer pasted' })).toBeVisible();

  await page.route('**/files?name=slow.png', () => {});
  await dropFiles(page, [{ name: 'slow.png', mimeType: 'image/png', buffer: await logoPng(200) }]);
  const imports = page.getByRole('region', { name: 'Import' });
  await imports.getByRole('button', { name: 'Cancel slow.png' }).click();
  await expect(imports.getByText('cancelled')).toBeVisible();
  await expect(page.getByRole('region', { name: 'Layer slow' })).not.toBeVisible();
});

test('projects are created, renamed, duplicated and deleted, and deleting is undone', async ({ page }) => {
  await createProject(page, 'One');
  await page.goto('/');
  const row = (name: string) => page.getByRole('listitem', { name, exact: true });
  await row('One').getByRole('button', { name: 'rename' }).click();
  await page.getByRole('textbox', { name: 'New name' }).fill('First');
  await page.keyboard.press('Enter');
  await expect(row('First')).toBeVisible();
  await row('First').getByRole('button', { name: 'duplicate' }).click();
  await expect(row('First (copy)')).toBeVisible();
  await row('First (copy)').getByRole('button', { name: 'delete' }).click();
  await expect(row('First (copy)')).not.toBeVisible();
  await page.getByRole('status').getByRole('button', { name: 'undo' }).click();
  await expect(row('First (copy)')).toBeVisible();
  await page.getByRole('textbox', { name: 'Name of a new project' }).fill('n'.repeat(300));
  await page.getByRole('button', { name: 'New project' }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'at most 120' })).toBeVisible();
  await expect(page.getByRole('textbox', { name: 'Name of a new project' })).toHaveValue('n'.repeat(300));
});

for (const colorScheme of ['light', 'dark'] as const) {
  test(`axe finds nothing serious, ${colorScheme} theme`, async ({ page }) => {
    await page.emulateMedia({ colorScheme });
    await page.goto('/');
    expect(await seriousFindings(page)).toEqual([]);
    await createProject(page, `Empty ${colorScheme}`);
    expect(await seriousFindings(page)).toEqual([]);
    await page.goto(
      '/projects/larkmoor-ferries/winter-splash?case=phone-393x852-3x-pill.0.light&kind=tablets',
    );
    await expect(closeUp(page).locator('canvas')).toHaveAttribute('data-complete', 'true');
    await page.getByRole('button', { name: /38 % of the safe/ }).click();
    await expect(page.getByRole('dialog')).toBeVisible();
    expect(await seriousFindings(page)).toEqual([]);
    await page.keyboard.press('Escape');
    await page.getByRole('button', { name: '62 % across, 55 % down', exact: true }).click();
    expect(await seriousFindings(page)).toEqual([]);
    await page.keyboard.press('Escape');
    await page.keyboard.press('?');
    await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
    expect(await seriousFindings(page)).toEqual([]);
  });
}
