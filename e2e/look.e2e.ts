import { expect, type Page } from '@playwright/test';
import { closeHints, test } from './test';
import { allFindings } from './fixtures';
import { addressOf } from './servers';

const SPLASH = '/projects/larkmoor-ferries/winter-splash';
/** Name, address, what is there once it is drawn, and the buttons that open the rest of it. */
const VIEWS: readonly (readonly [string, string, string, ...string[]])[] = [
  ['the start page', '/', 'main'],
  ['screens', SPLASH, '.tally'],
  ['fits', `${SPLASH}?lens=fits`, '.fits table'],
  ['findings', `${SPLASH}?lens=findings`, '.finding-head'],
  ['limits', `${SPLASH}?lens=findings&order=limits`, '.limits'],
  ['launch', `${SPLASH}?lens=launch`, '.launch-finding'],
  ['sizes', `${SPLASH}?lens=sizes`, '.sizes-table'],
  ['ship', `${SPLASH}?lens=ship`, '.sheet-section'],
  ['a free window', `${SPLASH}?middle=window`, '.stretch-track'],
  ['the map', `${SPLASH}?middle=map`, '.size-map-breaks'],
  ['two cases', `${SPLASH}?middle=pair`, '.pair-stage canvas'],
  ['a close-up, enlarged', `${SPLASH}?enlarged=on`, '.tally'],
  ['the screens', SPLASH, '.tally', '93 screens'],
  ['sets', SPLASH, '.tally', '93 screens', 'screens and sets'],
  ['a template', SPLASH, '.tally', '93 screens', 'screens and sets', 'template for designers'],
  ['keep areas', SPLASH, '.tally', 'Draw keep areas on the picture'],
];

/** Least side of what is pressed, px. Source: WCAG 2.2, 2.5.8; links in a line of text are left out there. */
const LEAST_SIDE = 24;
/** px; drawings with letters of their own are left out */
const LEAST_TYPE = 12;
/** Source: WCAG 2.2, 1.4.11. */
const LEAST_CONTRAST = 3;

/** What is too small to be pressed or read, and whose ring cannot be told from what lies around it. */
const measured = (page: Page) =>
  page.evaluate(
    ({ side, type, contrast }) => {
      const seen = (e: Element) => e.checkVisibility() && e.getClientRects().length > 0;
      const name = (e: Element) =>
        `${e.tagName.toLowerCase()}.${e.getAttribute('class') ?? ''} “${(e.textContent ?? '').slice(0, 20)}”`;
      const pressed = [
        ...document.querySelectorAll(
          'button, a[href], input, select, textarea, summary, [role=slider], [tabindex="0"]',
        ),
      ].filter((e) => seen(e) && !e.classList.contains('visually-hidden') && !e.closest('svg, .skip'));
      const small = pressed.filter((e) => {
        const { width, height } = (e.closest('label, .form-check') ?? e).getBoundingClientRect();
        const isInLine = e.tagName === 'A' && getComputedStyle(e).display === 'inline';
        return !isInLine && (width < side - 0.01 || height < side - 0.01);
      });
      const tiny = [...document.querySelectorAll('body *')].filter(
        (e) =>
          !e.closest('svg, script, style, title') &&
          [...e.childNodes].some((n) => n.nodeType === 3 && n.textContent!.trim() !== '') &&
          seen(e) &&
          parseFloat(getComputedStyle(e).fontSize) < type,
      );
      const canvas = new OffscreenCanvas(1, 1).getContext('2d', { willReadFrequently: true })!;
      const luminance = (colours: string[]) => {
        canvas.clearRect(0, 0, 1, 1);
        for (const c of colours) {
          canvas.fillStyle = c;
          canvas.fillRect(0, 0, 1, 1);
        }
        const [r, g, b] = [...canvas.getImageData(0, 0, 1, 1).data].map((v) => {
          const s = v / 255;
          return s <= 0.04045 ? s / 12.92 : ((s + 0.055) / 1.055) ** 2.4;
        }) as [number, number, number];
        return 0.2126 * r + 0.7152 * g + 0.0722 * b;
      };
      const grounds = (e: Element | null): string[] =>
        e ? [...grounds(e.parentElement), getComputedStyle(e).backgroundColor] : ['white'];
      const faint = pressed.filter((e) => {
        (e as HTMLElement).focus({ preventScroll: true });
        if (document.activeElement !== e) return false;
        const { outlineStyle, outlineWidth, outlineColor } = getComputedStyle(e);
        if (outlineStyle === 'none' || parseFloat(outlineWidth) < 2) return true;
        const around = luminance(grounds(e.parentElement));
        const ring = luminance([...grounds(e.parentElement), outlineColor]);
        const [low, high] = [Math.min(around, ring), Math.max(around, ring)];
        return (high + 0.05) / (low + 0.05) < contrast;
      });
      return {
        pressed: pressed.length,
        small: small.map(name),
        tiny: tiny.map(name),
        faint: faint.map(name),
      };
    },
    { side: LEAST_SIDE, type: LEAST_TYPE, contrast: LEAST_CONTRAST },
  );

