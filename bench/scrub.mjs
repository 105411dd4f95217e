// Five seconds of dragging the focal point at 1280x800 against a running server: how long a redraw takes, the longest
// task of the main thread, and when the last value is drawn. Run: npm start, then npm run bench:scrub [address] [scene]; the scene
// `twelve` is one of twelve layers that is made for it
import { cpus } from 'node:os';
import { readFileSync } from 'node:fs';
import { chromium } from '@playwright/test';
import { addTwelve } from './twelve.mjs';

const address = process.argv[2] ?? 'http://127.0.0.1:3000';
const scene = process.argv[3] ?? 'winter-splash';
const SECONDS = 5;
const remove = scene === 'twelve' ? await addTwelve(address) : null;
const machine = { cpu: cpus()[0]?.model ?? 'unknown', cores: cpus().length, node: process.version };
const report = (name, unit, value, more = {}) =>
  console.log(JSON.stringify({ name, unit, value: Math.round(value * 10) / 10, ...more, machine }));

const args = JSON.parse(readFileSync(new URL('../e2e/chromium-flags.json', import.meta.url), 'utf8'));
const executablePath = process.env.CHROMIUM ?? '/usr/bin/chromium';
const browser = await chromium.launch({ executablePath, args });
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
await page.goto(`${address}/projects/larkmoor-ferries/${scene}?case=phone-393x852-3x-pill.0.light`);
await page.waitForLoadState('networkidle');
await page.waitForTimeout(1500);

await page.evaluate(() => {
  window.tasks = [];
  window.frames = [];
  new PerformanceObserver((list) => {
    for (const entry of list.getEntries()) window.tasks.push(entry.duration);
  }).observe({ entryTypes: ['longtask'] });
  // A redraw runs from the pointer's event to the frame after it, in which everything in view was painted.
  document.querySelector('.well').addEventListener('pointermove', () => {
    const start = performance.now();
    requestAnimationFrame(() => setTimeout(() => window.frames.push(performance.now() - start)));
  });
});

const box = await page.locator('.well').boundingBox();
const at = (t) => [
  box.x + box.width * (0.5 + 0.4 * Math.sin(t * 2.1)),
  box.y + box.height * (0.5 + 0.4 * Math.cos(t * 1.3)),
];
await page.mouse.move(...at(0));
await page.mouse.down();
const begun = Date.now();
while (Date.now() - begun < SECONDS * 1000) await page.mouse.move(...at((Date.now() - begun) / 1000));
const before = await page.locator('.sentence .part-align').first().textContent();
const last = await page.evaluate(async () => {
  const start = performance.now();
  await new Promise((resolve) => requestAnimationFrame(() => requestAnimationFrame(resolve)));
  return performance.now() - start;
});
await page.mouse.up();
const { tasks, frames } = await page.evaluate(() => ({ tasks: window.tasks, frames: window.frames }));
await page.keyboard.press('Control+z');
await page.waitForTimeout(1000);
await browser.close();
await remove?.();

const sorted = frames.sort((a, b) => a - b);
const quantile = (q) => sorted[Math.min(sorted.length - 1, Math.floor(q * sorted.length))];
const about = { scene, redraws: sorted.length, endedAt: before };
report('scrub: redraw, median', 'ms', quantile(0.5), about);
report('scrub: redraw, p95', 'ms', quantile(0.95), about);
report('scrub: longest task of the main thread', 'ms', Math.max(0, ...tasks), {
  over50: tasks.length,
  ...about,
});
report('scrub: last value drawn after release', 'ms', last, about);
