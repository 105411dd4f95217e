import { expect, test, type Page } from '@playwright/test';

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
