import { expect, type Page } from '@playwright/test';
import { mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { readFile } from 'node:fs/promises';
import path from 'node:path';
import { unzipSync, zipSync } from 'fflate';
import sharp from 'sharp';
import { Sheet } from '../src/formats/sheet/schema';
import { FEW_SPLASH } from './few-screens';
import { logoPng, seriousFindings, tabTo } from './fixtures';
import { test } from './test';

const SHIP = '/projects/larkmoor-ferries/winter-splash?lens=ship';
/** The same with a field of three cases. */
const FEW = `${SHIP}&text=360x640`;

test.use({ permissions: ['clipboard-read', 'clipboard-write'] });

/** What is on the clipboard, as a field of another program would take it. */
async function pasted(page: Page): Promise<string> {
  const field = await page.evaluateHandle(() =>
    document.body.appendChild(document.createElement('textarea')),
  );
  await field.focus();
  await page.keyboard.press('Control+v');
  const text = await field.inputValue();
  await field.evaluate((e) => e.remove());
  return text;
}

const section = (page: Page, name: string) => page.getByRole('region', { name, exact: true });

/** A file that a button hands out. */
async function taken(page: Page, button: RegExp): Promise<{ name: string; text: string }> {
  const download = page.waitForEvent('download', { timeout: 60_000 });
  await page.getByRole('button', { name: button }).click();
  const file = await download;
  return { name: file.suggestedFilename(), text: await readFile(await file.path(), 'utf8') };
}

test('everything on the sheet is copied by keyboard, and is what the sheet says', async ({ page }) => {
  await page.goto(SHIP);
  const emblem = section(page, 'Emblem');
  await expect(emblem).toBeVisible({ timeout: 60_000 });
  const sheet = Sheet.parse(JSON.parse((await taken(page, /^JSON: The sheet/)).text));
  const said = sheet.sections.find((s) => s.name === 'Emblem')!;
  const width = said.rows.find((r) => r.id === 'width')!;
  const first = width.at[0] as { lu: number; px: number };
  const tenth = (value: number) => String(Math.round(value * 10) / 10);

  const copies: [RegExp, string, string][] = [
    [/^copy Emblem, width, smallest screen, lu/, 'Emblem, width, smallest screen, lu', tenth(first.lu)],
    [/^copy Emblem, width, smallest screen, px/, 'Emblem, width, smallest screen, px', tenth(first.px)],
    [/^copy Emblem, its rule/, 'Emblem, its rule', said.sentence!],
    [/^copy width, as ruled: 38/, 'width, as ruled', width.ruled],
  ];
  for (const [name, what, text] of copies) {
    await emblem.getByRole('button', { name }).focus();
    await page.keyboard.press('Enter');
    // What was copied before is on the clipboard until this is said of it.
    await expect(page.locator('.ship-said')).toContainText(`${what} copied`);
    expect(await pasted(page)).toBe(text);
  }
  await emblem.getByText('as CSS').focus();
  await page.keyboard.press('Enter');
  await emblem.getByRole('button', { name: 'copy CSS of Emblem' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.locator('.ship-said')).toContainText('CSS of Emblem copied');
  expect(await pasted(page)).toBe(said.css);

  // The whole of it is the file that is taken along.
  const markdown = await taken(page, /^Markdown: The sheet/);
  expect(markdown.name).toBe('winter-splash-sheet.md');
  await tabTo(page, page.getByRole('button', { name: 'copy the whole sheet' }));
  await page.keyboard.press('Enter');
  await expect(page.locator('.ship-said')).toContainText('the whole sheet copied');
  expect(await pasted(page)).toBe(markdown.text);
  expect(await seriousFindings(page)).toEqual([]);
});

test('a figure that has changed since it was taken is marked with what it was', async ({ page }) => {
  await page.goto(SHIP);
  await expect(section(page, 'Emblem')).toBeVisible({ timeout: 60_000 });
  await page.getByRole('button', { name: 'copy the whole sheet' }).click();
  await expect(page.locator('.ship-said')).toContainText('copied');
  await expect(page.locator('.was')).toHaveCount(0);
  // For other screens it is another sheet, of which nothing was taken.
  await page.getByLabel('For which screens').selectOption('tablets');
  await expect(page).toHaveURL(/target=tablets/);
  await expect(page.locator('.was')).toHaveCount(0);
  await page.getByLabel('For which screens').selectOption('all');

  await page.getByRole('group', { name: 'Lens' }).getByRole('button', { name: 'screens' }).click();
  await page
    .getByRole('button', { name: /^38 % of the safe area’s width/ })
    .first()
    .click();
  const size = page.getByRole('dialog').getByRole('textbox').first();
  await size.fill('30');
  await size.press('Enter');
  await page.keyboard.press('Escape');
  await page.getByRole('group', { name: 'Lens' }).getByRole('button', { name: 'ship' }).click();
  const emblem = section(page, 'Emblem');
  await expect(
    emblem.locator('.was').filter({ hasText: 'was 38 % of the safe area’s width' }).first(),
  ).toBeVisible();
  await emblem.getByRole('button', { name: 'copy Emblem', exact: true }).click();
  await expect(emblem.locator('.was')).toHaveCount(0);
  await page.keyboard.press('Control+z');
  await expect(emblem.locator('.was').first()).toBeVisible();
});

test('the verdict names what is wrong, and all of it is taken along in each form', async ({ page }) => {
  await page.goto(FEW);
  await expect(page.getByRole('heading', { name: /Not yet: \d+ findings fail/ })).toBeVisible({
    timeout: 60_000,
  });
  const sarif = await taken(page, /^SARIF: /);
  expect(sarif.name).toBe('larkmoor-ferries-review.sarif');
  const { runs } = JSON.parse(sarif.text) as {
    runs: { results: { level: string; suppressions?: unknown }[] }[];
  };
  const failing = runs[0]!.results.filter((r) => r.level === 'error' && !r.suppressions).length;
  await expect(page.getByRole('heading', { name: `Not yet: ${failing} findings fail` })).toBeVisible();
  expect((await taken(page, /^JUnit: /)).text).toContain('<testsuites name="Larkmoor Ferries"');
  expect((await taken(page, /^design tokens: /)).text).toContain('deep water');
  const manifest = JSON.parse((await taken(page, /^manifest: /)).text) as { icons: { src: string }[] };
  expect(manifest.icons[0]!.src).toMatch(/^emblem.*\.png$/);
  const cases = page.getByLabel('Which cases a contact sheet shows');
  await expect(cases.locator('option').nth(1)).toHaveText(/^[2-9] in the field$/);
  await cases.selectOption('field');
  expect((await taken(page, /^PDF: /)).text).toMatch(/^%PDF/);
  const scene = await taken(page, /^HTML \+ CSS: /);
  expect(scene.name).toBe('winter-splash.html');
  expect(scene.text).toContain('class="emblem"');
  // It opens by itself, and loads nothing.
  const asked: string[] = [];
  page.on('request', (r) => asked.push(r.url()));
  await page.setContent(scene.text);
  await expect(page.locator('.emblem')).toBeVisible();
  expect(asked.filter((url) => !url.startsWith('data:'))).toEqual([]);
});

test('all files are taken along under names of one’s own, and a name that is there twice is refused', async ({
  page,
}) => {
  await page.goto(`${FEW_SPLASH}?lens=ship`);
  const files = page.getByRole('region', { name: 'Files' });
  await expect(files.getByRole('rowheader', { name: 'emblem@4x.png', exact: true })).toBeVisible({
    timeout: 60_000,
  });
  const count = Number(/(\d+) files/.exec(await files.innerText())![1]);
  await expect(files.getByRole('row')).toHaveCount(count);
  const pattern = files.getByLabel('Names');
  await pattern.fill('{name}');
  await expect(files.getByRole('alert')).toContainText('Two files would be called');
  await expect(files.getByRole('button', { name: 'ZIP', exact: true })).toBeDisabled();
  await pattern.fill('{density}x/{name}[-{cut}][-{appearance}]');
  await expect(files.getByRole('rowheader', { name: '4x/' })).toBeVisible();
  const download = page.waitForEvent('download');
  await files.getByRole('button', { name: 'ZIP', exact: true }).focus();
  await page.keyboard.press('Enter');
  const zip = await readFile(await (await download).path(), 'latin1');
  expect([...zip.matchAll(/PK\x01\x02/g)]).toHaveLength(count);
  expect(zip).toContain('4x/emblem.png');
  // They have been taken now, and nothing has changed since.
  const changed = files.getByRole('checkbox', { name: /^only what has changed since .+: 0 files$/ });
  await changed.check();
  await expect(files.getByRole('button', { name: 'ZIP', exact: true })).toBeDisabled();
  await changed.uncheck();
  // Encoded anew.
  await files.getByLabel('Written').selectOption('webp');
  await expect(files.getByRole('rowheader', { name: 'emblem.webp' }).first()).toBeVisible();
  const number = files.getByRole('spinbutton', { name: 'Quality, 1 to 100' });
  await number.fill('0');
  await expect(files.getByRole('alert')).toContainText('A whole number from 1 to 100.');
  await number.fill('40');
  // One of them is looked at where it differs most, before all are encoded.
  await files.getByRole('combobox', { name: 'File that is looked at' }).selectOption('1x/emblem.webp');
  await files.getByRole('button', { name: 'look at what it becomes' }).press('Enter');
  await expect(files.locator('.encoding-look')).toContainText(
    /WebP at quality 40, [\d.]+ kB, structural similarity [01]\.\d{3}/,
    { timeout: 60_000 },
  );
  expect(await seriousFindings(page)).toEqual([]);
  const encoded = page.waitForEvent('download', { timeout: 110_000 });
  await files.getByRole('button', { name: 'ZIP', exact: true }).press('Enter');
  const parts = Object.entries(unzipSync(await readFile(await (await encoded).path())));
  const webp = parts.filter(([name]) => name.endsWith('.webp'));
  expect(webp.length).toBeGreaterThan(3);
  for (const [, bytes] of webp) expect((await sharp(bytes).metadata()).format).toBe('webp');
  await expect(page.getByRole('status', { name: 'Message' })).toContainText(
    /files as WebP, .+ at quality 40/,
  );
  const svg = await taken(page, /^SVG: /);
  expect(svg.name).toMatch(/^small-splash-.+\.svg$/);
  expect(svg.text).toMatch(/^<svg [^>]*viewBox/);
});

test('a folder is held against the files, and what mends it is taken along, by keyboard', async ({
  page,
}, info) => {
  await page.goto(SHIP);
  const files = section(page, 'Files');
  const zip = async (button: string) => {
    const download = page.waitForEvent('download', { timeout: 60_000 });
    await files.getByRole('button', { name: button, exact: true }).press('Enter');
    return unzipSync(await readFile(await (await download).path()));
  };
  await expect(files.getByRole('rowheader', { name: 'emblem@4x.png', exact: true })).toBeVisible({
    timeout: 60_000,
  });
  const right = await zip('ZIP');
  const count = Object.keys(right).length;

  const folder = info.outputPath('shipped');
  const write = (of: Record<string, Uint8Array>) => {
    rmSync(folder, { recursive: true, force: true });
    for (const [name, bytes] of Object.entries(of)) {
      mkdirSync(path.dirname(path.join(folder, name)), { recursive: true });
      writeFileSync(path.join(folder, name), bytes);
    }
  };
  const check = section(page, 'Check a folder');
  write(right);
  await check.getByLabel('choose a folder').setInputFiles(folder);
  await expect(check).toContainText(`shipped holds the ${count} files of the project, and nothing else.`, {
    timeout: 60_000,
  });

  const { 'emblem@4x.png': emblem, ...spoilt } = right;
  spoilt['Rope.png'] = emblem!;
  spoilt['emblem@2x.png'] = new Uint8Array(await logoPng(512));
  write(spoilt);
  await check.getByLabel('choose a folder').setInputFiles(folder);
  const faults = check.getByRole('list', { name: 'Faults' }).getByRole('listitem');
  await expect(faults).toHaveCount(2, { timeout: 60_000 });
  await expect(faults.filter({ hasText: 'Rope.png' })).toContainText('It should be called emblem@4x.png.');
  await expect(faults.filter({ hasText: 'emblem@2x.png' })).toContainText(
    /It shows something else than the file of the project: their colours are [\d.]+ apart on average \(CIEDE2000\)/,
  );
  await expect(
    faults.getByRole('img', {
      name: 'emblem@2x.png: the file of the project, the one here, and how they differ',
    }),
  ).toBeVisible();
  expect(await seriousFindings(page)).toEqual([]);
  // What is left as it is, is not taken along.
  await faults.getByRole('button', { name: 'Leave emblem@2x.png' }).press('Enter');
  await expect(check.getByRole('button', { name: 'Take along the 1 file that mends it' })).toBeVisible();
  await faults.getByRole('button', { name: 'Mend emblem@2x.png' }).press('Enter');
  await expect(faults.getByRole('button', { name: 'Take emblem@2x.png into the project' })).toBeVisible();
  await tabTo(page, check.getByRole('button', { name: /^Take along the 2 files/ }));
  const mend = await zip('Take along the 2 files that mend it');
  expect(Object.keys(mend).toSorted()).toEqual(['emblem@2x.png', 'emblem@4x.png']);
  for (const [name, bytes] of Object.entries(mend))
    expect(Buffer.from(bytes).equals(right[name]!)).toBe(true);

  const cut = Buffer.from(zipSync(right)).subarray(0, 9000);
  await check
    .getByLabel('choose a ZIP')
    .setInputFiles({ name: 'cut.zip', mimeType: 'application/zip', buffer: cut });
  await expect(check.getByRole('alert')).toContainText('it is no ZIP, or it was cut short.');
});

test('a project is taken along as an archive, and opened again beside itself', async ({ page }, info) => {
  await page.goto(SHIP);
  const download = page.waitForEvent('download', { timeout: 60_000 });
  await page.getByRole('button', { name: /^archive: / }).click();
  const file = await download;
  expect(file.suggestedFilename()).toBe('larkmoor-ferries.zip');
  const zip = info.outputPath('larkmoor-ferries.zip');
  await file.saveAs(zip);

  await page.goto('/');
  const field = page.getByLabel('open an archive');
  await field.setInputFiles({ name: 'none.zip', mimeType: 'application/zip', buffer: Buffer.from('PK no') });
  await expect(page.locator('p[role=alert]')).toContainText(
    'it is no ZIP, or it was cut short. Nothing was changed.',
  );
  await field.setInputFiles(zip);
  const copy = page.getByRole('listitem', { name: 'Larkmoor Ferries (copy)', exact: true });
  await expect(copy).toBeVisible({ timeout: 60_000 });
  await expect(page.getByText('Larkmoor Ferries (copy) was imported.')).toBeVisible();
  expect(await seriousFindings(page)).toEqual([]);

  await copy.getByRole('link', { name: 'Mended splash' }).click();
  await expect(page.locator('.tally')).toContainText('486 clear', { timeout: 60_000 });
  await page.goto('/');
  await copy.getByRole('button', { name: 'delete' }).click();
  await expect(copy).toHaveCount(0);

  // The same as a folder, with something of somebody else's beside it.
  const folder = info.outputPath('ferries');
  for (const [name, bytes] of Object.entries(unzipSync(readFileSync(zip)))) {
    mkdirSync(path.dirname(path.join(folder, name)), { recursive: true });
    writeFileSync(path.join(folder, name), bytes);
  }
  writeFileSync(path.join(folder, 'notes.txt'), 'not of the project');
  const chosen = page.getByLabel('open a folder');
  await chosen.setInputFiles(path.join(folder, 'scenes'));
  await expect(page.locator('p[role=alert]')).toContainText('There is no project in the folder scenes');
  await chosen.setInputFiles(folder);
  await expect(copy).toBeVisible({ timeout: 60_000 });
  await copy.getByRole('button', { name: 'delete' }).click();
  await expect(copy).toHaveCount(0);

  // A file that goes away between being chosen and being sent is not taken for a server that went away.
  await page.route('**/api/v1/archives*', async (route) => {
    rmSync(zip, { force: true });
    await route.continue();
  });
  await field.setInputFiles(zip);
  await expect(page.locator('p[role=alert]')).toContainText(
    'could not be sent: it was changed or taken away since it was chosen. Choose it again.',
  );
});
