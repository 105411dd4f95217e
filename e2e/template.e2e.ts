import { expect } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { test } from './test';
import { seriousFindings, tabTo } from './fixtures';

test('a designer’s template says what every screen sees, and is taken out as SVG in layers and as PNG', async ({
  page,
}) => {
  await page.goto('/projects/larkmoor-ferries/winter-splash?lens=sets');
  await tabTo(page, page.getByRole('button', { name: 'template for designers' }));
  await page.keyboard.press('Enter');
  const facts = page.getByRole('region', { name: 'What is asked' });
  await expect(facts).toContainText('For 243 cases of all screens');
  await expect(facts.getByRole('row', { name: /^Canvas/ })).toContainText('5760 × 4200 px: 1920 × 1400 lu');
  const seen = facts.getByRole('row', { name: /^Every screen sees/ });
  const upright = await seen.textContent();
  await facts.getByRole('button', { name: 'turned', exact: true }).click();
  await expect(seen).not.toHaveText(upright!);
  await facts.getByRole('button', { name: 'contain', exact: true }).click();
  await expect(seen).toContainText('100 % of the canvas');
  await facts.getByRole('button', { name: 'cover', exact: true }).click();
  await facts.getByRole('button', { name: 'like the picture' }).click();
  await expect(page.locator('.template-stage img')).toHaveCount(2);
  expect(await seriousFindings(page)).toEqual([]);

  await facts.getByRole('button', { name: '1', exact: true }).click();
  const [svg] = await Promise.all([
    page.waitForEvent('download'),
    facts.getByRole('button', { name: 'SVG in layers' }).click(),
  ]);
  const text = readFileSync(await svg.path(), 'utf8');
  const groups = [...text.matchAll(/<g id="([\w-]+)"/g)].map((m) => m[1]);
  expect(groups).toEqual(['canvas', 'seen-by-some', 'seen-by-every', 'safe-on-every', 'cutouts']);
  const [png] = await Promise.all([
    page.waitForEvent('download'),
    facts.getByRole('button', { name: 'PNG', exact: true }).click(),
  ]);
  const bytes = readFileSync(await png.path());
  // Width and height of a PNG stand at the 16th byte.
  expect(String(bytes.readUInt32BE(16))).toBe(/width="(\d+)/.exec(text)![1]);
});
