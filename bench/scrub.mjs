// Five seconds of dragging the focal point at 1280x800 against a running server: how long a redraw takes, the longest
// task of the main thread, when the last value is drawn, and how a page of nothing but CSS compares. Run: npm start, then npm run bench:scrub [address] [scene]; the scene
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

/** Watches long tasks, and how long it takes from each move of the pointer to the frame in which it is painted. */
const watch = (on, target) =>
  on.evaluate((selector) => {
    window.tasks = [];
    window.frames = [];
    new PerformanceObserver((list) => {
      for (const entry of list.getEntries()) window.tasks.push(entry.duration);
    }).observe({ entryTypes: ['longtask'] });
    document.querySelector(selector).addEventListener('pointermove', () => {
      const start = performance.now();
      requestAnimationFrame(() => setTimeout(() => window.frames.push(performance.now() - start)));
    });
  }, target);

/** Drags over an element for some seconds. @returns redraws and long tasks, ms */
async function drag(on, target) {
  await watch(on, target);
  const box = await on.locator(target).boundingBox();
  const at = (t) => [
    box.x + box.width * (0.5 + 0.4 * Math.sin(t * 2.1)),
    box.y + box.height * (0.5 + 0.4 * Math.cos(t * 1.3)),
  ];
  await on.mouse.move(...at(0));
  await on.mouse.down();
  const begun = Date.now();
  while (Date.now() - begun < SECONDS * 1000) await on.mouse.move(...at((Date.now() - begun) / 1000));
  return on.evaluate(() => ({ tasks: window.tasks, frames: window.frames.toSorted((a, b) => a - b) }));
}

/** The cells of the field as they lie, and the pictures of the scene as the page has loaded them. */
const cells = await page.evaluate(() =>
  [...document.querySelectorAll('[data-case] .glass')].map((e) => {
    const { width, height } = e.getBoundingClientRect();
    return { width, height };
  }),
);
const pictures = await page.evaluate(() =>
  performance
    .getEntriesByType('resource')
    .map((r) => new URL(r.name).pathname)
    .filter((path) => /^\/api\/pictures\/[0-9a-f]{64}\/\d+$/.test(path)),
);

/**
 * The peer: as many boxes of the same sizes on a page of nothing but HTML and CSS, each with a background that covers it and
 * two pictures over it; one custom property moves them all.
 */
async function plainPage() {
  const plain = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await plain.goto(`${address}/api/v1/health`);
  const [back = '', one = back, two = one] = pictures;
  const boxes = cells.map(
    ({ width, height }) =>
      `<div class="cell"><div class="box" style="width:${width}px;height:${height}px"><img class="back" src="${back}"><img class="one" src="${one}"><img class="two" src="${two}"></div><p>${Math.round(width)}</p></div>`,
  );
  await plain.setContent(`<style>
    body{margin:0;display:grid;grid-template-columns:260px 1fr;height:100vh;font:12px sans-serif}
    .well{width:240px;height:180px;background:#ccc}
    .field{overflow:auto;display:flex;flex-wrap:wrap;gap:10px 14px;align-items:flex-end;align-content:flex-start}
    .box{position:relative;overflow:hidden;outline:1px solid}
    .back{position:absolute;width:100%;height:100%;object-fit:cover;object-position:var(--x,50%) var(--y,50%)}
    .one,.two{position:absolute;left:25%;width:50%;top:20%}.two{top:70%}
    p{margin:0}</style><div class="well"></div><div class="field">${boxes.join('')}</div>
    <script>document.querySelector('.well').addEventListener('pointermove', (e) => {
      document.body.style.setProperty('--x', e.offsetX / 2.4 + '%');
      document.body.style.setProperty('--y', e.offsetY / 1.8 + '%');
    });</script>`);
  await plain.waitForLoadState('networkidle');
  await plain.waitForTimeout(1000);
  return plain;
}

const { tasks, frames } = await drag(page, '.well');
const before = await page.locator('.sentence .part-align').first().textContent();
const last = await page.evaluate(async () => {
  const start = performance.now();
  await new Promise((resolve) => requestAnimationFrame(() => requestAnimationFrame(resolve)));
  return performance.now() - start;
});
await page.mouse.up();
await page.keyboard.press('Control+z');
await page.waitForTimeout(1000);
await page.close();
const plain = await plainPage();
const peer = await drag(plain, '.well');
await browser.close();
await remove?.();

const quantile = (q, of = frames) => of[Math.min(of.length - 1, Math.floor(q * of.length))];
const about = { scene, redraws: frames.length, endedAt: before };
report('scrub: redraw, median', 'ms', quantile(0.5), about);
report('scrub: redraw, p95', 'ms', quantile(0.95), about);
report('scrub: longest task of the main thread', 'ms', Math.max(0, ...tasks), {
  over50: tasks.length,
  ...about,
});
report('scrub: last value drawn after release', 'ms', last, about);
report('scrub: redraw of a plain page, median', 'ms', quantile(0.5, peer.frames), {
  cells: cells.length,
  redraws: peer.frames.length,
});
report(
  'scrub: redraw, times that of a plain page',
  'ratio',
  quantile(0.5) / quantile(0.5, peer.frames),
  about,
);
