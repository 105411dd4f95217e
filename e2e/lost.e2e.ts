import { expect, type Page, type Route } from '@playwright/test';
import { fill, mountSmall, unmount } from '../harness/disk';
import { newStore, readyStore, removeStore, serve, type Served } from '../harness/server';
import { seriousFindings } from './fixtures';
import { test } from './test';

/** Everything that work hangs on is lost in the middle of it, one after the other. */
test.describe('work goes on', () => {
  const env = { PASSPHRASE: 'quiet water' };
  let store: string;
  let served: Served;
  let isSmall: boolean;

  test.beforeAll(async () => {
    test.setTimeout(240_000);
    store = newStore();
    isSmall = mountSmall(store, '40m');
    readyStore(store);
    served = await serve(store, { env });
  });
  test.afterAll(async () => {
    await served.stop();
    if (isSmall) unmount(store);
    removeStore(store);
  });

  const saving = (page: Page) => page.getByTestId('saving');
  const layer = (page: Page, name: string) => page.getByRole('region', { name: `Layer ${name}` });
  const toggle = (page: Page, name: string, what: 'hide' | 'show') =>
    layer(page, name).getByRole('button', { name: what, exact: true }).click();
  const enter = async (page: Page) => {
    await page.getByRole('textbox', { name: 'Passphrase' }).fill('quiet water');
    await page.keyboard.press('Enter');
  };
  const message = (page: Page) => page.getByRole('status', { name: 'Message' });

  test('when the session, the worker, the server and the disk are lost', async ({ page }) => {
    test.setTimeout(240_000);
    await page.goto(`${served.address}/projects/larkmoor-ferries/winter-splash`);
    await enter(page);
    await expect(page.getByRole('gridcell').first()).toBeVisible();

    const endSession = async (route: Route) => {
      await page.request.delete(`${served.address}/api/v1/session`, { headers: { origin: served.address } });
      await route.continue();
    };
    await page.route('**/api/v1/projects/larkmoor-ferries', endSession, { times: 1 });
    await toggle(page, 'Harbour', 'hide');
    await expect(page.getByRole('dialog', { name: 'Your session has ended' })).toBeVisible();
    await enter(page);
    await expect(saving(page)).toHaveText('saved');

    await expect.poll(() => page.workers().length).toBeGreaterThan(0);
    const [worker] = page.workers();
    await worker!.evaluate(() => {
      setTimeout(() => {
        throw new Error('The worker is lost.');
      });
    });
    await expect(message(page)).toContainText('starts anew');
    await toggle(page, 'Emblem', 'hide');
    await expect(saving(page)).toHaveText('saved');
    await expect(page.getByRole('status', { name: 'Outcomes' })).not.toContainText('measuring');

    served.child.kill('SIGKILL');
    await toggle(page, 'Emblem', 'show');
    await expect(saving(page)).toHaveText('not saved, trying again');
    await expect(message(page)).toContainText('kept here');
    served = await serve(store, { env, port: served.port });
    // Its sessions ended with it.
    await expect(page.getByRole('dialog', { name: 'Your session has ended' })).toBeVisible({
      timeout: 20_000,
    });
    await enter(page);
    await expect(saving(page)).toHaveText('saved');

    if (isSmall) {
      const makeRoom = fill(store);
      await toggle(page, 'Wordmark', 'hide');
      await expect(saving(page)).toHaveText('not saved, trying again');
      await expect(message(page)).toContainText('disk of the store is full');
      expect(await seriousFindings(page)).toEqual([]);
      makeRoom();
    } else await toggle(page, 'Wordmark', 'hide');
    await expect(saving(page)).toHaveText('saved', { timeout: 20_000 });

    await page.reload();
    await expect(layer(page, 'Harbour').getByRole('button', { name: 'show', exact: true })).toBeVisible();
    await expect(layer(page, 'Wordmark').getByRole('button', { name: 'show', exact: true })).toBeVisible();
    await expect(layer(page, 'Emblem').getByRole('button', { name: 'hide', exact: true })).toBeVisible();
  });
});
