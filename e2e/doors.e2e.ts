import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { expect } from '@playwright/test';
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
  expect((await request.get(`${baseURL}/api/projects`, foreign)).status()).toBe(421);
});

test.describe('a server that others can reach', () => {
  const port = 3108;
  const address = `http://127.0.0.1:${port}`;
  const env = { ...process.env, HOST: '0.0.0.0', PORT: String(port), STORE_DIR: 'test-results/store-open' };
  let server: ChildProcess;

  test.beforeAll(async () => {
    // It fills a store of its own, beside another browser that is being driven.
    test.setTimeout(240_000);
    server = spawn(process.execPath, ['scripts/start.mjs'], {
      env: { ...env, PASSPHRASE: 'quiet water' },
      stdio: 'ignore',
    });
    await expect
      .poll(
        () =>
          fetch(`${address}/api/health`).then(
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
    expect((await request.get(`${address}/api/projects`)).status()).toBe(401);
    await page.goto(`${address}/projects/larkmoor-ferries`);
    await expect(page).toHaveURL(/\/enter$/);
    expect(await seriousFindings(page)).toEqual([]);
    await page.getByRole('textbox', { name: 'Passphrase' }).fill('loud water');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('alert').filter({ hasText: 'not the passphrase' })).toBeVisible();
    await page.getByRole('textbox', { name: 'Passphrase' }).fill('quiet water');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('link', { name: 'Larkmoor Ferries' })).toBeVisible();
    await page.getByRole('link', { name: 'Winter splash' }).click();
    await expect(page.getByRole('gridcell').first()).toBeVisible();
  });
});
