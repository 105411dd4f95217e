import { expect } from '@playwright/test';
import { addressOf } from './servers';
import { test } from './test';
import { createServer } from 'node:http';
import sharp, { type Sharp } from 'sharp';
import {
  closeUp,
  createProject,
  dropFiles,
  lens,
  saving,
  seriousFindings,
  seriousInBothThemes,
  tabTo,
  undo,
  type Upload,
} from './fixtures';

// All files are measured on all screens before anything is said of them, which takes long on a store that was just made.
test.describe.configure({ timeout: 240_000 });

const NAMES = ['harbour', 'emblem', 'wordmark', 'rope', 'deck', 'gull', 'anchor', 'buoy', 'chart', 'pier'];

const upload = async (name: string, image: Sharp): Promise<Upload> => ({
  name,
  mimeType: 'image/png',
  buffer: await image.png().toBuffer(),
});
/** Each of another colour, so that no two files are the same. */
const plain = (width: number, height: number, seed: number) =>
  sharp({
    create: { width, height, channels: 3, background: { r: seed % 256, g: (seed * 7) % 256, b: 90 } },
  });
/** Nothing that an encoder could make smaller. */
const noise = (width: number, height: number) =>
  sharp({
    create: {
      width,
      height,
      channels: 3,
      background: '#808080',
      noise: { type: 'gaussian', mean: 128, sigma: 90 },
    },
  });

/** Ten pictures in three densities for light and dark, six of the 60 files wrong in six ways. */
async function folder(): Promise<Upload[]> {
  const files: Promise<Upload>[] = [];
  let seed = 0;
  for (const [i, name] of NAMES.entries()) {
    for (const dark of ['', '-dark']) {
      for (const density of [1, 2, 3]) {
        seed += 3;
        const file = `${name}${dark}${density > 1 ? `@${density}x` : ''}.png`;
        const [width, height] = [(140 + i) * density, (140 + i) * density];
        if (file === 'harbour@2x.png' || file.startsWith('pier-dark')) continue;
        if (file === 'emblem-dark@2x.png') files.push(upload(file, plain(width + 4, height, seed)));
        else if (file === 'wordmark@3x.png') files.push(upload(file, noise(width, height)));
        else if (file === 'rope.png')
          files.push(upload(file, plain(width, height, seed).withIccProfile('p3')));
        else files.push(upload(file, plain(width, height, seed)));
      }
    }
  }
  for (const name of ['spare', 'other'])
    for (const dark of ['', '-dark']) files.push(upload(`${name}${dark}.png`, plain(10, 10, (seed += 3))));
  return Promise.all(files);
}

test('a folder of 60 files is read, looked at and taken; six are wrong in six ways, and no more', async ({
  page,
}) => {
  await createProject(page, 'Folder');
  const files = await folder();
  expect(files).toHaveLength(60);
  await dropFiles(page, files);
  const dialog = page.getByRole('dialog', { name: 'Where these 60 files belong' });
  await expect(dialog).toBeVisible({ timeout: 60_000 });
  await expect(dialog.getByRole('row', { name: /^emblem-dark@2x\.png/ })).toContainText('by “@2x”, “dark”');
  expect(await seriousFindings(page)).toEqual([]);
  await dialog.getByRole('button', { name: 'Add 60 files' }).click();
  await expect(saving(page)).toHaveText('saved');

  await page.getByRole('button', { name: 'add', exact: true }).click();
  await page.getByRole('combobox', { name: 'Picture to add' }).selectOption('deck');
  await page.getByRole('button', { name: /^fills the whole screen/ }).click();
  await lens(page, 'sizes').click();
  await expect(page).toHaveURL(/lens=sizes/);
  const findings = page.getByRole('region', { name: 'Files of all pictures' }).getByRole('listitem');
  // All of them are placed, so that each small one is found too small for where it stands.
  const others = findings.filter({ hasNotText: 'too small' });
  await expect(others).toHaveCount(5);
  const said = (await others.allTextContents()).map((text) =>
    /[a-z -]+(?= (The|There))/.exec(text)?.[0].trim(),
  );
  expect(said).toEqual(['missing', 'uneven', 'too heavy', 'wrong profile', 'light only']);
  await expect(others.nth(3)).toContainText('P3');
  const deck = page.getByRole('rowgroup').filter({ hasText: /^deck/ });
  await expect(deck.getByRole('listitem').filter({ hasText: 'too small' })).toHaveCount(1);
});

