import { readFileSync } from 'node:fs';
import { expect, type Browser, type CDPSession, type Page } from '@playwright/test';
import { readCatalogue } from '../src/core/screens/catalogue';
import type { Rotation, Screen } from '../src/core/screens/screen';
import { turn } from '../src/core/screens/turn';
import { RealScreens, type Visitor } from '../src/formats/real-screen/shown';
import { FEW_PROJECT, FEW_SPLASH } from './few-screens';
import { seriousInBothThemes, tabTo } from './fixtures';
import { difference, raster } from './pixels';
import { test } from './test';

const MOST = 0.02;
const WANTED = ['compact-phone', 'phone', 'large-phone', 'foldable-cover', 'foldable-inner', 'tablet'];
/** Ten that turn, of every kind that somebody holds, as different as they are. */
const SCREENS = WANTED.flatMap((kind) => {
  const all = readCatalogue(JSON.parse(readFileSync('data/screens.json', 'utf8')));
  const of = all.filter((s) => s.kind === kind && s.rotates);
  return kind.endsWith('phone') ? [of[0]!, of[Math.floor(of.length / 2)]!] : of.slice(0, 2);
}).slice(0, 10);

/** A window as a real screen has it: the browser’s own emulation of screens, without that of the tests. */
async function heldScreen(browser: Browser): Promise<{ page: Page; cdp: CDPSession }> {
  const context = await browser.newContext({ viewport: null });
  const page = await context.newPage();
  return { page, cdp: await context.newCDPSession(page) };
}

async function hold(cdp: CDPSession, screen: Screen, rotation: Rotation): Promise<void> {
  const { insets, size } = turn(screen, rotation);
  const [width, height] = [Math.round(size.width), Math.round(size.height)];
  await cdp.send('Emulation.setDeviceMetricsOverride', {
    ...{ width, height, screenWidth: width, screenHeight: height, mobile: true },
    deviceScaleFactor: screen.density,
    screenOrientation: {
      type: width > height ? 'landscapePrimary' : 'portraitPrimary',
      angle: rotation,
    },
  });
  await cdp.send('Emulation.setSafeAreaInsetsOverride', { insets });
}

const canvas = (page: Page) => page.locator('canvas');

