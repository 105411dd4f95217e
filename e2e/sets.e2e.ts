import { expect, type Page } from '@playwright/test';
import { test } from './test';
import { seriousFindings, tabTo, undo } from './fixtures';

const SETS = '/projects/larkmoor-ferries/winter-splash?lens=sets';
const list = (page: Page) => page.getByRole('region', { name: 'List of screens' });
const dialog = (page: Page) => page.getByRole('dialog', { name: 'Import screens and weights' });
const cases = async (page: Page) => {
  const text = (await page.locator('.tally').textContent())!;
  return [...text.matchAll(/\d+/g)].reduce((sum, [n]) => sum + Number(n), 0);
};

test('a set is made of what is listed, put in use by keyboard, and everything is judged on it', async ({
  page,
}) => {
  await page.goto(SETS);
  await expect(list(page).getByRole('row')).toHaveCount(94);
  await page.getByRole('combobox', { name: 'Kind' }).selectOption('tablets');
  const tablets = (await list(page).getByRole('row').count()) - 1;
  expect(tablets).toBeGreaterThan(5);
  await tabTo(page, page.getByRole('button', { name: 'new set of the list' }));
  await page.keyboard.press('Enter');
  await page.getByRole('textbox', { name: 'Name', exact: true }).fill('Tablets only');
  await page.keyboard.press('Enter');
  await list(page).getByRole('checkbox').first().uncheck();
  await expect(page.getByRole('region', { name: 'Sets of screens' })).toContainText(
    `Tablets only ${tablets - 1}`,
  );
  await tabTo(page, page.getByRole('button', { name: 'Use Tablets only' }));
  await page.keyboard.press('Enter');
  const menu = page.getByRole('button', { name: 'Tablets only', exact: true }).first();
  await expect(menu).toBeVisible();
  await expect.poll(() => cases(page)).toBeLessThan(tablets * 8);
  const judged = await cases(page);
  await expect(page.getByRole('button', { name: 'undo', exact: true })).toBeEnabled();
  expect(await seriousFindings(page)).toEqual([]);

  // The server, too, judges these alone, and the verdict says so.
  await expect(page.getByTestId('saving')).toHaveText('saved');
  await page.getByRole('button', { name: 'ship', exact: true }).click();
  await expect(page.locator('.verdict caption')).toContainText(
    `on ${tablets - 1} screens of “Tablets only”`,
    {
      timeout: 60_000,
    },
  );
  expect(judged).toBeGreaterThan(0);
  await undo(page, 4);
  await expect.poll(() => cases(page)).toBe(486);
});

test('screens are looked at in other sizes of text and upside down, once that is asked for', async ({
  page,
}) => {
  await page.goto(SETS);
  await expect.poll(() => cases(page)).toBe(486);
  await page.getByRole('checkbox', { name: '200 %' }).check();
  await expect.poll(() => cases(page), { timeout: 30_000 }).toBe(972);
  await page.getByRole('checkbox', { name: 'upside down' }).check();
  await expect.poll(() => cases(page), { timeout: 30_000 }).toBeGreaterThan(1100);
  await page.getByRole('button', { name: 'screens', exact: true }).click();
  await page.getByRole('searchbox', { name: 'Search: size, ratio, kind or name' }).fill('text at 200');
  await expect(page.getByRole('gridcell', { name: /text at 200 %/ }).first()).toBeVisible();
  await undo(page, 2);
});

