import { readFileSync } from 'node:fs';
import { expect, type Page } from '@playwright/test';
import { test } from './test';
import { closeUp, figure, saving, seriousFindings, tabTo, tallyOf, undo } from './fixtures';

const layer = (page: Page, name: string) => page.getByRole('region', { name: `Layer ${name}` });
test.use({ permissions: ['clipboard-read', 'clipboard-write'] });

const TURNED = 'phone-393x852-3x-pill.90.light';

async function addLayer(page: Page, preset: RegExp) {
  await page.getByRole('button', { name: 'add', exact: true }).click();
  await page.getByRole('dialog', { name: 'Add a layer' }).getByRole('button', { name: preset }).click();
}

test('a panel with text: added, filled, held by other edges, all in its sentence', async ({ page }) => {
  await page.goto('/projects/larkmoor-ferries/system-window?case=phone-360x800-2x.0.light');
  await addLayer(page, /^a panel of 80 %/);
  await expect(layer(page, 'Panel')).toContainText('as high as what it holds');
  await expect(figure(page, 'Panel', 'Holds')).toHaveText('nothing yet');
  await expect(closeUp(page)).not.toContainText('Panel: collapsed');
  await addLayer(page, /^text in Panel/);
  await expect(layer(page, 'Text')).toContainText('Says “A line of text”');
  await expect(layer(page, 'Text')).toContainText('0 from the left and right of Panel');
  await expect(closeUp(page).getByRole('row', { name: /^Collapsed/ })).toHaveCount(0);

  await layer(page, 'Text').getByRole('button', { name: '“A line of text”' }).click();
  await page.getByRole('textbox', { name: 'Text' }).fill('Паром в 12:40');
  await page.keyboard.press('Escape');
  await expect(layer(page, 'Text')).toContainText('“Паром в 12:40”');
  await layer(page, 'Text')
    .getByRole('button', { name: /18 sans/ })
    .click();
  await page.getByRole('button', { name: 'bold' }).click();
  await page.getByRole('textbox', { name: 'Font size', exact: true }).fill('24');
  await page.keyboard.press('Escape');
  await expect(figure(page, 'Text', 'Set in')).toHaveText('24 lu, 1 line');

  // A letter that no font has is drawn as a box, and named.
  await layer(page, 'Text').getByRole('button', { name: '“Паром в 12:40”' }).click();
  const words = page.getByRole('textbox', { name: 'Text' });
  await words.fill('Паром 港');
  await expect(figure(page, 'Text', 'Letters missing')).toContainText('港');
  await expect(closeUp(page)).toContainText('Text: letters missing 1');
  await words.fill('Паром');
  await page.keyboard.press('Escape');
  await expect(closeUp(page).getByRole('row', { name: /^Letters missing/ })).toHaveCount(0);

  await layer(page, 'Panel').getByRole('button', { name: 'across' }).click();
  await page
    .getByRole('group', { name: 'Across, aligned by' })
    .getByRole('button', { name: 'right' })
    .click();
  await expect(layer(page, 'Panel')).toContainText('right edge 0 from the right of the safe area');
  await expect(saving(page)).toHaveText('saved');
  await page.reload();
  await expect(layer(page, 'Text')).toContainText('“Паром”');
  await expect(layer(page, 'Panel')).toContainText('right edge 0 from the right of the safe area');
});

test('a picture is put into a new panel, which goes around it, and stays where it is', async ({ page }) => {
  await page.goto('/projects/larkmoor-ferries/winter-splash');
  const drawn = figure(page, 'Emblem', 'Drawn');
  const place = figure(page, 'Emblem', 'To the safe edges');
  const before = [await drawn.textContent(), await place.textContent()];
  await addLayer(page, /^a panel of 80 %/);
  await tabTo(page, page.getByRole('button', { name: 'More about Emblem' }));
  await page.keyboard.press('Enter');
  await page.getByRole('combobox', { name: 'Inside' }).selectOption({ label: 'Panel' });
  await page.keyboard.press('Escape');
  await expect(layer(page, 'Emblem')).toContainText(/(of|in) Panel/);
  await expect(page.getByRole('alert').filter({ hasText: 'circle' })).toHaveCount(0);
  await expect(drawn).toHaveText(before[0]!);
  await expect(place).toHaveText(before[1]!);
  await expect(figure(page, 'Panel', 'Holds')).toHaveCount(0);
  await undo(page, 2);
});

