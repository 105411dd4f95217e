// Twelve screens played for five seconds at 1280 × 800, in a browser, on a running server: how many distinct times of
// the film are painted a second, and how far the film is from the clock. The launch fades all the while.
// node bench/play.mjs http://127.0.0.1:3000
import fs from 'node:fs';
import { cpus } from 'node:os';
import { chromium } from '@playwright/test';

const base = process.argv[2] ?? 'http://127.0.0.1:3000';
const FADE_MS = 5000;
const flags = JSON.parse(fs.readFileSync(new URL('../e2e/chromium-flags.json', import.meta.url), 'utf8'));
const browser = await chromium.launch({
  executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
  args: flags,
});
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
await page.goto(base);
const copy = await page.evaluate(async () => {
  const response = await fetch('/api/v1/projects/larkmoor-ferries/copies', { method: 'POST' });
  return (await response.json()).id;
});
// A launch that does nothing but fade, evenly, for as long as is measured.
await page.evaluate(
  async ({ id, ms }) => {
    const { revision } = await (await fetch(`/api/v1/projects/${id}`)).json();
    const at = '/project/launches/0';
    const set = (path, value, before) => [
      { op: 'replace', path: at + path, value },
      { op: 'replace', path: at + path, value: before },
    ];
    const changes = [
      set('/systemMs', 0, 400),
      set('/stages/0/holdMs', 0, 0),
      set('/stages/1/durationMs', ms, 500),
      set('/stages/1/easing', 'linear', 'ease-out'),
    ];
    const body = {
      id: crypto.randomUUID(),
      patch: changes.map((c) => c[0]),
      inverse: changes.map((c) => c[1]).reverse(),
    };
    const headers = { 'content-type': 'application/json', 'if-match': `"${revision}"` };
    const response = await fetch(`/api/v1/projects/${id}`, {
      method: 'PATCH',
      headers,
      body: JSON.stringify(body),
    });
    if (!response.ok) throw new Error(await response.text());
  },
  { id: copy, ms: FADE_MS },
);
await page.goto(`${base}/projects/${copy}/winter-splash?lens=launch`);
await page.waitForFunction(
  () => document.querySelectorAll('.play-grid canvas[data-complete="true"]').length === 12,
);
// The findings are worked out first: they are not part of playing.
await page.waitForFunction(() => document.querySelector('.launch-finding'), null, { timeout: 60_000 });
const { painted, drift } = await page.evaluate(async (fadeMs) => {
  const canvases = [...document.querySelectorAll('.play-grid canvas')];
  const seen = new Set();
  const drifts = [];
  let started = 0;
  const observer = new MutationObserver(() => {
    const shown = canvases.map((c) => c.dataset.shown.split(',').at(-1));
    if (new Set(shown).size > 1) throw new Error('Screens of one film show different times.');
    const [index, opacity] = shown[0].split(' ').map(Number);
    if (index !== 1 || opacity >= 1) return;
    seen.add(opacity);
    drifts.push(Math.abs(performance.now() - started - opacity * fadeMs));
  });
  for (const c of canvases) observer.observe(c, { attributeFilter: ['data-shown'] });
  started = performance.now();
  document.querySelector('.film-play').click();
  await new Promise((resolve) => setTimeout(resolve, fadeMs));
  observer.disconnect();
  return { painted: seen.size / (fadeMs / 1000), drift: Math.max(...drifts) };
}, FADE_MS);
const machine = { cpu: cpus()[0]?.model ?? 'unknown', cores: cpus().length, node: process.version };
const report = (name, unit, value) =>
  console.log(JSON.stringify({ name, unit, value: Number(value.toPrecision(4)), screens: 12, machine }));
report('distinct times of a film painted', 'per s', painted);
report('greatest drift between clock and film', 'ms', drift);
await page.evaluate((id) => fetch(`/api/v1/projects/${id}`, { method: 'DELETE' }), copy);
await browser.close();
