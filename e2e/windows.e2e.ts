import { expect, type Page } from '@playwright/test';
import { test } from './test';
import { closeUp, lens } from './fixtures';

const SPLASH = '/projects/larkmoor-ferries/winter-splash';
const VIEWS = [
  ['the start page', '/', '.demo-cases img'],
  ['screens', SPLASH, '.case'],
  ['fits', `${SPLASH}?lens=fits`, '.fits table'],
  ['findings', `${SPLASH}?lens=findings`, '.finding-head'],
  ['launch', `${SPLASH}?lens=launch`, '.play-grid'],
  ['sizes', `${SPLASH}?lens=sizes`, '.sizes-table'],
  ['ship', `${SPLASH}?lens=ship`, '.sheet-section'],
  ['a free window', `${SPLASH}?middle=window`, '.stretch-track'],
] as const;

/** CSS px; 640 is a window of 1280 at 200 %. */
const WIDTHS = [320, 390, 640, 700, 900, 1024, 1280, 1920, 2560];

/** What reaches over the sides of the window, unless it lies in something that scrolls by itself. */
const cutOff = (page: Page) =>
  page.evaluate(() => {
    const scrolls = (e: Element): boolean => {
      for (let p = e.parentElement; p && p !== document.body; p = p.parentElement)
        if (getComputedStyle(p).overflowX !== 'visible') return true;
      return false;
    };
    return [...document.querySelectorAll('body *')]
      .filter((e) => {
        const { left, right, width } = e.getBoundingClientRect();
        const isSeen = width > 0 && e.checkVisibility() && !e.matches('.skip, .visually-hidden');
        return isSeen && (right > window.innerWidth + 0.5 || left < -0.5) && !scrolls(e);
      })
      .map((e) => `${e.tagName}.${e.getAttribute('class')}`);
  });

/** Words that lie under something else: in the middle of them is neither what they are part of nor a part of them. */
const covered = (page: Page) =>
  page.evaluate(() =>
    [...document.querySelectorAll('main *, nav *')]
      .filter((e) => {
        const hasWords = [...e.childNodes].some((n) => n.nodeType === 3 && n.textContent!.trim() !== '');
        if (!hasWords || !e.checkVisibility() || e.closest('svg, .visually-hidden')) return false;
        const words = document.createRange();
        words.selectNodeContents(e);
        // What is too long for its place is cut there.
        const [w, box] = [words.getBoundingClientRect(), e.getBoundingClientRect()];
        const [left, right] = [Math.max(w.left, box.left), Math.min(w.right, box.right)];
        const at = document.elementFromPoint((left + right) / 2, (w.top + w.bottom) / 2);
        return left < right && at !== null && !at.contains(e) && !e.contains(at);
      })
      .map((e) => `${e.tagName}.${e.getAttribute('class')} “${e.textContent!.slice(0, 30)}”`),
  );

test('nothing is cut off or covered, and nothing scrolls sideways, at any width', async ({ page }) => {
  test.setTimeout(180_000);
  for (const [name, address, there] of VIEWS) {
    await page.setViewportSize({ width: WIDTHS[0]!, height: 800 });
    await page.goto(address);
    await page.locator(there).first().waitFor({ timeout: 60_000 });
    for (const width of WIDTHS) {
      await page.setViewportSize({ width, height: 800 });
      // What is drawn by the size of its room follows.
      await expect.poll(() => cutOff(page), { message: `${name}, ${width} px wide` }).toEqual([]);
      await expect.poll(() => covered(page), { message: `${name}, ${width} px wide` }).toEqual([]);
      const scrolls = await page.evaluate(
        () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
      );
      expect([name, width, scrolls]).toEqual([name, width, 0]);
    }
  }
});

for (const width of [320, 700])
  test(`rules, field and close-up can be reached, ${width} px wide`, async ({ page }) => {
    await page.setViewportSize({ width, height: 800 });
    await page.goto(SPLASH);
    const tile = page.getByRole('gridcell').first();
    await expect(tile).toBeVisible({ timeout: 60_000 });
    await tile.click();
    if (width >= 700) await page.getByRole('button', { name: 'close-up' }).click();
    const apply = closeUp(page).getByRole('button', { name: /^Apply: / });
    await expect(apply).toBeVisible({ timeout: 60_000 });
    await apply.scrollIntoViewIfNeeded();
    await expect(apply).toBeInViewport();
    if (width >= 700) await closeUp(page).getByRole('button', { name: 'close', exact: true }).click();
    await page.getByRole('button', { name: 'rules' }).click();
    const scene = page.getByRole('complementary', { name: 'Scene' });
    await scene.getByRole('button', { name: 'covers its box' }).click();
    const editor = page.getByRole('dialog', { name: /covers its box/ });
    await expect(editor).toBeVisible();
    const { x, width: wide } = (await editor.boundingBox())!;
    expect(x).toBeGreaterThanOrEqual(0);
    expect(x + wide).toBeLessThanOrEqual(width);
    await page.keyboard.press('Escape');
    await scene.getByRole('button', { name: 'close', exact: true }).click();
    await expect(scene).not.toBeVisible();
  });