test('where files belong is changed by hand, two never share a place, and undo takes all of them out', async ({
  page,
}) => {
  await page.goto('/projects/larkmoor-ferries/winter-splash?lens=sizes');
  await expect(page.getByRole('rowgroup').first()).toBeVisible({ timeout: 90_000 });
  const before = await page.getByRole('rowgroup').count();
  const list = [
    await upload('emblem@3x.png', plain(768, 768, 5)),
    await upload('gull@2x.png', plain(200, 200, 6)),
    await upload('gull-2x.png', plain(202, 202, 7)),
  ];
  await dropFiles(page, list);
  const dialog = page.getByRole('dialog', { name: 'Where these 3 files belong' });
  await expect(dialog.getByRole('button', { name: 'Add 3 files' })).toBeDisabled();
  await dialog.getByRole('combobox', { name: 'Appearance of gull-2x.png' }).selectOption('dark');
  // Other patterns read the names again.
  await dialog.getByText('how names are read').click();
  await dialog.getByRole('textbox', { name: 'Density' }).fill('@{n}');
  await expect(dialog.getByText('a density pattern is such as')).toBeVisible();
  await dialog.getByRole('textbox', { name: 'Density' }).fill('@{n}x');
  await expect(dialog.getByRole('textbox', { name: 'Picture of gull-2x.png' })).toHaveValue('gull-2x');
  await dialog.getByRole('button', { name: 'Remove gull-2x.png' }).click();
  await dialog.getByRole('button', { name: 'Add 2 files' }).click();
  const emblem = page.getByRole('rowgroup').filter({ hasText: /^Emblem/ });
  await expect(emblem).not.toContainText('missing');
  await expect(emblem).toContainText('uneven');
  await expect(page.getByRole('rowgroup')).toHaveCount(before + 1);
  await undo(page);
  await expect(emblem).toContainText('missing');
  await expect(page.getByRole('rowgroup')).toHaveCount(before);
});

test('the lens of sizes by keyboard; the case that asks for the most opens', async ({ page }) => {
  await page.goto('/projects/larkmoor-ferries/sign-in');
  await tabTo(page, lens(page, 'sizes'));
  await page.keyboard.press('Enter');
  const deck = page
    .getByRole('rowgroup')
    .filter({ has: page.getByRole('rowheader', { name: 'Deck photo', exact: true }) });
  await expect(deck).toContainText('too small', { timeout: 90_000 });
  expect(await seriousInBothThemes(page)).toEqual([]);
  const asking = deck.getByRole('button', { name: /^Phone/ });
  await tabTo(page, asking);
  const asked = await asking.textContent();
  await page.keyboard.press('Enter');
  await expect(closeUp(page).getByRole('heading', { level: 2 })).toHaveText(asked!);
  // The close-up says which file the case takes, and why.
  await closeUp(page)
    .getByRole('button', { name: /^File 640 × 480 px, 1x, light/ })
    .click();
  await expect(page.getByRole('dialog', { name: /^Why File/ })).toContainText('There is one file for it.');
});

