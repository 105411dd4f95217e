import { readFile } from 'node:fs/promises';
import { expect, type Page, type TestInfo } from '@playwright/test';
import { Job } from '../src/formats/job';
import type { Review } from '../src/core/review/schema';
import { coulee } from './coulee';
import { FEW_PROJECT, FEW_SPLASH } from './few-screens';
import { ask, made, numbersIn, seriousFindings, tabTo } from './fixtures';
import { test } from './test';

const PROJECT = '/projects/larkmoor-ferries';
const VERDICT = `${PROJECT}/winter-splash?lens=ship`;

/** What the command line says of the store of this worker, while its server runs. */
const judged = (info: TestInfo, ...args: string[]) =>
  coulee(...args, '--store', `test-results/store-${info.parallelIndex}`, '--project', FEW_PROJECT);

/** What the page says of one part of the project, where it is looked at by itself. */
async function saidOf(page: Page, address: string, place: string, settled: RegExp): Promise<number[]> {
  await page.goto(address);
  const said = page.locator(place).first();
  await expect(said).toContainText(settled, { timeout: 60_000 });
  return numbersIn(await said.innerText());
}

test('page, server and command line judge the project alike, to the byte, and as it is judged everywhere', async ({
  page,
  request,
  baseURL,
}, info) => {
  await page.goto(`${FEW_SPLASH}?lens=ship`);
  const table = page.getByRole('table', { name: /Ferries, few screens/ });
  await expect(table).toBeVisible({ timeout: 60_000 });
  const download = page.waitForEvent('download');
  await tabTo(page, page.getByRole('button', { name: /The whole review as JSON/ }));
  await page.keyboard.press('Enter');
  const here = await readFile(await (await download).path(), 'utf8');
  const job = await made(request, baseURL!, { kind: 'review', options: { as: 'json' } }, FEW_PROJECT);
  expect(job).toMatchObject({ state: 'done', result: { mediaType: 'application/json' } });
  const there = await (await request.get(job.result!.href)).text();
  const cli = await judged(info, 'check', '--as', 'json');
  expect(cli.code).toBe(1);
  expect(there === here).toBe(true);
  expect(cli.out === here).toBe(true);

  // Every number of it is the one that the page says elsewhere, and that the command line prints.
  const review = JSON.parse(here) as Review;
  const { out: text } = await judged(info, 'check');
  const lineOf = (name: string) => text.split('\n').find((l) => l.startsWith(`${name}  `))!;
  const rowOf = async (name: string) => {
    const named = page.getByRole('button', { name, exact: true });
    return numbersIn(await table.getByRole('row').filter({ has: named }).innerText());
  };
  const printed = [...review.scenes, ...review.launches].map(({ name, counts, found }) => {
    const { fail, warn, accepted } = found;
    const numbers = [counts.fail, counts.warn, counts.clear, fail, warn, ...(accepted > 0 ? [accepted] : [])];
    return { name, numbers };
  });
  for (const { name, numbers } of printed) {
    expect([name, ...numbersIn(lineOf(name))]).toEqual([name, ...numbers]);
    expect([name, ...(await rowOf(name)).slice(0, numbers.length)]).toEqual([name, ...numbers]);
  }
  for (const { id, name, counts, found } of review.scenes) {
    const bar = await saidOf(page, `/projects/${FEW_PROJECT}/${id}?lens=findings`, '.tally', /clear/);
    expect([name, ...bar.slice(0, 3)]).toEqual([name, counts.fail, counts.warn, counts.clear]);
    const lens = await saidOf(
      page,
      `/projects/${FEW_PROJECT}/${id}?lens=findings`,
      '.findings-head p',
      /findings? on/,
    );
    expect([name, ...lens.slice(0, 2)]).toEqual([name, found.fail, found.warn]);
  }
  const [launch] = review.launches;
  await page.goto(`${FEW_SPLASH}?lens=launch`);
  const rows = page.locator('.launch-finding');
  await expect(rows.first()).toBeVisible({ timeout: 60_000 });
  await expect(rows).toHaveCount(launch!.findings.length);
  const sum = (key: 'fail' | 'warn') => review.files.reduce((n, f) => n + f.found[key], 0);
  const sizes = await saidOf(page, `${FEW_SPLASH}?lens=sizes`, '.sizes-summary', /findings on/);
  expect(sizes.slice(0, 2)).toEqual([sum('fail'), sum('warn')]);
  expect(numbersIn(lineOf(`Files of ${review.files.length} pictures`)).slice(1)).toEqual([
    sum('fail'),
    sum('warn'),
  ]);
});

test('the verdict of the project is read and followed by keyboard', async ({ page }) => {
  await page.goto(VERDICT);
  await expect(page.getByRole('table', { name: /Larkmoor Ferries/ })).toBeVisible({ timeout: 60_000 });
  expect(await seriousFindings(page)).toEqual([]);
  await tabTo(page, page.getByRole('button', { name: /^Sign-in$/ }));
  await page.keyboard.press('Enter');
  await expect(page.locator('.findings-head p')).toContainText('Sign-in', { timeout: 30_000 });
});

