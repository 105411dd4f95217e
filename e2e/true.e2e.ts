import { expect, type Page } from '@playwright/test';
import { test } from './test';
import { numbersIn, outcomes, seriousFindings, tallyOf, undo } from './fixtures';

const DEMO = '/projects/larkmoor-ferries';

/** Everything on a page that says how something ends or how much is lost, by what it is said of. */
const SAID = [
  '.tally',
  '.case-caption',
  '.breaches li, .close-up p.outcome-clear',
  '.finding-head, .launch-finding',
  '.findings-none, .findings-head p',
  '.totals p',
  '.sizes-summary, .sizes-table td',
  '.fits-table td > span, .fits-table th > span.figures',
  '.valley-words',
  '.handover-words li',
  '.pair-breaches li',
];

interface Watched {
  /** what was said first and what then */
  taken: string[];
  samples: number;
}

/** Looks at what a page says every tenth of a second from its first moment on, and keeps what is said otherwise later. */
async function watchSaid(page: Page): Promise<void> {
  await page.addInitScript((selectors: string[]) => {
    const first = new Map<string, string>();
    const watched: Watched = { taken: [], samples: 0 };
    Object.assign(window, { watched });
    const keyOf = (e: Element, selector: string, i: number) => {
      const owner = e.closest('[data-case], tr, li, section')?.getAttribute('data-case');
      return `${selector} ${owner ?? i}`;
    };
    setInterval(() => {
      watched.samples++;
      for (const selector of selectors)
        document.querySelectorAll(selector).forEach((e, i) => {
          const text = e.textContent.trim();
          if (!/\d|clear|nothing|within/i.test(text) || /measur(ing|ed)|read…/.test(text)) return;
          const key = keyOf(e, selector, i);
          const before = first.get(key);
          if (before === undefined) first.set(key, text);
          else if (before !== text) watched.taken.push(`${key}: “${before}”, then “${text}”`);
        });
    }, 100);
  }, SAID);
}

const LENSES = [
  { at: 'winter-splash', settled: '.tally:has-text("fail")' },
  { at: 'winter-splash?lens=findings', settled: '.finding-head' },
  { at: 'winter-splash?lens=fits', settled: '.fits-table th:has-text("clear for")' },
  { at: 'winter-splash?lens=launch', settled: '.launch-finding' },
  { at: 'winter-splash?lens=sizes', settled: '.sizes-table' },
  { at: 'sign-in?middle=pair', settled: '.pair-breaches li' },
  { at: 'sign-in?middle=window', settled: '.stretch-bar, .window-changes li' },
];

for (const { at, settled } of LENSES) {
  test(`nothing is said that is taken back, opening ${at}`, async ({ page }) => {
    // As on a slow line: what hangs on pixels comes late.
    await page.route('**/raster', async (route) => {
      await new Promise((resolve) => setTimeout(resolve, 1200));
      await route.continue();
    });
    await watchSaid(page);
    await page.goto(`${DEMO}/${at}`);
    await expect(page.locator(settled).first()).toBeVisible({ timeout: 60_000 });
    await page.waitForTimeout(2500);
    const { taken, samples } = await page.evaluate(() => (window as unknown as { watched: Watched }).watched);
    expect(samples).toBeGreaterThan(15);
    expect(taken).toEqual([]);
  });
}

const ALL = 486;

/** How many cases the field says that it shows: in its line, and summed over its groups. */
async function shownIn(page: Page): Promise<{ said: number; summed: number }> {
  const line = page.locator('.field-count');
  await expect(line).toContainText(/cases/);
  const groups = await page.locator('.field-group h2 .figures').allInnerTexts();
  const summed = groups.reduce((sum, text) => sum + numbersIn(text)[0]!, 0);
  const [, said] = /(\d+) of /.exec(await line.innerText())!;
  return { said: Number(said), summed };
}

const SCENES = ['system-window', 'winter-splash', 'winter-splash-mended', 'sign-in', 'notice'];

test('every count of cases is the same number wherever it stands, in light and in dark, filtered or not', async ({
  page,
}) => {
  test.setTimeout(300_000);
  for (const scene of SCENES) {
    const found = { fail: 0, warn: 0, clear: 0 };
    let shown = 0;
    for (const appearance of ['light', 'dark'] as const) {
      await page.goto(`${DEMO}/${scene}?appearance=${appearance}`);
      const tally = await tallyOf(page);
      expect([scene, tally.fail + tally.warn + tally.clear]).toEqual([scene, ALL]);
      const all = await shownIn(page);
      expect(all.said).toBe(all.summed);
      shown += all.said;
      for (const outcome of ['fail', 'warn', 'clear'] as const) {
        const filter = page.getByRole('combobox', { name: 'Outcome' });
        if (!(await filter.isVisible())) await page.getByRole('button', { name: 'filters' }).click();
        await filter.selectOption(outcome);
        const { said, summed } = await shownIn(page);
        expect(said).toBe(summed);
        found[outcome] += said;
        if (appearance === 'dark')
          expect([scene, outcome, found[outcome]]).toEqual([scene, outcome, tally[outcome]]);
      }
    }
    expect([scene, shown]).toEqual([scene, ALL]);
  }
});