test('why: a figure leads to the part of the rule that decides it, by keyboard', async ({ page }) => {
  await page.goto(`/projects/larkmoor-ferries/winter-splash?case=${TURNED}`);
  const harbour = layer(page, 'Harbour');
  await harbour.getByRole('button', { name: 'whole screen' }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'safe area' }).click();
  const bare = closeUp(page).getByRole('button', { name: 'Bare, left 59: why' });
  await tabTo(page, bare);
  await page.keyboard.press('Enter');
  const answer = page.getByRole('dialog', { name: /^Why Bare, left is 59/ });
  await expect(answer).toContainText(
    'The safe area stands 59 off the screen’s left in landscape. In portrait it is 0.',
  );
  await expect(answer).toContainText('inset at the left in landscape, from the catalogue; confidence high');
  expect(await seriousFindings(page)).toEqual([]);
  // The figure is taken along as it stands, and in device px.
  await answer.getByRole('button', { name: 'copy 177 px' }).click();
  expect(await page.evaluate(() => navigator.clipboard.readText())).toBe('177 px');
  await tabTo(page, answer.getByRole('button', { name: 'change' }).first());
  await page.keyboard.press('Enter');
  const editor = page.getByRole('dialog', { name: 'Change “safe area”' });
  await expect(editor).toBeVisible();
  await editor.getByRole('button', { name: 'whole screen' }).click();
  await expect(figure(page, 'Harbour', 'Crop in all')).toBeVisible();
  await expect(closeUp(page).getByRole('row', { name: /^Bare to the screen/ })).toHaveCount(0);
});

test('bars, margins and direction belong to the scene', async ({ page }) => {
  await page.goto('/projects/larkmoor-ferries/winter-splash?case=phone-412x915-2-625x.0.light');
  const inset = (side: string) => closeUp(page).getByRole('button', { name: new RegExp(`^Inset, ${side} `) });
  await expect(inset('bottom')).toHaveText('24');
  await page.getByRole('button', { name: 'bars and margins' }).click();
  const settings = page.getByRole('dialog', { name: 'Scene' });
  await settings.getByRole('button', { name: 'buttons' }).click();
  await expect(inset('bottom')).toHaveText('48');
  await settings.getByRole('checkbox', { name: 'Navigation bar' }).uncheck();
  await expect(inset('bottom')).toHaveText('0');
  await settings.getByRole('checkbox', { name: 'Title bar of the app' }).check();
  await settings.getByRole('textbox', { name: 'Left' }).fill('40');
  await settings.getByRole('button', { name: 'right to left' }).click();
  expect(await seriousFindings(page)).toEqual([]);
  await page.keyboard.press('Escape');
  await layer(page, 'Emblem').getByRole('button', { name: 'safe area', exact: true }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'margins' }).click();
  // The preview mirrors the margin of 40: at the right it moves a middle by half as much to the left.
  const sides = async () =>
    (await figure(page, 'Emblem', 'To the safe edges').textContent())!
      .replace(' lu', '')
      .split(' · ')
      .map(Number);
  await expect.poll(async () => (await sides())[1]! - (await sides())[0]!).toBeCloseTo(40, 1);
});

