import { expect, type Page } from '@playwright/test';
import { test } from './test';
import { closeUp, seriousFindings, seriousInBothThemes, tabTo, undo } from './fixtures';

const SPLASH = '/projects/larkmoor-ferries/winter-splash';
const strip = (page: Page) => page.getByRole('region', { name: 'Valley' });
const finding = (page: Page, name: RegExp) => page.getByRole('button', { name });

test('the valley narrows the field to a stretch of ratios, opens a case, and moves its limit', async ({
  page,
}) => {
  await page.goto(`${SPLASH}?cases=all&sort=ratio`);
  const plot = strip(page).getByRole('img');
  await expect(plot).toHaveAccessibleName(/keep areas over the ratio of its box, \d+ cases/);
  await strip(page).getByRole('button', { name: 'crop' }).click();
  const all = await page.getByRole('gridcell').count();
  const box = (await plot.boundingBox())!;
  await page.mouse.move(box.x + 20, box.y + 70);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width * 0.3, box.y + 70, { steps: 5 });
  await page.mouse.up();
  await expect(page).toHaveURL(/ratios=0\.\d+-0\.\d+/);
  await expect.poll(() => page.getByRole('gridcell').count()).toBeLessThan(all);
  const range = /ratios=([\d.]+)-([\d.]+)/.exec(page.url())!.slice(1).map(Number);
  for (const name of await page
    .getByRole('gridcell')
    .evaluateAll((l) => l.map((e) => e.getAttribute('aria-label')!))) {
    const [, w, h] = /(\d+) × (\d+)/.exec(name)!;
    expect(Number(w) / Number(h)).toBeGreaterThan(range[0]! - 0.02);
    expect(Number(w) / Number(h)).toBeLessThan(range[1]! + 0.02);
  }
  await strip(page).getByRole('button', { name: 'all ratios', exact: true }).last().click();
  await expect(page.getByRole('gridcell')).toHaveCount(all);
  await strip(page).locator('.mark').last().click();
  const opened = new URL(page.url()).searchParams.get('case')!;
  await expect(strip(page).locator('.mark-chosen')).toHaveCount(1);
  expect(opened).toMatch(/\.(0|90|180|270)\.light$/);
  // The limit, without a pointer.
  await tabTo(page, strip(page).getByRole('button', { name: '▲ over 65 %' }));
  await page.keyboard.press('Enter');
  await page.getByRole('textbox', { name: 'crop at most' }).fill('90');
  await page.keyboard.press('Enter');
  await page.keyboard.press('Escape');
  await expect(strip(page).getByRole('button', { name: '▲ over 90 %' })).toBeVisible();
  await undo(page);
  await expect(strip(page).getByRole('button', { name: '▲ over 65 %' })).toBeVisible();
});

test('findings say why, and a mend is looked at, done and undone, by keyboard', async ({ page }) => {
  await page.goto('/projects/larkmoor-ferries/notice');
  await tabTo(page, page.getByRole('group', { name: 'Lens' }).getByRole('button', { name: 'findings' }));
  await page.keyboard.press('Enter');
  const squashed = finding(page, /^▲ Wordmark distorted/);
  await expect(squashed).toBeVisible({ timeout: 30_000 });
  await tabTo(page, squashed);
  await page.keyboard.press('Enter');
  await expect(page.locator('.in-short')).toHaveText('Everywhere Wordmark is distorted, because of stretch.');
  await tabTo(page, page.getByText('why, in steps'));
  await page.keyboard.press('Enter');
  await expect(page.getByText('Wordmark is stretched over its box')).toBeVisible();
  const look = page.getByRole('button', { name: 'Preview: Show it whole in its box' });
  await expect(look).toBeVisible({ timeout: 60_000 });
  await tabTo(page, look);
  await page.keyboard.press('Enter');
  await expect(
    page.getByRole('list', { name: 'Before and after' }).getByRole('listitem').first(),
  ).toContainText('→');
  expect(await seriousInBothThemes(page)).toEqual([]);
  await tabTo(page, page.getByRole('button', { name: 'Apply: Show it whole in its box' }));
  await page.keyboard.press('Enter');
  await expect(squashed).toHaveCount(0, { timeout: 30_000 });
  await undo(page);
  await expect(squashed).toBeVisible({ timeout: 30_000 });
});

test('a finding is accepted for a reason, stays visible, and counts no longer', async ({ page }) => {
  await page.goto('/projects/larkmoor-ferries/system-window?lens=findings');
  const row = finding(page, /Emblem looks off centre/);
  await expect(row).toBeVisible({ timeout: 30_000 });
  await row.click();
  await page.getByRole('textbox', { name: 'Why it is accepted' }).fill('The brand wants it so');
  await page.getByRole('button', { name: /^accept on \d+ screens$/ }).click();
  await expect(finding(page, /^✓ Emblem looks off centre accepted: The brand wants it so/)).toBeVisible({
    timeout: 30_000,
  });
  await expect(page.getByText(/ and 1 accepted, over all screens/)).toBeVisible();
  await page.getByRole('button', { name: 'accept it no longer' }).click();
  await expect(finding(page, /^◭ Emblem looks off centre/)).toBeVisible({ timeout: 30_000 });
});