test('a screen of one’s own is drawn as it is typed in, refused where it cannot be, and removed', async ({
  page,
}) => {
  await page.goto(SETS);
  await tabTo(page, page.getByRole('button', { name: 'add a screen' }));
  await page.keyboard.press('Enter');
  const form = page.getByRole('form', { name: 'A screen of your own' });
  await form.getByRole('textbox', { name: 'Name' }).fill('Ticket office');
  const insets = form.getByRole('group', { name: 'Insets, in its natural position' });
  await insets.getByRole('textbox', { name: 'top' }).fill('500');
  await insets.getByRole('textbox', { name: 'bottom' }).fill('400');
  await expect(form).toContainText(
    'Not possible: portrait: the insets at top and bottom meet, 500 and 400 of 844 lu.',
  );
  await expect(form.getByRole('button', { name: 'save the screen' })).toBeDisabled();
  await insets.getByRole('textbox', { name: 'top' }).fill('47');
  await insets.getByRole('textbox', { name: 'bottom' }).fill('34');
  await form.getByRole('button', { name: 'turn them with the screen' }).click();
  await expect(
    form.getByRole('group', { name: 'top at the left' }).getByRole('textbox', { name: 'left' }),
  ).toHaveValue('47');
  await form.getByRole('button', { name: 'add a cutout' }).click();
  await expect(form.locator('.screen-cutout')).toHaveCount(2);
  expect(await seriousFindings(page)).toEqual([]);
  await form.getByRole('button', { name: 'save the screen' }).click();
  const detail = page.getByRole('complementary', { name: 'One screen' });
  await expect(detail.getByRole('heading', { name: 'Ticket office' })).toBeVisible();
  await expect(detail).toContainText('top 47, right 0, bottom 34, left 0');
  await expect(list(page).getByRole('row')).toHaveCount(95);
  await expect.poll(() => cases(page)).toBe(492);

  // Shared, removed here, and taken again as any other project could.
  await detail.getByRole('button', { name: 'share', exact: true }).click();
  await expect(page.getByText('Ticket office is shared')).toBeVisible();
  await detail.getByRole('button', { name: 'remove' }).click();
  await expect(list(page).getByRole('row')).toHaveCount(94);
  await page.getByRole('button', { name: 'shared', exact: true }).click();
  await page.getByRole('button', { name: 'Take Ticket office' }).click();
  await expect(list(page).getByRole('row')).toHaveCount(95);
  await page.getByRole('button', { name: 'End the sharing of Ticket office' }).click();
  await expect(page.getByText('No screen is shared yet')).toBeVisible();
  await page.keyboard.press('Escape');
  await undo(page, 3);
});

const BAD = [
  ',852,3,5',
  'NaN,852,3,5',
  '-393,852,3,5',
  '0,852,3,5',
  '9000,60,3,5',
  '393,852,0.01,5',
  '393,852,40,5',
  '393,852,3,some',
  '393,852,3,-5',
  '411,777,,5',
] as const;
const GOOD = ['393,852,3', '430,932,3', '412,915,2.625', '820,1180,2', '500,700,2', '932,430,3'] as const;

/** 5,000 lines, 3 % of them wrong in ten ways. */
function csv(): { text: string; weight: number } {
  let weight = 0;
  let bad = 0;
  const lines = Array.from({ length: 5000 }, (_, i) => {
    if (i % 100 < 3) return BAD[bad++ % BAD.length]!;
    weight += i;
    return `${GOOD[i % GOOD.length]!},${i}`;
  });
  return { text: ['width,height,px per lu,users', ...lines].join('\n'), weight };
}

test('5,000 lines of users are imported, the wrong ones named by line and reason, and taken back', async ({
  page,
}) => {
  await page.goto(SETS);
  await page.getByRole('button', { name: 'import', exact: true }).click();
  const file = dialog(page).getByLabel('File of screens');
  await file.setInputFiles({
    name: 'picture.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from([80, 75, 0, 1]),
  });
  await expect(dialog(page).getByRole('alert')).toContainText('picture.csv was not read: This is no text');
  const { text, weight } = csv();
  const dropped = await page.evaluateHandle((content) => {
    const data = new DataTransfer();
    data.items.add(new File([content], 'users.csv', { type: 'text/csv' }));
    return data;
  }, text);
  await dialog(page).locator('.sets-well').dispatchEvent('drop', { dataTransfer: dropped });
  const preview = dialog(page).getByRole('region', { name: 'What is imported' });
  await expect(preview).toContainText('150 lines left out');
  // It is a table here, and no picture of the project.
  await expect(page.getByText('Adding files')).toHaveCount(0);
  await expect(preview).toContainText(`6 screens, weight ${weight} in all`.replace('6', '5'));
  await expect(preview).toContainText('line 2: There is no width.');
  await expect(preview).toContainText('line 3: “NaN” is no width.');
  expect(await seriousFindings(page)).toEqual([]);
  await dialog(page).getByRole('button', { name: 'import 5 screens' }).click();
  await expect(page.getByRole('button', { name: 'from users.csv', exact: true }).first()).toBeVisible();
  await expect(list(page).getByRole('checkbox', { checked: true })).toHaveCount(5);
  await expect(page.getByRole('region', { name: 'Screens', exact: true })).toContainText(
    'Weights are from users.csv',
  );
  await undo(page);
  await expect(page.getByRole('region', { name: 'Screens', exact: true })).toContainText(
    'Weights are illustrative',
  );
  await expect(list(page).getByRole('row')).toHaveCount(94);
});