test('named values are used by name, kept while they are used, and go out and in as design tokens', async ({
  page,
}) => {
  await page.goto('/projects/larkmoor-ferries/sign-in');
  const tray = page.getByRole('region', { name: 'Named values' });
  await tray.getByRole('button', { name: 'deep water' }).click();
  await page
    .getByRole('dialog', { name: 'Named value deep water' })
    .getByRole('button', { name: 'delete' })
    .click();
  await expect(page.getByText(/deep water is still used: .*Winter splash, Ground/)).toBeVisible();
  await page.keyboard.press('Escape');

  const download = page.waitForEvent('download');
  await tray.getByRole('button', { name: 'save as a file' }).click();
  const file = await download;
  expect(file.suggestedFilename()).toBe('larkmoor-ferries.tokens.json');

  const tokens = {
    gap: { $type: 'dimension', $value: { value: 64, unit: 'px' }, $description: 'Between things' },
    inner: { $value: '{gap}' },
    shade: { $type: 'shadow', $value: {} },
  };
  await page.locator('input[data-tokens]').setInputFiles({
    name: 'other.tokens.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify(tokens)),
  });
  const note = tray.getByRole('status');
  await expect(note).toContainText('2 named values imported from other.tokens.json.');
  await expect(note).toContainText('shade: tokens of the type shadow are not used here');
  await expect(tray.getByRole('listitem').filter({ hasText: 'inner' })).toContainText('as gap');
  await note.getByRole('button', { name: 'close' }).click();
  const again = page.waitForEvent('download');
  await tray.getByRole('button', { name: 'save as a file' }).click();
  const saved = JSON.parse(readFileSync(await (await again).path(), 'utf8')) as object;
  expect(saved).toMatchObject(tokens);
  await expect(tray.getByRole('listitem', { name: 'Between things' })).toContainText('64');
  await tray.getByRole('button', { name: 'add colour' }).click();
  await expect(tray.getByRole('button', { name: 'new colour' })).toBeVisible();
});

test('a ground takes a gradient, a picture a tint and a size of its own', async ({ page }) => {
  await page.goto('/projects/larkmoor-ferries/system-window?case=phone-360x800-2x.0.light');
  await layer(page, 'Ground').getByRole('button', { name: '#ffffff' }).click();
  await page.getByRole('button', { name: 'gradient', exact: true }).click();
  await page.getByRole('textbox', { name: /^Direction/ }).fill('90');
  await page.getByRole('button', { name: 'add a colour' }).click();
  expect(await seriousFindings(page)).toEqual([]);
  await page.keyboard.press('Escape');
  await expect(layer(page, 'Ground')).toContainText('a gradient to the right, #ffffff to');

  const emblem = layer(page, 'Emblem');
  await emblem.getByRole('button', { name: 'More about Emblem' }).click();
  await page.getByRole('checkbox', { name: /^Tinted/ }).check();
  await page.keyboard.press('Escape');
  await expect(emblem).toContainText('tinted #1b1b1b, dark #ffffff');
  await emblem.getByRole('button', { name: 'shown whole in its box' }).click();
  await page.getByRole('button', { name: 'a size of its own' }).click();
  await page.getByRole('checkbox', { name: 'Height given' }).check();
  await page.getByRole('combobox', { name: 'Across' }).selectOption('space');
  await page.keyboard.press('Escape');
  await expect(emblem).toContainText('drawn 50 % wide and 50 % high, repeated across with even gaps');
  await expect(saving(page)).toHaveText('saved');
});

test('a stop stands right after its part, and no part is wider than its sentence', async ({ page }) => {
  for (const scene of ['notice', 'sign-in']) {
    await page.goto(`/projects/larkmoor-ferries/${scene}`);
    await expect(page.locator('.sentence .part').first()).toBeVisible();
    const [count, astray] = await page.evaluate(() => {
      const glued = [...document.querySelectorAll('.part-and-stop')].filter(
        (g) => g.lastChild instanceof Text && g.lastChild.data.length > 0,
      );
      const isAstray = (g: Element) => {
        const range = document.createRange();
        range.selectNodeContents(g.lastChild!);
        const stop = range.getBoundingClientRect();
        const part = g.querySelector('.part')!.getBoundingClientRect();
        const { right } = g.closest('.sentence')!.getBoundingClientRect();
        return stop.left < part.right - 1 || stop.right > right + 1;
      };
      return [glued.length, glued.filter(isAstray).map((g) => g.textContent)] as const;
    });
    expect(count).toBeGreaterThan(10);
    expect(astray).toEqual([]);
  }
});

