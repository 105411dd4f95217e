import { expect } from '@playwright/test';
import { FEW_SPLASH } from './few-screens';
import { seriousInBothThemes } from './fixtures';
import { signOff, signOffs } from './signing';
import { test } from './test';

test('a project is looked at as it was signed off, and nothing in it can be changed', async ({ page }) => {
  await page.goto(`${FEW_SPLASH}?lens=ship`);
  await signOff(page, 'Ola');
  await signOffs(page).getByRole('link', { name: 'open as it was' }).first().click();
  const note = page.getByRole('note');
  await expect(note).toContainText('as Ola signed it off on', { timeout: 60_000 });
  await expect(page.locator('.verdict table')).toBeVisible({ timeout: 60_000 });
  await expect(signOffs(page)).toHaveCount(0);
  await page.getByRole('button', { name: 'screens', exact: true }).click();
  await page.getByRole('button', { name: 'contain', exact: true }).first().click({ timeout: 60_000 });
  await expect(page.getByRole('status', { name: 'Message' })).toContainText(
    'signed off by Ola: nothing in it can be changed',
  );
  expect(await seriousInBothThemes(page)).toEqual([]);
  await note.getByRole('link', { name: 'back to what it is now' }).click();
  await expect(signOffs(page)).toContainText('Nothing was changed', { timeout: 60_000 });
});