test('a real screen comes once, is read, shows what the desk shows, and is sent away', async ({
  page,
  browser,
  request,
  baseURL,
}) => {
  const address = `/api/v1/projects/${FEW_PROJECT}/real-screens`;
  const visitor = async (): Promise<Visitor> => {
    const on = RealScreens.parse(await (await request.get(address)).json());
    return on.on ? on.visitors[0]! : Promise.reject(new Error('It is off.'));
  };
  await page.goto(`${FEW_SPLASH}?lens=ship`);
  const part = page.getByRole('region', { name: 'On a real screen' });
  await tabTo(page, part.getByRole('button', { name: 'Let a real screen in' }));
  await page.keyboard.press('Enter');
  const link = part.getByText(/^http:/);
  await expect(part.getByRole('img', { name: 'The address as a code for a camera' })).toBeVisible();
  expect(await seriousInBothThemes(page)).toEqual([]);
  const came = (await link.textContent())!;

  const real = await heldScreen(browser);
  await test.step('what is read of ten screens, held in both ways', async () => {
    const [first] = SCREENS;
    await hold(real.cdp, first!, 0);
    await real.page.goto(came);
    expect(SCREENS).toHaveLength(10);
    for (const screen of SCREENS)
      for (const rotation of [0, 90] as const) {
        await hold(real.cdp, screen, rotation);
        const { insets, size } = turn(screen, rotation);
        const lu = { width: Math.round(size.width), height: Math.round(size.height) };
        await expect
          .poll(async () => (await visitor()).now)
          .toMatchObject({ rotation, screen: lu, window: lu, density: screen.density, insets });
        const { windowPx } = (await visitor()).now!;
        expect(Math.abs(windowPx.width - size.width * screen.density)).toBeLessThanOrEqual(screen.density);
        expect(Math.abs(windowPx.height - size.height * screen.density)).toBeLessThanOrEqual(screen.density);
      }
  });

  await test.step('nobody else comes by its address, and nothing else is there', async () => {
    const { origin } = new URL(came);
    for (const path of ['', '/', '/api/v1/projects', '/api/v1/health', `/projects/${FEW_PROJECT}`])
      expect((await request.get(path === '' ? came : `${origin}${path}`)).status()).toBe(404);
    const inside = await request.get(`${baseURL}/api/v1/health`);
    expect(inside.status()).toBe(200);
  });

  const [, phone] = SCREENS;
  await hold(real.cdp, phone!, 0);
  await test.step('what is drawn there is what the server draws for the screen, once it is in the project', async () => {
    await expect(part).toContainText(`${phone!.width} × ${phone!.height} lu at`);
    await part.getByLabel('What it is called in the project').fill('The one on the desk');
    await part.getByRole('button', { name: 'Add this screen to the project' }).press('Enter');
    await expect(part).toContainText('“The one on the desk” is a screen of the project.');
    await expect(page.getByText('saved', { exact: true })).toBeVisible();
    const { id } = await visitor();
    const drawn = await request.get(
      `/api/v1/projects/${FEW_PROJECT}/scenes/winter-splash/cases/measured-${id}.0.light?glass=0`,
    );
    expect(drawn.status()).toBe(200);
    const server = await raster(await drawn.body());
    await expect(canvas(real.page)).toHaveAttribute('data-complete', 'true');
    await expect.poll(() => canvas(real.page).evaluate((c: HTMLCanvasElement) => c.width)).toBe(server.width);
    await real.page.waitForLoadState('load');
    const png = await canvas(real.page).evaluate((c: HTMLCanvasElement) => c.toDataURL());
    const { mean, compared } = difference(await raster(Buffer.from(png.split(',')[1]!, 'base64')), server);
    expect(Math.max(...mean)).toBeLessThan(MOST);
    expect(compared).toBeGreaterThan(0.5);
  });

  await test.step('a change at the desk is seen there, and the launch plays', async () => {
    const picture = () => canvas(real.page).evaluate((c: HTMLCanvasElement) => c.toDataURL());
    const before = await picture();
    const note = page.getByRole('note').filter({ hasText: 'Real screens are let in' });
    await page.getByRole('button', { name: 'dark', exact: true }).click();
    await expect.poll(picture).not.toBe(before);
    const dark = await picture();
    await page.getByRole('button', { name: 'undo' }).click();
    await expect(part.getByRole('button', { name: 'Add this screen to the project' })).toBeVisible();
    await note.getByRole('button', { name: 'the launch' }).press('Enter');
    await expect.poll(picture).not.toBe(dark);
    await expect(canvas(real.page)).toHaveAttribute('aria-label', /begins anew/);
  });

  await test.step('its figures stand there, in both themes and by keyboard', async () => {
    await canvas(real.page).press('Enter');
    await expect(real.page.getByRole('heading', { name: 'This screen is read' })).toBeVisible();
    await expect(real.page.getByRole('table')).toContainText(`${phone!.width} × ${phone!.height}`);
    expect(await seriousInBothThemes(real.page)).toEqual([]);
    await real.page.getByRole('button', { name: 'Show what the desk shows' }).press('Enter');
    await expect(real.page.getByRole('table')).toBeHidden();
  });

  await test.step('it ends when the desk says so', async () => {
    await page.getByRole('button', { name: 'switch off' }).press('Enter');
    await expect(real.page.getByRole('heading', { name: 'This was ended at the desk' })).toBeVisible();
    await expect(part.getByRole('button', { name: 'Let a real screen in' })).toBeVisible();
    await expect(request.get(came)).rejects.toThrow();
  });
  await real.page.context().close();
});