// A view is looked at twice from edge to edge.
test.describe.configure({ timeout: 200_000 });

/** All views are looked at on one page, as somebody does who goes from one to the next: it is loaded once. */
let shared: Page;
test.beforeAll(async ({ browser }, info) => {
  const baseURL = addressOf(info.parallelIndex);
  const context = await browser.newContext({ baseURL, viewport: { width: 1280, height: 800 } });
  await closeHints(context, baseURL);
  shared = await context.newPage();
});
test.afterAll(() => shared.context().close());

/** Goes on to a view: within the workbench as Back and Forward do, elsewhere by loading it. */
async function goTo(page: Page, address: string): Promise<void> {
  const isWithin = [page.url(), address].every((a) => a.includes('/projects/'));
  if (!isWithin) return void (await page.goto(address));
  await page.keyboard.press('Escape');
  await page.evaluate((to) => {
    window.history.pushState(null, '', to);
    window.dispatchEvent(new PopStateEvent('popstate'));
  }, address);
}

for (const [name, address, there, ...opens] of VIEWS)
  test(`everything can be pressed, read and found by its ring, and axe finds nothing at all: ${name}`, async () => {
    const page = shared;
    await goTo(page, address);
    await page.locator(there).first().waitFor({ timeout: 90_000 });
    for (const button of opens) await page.getByRole('button', { name: button }).first().click();
    for (const colorScheme of ['light', 'dark'] as const) {
      await page.emulateMedia({ colorScheme });
      // From here on the focus is shown: it is moved by the keyboard.
      await page.keyboard.press('Tab');
      const { pressed, ...wrong } = await measured(page);
      expect(pressed).toBeGreaterThan(3);
      expect([colorScheme, wrong]).toEqual([colorScheme, { small: [], tiny: [], faint: [] }]);
      const theme = colorScheme === 'light' ? 'first' : 'second';
      expect([colorScheme, await allFindings(page, theme)]).toEqual([colorScheme, []]);
    }
  });

test('the first stop of the keyboard leads past the bar', async ({ page }) => {
  await page.goto(SPLASH);
  await page.locator('.tally').waitFor();
  await page.keyboard.press('Tab');
  const skip = page.getByRole('link', { name: 'Skip to the content' });
  await expect(skip).toBeFocused();
  await expect(skip).toBeInViewport();
  await page.keyboard.press('Enter');
  await page.keyboard.press('Tab');
  const isInside = await page.evaluate(() => document.activeElement!.closest('main') !== null);
  expect(isInside).toBe(true);
});

test('a page is named by what it shows', async ({ page }) => {
  await page.goto(SPLASH);
  await expect(page).toHaveTitle('Winter splash · screens · Larkmoor Ferries · Coulee');
  await page.locator('.tally').waitFor();
  await page.getByRole('button', { name: 'findings', exact: true }).click();
  await expect(page).toHaveTitle('Winter splash · findings · Larkmoor Ferries · Coulee');
  await page.goto('/');
  await expect(page).toHaveTitle('Coulee');
});

test('a finding says why in one sentence, whose part leads to its editor', async ({ page }) => {
  await page.goto(`${SPLASH}?lens=findings`);
  await page.locator('.finding-head').filter({ hasText: 'Harbour has a keep area cut off' }).click();
  const sentence = page.locator('.in-short');
  await expect(sentence).toHaveText(
    /cover shows only the \w+ [\d.]+.% of Harbour; Lighthouse stands left of it\.$/,
  );
  await expect(page.locator('.why-steps').first()).not.toBeVisible();
  await page.getByText('why, in steps').click();
  await expect(page.locator('.why-steps').first()).toBeVisible();
  await sentence.getByRole('button', { name: 'cover' }).click();
  await expect(page.locator('.popover')).toBeVisible();
});