test('a finding is on as many cases in the list, in the field, and with what mends it', async ({ page }) => {
  await page.goto(`${DEMO}/winter-splash?lens=findings`);
  const row = page.getByRole('button', { name: /^▲ Harbour has a keep area cut off/ });
  await expect(row).toBeVisible({ timeout: 30_000 });
  const [cases] = numbersIn(await row.locator('.figures').first().innerText());
  const { fail } = await tallyOf(page);
  await row.click();
  const first = page.locator('.mends li').first();
  await expect(first).toBeVisible({ timeout: 60_000 });
  const mend = await first.innerText();
  expect(mend).toContain(`on ${cases} → `);
  // What it does to all cases starts from what the bar says.
  expect(mend).toContain(`▲ fail ${fail} →`);
  const [, after] = /▲ fail \d+ → (\d+)/.exec(mend)!;
  await page.getByRole('button', { name: 'show its cases in the field' }).click();
  const line = page.locator('.field-count');
  await expect(line).toContainText(`of the ${cases} cases of this finding, in light`);
  const light = await shownIn(page);
  expect(light.said).toBe(light.summed);
  await line.getByRole('button').click();
  await expect(line).toContainText('in dark');
  const dark = await shownIn(page);
  expect(light.said + dark.said).toBe(cases);
  // And once it is done, the bar says what was promised.
  await page.goto(`${DEMO}/winter-splash?lens=findings`);
  await row.click();
  await page
    .locator('.mends li')
    .first()
    .getByRole('button', { name: /^Apply/ })
    .click();
  await expect(outcomes(page)).toContainText(`${after} fail`, { timeout: 30_000 });
  await undo(page);
  await expect(outcomes(page)).toContainText(`${fail} fail`, { timeout: 30_000 });
});

test('outside the ratios that are allowed nothing is counted, and that is said', async ({ page }) => {
  await page.goto(`${DEMO}/winter-splash?middle=valley`);
  await tallyOf(page);
  // The left bound, with the pointer.
  const bound = page.getByRole('slider', { name: 'Least ratio allowed' });
  const box = (await bound.boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 3);
  await page.mouse.down();
  await page.mouse.move(box.x + 160, box.y + box.height / 3, { steps: 4 });
  await page.mouse.up();
  await expect(outcomes(page)).toContainText('not counted');
  const left = async () => numbersIn(await outcomes(page).innerText());
  await expect.poll(async () => (await left()).reduce((a, b) => a + b, 0)).toBe(ALL);
  const [fail = 0, warn = 0, clear = 0, out = 0] = await left();
  expect(out).toBeGreaterThan(0);
  await page.getByRole('button', { name: 'back to the field' }).click();
  await expect(page.locator('.field-count')).toContainText(
    `${out} outside the allowed ratios are not counted`,
  );
  await page.getByRole('group', { name: 'Lens' }).getByRole('button', { name: 'findings' }).click();
  const rows = page.locator('.finding-head > .figures:nth-child(3)');
  await expect(rows.first()).toBeVisible({ timeout: 30_000 });
  for (const text of await rows.allInnerTexts())
    if (/^\d+ case/.test(text)) expect(numbersIn(text)[0]).toBeLessThanOrEqual(fail + warn + clear);
  await undo(page);
  await expect(outcomes(page)).not.toContainText('not counted');
});

test('a limit is moved on the large chart, by pointer and by key', async ({ page }) => {
  await page.goto(`${DEMO}/winter-splash?middle=valley`);
  const line = page.getByRole('slider', { name: 'crop from which it is a failure' });
  await expect(line).toHaveAttribute('aria-valuenow', '65');
  await line.focus();
  await page.keyboard.press('ArrowUp');
  await expect(line).toHaveAttribute('aria-valuenow', '66');
  const box = (await line.boundingBox())!;
  await page.mouse.move(box.x + box.width / 3, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 3, box.y + box.height / 2 - 60, { steps: 4 });
  await page.mouse.up();
  await expect.poll(async () => Number(await line.getAttribute('aria-valuenow'))).toBeGreaterThan(75);
  expect(await seriousFindings(page)).toEqual([]);
  await undo(page, 2);
  await expect(line).toHaveAttribute('aria-valuenow', '65');
});