test('the close-up grows with the window, and can be enlarged', async ({ page }) => {
  const drawn = async () => (await closeUp(page).locator('canvas').boundingBox())!;
  await page.goto(`${SPLASH}?case=phone-360x800-2x.90.light`);
  await expect(closeUp(page).locator('canvas')).toHaveAttribute('data-complete', 'true', { timeout: 60_000 });
  const usual = await drawn();
  await closeUp(page).getByRole('button', { name: 'enlarge' }).click();
  await expect.poll(async () => (await drawn()).width).toBeGreaterThan(usual.width * 3);
  await expect(page).toHaveURL(/enlarged=on/);
  await closeUp(page).getByRole('button', { name: 'reduce' }).click();
  await page.setViewportSize({ width: 2560, height: 1440 });
  await expect.poll(async () => (await drawn()).width).toBeGreaterThan(usual.width * 1.8);
  // Never stretched.
  const { width, height } = await drawn();
  expect(width / height).toBeCloseTo(800 / 360, 1);
});

test('in forced colours the chosen one of several can be told', async ({ page }) => {
  await page.emulateMedia({ forcedColors: 'active' });
  await page.goto(SPLASH);
  await expect(page.getByRole('gridcell').first()).toBeVisible({ timeout: 60_000 });
  const looks = (name: string) =>
    page.getByRole('button', { name, exact: true }).evaluate((e) => {
      const { borderBottomColor, backgroundColor, fontWeight } = getComputedStyle(e);
      return { borderBottomColor, backgroundColor, fontWeight };
    });
  const [chosen, other] = [await looks('cover'), await looks('contain')];
  expect(chosen.fontWeight).not.toBe(other.fontWeight);
  expect(
    chosen.borderBottomColor === other.borderBottomColor && chosen.backgroundColor === other.backgroundColor,
  ).toBe(false);
});

test('Back leads to the view before, and a link opens the same view', async ({ page, context }) => {
  await page.goto(SPLASH);
  await expect(page.getByRole('gridcell').first()).toBeVisible({ timeout: 60_000 });
  await lens(page, 'findings').click();
  const row = page.getByRole('button', { name: /^▲ Harbour has a keep area cut off/ });
  await row.click();
  await expect(row).toHaveAttribute('aria-expanded', 'true');
  const link = page.url();
  await lens(page, 'fits').click();
  await page
    .getByRole('group', { name: 'compared by its' })
    .getByRole('button', { name: 'position' })
    .click();
  await expect(page).toHaveURL(/part=position/);
  await page.goBack();
  await expect(page.getByRole('columnheader', { name: 'size of fit' })).toBeVisible();
  await page.goBack();
  await expect(row).toHaveAttribute('aria-expanded', 'true');
  await page.goBack();
  await expect(row).toHaveAttribute('aria-expanded', 'false');
  await page.goBack();
  await expect(lens(page, 'screens')).toHaveAttribute('aria-pressed', 'true');
  await page.goForward();
  await expect(row).toBeVisible();
  const other = await context.newPage();
  await other.goto(link);
  const there = other.getByRole('button', { name: /^▲ Harbour has a keep area cut off/ });
  await expect(there).toHaveAttribute('aria-expanded', 'true', { timeout: 60_000 });
});

test('opened by a link, no lens moves what is already there', async ({ page }) => {
  await page.addInitScript(() => {
    const shifts = { sum: 0 };
    Object.assign(window, { shifts });
    new PerformanceObserver((list) => {
      for (const entry of list.getEntries() as (PerformanceEntry & {
        value: number;
        hadRecentInput: boolean;
      })[])
        if (!entry.hadRecentInput) shifts.sum += entry.value;
    }).observe({ type: 'layout-shift', buffered: true });
  });
  const shiftOf = async (address: string, there: string) => {
    await page.goto(address);
    await page.locator(there).first().waitFor({ timeout: 60_000 });
    await page.waitForTimeout(1500);
    return page.evaluate(() => (window as unknown as { shifts: { sum: number } }).shifts.sum);
  };
  const shifts: Record<string, number> = {};
  for (const [name, address, there] of VIEWS) {
    const once = await shiftOf(address, there);
    // What a page does, it does each time; what a machine that is busy elsewhere does to it, it does once.
    shifts[name] = once < 0.05 ? once : Math.min(once, await shiftOf(address, there));
  }
  console.log('layout shift', JSON.stringify(shifts));
  for (const [name, shift] of Object.entries(shifts)) expect([name, shift < 0.05]).toEqual([name, true]);
});
