import { expect, type Locator, type Page } from '@playwright/test';
import { test } from './test';
import { cell, figure, saving, seriousFindings, tabTo, undo } from './fixtures';

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
  await expect(message).toContainText('Winter splash was not deleted: it is shown by the launch “Launch”.');
  await expect(menu(page)).toHaveText('Winter splash');
});

test('a picture of several cuts shows the one that the screen takes, and its rule and areas are edited there', async ({
  page,
}) => {
  await page.goto(`${DEMO}/winter-splash-mended?cases=all&sort=ratio&case=phone-360x800-2x.0.light`);
  const harbour = page.getByRole('region', { name: 'Layer Harbour' });
  const point = harbour.getByRole('button', { name: /^Position of Harbour/ });
  await expect(point).toHaveAccessibleName(/50 % across, 50 % down/);
  await expect(harbour).toContainText(
    'The cut for portrait, 1800 × 3600 px, which the close-up’s screen takes; one of 2.',
  );
  const boxOf = async (name: string) => (await harbour.locator(name).boundingBox())!;
  const shape = async () => {
    const { width, height } = await boxOf('.well');
    return Math.round((width / height) * 100) / 100;
  };
  expect(await shape()).toBe(0.5);
  // The frame is what the figures say: 5 % of the width is cut off on either side.
  const [well, frame] = [await boxOf('.well'), await boxOf('.well-shown')];
  expect((frame.x - well.x) / well.width).toBeCloseTo(0.05, 2);
  expect(frame.width / well.width).toBeCloseTo(0.9, 2);
  await expect(figure(page, 'Harbour', 'Crop by side')).toHaveText('5 · 5 · 0 · 0 %');
  await tabTo(page, point);
  await page.keyboard.press('ArrowUp');
  await expect(harbour).toContainText('In portrait: covers its box, aligned 50 % across, 49 % down');
  await expect(harbour).toContainText('aligned 52 % across, 52 % down');
  await harbour.getByRole('button', { name: 'Add a keep area' }).click();
  await expect(harbour.locator('.well-keep')).toHaveCount(3);
  await harbour.getByRole('button', { name: '50 % across, 49 % down', exact: true }).click();
  const solved = page.getByRole('group', { name: 'Keep areas' });
  await expect(solved).toContainText('on every screen that takes this rule');
  await page.keyboard.press('Escape');

  await cell(page, 'phone-360x800-2x.90.light').scrollIntoViewIfNeeded();
  await cell(page, 'phone-360x800-2x.90.light').click();
  await expect(point).toHaveAccessibleName(/52 % across, 52 % down/);
  await expect(harbour).toContainText('The cut for any orientation');
  expect(await shape()).toBe(1.29);
  await expect(harbour.locator('.well-keep')).toHaveCount(2);
  await harbour.getByRole('button', { name: 'all screens' }).click();
  await expect(harbour).toContainText(/Every one of \d+ cases that take this cut shows the part/);
  expect(await seriousFindings(page)).toEqual([]);
  // A fit for all screens is one for every rule.
  await page.getByRole('button', { name: 'contain', exact: true }).click();
  await expect(harbour).toContainText('shown whole in its box, aligned 52 % across, 52 % down');
  await expect(harbour).toContainText('In portrait: shown whole in its box, aligned 50 % across, 49 % down');
  await undo(page, 3);
  await expect(harbour).toContainText('In portrait: covers its box, aligned 50 % across, 50 % down');
});
