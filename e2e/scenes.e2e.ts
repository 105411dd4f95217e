import { expect, test, type Locator, type Page } from '@playwright/test';
import { saving, seriousFindings, tabTo, undo } from './fixtures';

const DEMO = '/projects/larkmoor-ferries';

const menu = (page: Page) => page.locator('#scene-menu');
const scenes = (page: Page) => page.getByRole('dialog', { name: 'Scenes' });
const line = (page: Page, name: string) => scenes(page).getByRole('button', { name, exact: true });

/** Opens the list of scenes and goes to one of its buttons or fields, by keyboard alone. */
async function goTo(page: Page, target: Locator): Promise<void> {
  await menu(page).focus();
  await page.keyboard.press('Enter');
  await expect(scenes(page)).toBeVisible();
  await tabTo(page, target, 20);
}

async function take(page: Page, name: string): Promise<void> {
  await goTo(page, line(page, name));
  await page.keyboard.press('Enter');
  await expect(scenes(page)).toHaveCount(0);
}

test('a scene is duplicated, renamed and deleted by keyboard, and that is undone', async ({ page }) => {
  await page.goto(`${DEMO}/winter-splash-mended`);
  const outcomes = page.getByRole('status', { name: 'Outcomes' });
  await expect(outcomes).toContainText('486 clear', { timeout: 30_000 });
  await take(page, 'duplicate');
  await expect(menu(page)).toHaveText('Mended splash (copy)');
  // What is accepted of the original is accepted of the copy.
  await expect(outcomes).toContainText('486 clear', { timeout: 30_000 });
  await expect(page).not.toHaveURL(/winter-splash/);

  await goTo(page, scenes(page).getByRole('textbox', { name: 'Name' }));
  expect(await seriousFindings(page)).toEqual([]);
  await page.keyboard.press('Control+a');
  await page.keyboard.type('Third draft');
  await page.keyboard.press('Escape');
  await expect(menu(page)).toHaveText('Third draft');
  await expect(menu(page)).toBeFocused();

  await take(page, 'delete');
  await expect(menu(page)).toHaveText('Sign-in');
  await expect(page.getByRole('status', { name: 'Message' })).toContainText('Third draft was deleted');
  await menu(page).click();
  await expect(line(page, 'Sign-in')).toBeFocused();
  await expect(line(page, 'Third draft')).toHaveCount(0);
  await page.keyboard.press('Escape');
  await undo(page);
  await menu(page).focus();
  await page.keyboard.press('Enter');
  await page.keyboard.press('ArrowUp');
  await expect(line(page, 'Third draft')).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(outcomes).toContainText('486 clear', { timeout: 30_000 });
  await undo(page, 2);
  await expect(menu(page)).toHaveText('System window');
  await expect(saving(page)).toHaveText('saved');
});

test('a scene that a launch shows is not deleted, and it is said why', async ({ page }) => {
  await page.goto(`${DEMO}/winter-splash`);
  await tabTo(page, menu(page));
  await take(page, 'delete');
  const message = page.getByRole('status', { name: 'Message' });
  await expect(message).toContainText('Winter splash was not deleted: Launch shows it.');
  await expect(menu(page)).toHaveText('Winter splash');
});
