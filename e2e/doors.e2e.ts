import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { cpSync, readFileSync, rmSync } from 'node:fs';
import { chromium, expect, type Page, type Route } from '@playwright/test';
import { FEW_SPLASH } from './few-screens';
import { PREPARED } from './servers';
import { signOff, signOffs } from './signing';
import { test } from './test';
import { seriousFindings } from './fixtures';

test('pages carry a policy with a nonce of their own, and a foreign name is not answered', async ({
  request,
  baseURL,
}) => {
  const policies = await Promise.all([request.get('/'), request.get('/')]).then((list) =>
    list.map((r) => r.headers()['content-security-policy']!),
  );
  const nonces = policies.map((p) => /script-src [^;]*'nonce-([^']+)'/.exec(p)![1]);
  expect(nonces[0]).not.toBe(nonces[1]);
  for (const p of policies) expect(/script-src ([^;]*)/.exec(p)![1]).not.toContain('unsafe-inline');
  const foreign = { headers: { host: 'other.test' } };
  expect((await request.get(`${baseURL}/`, foreign)).status()).toBe(421);
  expect((await request.get(`${baseURL}/api/v1/projects`, foreign)).status()).toBe(421);
});

test.describe('a server that others can reach', () => {
  const port = 3108;
  const address = `http://127.0.0.1:${port}`;
  const env = { ...process.env, HOST: '0.0.0.0', PORT: String(port), STORE_DIR: 'test-results/store-open' };
  let server: ChildProcess;

  test.beforeAll(async () => {
    test.setTimeout(240_000);
    rmSync(env.STORE_DIR, { recursive: true, force: true });
    cpSync(PREPARED, env.STORE_DIR, { recursive: true });
    server = spawn(process.execPath, ['scripts/start.mjs'], {
      env: { ...env, PASSPHRASE: 'quiet water' },
      stdio: 'ignore',
    });
    await expect
      .poll(
        () =>
          fetch(`${address}/api/v1/health`).then(
            (r) => r.status,
            () => 0,
          ),
        { timeout: 200_000 },
      )
      .toBe(200);
  });
  test.afterAll(() => {
    server.kill('SIGTERM');
  });

  test('does not start without a passphrase', () => {
    const { status, stderr } = spawnSync(process.execPath, ['scripts/start.mjs'], {
      env: { ...env, PASSPHRASE: '' },
    });
    expect(status).toBe(1);
    expect(stderr.toString()).toContain('set a passphrase');
  });

  test('lets nobody in without it, and somebody with it', async ({ page, request }) => {
    expect((await request.get(`${address}/api/v1/projects`)).status()).toBe(401);
    await page.goto(`${address}/projects/larkmoor-ferries`);
    await expect(page).toHaveURL(/\/enter\?to=%2Fprojects%2Flarkmoor-ferries$/);
    expect(await seriousFindings(page)).toEqual([]);
    await page.getByRole('textbox', { name: 'Passphrase' }).fill('loud water');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('alert').filter({ hasText: 'not the passphrase' })).toBeVisible();
    await page.getByRole('textbox', { name: 'Passphrase' }).fill('quiet water');
    await page.keyboard.press('Enter');
    // And leads on to what was asked for.
    await expect(page).toHaveURL(/\/projects\/larkmoor-ferries/);
    await expect(page.getByRole('gridcell').first()).toBeVisible();
  });

  test('asks again in place when the session has ended, and saves what was changed meanwhile', async ({
    page,
  }) => {
    await page.goto(`${address}/enter`);
    await page.getByRole('textbox', { name: 'Passphrase' }).fill('quiet water');
    await page.keyboard.press('Enter');
    await page.getByRole('link', { name: 'Winter splash' }).click();
    await expect(page.getByRole('gridcell').first()).toBeVisible();
    const saving = page.getByTestId('saving');
    // It ends in another window, or by the time, just before something is saved.
    const endSession = async (route: Route) => {
      await page.request.delete(`${address}/api/v1/session`, { headers: { origin: address } });
      await route.continue();
    };
    await page.route('**/api/v1/projects/larkmoor-ferries', endSession, { times: 1 });
    await page.getByRole('region', { name: 'Layer Harbour' }).getByRole('button', { name: 'hide' }).click();
    const dialog = page.getByRole('dialog', { name: 'Your session has ended' });
    await expect(dialog).toBeVisible();
    await expect(saving).toHaveText('passphrase needed');
    expect(await seriousFindings(page)).toEqual([]);
    await page.keyboard.type('quiet water');
    await page.keyboard.press('Enter');
    await expect(dialog).toBeHidden();
    await expect(saving).toHaveText('saved');
    await expect(
      page.getByRole('region', { name: 'Layer Harbour' }).getByRole('button', { name: 'show' }),
    ).toBeVisible();
    await page.goto(`${address}/`);
    await page.getByRole('button', { name: 'leave' }).click();
    await expect(page.getByRole('textbox', { name: 'Passphrase' })).toBeVisible();
    await page.goto(`${address}/projects/larkmoor-ferries`);
    await expect(page).toHaveURL(/\/enter/);
  });

  test('works whole under a name of the network, where browsers keep back what they have for https', async () => {
    const flags = JSON.parse(readFileSync('e2e/chromium-flags.json', 'utf8')) as string[];
    const browser = await chromium.launch({
      executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
      args: [...flags, '--host-resolver-rules=MAP desk.test 127.0.0.1'],
    });
    const named = `http://desk.test:${port}`;
    const enter = async (page: Page, to: string) => {
      await page.goto(named + to);
      await page.getByRole('textbox', { name: 'Passphrase' }).fill('quiet water');
      await page.keyboard.press('Enter');
      await expect(page).toHaveURL(named + to);
    };
    try {
      const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
      await enter(page, FEW_SPLASH);
      expect(
        await page.evaluate(() => [isSecureContext, 'randomUUID' in crypto, 'clipboard' in navigator]),
      ).toEqual([false, false, false]);
      await expect(page.getByRole('gridcell').first()).toBeVisible();
      // An edit is saved, and is there for somebody else, on a phone.
      await page.getByRole('region', { name: 'Layer Harbour' }).getByRole('button', { name: 'hide' }).click();
      await expect(page.getByTestId('saving')).toHaveText('saved');
      const phone = await (await browser.newContext({ viewport: { width: 390, height: 780 } })).newPage();
      await enter(phone, `${FEW_SPLASH}?lens=findings`);
      await expect(
        phone
          .getByRole('heading', { name: /Because|findings/i })
          .or(phone.getByText('over all screens'))
          .first(),
      ).toBeVisible();
      // Copied, signed off and exported.
      await page.goto(`${named}${FEW_SPLASH}?lens=ship`);
      await page.getByRole('button', { name: 'copy line' }).click();
      await expect(page.getByRole('status').filter({ hasText: 'copied' }).first()).toBeVisible();
      await signOffs(page).getByLabel('Your name').focus();
      await page.keyboard.press('Control+v');
      await expect(signOffs(page).getByLabel('Your name')).toHaveValue(/coulee check/);
      await signOff(page, 'Ola');
      const download = page.waitForEvent('download');
      await page
        .getByRole('region', { name: 'Files' })
        .getByRole('button', { name: 'ZIP', exact: true })
        .click();
      const zip = readFileSync(await (await download).path(), 'latin1');
      expect([...zip.matchAll(/PK\x01\x02/g)].length).toBeGreaterThan(0);
    } finally {
      await browser.close();
    }
  });

  test('takes no more than a few guesses in a row', async ({ request }) => {
    const guess = () =>
      request.post(`${address}/api/v1/session`, {
        data: { passphrase: 'wrong' },
        headers: { origin: address },
      });
    const answers = [];
    for (let i = 0; i < 8; i++) answers.push(await guess());
    const refused = answers.find((a) => a.status() === 429)!;
    expect(Number(refused.headers()['retry-after'])).toBeGreaterThan(0);
    expect(((await refused.json()) as { detail: string }).detail).toContain('Too many wrong passphrases');
  });
});
