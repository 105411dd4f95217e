import { expect, type Page } from '@playwright/test';
import { test } from './test';
import { closeUp, seriousFindings, tabTo, undo } from './fixtures';

const SPLASH = '/projects/larkmoor-ferries/winter-splash';
const CASE = 'phone-360x800-2x.0.light';
const region = (page: Page, name: string) => page.getByRole('region', { name });

test('the large valley compares fits, and the project’s range is moved by keys, typed and undone', async ({
  page,
}) => {
  await page.goto(SPLASH);
  await tabTo(page, region(page, 'Valley').getByRole('button', { name: 'enlarge' }));
  await page.keyboard.press('Enter');
  const valley = region(page, 'Large valley');
  const table = valley.getByRole('table');
  await expect(table.getByRole('row', { name: /^cover/ })).toContainText(/% at 0\.\d+/, { timeout: 30_000 });
  await expect(table.getByRole('row')).toHaveCount(6);
  // Cover of a 4 : 3 file crops half at 2 : 3 and at 8 : 3.
  await expect(table.getByRole('row', { name: /^cover/ })).toContainText('0.667 to 2.67');
  await expect(table.getByRole('row', { name: /^contain/ })).toContainText('nothing');
  await expect.poll(() => valley.locator('.mark').count()).toBeGreaterThan(50);
  expect(await seriousFindings(page)).toEqual([]);
  const least = valley.getByRole('slider', { name: 'Least ratio allowed' });
  await tabTo(page, least);
  const before = Number(await least.getAttribute('aria-valuenow'));
  await page.keyboard.press('PageUp');
  await expect(least).toHaveAttribute('aria-valuenow', String(Math.round(before * 1.1 * 1000) / 1000));
  await valley.getByRole('textbox', { name: 'Allowed ratios from' }).fill('1');
  await page.keyboard.press('Enter');
  await expect(table.getByRole('row', { name: /^match height/ })).toContainText('25 % at 1');
  await expect(valley).toContainText(/\d+ of \d+ cases outside/);
  await valley.getByRole('button', { name: 'allow any' }).click();
  await expect(least).toHaveAttribute('aria-valuenow', String(before));
  await valley.getByRole('button', { name: 'all', exact: true }).click();
  await expect(table.getByRole('row')).toHaveCount(5);
  await valley.getByRole('button', { name: 'back to the field' }).click();
  await expect(page.getByRole('gridcell').first()).toBeVisible();
});

test('a free window tells at which sizes something changes, and its close-up says the same', async ({
  page,
}) => {
  await page.goto(`${SPLASH}?case=${CASE}`);
  await tabTo(page, closeUp(page).getByRole('button', { name: 'free window' }));
  await page.keyboard.press('Enter');
  const free = region(page, 'Free window');
  await expect(free).toContainText('360 × 800 lu');
  const widths = region(page, 'Where the width changes an outcome').getByRole('listitem');
  // Cover of 4 : 3 in 800 of height: 65 % are cropped below 373.3, half below 533.3.
  const change = widths.filter({ hasText: 'no longer ▲ Harbour cropped too much' });
  await expect(change).toHaveCount(1, { timeout: 30_000 });
  await change.getByRole('button').click();
  await expect(free).toContainText(/373\.5 × 800 lu/);
  await expect(closeUp(page)).toContainText('Harbour: crop 65 %');
  await expect(closeUp(page)).toContainText('Limit: 50 %');
  await tabTo(page, free.getByRole('slider', { name: 'Width of the free window' }));
  await page.keyboard.press('ArrowLeft');
  await expect(closeUp(page)).toContainText('Limit: 65 %');
  await expect(page).toHaveURL(/window=37\dx800/);
  // On the strip it stands at its ratio, a hair before the tick of that change.
  const plot = free.getByRole('region', { name: 'Valley' }).getByRole('img');
  await expect(plot).toHaveAccessibleName(/; the free window at 0\.46\d*$/);
  const here = (await plot.locator('.valley-window line').boundingBox())!;
  const ticks = await plot
    .locator('.valley-change')
    .evaluateAll((all) => all.map((t) => t.getBoundingClientRect().x));
  expect(Math.min(...ticks.map((x) => Math.abs(x - here.x)))).toBeLessThan(2);
  await plot.click({ position: { x: (await plot.boundingBox())!.width / 2, y: 60 } });
  await expect(page).not.toHaveURL(/window=37\dx800/);
  await expect(page).toHaveURL(/window=\d+x800/);
  await tabTo(page, free.getByRole('button', { name: /^Corner of the free window/ }));
  await page.keyboard.press('Shift+ArrowDown');
  await expect(free).toContainText('× 810 lu');
  const corner = (await free.getByRole('button', { name: /^Corner/ }).boundingBox())!;
  await page.mouse.move(corner.x + 11, corner.y + 11);
  await page.mouse.down();
  await page.mouse.move(corner.x + 90, corner.y - 20, { steps: 4 });
  await page.mouse.up();
  const [width, height] = /window=([\d.]+)x([\d.]+)/.exec(page.url())!.slice(1).map(Number);
  expect(width).toBeGreaterThan(500);
  expect(height).toBeLessThan(800);
  expect(await seriousFindings(page)).toEqual([]);
});

