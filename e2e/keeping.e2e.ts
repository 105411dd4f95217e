import { expect } from '@playwright/test';
import { test } from './test';
import {
  PHONE,
  cell,
  closeUp,
  createProject,
  dropFiles,
  expectCropToAgree,
  figure,
  logoPng,
  mark,
  photo,
  rampJpeg,
  saving,
  showAll,
  seriousFindings,
  seriousInBothThemes,
  tabTo,
} from './fixtures';

test('a file is replaced after a look at all cases before and after', async ({ page }) => {
  await createProject(page, 'Replace');
  await dropFiles(page, [await photo()]);
  await expect(page.getByRole('gridcell').first()).toBeVisible();
  await showAll(page);
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

test('of several files all are made from a new one, or one alone is replaced, and what stays is said', async ({
  page,
}) => {
  await createProject(page, 'Replace several');
  const sized = async (name: string, size: number) => ({
    name,
    mimeType: 'image/png',
    buffer: await logoPng(size),
  });
  await dropFiles(page, [
    await sized('badge.png', 150),
    await sized('badge@2x.png', 300),
    await sized('badge@3x.png', 440),
  ]);
  const assign = page.getByRole('dialog', { name: 'Where these 3 files belong' });
  await expect(assign.getByRole('list', { name: 'Files that do not go together' })).toContainText(
    'The 3x file has 440 × 440 px; as the 2x file has 300 × 300 px, it should have 450 × 450 px.',
  );
  expect(await seriousFindings(page)).toEqual([]);
  await assign.getByRole('button', { name: 'Add 3 files' }).click();
  await page.locator('[data-replace]').setInputFiles(await sized('new.png', 600));
  const dialog = page.getByRole('dialog', { name: 'Another file for badge' });
  await expect(dialog.getByText('1x: 150 × 150 px becomes 200 × 200 px')).toBeVisible();
  await expect(dialog).toContainText('Nothing of the old files stays.');
  await dialog.getByRole('radio', { name: /only that one is replaced/ }).check();
  await expect(dialog).toContainText('As it is stays light, 1x; light, 2x.');
  expect(await seriousFindings(page)).toEqual([]);
  await dialog.getByRole('radio', { name: /and all 3 files/ }).check();
  await dialog.getByRole('button', { name: 'Take the new files' }).click();
  await page.getByRole('button', { name: 'sizes', exact: true }).click();
  const files = page.getByRole('region', { name: 'Files of all pictures' });
  for (const px of [200, 400, 600]) await expect(files).toContainText(`${px} × ${px}`);
  await expect(files).not.toContainText('uneven');
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
  await expect(other.getByRole('status', { name: 'Message' })).toContainText('loaded');
  await expect(other.getByRole('button', { name: 'contain', exact: true })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
  await expect(saving(other)).toHaveText('saved');

  await page.getByRole('button', { name: 'stretch', exact: true }).click();
  await expect(page.getByRole('status', { name: 'Message' })).toContainText('loaded');
  await expect(saving(page)).toHaveText('saved');
  await other.getByRole('button', { name: 'natural', exact: true }).click();
  const dialog = other.getByRole('dialog', { name: 'Changed here and elsewhere' });
  await expect(dialog).toBeVisible();
  expect(await seriousFindings(other)).toEqual([]);
  const fit = dialog.getByRole('group', { name: /fit/ });
  await expect(fit.getByRole('radio', { name: /elsewhere/ })).not.toBeChecked();
  await expect(dialog.getByRole('button', { name: 'Go on with these' })).toBeDisabled();
  await fit.getByRole('radio', { name: /elsewhere/ }).check();
  await dialog.getByRole('button', { name: 'Go on with these' }).click();
  await expect(saving(other)).toHaveText('saved');
  const isChosen = (name: string) =>
    expect(other.getByRole('button', { name, exact: true })).toHaveAttribute('aria-pressed', 'true');
  await isChosen('stretch');
  // What was not chosen is not gone.
  await other.getByRole('button', { name: 'undo', exact: true }).click();
  await isChosen('natural');
});

test('without the server nothing is lost, and it is said', async ({ page, context }) => {
  await createProject(page, 'Offline');
  await dropFiles(page, [await photo()]);
  await expect(page.getByRole('gridcell').first()).toBeVisible();
  await expect(saving(page)).toHaveText('saved');
  await context.setOffline(true);
  await page.getByRole('button', { name: 'stretch', exact: true }).click();
  await expect(saving(page)).toHaveText('not saved, trying again');
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

  const files = `${new URL(page.url()).pathname.split('/').slice(0, 3).join('/').replace('/projects', '/api/v1/projects')}/files`;
  const origin = { origin: baseURL! };
  const send = (name: string, data: Buffer) =>
    request.post(`${files}?name=${encodeURIComponent(name)}`, { headers: origin, data });
  expect((await send('../up.png', good.buffer)).status()).toBe(422);
  const long = await send(`${'x'.repeat(300)}.png`, good.buffer);
  expect(long.status()).toBe(422);
  expect((await long.json()).detail).toContain('the limit is 120');
  const large = await send('large.png', Buffer.alloc(65 * 1024 * 1024, 1));
  expect(large.status()).toBe(413);
  expect((await large.json()).detail).toContain('64 MB');
  const api = files.replace('/files', '');
  const patch = (data: string, headers = {}) =>
    request.patch(api, { headers: { ...origin, 'if-match': '"1"', ...headers }, data });
  expect((await patch('{"id":')).status()).toBe(400);
  expect((await (await patch('{"id":"x"}')).json()).detail).toMatch(/^id:/);
  expect((await patch('{}', { 'if-match': 'x' })).status()).toBe(428);
  expect((await request.patch(api, { data: '{}' })).status()).toBe(403);
  expect((await request.get('/api/v1/projects/none')).status()).toBe(404);
  expect((await request.get('/api/v1/health')).ok()).toBe(true);
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

  // Several can be brought back, not the last one alone; removing for good is asked first.
  for (const name of ['First', 'First (copy)'])
    await row(name).getByRole('button', { name: 'delete' }).click();
  const deleted = page.getByRole('region', { name: 'Deleted projects' });
  await expect(deleted.getByRole('listitem', { name: 'First, deleted' })).toContainText(
    'kept for 30 more days',
  );
  await tabTo(page, deleted.getByRole('button', { name: 'Bring back First', exact: true }));
  await page.keyboard.press('Enter');
  await expect(row('First')).toBeVisible();
  await deleted.getByRole('button', { name: 'Remove First (copy) for good' }).click();
  expect(await seriousFindings(page)).toEqual([]);
  await deleted.getByRole('button', { name: 'yes, remove it' }).click();
  await expect(deleted.getByText('First (copy)')).toHaveCount(0);
  await page.getByRole('textbox', { name: 'Name of a new project' }).fill('n'.repeat(300));
  await page.getByRole('button', { name: 'New project' }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'at most 120' })).toBeVisible();
  await expect(page.getByRole('textbox', { name: 'Name of a new project' })).toHaveValue('n'.repeat(300));
});

test('axe finds nothing serious in either theme', async ({ page }) => {
  await page.goto('/');
  expect(await seriousInBothThemes(page)).toEqual([]);
  await createProject(page, 'Empty');
  expect(await seriousInBothThemes(page)).toEqual([]);
  await page.goto('/projects/larkmoor-ferries/winter-splash?case=phone-393x852-3x-pill.0.light&kind=tablets');
  await expect(closeUp(page).locator('canvas')).toHaveAttribute('data-complete', 'true');
  await page.getByRole('button', { name: /38 % of the safe/ }).click();
  await expect(page.getByRole('dialog')).toBeVisible();
  expect(await seriousInBothThemes(page)).toEqual([]);
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: '62 % across, 55 % down', exact: true }).click();
  expect(await seriousInBothThemes(page)).toEqual([]);
  await page.keyboard.press('Escape');
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keys and words' })).toBeVisible();
  expect(await seriousInBothThemes(page)).toEqual([]);
});
