import AxeBuilder from '@axe-core/playwright';
import { expect, type APIRequestContext, type Locator, type Page } from '@playwright/test';
import sharp from 'sharp';
import { isOver, Job, type JobWanted } from '../src/formats/job';

/** A photo of known places: red grows from left to right, green from top to bottom. */
export async function rampJpeg(width = 4000, height = 3000): Promise<Buffer> {
  const data = Buffer.alloc(width * height * 3);
  for (let y = 0; y < height; y++) {
    for (let x = 0; x < width; x++) {
      const i = (y * width + x) * 3;
      data[i] = (x * 255) / (width - 1);
      data[i + 1] = (y * 255) / (height - 1);
      data[i + 2] = 128;
    }
  }
  return sharp(data, { raw: { width, height, channels: 3 } })
    .jpeg({ quality: 95, chromaSubsampling: '4:4:4' })
    .toBuffer();
}

/** A round mark on nothing. */
export const logoPng = (size = 512): Promise<Buffer> =>
  sharp(
    Buffer.from(
      `<svg xmlns="http://www.w3.org/2000/svg" width="${size}" height="${size}"><circle cx="50%" cy="50%" r="45%" fill="#fff8e7"/></svg>`,
    ),
  )
    .png()
    .toBuffer();

export interface Upload {
  name: string;
  mimeType: string;
  buffer: Buffer;
}

/** Drops files onto the page as a hand would. */
export async function dropFiles(page: Page, files: Upload[]): Promise<void> {
  const data = await page.evaluateHandle(
    (list) => {
      const transfer = new DataTransfer();
      for (const { name, mimeType, base64 } of list) {
        const bytes = Uint8Array.from(atob(base64), (c) => c.charCodeAt(0));
        transfer.items.add(new File([bytes], name, { type: mimeType }));
      }
      return transfer;
    },
    files.map(({ name, mimeType, buffer }) => ({ name, mimeType, base64: buffer.toString('base64') })),
  );
  await page.dispatchEvent('body', 'dragover', { dataTransfer: data });
  await page.dispatchEvent('body', 'drop', { dataTransfer: data });
}

/** Waits for colours that are on their way from one theme, or from one state of a button, to the other. */
const settledColours = (page: Page) =>
  page.evaluate(async () => {
    const transitions = document.getAnimations().filter((a) => a instanceof CSSTransition);
    await Promise.allSettled(transitions.map((a) => a.finished));
  });

/** Rules that may find something else in another theme: those that look at colours. All others read what does not change. */
const OF_COLOURS = ['color-contrast', 'link-in-text-block'];

async function axeFindings(page: Page, rules?: string[]) {
  await settledColours(page);
  // What is found in order is not written out: on pages of hundreds of screens that takes longer than the search.
  const axe = new AxeBuilder({ page }).options({
    resultTypes: ['violations'],
    ...(rules && { runOnly: rules }),
  });
  return (await axe.analyze()).violations;
}

export async function seriousFindings(page: Page, rules?: string[]) {
  return (await axeFindings(page, rules))
    .filter((v) => v.impact === 'serious' || v.impact === 'critical')
    .map((v) => [v.id, v.nodes[0]?.html]);
}

/** What axe finds in each theme, which follows the system’s at once. */
export async function seriousInBothThemes(page: Page) {
  await page.emulateMedia({ colorScheme: 'dark' });
  const dark = await seriousFindings(page, OF_COLOURS);
  await page.emulateMedia({ colorScheme: 'light' });
  const light = await seriousFindings(page);
  return [...dark.map((f) => ['dark', ...f]), ...light.map((f) => ['light', ...f])];
}

/** By all rules, whatever their impact; in the second theme by those that look at colours. */
export async function allFindings(page: Page, theme: 'first' | 'second') {
  return (await axeFindings(page, theme === 'second' ? OF_COLOURS : undefined)).map(
    (v) => `${v.id} (${v.impact}): ${v.nodes[0]?.html.slice(0, 160)}`,
  );
}

/** Presses Tab, and arrow keys within a group, until the element has the focus: it can be reached without a mouse. */
export async function tabTo(page: Page, target: Locator, most = 400): Promise<number> {
  // Finding an element by its role takes longer than a press: it is only looked for again once it has been replaced.
  let element = await target.elementHandle();
  for (let i = 0; i < most; i++) {
    const at = await element!.evaluate((e) => {
      if (!e.isConnected) return 'gone';
      if (e === document.activeElement) return 'here';
      const group = document.activeElement?.closest('[data-roving]');
      // In a group one goes on by arrow keys.
      const isAmong = group && e.closest('[data-roving]') === group && !e.closest('[role=dialog]');
      return isAmong && e.matches('[tabindex="-1"]') ? 'among' : 'elsewhere';
    });
    if (at === 'here') return i;
    if (at === 'gone') element = await target.elementHandle();
    else await page.keyboard.press(at === 'among' ? 'ArrowRight' : 'Tab');
  }
  throw new Error(`Not reached with ${most} presses of Tab: ${target}`);
}

/** Has the field show every case, by its ratio, rather than those that tell most. */
export async function showAll(page: Page): Promise<void> {
  await page.getByRole('button', { name: /^all \d+$/ }).click();
  await page.getByRole('combobox', { name: 'Order' }).selectOption('ratio');
}

export const cell = (page: Page, id: string) => page.locator(`[data-case="${id}"]`);
/** The numbers in a text, in order. */
export const numbersIn = (text: string) => [...text.matchAll(/\d+/g)].map((m) => Number(m[0]));
export const outcomes = (page: Page) => page.getByRole('status', { name: 'Outcomes' });