test('what the pixels say: uneven padding as numbers, and grounds that go with a picture', async ({
  page,
}) => {
  await page.goto('/projects/larkmoor-ferries/system-window?lens=sizes');
  const emblem = page.getByRole('rowgroup').filter({ hasText: /^Emblem/ });
  await expect(emblem).toContainText(/uneven padding The room around it is uneven: left [\d.]+ %/);
  await lens(page, 'screens').click();
  const ground = page.getByRole('region', { name: 'Layer Ground' });
  await ground.locator('.part-paint').click();
  const offers = page.getByRole('group', { name: 'From the pictures' });
  await offers.getByRole('button', { name: 'upper edge of Harbour', exact: true }).click();
  const said = /with (#[0-9a-f]{6}), dark (#[0-9a-f]{6})/;
  await expect(ground).toContainText(said);
  // The ground is the colour that the splash’s picture ends in at the top, light and dark, to a few steps.
  const [, light] = said.exec((await ground.textContent())!)!;
  const at = await page.evaluate(async () => {
    const { documents } = await (await fetch('/api/v1/projects/larkmoor-ferries')).json();
    const harbour = documents.project.pictures.find((p: { id: string }) => p.id === 'harbour');
    const file = harbour.cuts[0].renditions.find((r: { appearance: string }) => r.appearance === 'light');
    const image = await createImageBitmap(await (await fetch(`/api/v1/pictures/${file.hash}/256`)).blob());
    const ctx = new OffscreenCanvas(256, 4).getContext('2d')!;
    ctx.drawImage(image, 0, 0);
    const { data } = ctx.getImageData(0, 0, 256, 4);
    return [0, 1, 2].map((c) => {
      let sum = 0;
      for (let i = c; i < data.length; i += 4) sum += data[i]!;
      return sum / (data.length / 4);
    });
  });
  const hex = [1, 3, 5].map((i) => parseInt(light!.slice(i, i + 2), 16));
  for (const c of [0, 1, 2]) expect(Math.abs(hex[c]! - at[c]!)).toBeLessThan(4);
});

test('a picture is fetched by its address, and only from where it may be', async ({ page }) => {
  const { buffer } = await upload('mark', plain(900, 600, 41));
  const server = createServer((request, response) => {
    const found = request.url === '/quay.png';
    response.writeHead(found ? 200 : 404, { 'content-type': 'image/png' }).end(found ? buffer : '');
  });
  await new Promise<void>((resolve) => server.listen(3199, '127.0.0.1', resolve));
  try {
    await createProject(page, 'By address');
    const byAddress = page.getByRole('button', { name: 'by address' });
    await tabTo(page, byAddress);
    await page.keyboard.press('Enter');
    const form = page.getByRole('dialog', { name: 'A picture by its address' });
    const fetchFrom = async (address: string) => {
      await form.getByRole('textbox').fill(address);
      await page.keyboard.press('Enter');
    };
    await fetchFrom(`${addressOf(0)}/api/v1/health`);
    await expect(form.getByRole('alert')).toContainText('“127.0.0.1” is not a public address');
    expect(await seriousFindings(page)).toEqual([]);
    await fetchFrom('http://127.0.0.1:3199/none.png');
    await expect(form.getByRole('alert')).toContainText('answers 404');
    await fetchFrom('http://127.0.0.1:3199/quay.png');
    await expect(page.getByRole('region', { name: 'Layer quay' })).toContainText(
      'Pinned 0 from all four edges',
    );
  } finally {
    server.close();
  }
});

test('keep areas are marked, named and measured, by keyboard', async ({ page }) => {
  await page.goto('/projects/larkmoor-ferries/sign-in?case=phone-393x852-3x-pill.0.light');
  const deck = page.getByRole('region', { name: 'Layer Deck photo' });
  await tabTo(page, deck.getByRole('button', { name: 'Add a keep area' }));
  await page.keyboard.press('Enter');
  const area = deck.getByRole('button', { name: 'Subject 1' });
  await tabTo(page, area);
  await page.keyboard.press('Enter');
  await page.getByRole('textbox', { name: 'What has to be seen' }).fill('Railing');
  await page.getByRole('textbox', { name: 'From the left' }).fill('0');
  await page.getByRole('textbox', { name: 'Width' }).fill('10');
  expect(await seriousFindings(page)).toEqual([]);
  await page.keyboard.press('Escape');
  // The left end of the photo is cut off on a phone that is held upright.
  const row = closeUp(page).getByRole('row', { name: /^Railing, cut off/ });
  await expect(row.getByRole('cell')).toHaveText('100 %');
  await expect(closeUp(page)).toContainText('Deck photo: Railing cut off');
  await row.getByRole('button').click();
  await expect(page.getByRole('dialog', { name: /^Why Railing/ })).toContainText(
    'is not seen: Railing 100 %',
  );
  await page.keyboard.press('Escape');
  await deck.getByRole('button', { name: 'Railing' }).click();
  await page
    .getByRole('dialog', { name: 'Keep area Railing' })
    .getByRole('button', { name: 'delete' })
    .click();
  await expect(row).toHaveCount(0);
});

test('keep areas are drawn by hand on the picture, moved by keyboard, and offered from its detail', async ({
  page,
}) => {
  await page.goto('/projects/larkmoor-ferries/sign-in?case=phone-393x852-3x-pill.0.light');
  const deck = page.getByRole('region', { name: 'Layer Deck photo' });
  await deck.getByRole('button', { name: 'Draw keep areas on the picture' }).click();
  const dialog = page.getByRole('dialog', { name: 'What has to be seen of Deck photo' });
  const plan = (await dialog.locator('.mark-plan').boundingBox())!;
  const at = (x: number, y: number) => [plan.x + x * plan.width, plan.y + y * plan.height] as const;
  await page.mouse.move(...at(0.1, 0.2));
  await page.mouse.down();
  await page.mouse.move(...at(0.3, 0.4), { steps: 4 });
  await page.mouse.up();
  const box = dialog.getByRole('button', { name: /^Subject 1\. Arrow keys/ });
  await expect(box).toHaveAttribute('style', /left: (9\.9|10)/);
  await box.focus();
  for (let i = 0; i < 5; i++) await page.keyboard.press('ArrowRight');
  await expect(box).toHaveAttribute('style', /left: (14\.9|15)/);
  expect(await seriousFindings(page)).toEqual([]);
  // What the offer would do to all cases is said before it is taken, and is what then happens.
  const offer = dialog
    .getByRole('group', { name: 'From the pixels' })
    .getByRole('paragraph')
    .filter({ hasText: 'the focal point is' });
  await expect(offer).toContainText(/Sign-in: .*→|changes no outcome of Sign-in/);
  const said = /fail (\d+) → (\d+)/.exec((await offer.textContent())!);
  const fails = page.getByRole('status', { name: 'Outcomes' });
  const before = /(\d+) fail/.exec((await fails.textContent())!)![1];
  expect(said?.[1] ?? before).toBe(before);
  await dialog.getByRole('button', { name: 'make it the focal point' }).click();
  await expect(fails).toContainText(`${said?.[2] ?? before} fail`);
  await dialog.getByRole('button', { name: 'Remove Subject 1' }).click();
  await expect(dialog).toContainText('Nothing is marked yet.');
  await page.keyboard.press('Escape');
  await expect(deck.getByRole('button', { name: 'Subject 1', exact: true })).toHaveCount(0);
});

test('contrast is measured, explained, and mended by the weakest scrim that is enough', async ({ page }) => {
  await page.goto('/projects/larkmoor-ferries/winter-splash?case=phone-393x852-3x-pill.0.light');
  const row = closeUp(page)
    .getByRole('table', { name: 'Wordmark' })
    .getByRole('row', { name: /^Contrast/ });
  await expect(row).toContainText(/[\d.]+ : 1/);
  await row.getByRole('button').click();
  const why = page.getByRole('dialog', { name: /^Why Contrast/ });
  await expect(why).toContainText('nine tenths of the 8 × 8 tiles under it have');
  await expect(why).toContainText('Under it lie Ground, Harbour');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'More about Wordmark' }).click();
  await page.getByRole('button', { name: '4.5 : 1' }).click();
  await page.getByRole('button', { name: 'lay it' }).click();
  await expect(page.getByRole('region', { name: 'Layer Scrim under Wordmark' })).toBeVisible();
  await expect
    .poll(async () => parseFloat((await row.getByRole('cell').textContent())!))
    .toBeGreaterThanOrEqual(4.5);
  await page.getByRole('button', { name: 'More about Wordmark' }).click();
  await page.getByRole('button', { name: '4.5 : 1' }).click();
  await expect(page.getByRole('status').filter({ hasText: 'on every case already' })).toBeVisible();
});

