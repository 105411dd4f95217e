import { expect } from '@playwright/test';
import { test } from './test';
import { closeUp, seriousFindings, tabTo, undo } from './fixtures';

const MENDED = '/projects/larkmoor-ferries/winter-splash-mended';

test('the map shows on which windows a splash breaks that is clear on every screen, by keyboard', async ({
  page,
}) => {
  await page.goto(MENDED);
  await tabTo(page, page.getByRole('region', { name: 'Valley' }).getByRole('button', { name: 'all sizes' }));
  await page.keyboard.press('Enter');
  const map = page.getByRole('region', { name: 'Map of all sizes' });
  await expect(map).toContainText('Boundaries to the px', { timeout: 40_000 });
  for (const outcome of ['clear', 'warn', 'fail'])
    await expect(map.locator(`path[data-outcome="${outcome}"]`)).toHaveAttribute('d', /^M/);
  await expect.poll(() => map.locator('.mark').count()).toBeGreaterThan(60);
  await expect(map).toContainText(/clear \d[\d.]* % .*fail \d[\d.]* % of the whole map/);

  // The worst window of a place where it breaks is looked at, and the close-up finds the same.
  const places = map.getByRole('region', { name: 'Where it breaks first' }).getByRole('row');
  await expect(places.first()).toContainText('▲ Harbour');
  await places.first().getByRole('button').click();
  await expect(page).toHaveURL(/window=/);
  await expect(closeUp(page)).toContainText('Free window');
  await expect(closeUp(page)).toContainText('▲ Harbour');
  await expect(map.getByRole('region', { name: 'nearest to failing' }).getByRole('listitem')).not.toHaveCount(
    0,
  );

  // The cross is moved with the arrow keys, and says what becomes of the scene there.
  const cross = map.getByRole('button', { name: /^Window of/ });
  await tabTo(page, cross);
  const before = await cross.getAttribute('aria-label');
  await page.keyboard.press('Shift+ArrowRight');
  await expect(cross).not.toHaveAttribute('aria-label', before!);
  await expect(map.locator('.size-map-at')).toContainText(/ratio [\d.]+: . (clear|warn|fail)/);
  expect(await seriousFindings(page)).toEqual([]);
});

test('the sizes that are allowed are dragged, moved by keys and typed, and taken back', async ({ page }) => {
  await page.goto(`${MENDED}?middle=map&window=600x600`);
  // Both cuts hold both subjects in a square.
  await expect(closeUp(page)).toContainText('600 × 600 lu');
  await expect(closeUp(page)).toContainText('Within all limits');
  const map = page.getByRole('region', { name: 'Map of all sizes' });
  await map.getByRole('button', { name: 'say which sizes are allowed' }).click();
  const least = map.getByRole('slider', { name: 'Least width allowed' });
  await expect(least).toHaveAttribute('aria-valuenow', '320');
  await expect(map).toContainText('of the sizes that are allowed');
  await least.focus();
  await page.keyboard.press('PageUp');
  await expect(least).toHaveAttribute('aria-valuenow', '370');
  const box = (await map.locator('.map-side-width .map-side-grip').first().boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2 + 60, box.y + box.height / 2, { steps: 4 });
  await page.mouse.up();
  const dragged = Number(await least.getAttribute('aria-valuenow'));
  expect(dragged).toBeGreaterThan(400);
  await map.getByRole('textbox', { name: 'Height from' }).fill('700');
  await page.keyboard.press('Enter');
  await expect(map.getByRole('slider', { name: 'Least height allowed' })).toHaveAttribute(
    'aria-valuenow',
    '700',
  );
  await undo(page, 4);
  await expect(map).toContainText('Windows of any size are allowed');
});