test('two cases, two fits or two revisions of a case are compared, beside or over each other', async ({
  page,
}) => {
  await page.goto(`${SPLASH}?case=${CASE}`);
  await page
    .getByRole('group', { name: 'Harbour', exact: true })
    .getByRole('button', { name: 'contain' })
    .click();
  await expect(page.getByTestId('saving')).toHaveText(/^saved/);
  await tabTo(page, closeUp(page).getByRole('button', { name: 'compare' }));
  await page.keyboard.press('Enter');
  const pair = region(page, 'Two cases');
  const wrong = (side: string) => pair.getByRole('list', { name: `What is wrong on the ${side}` });
  await expect(wrong('left')).toContainText('Harbour stops short of the screen’s edge');
  await pair.getByRole('combobox', { name: 'Rules on the left' }).selectOption('cover');
  await expect(wrong('left')).toContainText(/Harbour cropped too much, crop 66\.3 % only here/);
  await expect(wrong('right')).toContainText(
    /Harbour stops short of the screen’s edge, bare [\d.]+ % only here/,
  );
  // As it was before the change of a moment ago: cover.
  const was = await pair
    .getByRole('combobox', { name: 'Rules on the right' })
    .getByRole('option', { name: /^before / })
    .first()
    .getAttribute('value');
  await pair.getByRole('combobox', { name: 'Rules on the right' }).selectOption(was);
  await expect(wrong('right')).toContainText('crop 66.3 %');
  await expect(wrong('right')).not.toContainText('only here');
  // Another scene: what layers of the same name have in common is not said to be only here.
  await pair.getByRole('combobox', { name: 'Rules on the right' }).selectOption({ label: 'Mended splash' });
  await expect(wrong('right')).toHaveText(/nothing/);
  await expect(wrong('left')).toContainText(/Emblem has too little contrast, contrast [\d.]+ : 1 only here/);
  await pair
    .getByRole('combobox', { name: 'Rules on the right' })
    .selectOption({ label: 'Notice, first draft' });
  await expect(wrong('right')).toContainText(/Wordmark distorted, distorted [\d.]+ % only here/);
  await pair.getByRole('combobox', { name: 'Rules on the right' }).selectOption(was);
  await pair
    .getByRole('combobox', { name: 'Screen on the right' })
    .selectOption({ label: 'Phone 320 × 568, portrait' });
  await expect(page).toHaveURL(/case=.*320x568/);
  expect(await seriousFindings(page)).toEqual([]);
  await pair.getByRole('button', { name: 'one over the other' }).click();
  const divider = pair.getByRole('slider', { name: 'Divider' });
  await tabTo(page, divider);
  await page.keyboard.press('End');
  await expect(divider).toHaveValue('100');
  await undo(page);
});

test('findings are listed by screen and shown in the field, and a limit is changed, by keyboard', async ({
  page,
}) => {
  await page.goto(`${SPLASH}?lens=findings&order=screen`);
  const rows = page.getByRole('listitem').filter({ has: page.getByRole('heading', { level: 3 }) });
  await expect(rows.first()).toContainText(/\d+ findings/, { timeout: 30_000 });
  await expect(page.getByText(/By weight/)).toContainText(/▲ [\d.]+ % fail/);
  expect(await seriousFindings(page)).toEqual([]);
  await page.getByRole('group', { name: 'List' }).getByRole('button', { name: 'by layer' }).click();
  const wide = page.getByRole('button', { name: /^◭ Emblem too narrow/ });
  // It is on so little of the weight that it is folded away.
  await page.getByText(/more, each on under 1 % of the weight/).click();
  await wide.click();
  await tabTo(page, page.getByRole('button', { name: 'show its cases in the field' }));
  await page.keyboard.press('Enter');
  await expect(page.getByRole('gridcell')).toHaveCount(1);
  await expect(page.getByRole('gridcell')).toHaveAccessibleName(/1920 × 1080/);
  await page.getByRole('button', { name: /Emblem too narrow$/ }).click();
  await page.getByRole('group', { name: 'List' }).getByRole('button', { name: 'limits' }).click();
  const limits = region(page, 'Limits of: Logos');
  const under = limits.getByRole('button', { name: 'under 12 %', exact: true });
  await tabTo(page, under);
  await page.keyboard.press('Enter');
  await page.getByRole('textbox', { name: 'At least' }).fill('10');
  await page.keyboard.press('Enter');
  await page.keyboard.press('Escape');
  expect(await seriousFindings(page)).toEqual([]);
  await page.getByRole('group', { name: 'List' }).getByRole('button', { name: 'by cause' }).click();
  await expect(wide).toHaveCount(0, { timeout: 30_000 });
  await page.getByRole('group', { name: 'List' }).getByRole('button', { name: 'limits' }).click();
  await limits
    .getByRole('combobox', { name: 'Add a limit: Logos' })
    .selectOption('share of the screen’s area');
  await expect(limits.getByRole('listitem').filter({ hasText: 'share of the screen’s area' })).toHaveCount(1);
  await page.getByRole('button', { name: 'back to the limits of the start' }).click();
  await expect(page.getByText('These are the limits that a project starts with.')).toBeVisible();
});

test('a rule shows on its very part what it causes, and a picture what all screens see of it', async ({
  page,
}) => {
  await page.goto(SPLASH);
  const layer = page.getByRole('region', { name: 'Layer Harbour' });
  const fit = layer.getByRole('button', { name: 'covers its box' });
  await expect(fit).toHaveAttribute('title', /^Causes: .*cropped too much/, { timeout: 30_000 });
  await expect(fit).toHaveClass(/part-fail/);
  await expect(layer.getByRole('button', { name: 'whole screen' })).not.toHaveClass(/part-(fail|warn)/);
  await layer.getByRole('button', { name: 'all screens' }).click();
  await expect(layer).toContainText(/Every one of \d+ cases shows the part from [\d.]+ % to [\d.]+ % across/);
  await page
    .getByRole('group', { name: 'Harbour', exact: true })
    .getByRole('button', { name: 'contain' })
    .click();
  await expect(layer).toContainText('from 0 % to 100 % across', { timeout: 30_000 });
  await undo(page);
  await expect(layer).not.toContainText('from 0 % to 100 % across', { timeout: 30_000 });
});
