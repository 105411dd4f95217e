import { expect, type Page } from '@playwright/test';
import { test } from './test';
import { easingOf, EASING_KEYWORDS } from '../src/core/project/easing';
import { made, seriousFindings, seriousInBothThemes, tabTo, undo } from './fixtures';
import { difference, raster } from './pixels';

const PROJECT = '/projects/larkmoor-ferries';
const CASE = 'phone-360x800-2x.0.light';
const LAUNCH = `${PROJECT}/winter-splash?lens=launch&case=${CASE}`;
const slider = (page: Page) => page.getByRole('slider', { name: 'Time from the tap' });
const findings = (page: Page) => page.getByRole('region', { name: 'Findings of the launch' });
const film = (page: Page) =>
  page.getByRole('button', { name: /^Look at the hand-over/, pressed: true }).locator('canvas');

const EASINGS = [
  ...EASING_KEYWORDS,
  'cubic-bezier(0.2, 0, 0, 1)',
  'cubic-bezier(0.3, -0.6, 0.6, 1.8)',
  'cubic-bezier(1, 0, 0, 1)',
  'steps(4)',
  'steps(5, jump-none)',
  'steps(3, jump-both)',
  'steps(2, start)',
  'linear(0, 0.6 30%, 0.4 60%, 1)',
  'linear(0.2, 0.9 20% 70%, 1.1, 1)',
];

test('easing is what the browser’s own animations do', async ({ page }) => {
  await page.goto('/api/v1/health');
  await page.setContent('<div id="it" style="position:absolute"></div>');
  const off = await page.evaluate(
    ({ easings }) =>
      easings.map((easing) => {
        const element = document.getElementById('it')!;
        const animation = element.animate(
          [{ transform: 'translateX(0px)' }, { transform: 'translateX(1000px)' }],
          { duration: 1000, easing, fill: 'both' },
        );
        animation.pause();
        const values = Array.from({ length: 50 }, (_, i) => {
          animation.currentTime = (1000 * i) / 49;
          return new DOMMatrix(getComputedStyle(element).transform).e / 1000;
        });
        animation.cancel();
        return values;
      }),
    { easings: EASINGS },
  );
  EASINGS.forEach((text, e) => {
    const easing = easingOf(text)!;
    off[e]!.forEach((value, i) =>
      expect(Math.abs(easing(i / 49) - value), `${text} at ${i}/49`).toBeLessThan(0.002),
    );
  });
});

for (const at of [0, 650, 2000, 4000]) {
  test(`the film at ${at} ms is the same on canvas and on the server`, async ({ page, request }) => {
    await page.goto(LAUNCH);
    await expect(film(page)).toHaveAttribute('data-complete', 'true', { timeout: 30_000 });
    await page.waitForLoadState('networkidle');
    await slider(page).focus();
    // From the start by hundreds and tens.
    for (let i = 0; i < Math.floor(at / 100); i++) await page.keyboard.press('Shift+ArrowRight');
    for (let i = 0; i < (at % 100) / 10; i++) await page.keyboard.press('ArrowRight');
    await expect(slider(page)).toHaveAttribute('aria-valuenow', String(at));
    if (at === 650) await expect(film(page)).toHaveAttribute('data-shown', /^0 1,1 0\.\d+$/);
    // A stage asks for its pictures when it is first shown: they may still be on their way.
    await expect(async () => {
      const [url, scale] = await film(page).evaluate(
        (c: HTMLCanvasElement) => [c.toDataURL(), c.dataset.scale] as const,
      );
      const canvas = await raster(Buffer.from(url.split(',')[1]!, 'base64'));
      const address = `/api/v1${PROJECT}/launches/launch/cases/${CASE}/frame?t=${at}&scale=${scale}`;
      const response = await request.get(address);
      expect(response.headers()['content-type']).toBe('image/png');
      const d = difference(canvas, await raster(await response.body()));
      console.log(`film at ${at}: ${d.mean.map((m) => (m * 100).toFixed(3)).join(' ')} %`);
      expect(Math.max(...d.mean)).toBeLessThan(0.02);
      expect(d.compared).toBeGreaterThan(0.4);
    }).toPass({ timeout: 15_000 });
  });
}