test('a layer is dragged on the drawing: in its unit and region, one step, and Escape leaves no trace', async ({
  page,
}) => {
  await page.goto('/projects/larkmoor-ferries/winter-splash?case=phone-360x800-2x.0.light');
  const hand = page.getByRole('button', { name: 'Move Emblem', exact: true });
  const sentence = layer(page, 'Emblem');
  await expect(sentence).toContainText('6 % above centre');
  await tallyOf(page);
  const before = (await hand.boundingBox())!;
  /** Where it lies on the drawing, wherever that lies on the page. */
  const lying = () =>
    hand.evaluate((e) => {
      const frame = e.closest('.hands')!.getBoundingClientRect();
      const { x, y } = e.getBoundingClientRect();
      return { x: x - frame.x, y: y - frame.y };
    });
  const start = await lying();
  const middle = { x: before.x + before.width / 2, y: before.y + before.height / 2 };
  const drag = async (dx: number, dy: number) => {
    await page.mouse.move(middle.x, middle.y);
    await page.mouse.down();
    await page.mouse.move(middle.x + dx / 2, middle.y + dy / 2);
    await page.mouse.move(middle.x + dx, middle.y + dy);
  };

  await drag(0, -30);
  await expect(sentence).toContainText(/\d\d(\.\d+)? % above centre/);
  await page.keyboard.press('Escape');
  await page.mouse.up();
  await expect(sentence).toContainText('6 % above centre');
  await expect(page.getByRole('button', { name: 'undo', exact: true })).toBeDisabled();

  // With Alt it catches at nothing.
  await page.keyboard.down('Alt');
  await drag(12, -30);
  await page.mouse.up();
  await page.keyboard.up('Alt');
  await expect
    .poll(async () => {
      const { x, y } = await lying();
      return [Math.round(x - start.x), Math.round(y - start.y)];
    })
    .toEqual([12, -30]);
  await expect(sentence).toContainText(/right of centre, \d\d(\.\d+)? % above centre/);
  await expect(page.getByRole('button', { name: 'undo', exact: true })).toHaveAttribute(
    'title',
    'undo: move Emblem (Ctrl Z)',
  );
  await expect(page.getByRole('status', { name: 'What was changed' })).toContainText('Done: move Emblem.');
  await expect(saving(page)).toHaveText('saved');

  // By its corners its size follows, and its shape is kept.
  await hand.hover();
  const corner = (await page.locator('.hand-frame:hover .hand-lower-right').boundingBox())!;
  const at = { x: corner.x + corner.width / 2, y: corner.y + corner.height / 2 };
  await page.mouse.move(at.x, at.y);
  await page.mouse.down();
  await page.mouse.move(at.x - 4, at.y - 1);
  await page.mouse.move(at.x - 6, at.y - 2);
  await page.mouse.up();
  await expect(sentence).toContainText(
    /\d\d(\.\d+)? % of the safe area’s width, at most 220, keeps its shape/,
  );
  await expect(sentence).not.toContainText('38 % of the safe area');

  // The same by keys, which the history lists as a step of its own.
  await hand.focus();
  await page.keyboard.press('Shift+ArrowDown');
  await expect(saving(page)).toHaveText('saved');
  await page.getByRole('button', { name: 'history' }).click();
  const steps = page.getByRole('list', { name: 'Steps, newest first' });
  await expect(steps.getByRole('listitem').nth(1)).toContainText('resize Emblem');
  await expect(steps.getByRole('listitem').nth(2)).toContainText('move Emblem');
  expect(await seriousFindings(page)).toEqual([]);
  await page.keyboard.press('Escape');
  await undo(page, 3);
  await expect(sentence).toContainText('6 % above centre');
});
