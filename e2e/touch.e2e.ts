import { expect, type CDPSession, type Page } from '@playwright/test';
import { addressOf } from './servers';
import { FEW_SPLASH } from './few-screens';
import { HINTS, HINTS_COOKIE } from '../src/ui/hints/hints';
import { saving, undo } from './fixtures';
import { test } from './test';

/** Puts a finger down in the middle of something, moves it, and lifts it. */
async function finger(page: Page, cdp: CDPSession, selector: string, by: { x: number; y: number }) {
  const box = (await page.locator(selector).first().boundingBox())!;
  const from = { x: box.x + box.width / 2, y: box.y + box.height / 2 };
  const touch = (type: 'touchStart' | 'touchMove' | 'touchEnd', touchPoints: { x: number; y: number }[]) =>
    cdp.send('Input.dispatchTouchEvent', { type, touchPoints });
  await touch('touchStart', [from]);
  for (let i = 1; i <= 8; i++)
    await touch('touchMove', [{ x: from.x + (by.x * i) / 8, y: from.y + (by.y * i) / 8 }]);
  await touch('touchEnd', []);
}

test('a finger that scrolls over the picture in the rules or over the loss chart changes nothing; on the ring it drags', async ({
  browser,
}, info) => {
  const address = addressOf(info.parallelIndex);
  const context = await browser.newContext({ hasTouch: true, viewport: { width: 1280, height: 800 } });
  await context.addCookies([{ name: HINTS_COOKIE, value: String(HINTS.length), url: address }]);
  try {
    const page = await context.newPage();
    await page.goto(address + FEW_SPLASH);
    await expect(page.getByRole('gridcell').first()).toBeVisible();
    const cdp = await context.newCDPSession(page);
    const point = page.locator('.well-point').first();
    const before = await point.getAttribute('aria-label');
    const view = page.url();
    await finger(page, cdp, '.well', { x: 10, y: -90 });
    await finger(page, cdp, '.valley', { x: 6, y: -70 });
    await finger(page, cdp, '.valley', { x: 120, y: -4 });
    expect(await point.getAttribute('aria-label')).toBe(before);
    expect(page.url()).toBe(view);
    await expect(page.getByRole('button', { name: 'undo', exact: true })).toBeDisabled();
    await point.scrollIntoViewIfNeeded();
    await finger(page, cdp, '.well-point', { x: 40, y: 10 });
    await expect(point).not.toHaveAttribute('aria-label', before!);
    await expect(saving(page)).toHaveText('saved');
    await undo(page);
    expect(await point.getAttribute('aria-label')).toBe(before);
  } finally {
    await context.close();
  }
});