test('a job says how far it is, as events too, and is called off down to the process that does it', async ({
  page,
  request,
  baseURL,
}) => {
  const review = { kind: 'review', options: { as: 'csv' } } as const;
  const begun = await ask(request, baseURL!, 'larkmoor-ferries', review);
  const address = begun.headers().location!;
  // Events end by themselves with the job.
  const events = await request.get(address, { headers: { accept: 'text/event-stream' } });
  const told = (await events.text())
    .split('\n\n')
    .filter(Boolean)
    .map((e) => Job.parse(JSON.parse(e.replace(/^data: /, ''))));
  expect(told.at(-1)).toMatchObject({ state: 'done', result: { mediaType: 'text/csv; charset=utf-8' } });
  const far = told.filter((j) => j.state === 'running').map((j) => j.progress.done);
  expect(far).toEqual(far.toSorted((a, b) => a - b));
  expect(far.filter((n) => n > 0).length).toBeGreaterThan(5);
  const csv = await request.get(told.at(-1)!.result!.href);
  expect(csv.headers()['content-disposition']).toContain("filename*=UTF-8''larkmoor-ferries-review.csv");
  expect((await csv.text()).split('\r\n')[0]).toContain('source,in,subject,finding');

  // A film is called off on the page, while it is being drawn.
  await page.goto(`${PROJECT}/winter-splash?lens=launch`);
  const film = page.getByRole('button', { name: 'the film, WebP' });
  const asked = page.waitForRequest((r) => r.method() === 'POST' && r.url().endsWith('/jobs'));
  await film.click({ timeout: 60_000 });
  const { id } = Job.parse(await (await (await asked).response())!.json());
  await page.getByRole('button', { name: 'cancel' }).click();
  await expect(film).toBeVisible();
  const job = () => request.get(`${baseURL}/api/v1${PROJECT}/jobs/${id}`);
  await expect.poll(async () => Job.parse(await (await job()).json()).state).toBe('called-off');
  expect((await request.get(`/api/v1${PROJECT}/jobs/${id}/result`)).status()).toBe(404);
});

test('a finding on files is accepted for a reason, counts no longer, and comes back', async ({ page }) => {
  await page.goto(`${PROJECT}/winter-splash?lens=sizes`);
  const summary = page.locator('.sizes-summary');
  await expect(summary).toContainText('findings on', { timeout: 60_000 });
  const [fail, warn] = numbersIn(await summary.innerText());
  await tabTo(page, page.getByRole('button', { name: 'Accept: Rope too small' }));
  await page.keyboard.press('Enter');
  await page.keyboard.type('it is drawn coarse');
  await page.keyboard.press('Enter');
  await expect(summary).toContainText('and 1 accepted');
  expect(numbersIn(await summary.innerText()).slice(0, 2)).toEqual([fail! - 1, warn]);
  expect(await seriousFindings(page)).toEqual([]);
  await page.getByRole('button', { name: 'Accept no longer: Rope too small' }).click();
  await expect(summary).not.toContainText('accepted');
  expect(numbersIn(await summary.innerText()).slice(0, 2)).toEqual([fail, warn]);
});

test('what is not asked for rightly is refused in words', async ({ request, baseURL }) => {
  const post = (data: unknown, project = 'larkmoor-ferries') => ask(request, baseURL!, project, data);
  for (const [data, status] of [
    [{ kind: 'cake' }, 422],
    [{ kind: 'review', options: { as: 'xml' } }, 422],
    [{ kind: 'film', options: { launch: 'launch' } }, 422],
  ] as const)
    expect((await post(data)).status()).toBe(status);
  expect((await post({ kind: 'review', options: {} }, 'nothing')).status()).toBe(404);
  expect((await request.get(`/api/v1${PROJECT}/jobs/nothing`)).status()).toBe(404);
  const failed = await made(request, baseURL!, {
    kind: 'film',
    options: { launch: 'launch', case: 'nothing.0.light', start: 'cold', as: 'webp' },
  });
  expect(failed).toMatchObject({
    state: 'failed',
    problem: { status: 404, detail: expect.stringContaining('This case is not here') as unknown },
  });
  for (const [options, status, said] of [
    [{ as: 'page', scene: 'nothing' }, 404, 'This scene is not here'],
    [{ as: 'page', target: 'nothing' }, 404, 'This set of screens is not here'],
    [{ as: 'files', pattern: '{name' }, 422, 'holds a sign that not every system takes'],
    [{ as: 'files', pattern: '{appearance}' }, 422, 'Two files would be called'],
    [{ as: 'contact-png', cases: ['nothing.0.light'] as string[] }, 422, 'None of these is a case'],
  ] as const) {
    const problem = { status, detail: expect.stringContaining(said) as unknown };
    const job = await made(request, baseURL!, { kind: 'export', options });
    expect(job).toMatchObject({ state: 'failed', problem });
  }
  expect((await post({ kind: 'export', options: { as: 'cake' } })).status()).toBe(422);
  expect((await request.get('/api/v1/schemas/cake')).status()).toBe(404);
  expect(await (await request.get('/api/v1/schemas/sheet')).json()).toMatchObject({ type: 'object' });
  const schema = await request.get('/api/v1/schemas/review');
  expect(schema.headers()['content-type']).toContain('application/schema+json');
  expect(await schema.json()).toMatchObject({ title: 'Review of a project', type: 'object' });
});