test('a mend that takes other files is judged by what their pixels say', async ({ page }) => {
  await page.goto(`${SPLASH}?lens=findings`);
  await finding(page, /Harbour and Emblem: has too few pixels/).click();
  await finding(page, /Harbour has too few pixels/).click();
  // The same drawing in more pixels makes nothing harder to make out.
  const larger = page.getByRole('listitem').filter({ hasText: /^Show “Harbour, large” instead/ });
  await expect(larger).toContainText(/→ gone, on \d+ → 0 cases.*, nothing gets worse/, { timeout: 30_000 });
  const upright = page.getByRole('listitem').filter({ hasText: /^In portrait take “Harbour, upright cut”/ });
  await expect(upright).toContainText(/but Wordmark has too little contrast on \d+ more/);
});

test('fits are compared on telling screens, and one is put in use', async ({ page }) => {
  await page.goto(`${SPLASH}?lens=fits`);
  const table = page.getByRole('region', { name: 'Comparison' });
  await expect(table.getByRole('row')).toHaveCount(9, { timeout: 45_000 });
  await expect(table.getByRole('row', { name: /^cover/ })).toContainText('in use');
  await expect(table.getByRole('row', { name: /^contain/ })).toContainText(/clear for [\d.]+ %/, {
    timeout: 30_000,
  });
  await expect(table.getByRole('row', { name: /^stretch/ })).toContainText(/distorted \+/);
  const tile = table.getByRole('row', { name: /^tile/ });
  await expect(tile).toContainText('not compared: crop and keep areas of a repeated picture');
  await expect(tile).not.toContainText(/nothing lost|crop [−+\d]/);
  expect(await seriousFindings(page)).toEqual([]);
  await tabTo(page, page.getByRole('button', { name: 'Use contain' }));
  await page.keyboard.press('Enter');
  await expect(table.getByRole('row', { name: /^contain/ })).toContainText('in use');
  await undo(page);
  await page
    .getByRole('group', { name: 'compared by its' })
    .getByRole('button', { name: 'position' })
    .click();
  await expect(table.getByRole('row')).toHaveCount(5);
  const row = (name: RegExp) => table.getByRole('row', { name });
  // Any value can be compared, without a pointer.
  await tabTo(page, row(/held 0 % across, 55 % down/).getByRole('button', { name: /^Compare with another/ }));
  await page.keyboard.press('Enter');
  await page.getByRole('textbox', { name: 'Across' }).fill('70');
  await page.keyboard.press('Escape');
  await expect(row(/held 70 % across, 55 % down/)).toContainText(/clear for [\d.]+ %/, { timeout: 30_000 });
  expect(await seriousFindings(page)).toEqual([]);
  await row(/held 100 % across/)
    .getByRole('button', { name: /^Open / })
    .first()
    .click();
  await expect(closeUp(page)).toBeVisible();
});

test('the position editor says where all keep areas are whole, or what excludes what', async ({ page }) => {
  await page.goto(SPLASH);
  const part = page.getByRole('region', { name: 'Layer Harbour' }).locator('.part-align');
  await part.click();
  const solved = page.getByRole('group', { name: 'Keep areas' });
  await expect(solved).toContainText(/Across: nowhere. (Lighthouse|Ferry) (is never whole on|on) /);
  await expect(solved).toContainText(/keeps [\d.]+ % of what is asked for, by weight/);
  const hold = solved.getByRole('button', { name: /^hold it [\d.]+ % across, [\d.]+ % down$/ });
  const place = (await hold.textContent())!.replace('hold it ', '');
  await hold.click();
  await page.keyboard.press('Escape');
  await expect(part).toHaveText(place);
  expect(place).not.toBe('62 % across, 55 % down');
  await undo(page);
  await expect(part).toHaveText('62 % across, 55 % down');
});

test('the screens to compare on can be chosen, for fits and launch alike, and are kept', async ({ page }) => {
  await page.goto(`${SPLASH}?lens=fits`);
  const table = page.getByRole('region', { name: 'Comparison' });
  await page.getByRole('button', { name: 'the screens that differ most' }).click();
  const editor = page.getByRole('dialog', { name: 'Screens that are compared' });
  await editor.getByRole('searchbox').fill('390x844');
  await editor.getByRole('checkbox').first().check();
  await editor.getByRole('checkbox').nth(1).check();
  expect(await seriousFindings(page)).toEqual([]);
  await page.keyboard.press('Escape');
  await expect(table.getByRole('columnheader')).toHaveText([/fit/, '390 × 844', '844 × 390']);
  await page.getByRole('group', { name: 'Lens' }).getByRole('button', { name: 'launch' }).click();
  await expect(page.locator('.play-grid li')).toHaveCount(2);
  // Another time, by an address that names none.
  await page.goto(`${SPLASH}?lens=fits`);
  await expect(table.getByRole('columnheader')).toHaveCount(3);
  await page.getByRole('button', { name: 'those that differ most' }).click();
  await expect(table.getByRole('columnheader')).toHaveCount(8);
});