/** How many cases fail, warn and are clear, as the bar says once all are judged. */
export async function tallyOf(page: Page): Promise<Record<'fail' | 'warn' | 'clear', number>> {
  await expect(outcomes(page)).toContainText('clear', { timeout: 90_000 });
  const [fail = NaN, warn = NaN, clear = NaN] = numbersIn(await outcomes(page).innerText());
  return { fail, warn, clear };
}

/** What opens a lens, in the bar. */
export const lens = (page: Page, name: string) =>
  page.getByRole('group', { name: 'Lens' }).getByRole('button', { name, exact: true });

export const saving = (page: Page) => page.getByTestId('saving');
/** Takes changes back and waits until the server has that, so that the next test finds the demo as it was. */
export async function undo(page: Page, times = 1): Promise<void> {
  for (let i = 0; i < times; i++) await page.getByRole('button', { name: 'undo', exact: true }).click();
  await expect(saving(page)).toHaveText('saved');
}

export const closeUp = (page: Page) => page.getByLabel('Close-up', { exact: true });

/** What stands in a row of a layer’s table in the close-up. */
export const figure = (page: Page, layer: string, row: string) =>
  closeUp(page)
    .getByRole('table', { name: layer })
    .getByRole('row', { name: new RegExp(`^${row}`) })
    .getByRole('cell');

export async function createProject(page: Page, name: string): Promise<void> {
  await page.goto('/');
  await page.getByRole('textbox', { name: 'Name of a new project' }).fill(name);
  await page.getByRole('button', { name: 'New project' }).click();
  await expect(page.getByRole('button', { name: 'Choose files' })).toBeVisible();
}

/** Red and green at a share of the close-up’s drawing, 0..1 each way, as shares of the photo that is drawn there. */
export const placeAt = (page: Page, x: number, y: number) =>
  closeUp(page)
    .locator('canvas')
    .evaluate(
      (canvas: HTMLCanvasElement, at) => {
        const px = (share: number, size: number) => Math.min(size - 1, Math.floor(share * size));
        const { data } = canvas
          .getContext('2d')!
          .getImageData(px(at.x, canvas.width), px(at.y, canvas.height), 1, 1);
        return { x: data[0]! / 255, y: data[1]! / 255, blue: data[2]! };
      },
      { x, y },
    );

/** Without cutout and corners, so that the drawing reaches its edges. */
export const PHONE = 'phone-360x640-3x.0.light';

export const photo = async () => ({ name: 'coast.jpg', mimeType: 'image/jpeg', buffer: await rampJpeg() });

export const mark = async (size?: number) => ({
  name: 'mark.png',
  mimeType: 'image/png',
  buffer: await logoPng(size),
});

export const sides = async (page: Page, layer: string, row: string) =>
  (await figure(page, layer, row).textContent())!
    .replace(/ (%|lu)$/, '')
    .replaceAll('−', '-')
    .split(' · ')
    .map(Number);

/**
 * What of the photo stands at both edges of the close-up’s drawing, along one axis, by the line that fits a whole row or
 * column best: single pixels are off by some levels, as previews are encoded with a loss.
 */
const edgesAlong = (page: Page, axis: 'x' | 'y') =>
  closeUp(page)
    .locator('canvas')
    .evaluate((canvas: HTMLCanvasElement, axis) => {
      const { width, height } = canvas;
      const aside = (size: number) => Math.floor(size / 10);
      const line: [number, number, number, number] =
        axis === 'x' ? [0, aside(height), width, 1] : [aside(width), 0, 1, height];
      const { data } = canvas.getContext('2d')!.getImageData(...line);
      const count = data.length / 4;
      const points = Array.from({ length: count }, (_, i) => ({
        at: (i + 0.5) / count,
        value: data[4 * i + (axis === 'x' ? 0 : 1)]! / 255,
      }));
      const mean = (of: (p: (typeof points)[number]) => number) =>
        points.reduce((sum, p) => sum + of(p), 0) / count;
      const [at, value] = [mean((p) => p.at), mean((p) => p.value)];
      const slope = mean((p) => (p.at - at) * (p.value - value)) / mean((p) => (p.at - at) ** 2);
      return { start: value - slope * at, end: value + slope * (1 - at) };
    }, axis);

/** Crop of each side as the table says it, in percent, against what of the photo stands at the edges of the drawing. */
export async function expectCropToAgree(page: Page) {
  await expect
    .poll(async () => {
      const [left, right, top, bottom] = await sides(page, 'coast', 'Crop by side');
      const [x, y] = [await edgesAlong(page, 'x'), await edgesAlong(page, 'y')];
      const off = [
        x.start * 100 - left!,
        (1 - x.end) * 100 - right!,
        y.start * 100 - top!,
        (1 - y.end) * 100 - bottom!,
      ];
      return Math.max(...off.map(Math.abs));
    })
    .toBeLessThan(1);
}

/** Asks a server to make something, as a page of it does. */
export const ask = (request: APIRequestContext, origin: string, project: string, asked: unknown) =>
  request.post(`${origin}/api/v1/projects/${project}/jobs`, { data: asked, headers: { origin } });

/** Asks a server to make something of a project, and waits for its end. */
export async function made(
  request: APIRequestContext,
  origin: string,
  asked: JobWanted,
  project = 'larkmoor-ferries',
): Promise<Job> {
  const begun = await ask(request, origin, project, asked);
  expect(begun.status()).toBe(202);
  const address = origin + begun.headers().location!;
  for (;;) {
    const job = Job.parse(await (await request.get(address)).json());
    if (isOver(job)) return job;
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
}
