import { readFileSync } from 'node:fs';
import { expect, type Page } from '@playwright/test';
import { test } from './test';
import { closeUp, figure, saving, seriousFindings, tabTo, undo } from './fixtures';

const FONT = 'node_modules/@fontsource/markazi-text/files/markazi-text-arabic-400-normal.woff2';
const SIGN_IN = '/projects/larkmoor-ferries/sign-in';
const layer = (page: Page, name: string) => page.getByRole('region', { name: `Layer ${name}` });
const fonts = (page: Page) => page.getByRole('region', { name: 'Fonts' });
/** “سلام” in the words that are drawn, with a sign that no font has. */
const GREETING = 'سلام Larkmoor 🚢';

async function write(page: Page, part: RegExp, words: string): Promise<void> {
  await layer(page, 'Greeting').getByRole('button', { name: part }).click();
  await page.getByRole('textbox', { name: 'Text' }).fill(words);
  await page.keyboard.press('Escape');
}

test('a text in Arabic: its letters are named, a font is imported by keyboard, and all but one are there', async ({
  page,
}) => {
  // Listened to from the start: a dialog of the browser that opens before that is never heard of.
  page.on('filechooser', () => {});
  await page.goto(SIGN_IN);
  await write(page, /Good to have you aboard/, GREETING);
  const missing = figure(page, 'Greeting', 'Letters missing');
  await expect(missing).toContainText('س');
  await expect(missing).toContainText('🚢');

  // From the type of the text, by keyboard alone.
  const type = layer(page, 'Greeting').getByRole('button', { name: /22 bold sans/ });
  await type.focus();
  await page.keyboard.press('Enter');
  const popover = page.getByRole('dialog', { name: /22 bold sans/ });
  await tabTo(page, popover.getByRole('button', { name: 'import a font' }), 20);
  const chooser = page.waitForEvent('filechooser');
  await page.keyboard.press('Enter');
  await (await chooser).setFiles(FONT);
  await expect(missing).not.toContainText('س');
  await expect(missing).toContainText('🚢');
  expect(await seriousFindings(page)).toEqual([]);
  await page.keyboard.press('Escape');
  await expect(layer(page, 'Greeting')).toContainText('22 Markazi Text Regular, lines to the left');
  await expect(fonts(page)).toContainText('Arabic');
  await expect(saving(page)).toHaveText('saved');

  // It is there after a reload, on the page and on the server.
  await page.reload();
  await expect(missing).toContainText('🚢');
  await expect(missing).not.toContainText('س');
  const address = await closeUp(page).getByRole('link', { name: 'as PNG' }).getAttribute('href');
  const png = await page.request.get(address!);
  expect(png.headers()['content-type']).toBe('image/png');

  // What is used stays; nothing is said of what is not.
  await fonts(page)
    .getByRole('button', { name: /Remove the font/ })
    .click();
  await expect(page.getByRole('status', { name: 'Message' })).toContainText(
    'Markazi Text Regular is still used: Sign-in, Greeting. Choose another font there first.',
  );
  await undo(page, 3);
  await expect(fonts(page)).toContainText('Texts are set in sans or serif');
  await expect(layer(page, 'Greeting')).toContainText('Good to have you aboard');
});

test('a font dropped on the page is taken in, and what is none is refused in words', async ({ page }) => {
  await page.goto(SIGN_IN);
  const pick = page.getByTestId('pick');
  await expect(fonts(page)).toContainText('Texts are set in sans or serif');
  await pick.setInputFiles([
    { name: 'arabic.woff2', mimeType: 'font/woff2', buffer: readFileSync(FONT) },
    { name: 'broken.ttf', mimeType: 'font/ttf', buffer: Buffer.from('this is no font at all') },
  ]);
  const list = page.getByRole('region', { name: 'Import' });
  await expect(list).toContainText('Markazi Text Regular can now be chosen for a text. It writes Arabic.');
  await expect(list).toContainText(
    '“broken.ttf” is not a font that can be read. Use TTF, OTF, WOFF or WOFF2',
  );
  await undo(page);
  await expect(fonts(page)).toContainText('Texts are set in sans or serif');
});

test('the right-to-left preview says that it is one, in its sentences as well, and can be ended there', async ({
  page,
}) => {
  await page.goto(SIGN_IN);
  await page.getByRole('button', { name: 'bars and margins' }).click();
  await page.getByRole('button', { name: 'right to left' }).click();
  await page.keyboard.press('Escape');
  const note = page.getByRole('note');
  await expect(note).toContainText('Right-to-left preview');
  await expect(closeUp(page)).toContainText('Right-to-left preview');
  await expect(layer(page, 'Greeting')).toContainText('lines to the right');
  expect(await seriousFindings(page)).toEqual([]);
  await note.getByRole('button', { name: 'end it' }).click();
  await expect(note).toHaveCount(0);
  await expect(layer(page, 'Greeting')).toContainText('lines to the left');
  await undo(page, 2);
});

test('a scrim is offered as it was tried, and what it is laid with is what was said', async ({ page }) => {
  await page.goto('/projects/larkmoor-ferries/winter-splash');
  const more = layer(page, 'Wordmark').getByRole('button', { name: 'more' });
  await more.click();
  const scrim = page.getByRole('group', { name: 'Scrim' });
  await scrim.getByRole('button', { name: '3 : 1', exact: true }).click();
  await expect(scrim).toContainText(
    /(Black|White), \d+\s% of it, as .* needs: 3\.\d+ : 1 or more on every case/,
  );
  const share = /(\d+)\s% of it/.exec((await scrim.textContent())!)![1]!;
  await scrim.getByRole('button', { name: 'lay it' }).click();
  await expect(layer(page, 'Scrim under Wordmark')).toContainText(new RegExp(`at ${share}\\s%`));
  await undo(page);
  await expect(layer(page, 'Scrim under Wordmark')).toHaveCount(0);
});

test('a second length leaves no shape to keep, and the sentence says none', async ({ page }) => {
  await page.goto(SIGN_IN);
  const emblem = layer(page, 'Emblem');
  await expect(emblem).toContainText('112 wide, keeps its shape');
  await emblem.getByRole('button', { name: 'keeps its shape' }).click();
  await page.getByRole('combobox', { name: 'Shape' }).selectOption({ label: '2 : 1' });
  await page.keyboard.press('Escape');
  await expect(emblem).toContainText('112 wide, shaped 2 : 1');
  await undo(page);
  await expect(emblem).toContainText('112 wide, keeps its shape');
});