test('a logo is centred by its ink, or its files are trimmed to it', async ({ page }) => {
  await page.goto('/projects/larkmoor-ferries/system-window');
  const layer = page.getByRole('region', { name: 'Layer Emblem' });
  await page.getByRole('button', { name: 'More about Emblem' }).click();
  await expect(page.getByRole('group', { name: 'Ink' })).toContainText('to the left of its middle');
  await page.getByRole('button', { name: 'trim files to ink' }).click();
  await expect(layer.getByRole('button', { name: '864 × 864 px' })).toBeVisible();
  await undo(page);
  await expect(layer.getByRole('button', { name: '1024 × 1024 px' })).toBeVisible();
});

test('densities are asked for, and what is missing is made from its master', async ({ page }) => {
  await page.goto('/projects/larkmoor-ferries/winter-splash?lens=sizes');
  const emblem = page.getByRole('rowgroup').filter({ hasText: /^Emblem/ });
  await expect(emblem).toContainText('There is no 3x file');
  await page.getByRole('button', { name: '1x, 2x, 3x' }).click();
  await page.getByRole('textbox', { name: 'px per lu' }).fill('1.5');
  await page.getByRole('button', { name: 'ask for 1.5x' }).click();
  await page.keyboard.press('Escape');
  await expect(emblem).toContainText('There is no 1.5x file');
  await page.getByRole('button', { name: /^make \d files? that (is|are) missing or uneven$/ }).click();
  await expect(emblem).not.toContainText('There is no');
  await expect(emblem).not.toContainText('uneven The');
  await expect(emblem.getByRole('cell', { name: '768 × 768' })).toBeVisible();
  await expect(emblem.getByRole('cell', { name: '384 × 384' })).toBeVisible();
});