test('the film plays, stops, runs slowly and comes to its end', async ({ page }) => {
  await page.goto(LAUNCH);
  await expect(film(page)).toHaveAttribute('data-complete', 'true', { timeout: 30_000 });
  await expect(page.getByRole('list', { name: 'Screens of the film' }).getByRole('listitem')).toHaveCount(12);
  const now = async () => Number(await slider(page).getAttribute('aria-valuenow'));
  await page.getByRole('button', { name: 'a tenth' }).click();
  await tabTo(page, page.getByRole('button', { name: 'play' }));
  await page.keyboard.press('Enter');
  await expect.poll(now).toBeGreaterThan(60);
  await page.keyboard.press('Enter');
  const stopped = await now();
  await page.waitForTimeout(300);
  expect(await now()).toBe(stopped);
  await slider(page).focus();
  await page.keyboard.press('PageUp');
  await expect(slider(page)).toHaveAttribute('aria-valuenow', '399');
  await expect(film(page)).toHaveAttribute('data-shown', '0 1');
  await page.keyboard.press('PageUp');
  await expect(film(page)).toHaveAttribute('data-shown', /^0 1,1 0\.\d+$/);
  await page.keyboard.press('End');
  await expect(film(page)).toHaveAttribute('data-shown', '2 1');
  await page.getByRole('button', { name: 'warm', exact: true }).click();
  await expect(page.getByText('of 3.2 s until the first screen is there')).toBeVisible();
  await page.getByRole('button', { name: 'filmstrip' }).click();
  await expect(page.getByRole('region', { name: 'Filmstrip' }).getByRole('columnheader')).toHaveText([
    'screen',
    '0 ms',
    '99 ms',
    '350 ms',
    '600 ms',
    '3.199 s',
    '3.2 s',
  ]);
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'this moment, PNG' }).click();
  expect((await download).suggestedFilename()).toMatch(/^launch-phone-360x800-2x\.0\.light-warm-\d+ms\.png$/);
  await page.getByRole('button', { name: 'on a real device' }).click();
  const device = page.getByRole('region', { name: 'On a real device' });
  const turned = 'Start it while the device is held upright, and while it is turned.';
  await device.getByRole('checkbox', { name: turned }).press('Space');
  const item = device.getByRole('listitem').filter({ hasText: turned });
  await expect(item).toContainText('found right');
  await item.getByLabel('What was noticed').fill('a gap at the left');
  await item.getByLabel('What was noticed').press('Enter');
  await expect(device.getByRole('button', { name: /\(1 of 8\)$/ })).toBeVisible();
  expect(await seriousInBothThemes(page)).toEqual([]);
  await page.keyboard.press('Control+z');
  await expect(item.getByLabel('What was noticed')).toHaveValue('');
  await expect(item).toContainText('found right');
  await undo(page);
  await expect(item).not.toContainText('found right');
});

test('the film is taken away as a moving picture and as a row of pictures', async ({ request, baseURL }) => {
  const film = async (as: 'webp' | 'png') => {
    const options = { launch: 'launch', case: CASE, start: 'cold', scale: 0.25, as } as const;
    const job = await made(request, baseURL!, { kind: 'film', options });
    return request.get(job.result!.href);
  };
  const webp = await film('webp');
  const body = await webp.body();
  expect(webp.headers()['content-type']).toBe('image/webp');
  expect(body.subarray(8, 16).toString('latin1')).toBe('WEBPVP8X');
  expect(body.includes('ANIM')).toBe(true);
  const zip = await film('png');
  expect(zip.headers()['content-type']).toBe('application/zip');
  const names = (await zip.body()).toString('latin1');
  expect(names).toContain('001-0ms.png');
  expect(names).toContain('002-400ms.png');
  expect(names).toContain('film.json');
});

test('what goes wrong is found, looked at, mended and undone, by keyboard', async ({ page }) => {
  await page.goto(LAUNCH);
  const held = findings(page).getByRole('button', { name: /^▲ Held too long/ });
  await expect(held).toBeVisible({ timeout: 60_000 });
  for (const name of [/^▲ Flash/, /^▲ Jump/, /^▲ Icon cut by its circle/])
    await expect(findings(page).getByRole('button', { name }).first()).toBeVisible();
  expect(await seriousInBothThemes(page)).toEqual([]);
  await tabTo(page, held);
  await page.keyboard.press('Enter');
  await expect(findings(page)).toContainText(
    'Everything is loaded 1.4 s after the tap, and Sign-in begins after 3.5 s.',
  );
  const mend = 'Hold Winter splash until everything is loaded, and no longer';
  const look = findings(page).getByRole('button', { name: `Preview: ${mend}` });
  await expect(look).toBeVisible({ timeout: 60_000 });
  await tabTo(page, look);
  await page.keyboard.press('Enter');
  await expect(page.getByText(`Shown with: ${mend}`)).toBeVisible();
  await expect(page.getByText('of 1.4 s until the first screen is there')).toBeVisible();
  await tabTo(page, page.getByRole('main').getByRole('button', { name: 'apply' }));
  await page.keyboard.press('Enter');
  await expect(held).toHaveCount(0, { timeout: 60_000 });
  await undo(page);
  await expect(held).toBeVisible({ timeout: 60_000 });
});

