import { expect, type Locator } from '@playwright/test';
import { test } from './test';
import { cell, closeUp, saving } from './fixtures';

const SCENE = '/projects/larkmoor-ferries/winter-splash';
/** Every case, by its ratio. */
const ALL = 'cases=all&sort=ratio';
const PILL = 'phone-393x852-3x-pill';
const tally = { name: 'Outcomes' };

test('the start page leads to the demo, with every screen drawn and judged', async ({ page }) => {
  const problems: string[] = [];
  page.on('console', (m) => {
    if (m.type() === 'error') problems.push(m.text());
  });
  page.on('pageerror', (e) => problems.push(e.message));
  await page.goto('/');
  await page.getByRole('link', { name: 'Winter splash' }).click();
  await expect(page).toHaveURL(new RegExp(SCENE));
  await expect(page.getByRole('heading', { name: 'Larkmoor Ferries / Winter splash' })).toBeVisible();
  await expect(page.getByRole('status', tally)).toContainText('fail');
  await expect(page.getByRole('gridcell').first()).toBeVisible();
  // A few that tell most stand for all, which are one press away.
  const told = await page.getByRole('gridcell').count();
  expect(told).toBeGreaterThan(5);
  expect(told).toBeLessThan(40);
  await page.getByRole('button', { name: 'all 243' }).click();
  await expect.poll(() => page.getByRole('gridcell').count()).toBeGreaterThan(180);
  await expect(cell(page, `${PILL}.0.light`)).toHaveAccessibleName(
    'Phone 393 × 852, portrait: fail, Harbour Lighthouse cut off',
  );
  expect(problems).toEqual([]);
});

test('a change of fit is drawn and measured on all screens at once', async ({ page }) => {
  await page.goto(`${SCENE}?${ALL}&case=${PILL}.0.light`);
  const close = closeUp(page);
  await expect(close.getByRole('table', { name: 'Harbour' })).toContainText('1136 × 852 lu');
  await expect(page.getByRole('status', tally)).toContainText(/\d+ fail/);
  const before = await page.getByRole('status', tally).textContent();
  await page.getByRole('button', { name: 'contain', exact: true }).click();
  await expect(cell(page, `${PILL}.0.light`)).toHaveAccessibleName(/fail, Harbour \S/);
  await expect(close.getByRole('table', { name: 'Harbour' })).toContainText('393 × 294.8 lu');
  await expect(page.getByRole('status', tally)).not.toHaveText(before!);
  await page.getByRole('button', { name: 'stretch', exact: true }).click();
  await expect(cell(page, `${PILL}.0.light`)).toHaveAccessibleName(/Harbour distorted 189 %/);
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('status', tally)).toHaveText(before!);
  await expect(saving(page)).toHaveText('saved');
});

test('light and dark show their own files, and the address says which', async ({ page }) => {
  await page.goto(`${SCENE}?${ALL}`);
  await page.getByRole('button', { name: 'dark', exact: true }).click();
  await expect(cell(page, `${PILL}.0.dark`)).toBeAttached();
  await expect(cell(page, `${PILL}.0.light`)).not.toBeAttached();
  await expect(page).toHaveURL(/appearance=dark/);
});

test('arrow keys walk the field, and the case walked to is in the close-up and in the address', async ({
  page,
}) => {
  await page.goto(`${SCENE}?${ALL}&case=${PILL}.0.light`);
  const start = cell(page, `${PILL}.0.light`);
  await expect(start).toHaveAttribute('aria-selected', 'true');
  await start.focus();
  await page.keyboard.press('ArrowRight');
  const second = page.locator(':focus');
  const name = await second.getAttribute('data-case');
  expect(name).not.toBe(`${PILL}.0.light`);
  await expect(page).toHaveURL(new RegExp(`case=${name}`));
  await page.keyboard.press('ArrowLeft');
  await expect(start).toBeFocused();
  // Whatever the field scrolls by to show it.
  const topOf = (it: Locator) => it.evaluate((e) => (e as HTMLElement).offsetTop);
  const top = await topOf(start);
  await page.keyboard.press('ArrowDown');
  await expect.poll(() => topOf(page.locator(':focus'))).toBeGreaterThan(top);
  await page.keyboard.press('End');
  await expect(page.getByRole('gridcell').last()).toBeFocused();
  await page.keyboard.press('Home');
  await expect(page.getByRole('gridcell').first()).toBeFocused();
});

test('what is not there is said, as a page and as problem JSON', async ({ page, request }) => {
  expect((await page.goto('/projects/none/winter-splash'))!.status()).toBe(404);
  const base = '/api/v1/projects/larkmoor-ferries/scenes/winter-splash/cases';
  const unknown = await request.get(`${base}/no-screen.0.light`);
  expect(unknown.status()).toBe(404);
  expect(await unknown.json()).toMatchObject({ status: 404, detail: expect.stringContaining('This case') });
  const scale = await request.get(`${base}/${PILL}.0.light?scale=-1`);
  expect(scale.status()).toBe(422);
  expect((await scale.json()).detail).toContain('scale');
  const huge = await request.get(`${base}/tv-1920x1080-2x.0.light?scale=9`);
  expect(huge.status()).toBe(422);
  expect((await huge.json()).detail).toContain('8192');
  expect((await request.get('/api/v1/pictures/none/64')).status()).toBe(404);
});

test('a case as PNG has the pixels of its screen', async ({ request }) => {
  const response = await request.get(
    `/api/v1/projects/larkmoor-ferries/scenes/winter-splash/cases/${PILL}.0.light?layer=harbour&fit=contain`,
  );
  const png = await response.body();
  expect(png.readUInt32BE(16)).toBe(1179);
  expect(png.readUInt32BE(20)).toBe(2556);
});
