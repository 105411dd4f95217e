import { expect, type Page } from '@playwright/test';
import { tabTo } from './fixtures';

/** The part of the ship lens that lists and makes sign-offs. */
export const signOffs = (page: Page) => page.getByRole('region', { name: 'Sign-off' });

/** Signs the project off by keyboard, once it is judged. */
export async function signOff(page: Page, by: string) {
  await expect(page.locator('.verdict table')).toBeVisible({ timeout: 60_000 });
  await tabTo(page, signOffs(page).getByLabel('Your name'));
  await page.keyboard.press('Control+a');
  await page.keyboard.type(by);
  await page.keyboard.press('Tab');
  await page.keyboard.type('As it was shown');
  await page.keyboard.press('Enter');
  const list = signOffs(page).getByRole('list', { name: 'Sign-offs' });
  await expect(list).toContainText(by, { timeout: 120_000 });
}