test('stages and first windows are changed in their sentences', async ({ page }) => {
  await page.goto(LAUNCH);
  const splash = page.getByRole('region', { name: 'Stage 2' });
  await splash.getByRole('button', { name: '500 ms, Length of the fade' }).click();
  await page.getByRole('textbox', { name: 'Length of the fade' }).fill('800');
  await page.keyboard.press('Enter');
  await page.keyboard.press('Escape');
  await expect(page.getByText('of 3.8 s until the first screen is there')).toBeVisible();
  await splash.getByRole('button', { name: 'ease-out' }).click();
  await page.getByRole('textbox', { name: 'Easing function' }).fill('bouncy');
  await expect(page.getByText(/Such as ease-out, cubic-bezier/)).toBeVisible();
  await page.getByRole('textbox', { name: 'Easing function' }).fill('steps(4)');
  await page.keyboard.press('Escape');
  await expect(splash.getByRole('button', { name: 'steps(4)' })).toBeVisible();
  const target = page.getByRole('region', { name: 'Target televisions and desktops' });
  await target.getByRole('button', { name: /switch its first window off/ }).click();
  await expect(target).toContainText('nothing is shown until the app draws');
  await target.getByRole('button', { name: /^Back to the system’s default/ }).click();
  await expect(target).toContainText('a flat window of the system');
  await undo(page, 4);
  await expect(page.getByText('of 3.5 s until the first screen is there')).toBeVisible();
});

test('limits of a launch are changed and a finding is accepted, by keyboard', async ({ page }) => {
  await page.goto(LAUNCH);
  const held = (shape: string) =>
    findings(page).getByRole('button', { name: new RegExp(`^${shape} Held too long`) });
  await expect(held('▲')).toBeVisible({ timeout: 60_000 });
  await tabTo(page, page.getByRole('group', { name: 'Launch' }).getByRole('button', { name: 'limits' }));
  await page.keyboard.press('Enter');
  const limits = page.getByRole('region', { name: 'Limits of the launch' });
  await expect(limits).toContainText('These are the limits that a launch starts with.');
  expect(await seriousFindings(page)).toEqual([]);
  await tabTo(page, limits.getByRole('button', { name: 'Held too long fails over 3 s on the screen' }));
  await page.keyboard.press('Enter');
  await page.getByRole('textbox', { name: 'Fails over' }).fill('5000');
  await page.keyboard.press('Enter');
  await page.keyboard.press('Escape');
  await expect(held('◭')).toBeVisible({ timeout: 60_000 });
  await limits.getByRole('button', { name: 'Held too long warns over 100 ms of waiting' }).click();
  await page.getByRole('button', { name: 'never warn' }).click();
  await expect(limits.getByRole('button', { name: 'Held too long never warns' })).toBeVisible();
  await expect(findings(page)).not.toContainText('Held too long', { timeout: 60_000 });
  await page.getByRole('button', { name: 'back to the limits of the start' }).click();
  await expect(held('▲')).toBeVisible({ timeout: 60_000 });

  await tabTo(page, held('▲'));
  await page.keyboard.press('Enter');
  const why = findings(page).getByRole('textbox', { name: 'Why it is accepted' });
  await tabTo(page, why);
  await page.keyboard.type('the film is meant to be seen');
  await page.keyboard.press('Enter');
  await expect(held('✓')).toContainText('accepted: the film is meant to be seen', { timeout: 60_000 });
  await expect(findings(page).getByRole('listitem').last()).toContainText('Held too long');
  await tabTo(page, findings(page).getByRole('button', { name: 'accept it no longer' }));
  await page.keyboard.press('Enter');
  await expect(held('▲')).toBeVisible({ timeout: 60_000 });
  await undo(page, 5);
  await expect(limits).toContainText('These are the limits that a launch starts with.');
});
