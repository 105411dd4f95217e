import { expect, type APIRequestContext, type Page } from '@playwright/test';
import { test } from './test';
import type { Documents } from '../src/core/project/documents';
import { closeUp } from './fixtures';
import { difference, inkOf, raster, type Raster } from './pixels';
import { AGREEMENT_PROJECT, GROUND, HELD, LETTERS, PAINTED_SCENES, WAYS, type Way } from './agreement-scenes';

/** Without cutouts and rounded corners, so that CSS alone can draw the same. */
const SCREENS = [
  { id: 'phone-360x640-2x.0.light', width: 360, height: 640 },
  { id: 'phone-412x732-2-625x.90.light', width: 1920 / 2.625, height: 1080 / 2.625 },
  { id: 'tablet-800x1280-1-5x.0.dark', width: 800, height: 1280 },
];
const MOST = 0.02;

/** @param more of the address, such as a larger close-up */
async function canvasOf(
  page: Page,
  scene: string,
  caseId: string,
  more = '',
): Promise<{ png: Buffer; scale: number }> {
  const appearance = caseId.endsWith('dark') ? 'dark' : 'light';
  await page.goto(`/projects/${AGREEMENT_PROJECT}/${scene}?case=${caseId}&appearance=${appearance}${more}`);
  const canvas = closeUp(page).locator('canvas');
  await expect(canvas).toHaveAttribute('data-complete', 'true');
  await page.waitForLoadState('networkidle');
  const data = await canvas.evaluate((c: HTMLCanvasElement) => [c.toDataURL(), c.dataset.scale] as const);
  return { png: Buffer.from(data[0].split(',')[1]!, 'base64'), scale: Number(data[1]) };
}

async function serverOf(request: APIRequestContext, scene: string, caseId: string, scale: number) {
  const address = `/api/v1/projects/${AGREEMENT_PROJECT}/scenes/${scene}/cases/${caseId}?scale=${scale}`;
  const response = await request.get(address);
  expect(response.headers()['content-type']).toBe('image/png');
  return raster(await response.body());
}

/** The file of the harbour for an appearance, as the project’s documents name it. */
async function fileOf(request: APIRequestContext, appearance: string): Promise<string> {
  const response = await request.get(`/api/v1/projects/${AGREEMENT_PROJECT}`);
  const { documents } = (await response.json()) as { documents: Documents };
  const harbour = documents.project.pictures.find((p) => p.id === 'harbour')!;
  return harbour.cuts[0]!.renditions.find((r) => r.appearance === appearance)!.hash;
}

const repeatCss = ({ repeat }: Way) => (typeof repeat === 'string' ? repeat : `${repeat.x} ${repeat.y}`);

/** The same picture in the same box, drawn by the browser’s own CSS. */
async function cssOf(page: Page, way: Way, preview: string, size: Raster, k: number): Promise<Raster> {
  await page.goto('/api/v1/health');
  await page.setContent(`<body style="margin:0"><div style="width:${size.width}px;height:${size.height}px;
    background:${GROUND} url(${preview}) ${HELD.x}% ${HELD.y}% / ${way.css(k)} ${repeatCss(way)}"></div>`);
  await page.evaluate(async (src) => {
    const image = new Image();
    image.src = src;
    await image.decode();
  }, preview);
  return raster(await page.locator('div').screenshot());
}

test.describe('canvas, server and CSS draw the same', () => {
  for (const [index, way] of WAYS.entries()) {
    const screen = SCREENS[index % SCREENS.length]!;
    test(`${way.id} on ${screen.id}`, async ({ page, request, baseURL }) => {
      const { png, scale } = await canvasOf(page, way.id, screen.id);
      const canvas = await raster(png);
      expect(canvas.width).toBe(Math.floor(screen.width * scale + 0.5));

      const server = await serverOf(request, way.id, screen.id, scale);

      const hash = await fileOf(request, screen.id.endsWith('dark') ? 'dark' : 'light');
      const css = await cssOf(page, way, `${baseURL}/api/v1/pictures/${hash}/2048`, canvas, scale);

      for (const [name, d] of Object.entries({
        'canvas against server': difference(canvas, server),
        'canvas against CSS': difference(canvas, css),
        'server against CSS': difference(server, css),
      })) {
        console.log(
          `${way.id}: ${name} ${d.mean.map((m) => (m * 100).toFixed(3)).join(' ')} % of ${(d.compared * 100).toFixed(0)} %`,
        );
        expect(Math.max(...d.mean), name).toBeLessThan(MOST);
        expect(d.compared, `${name}: pixels away from edges`).toBeGreaterThan(0.4);
      }
    });
  }
});

test.describe('canvas and server draw the same', () => {
  for (const [index, scene] of LETTERS.entries()) {
    const screen = SCREENS[index % SCREENS.length]!;
    test.describe(() => {
      // About as many px as the screen has itself: a tablet is drawn smaller than a phone.
      test.use({ deviceScaleFactor: screen.id.startsWith('tablet') ? 4 : 2 });
      test(`letters: ${scene} on ${screen.id}`, async ({ page, request }) => {
        const { png, scale } = await canvasOf(page, scene, screen.id, '&enlarged=on');
        const canvas = inkOf(await raster(png));
        const server = inkOf(await serverOf(request, scene, screen.id, scale));
        console.log(
          `${scene} at ${scale.toFixed(3)} px per lu: ${JSON.stringify(canvas)} ${JSON.stringify(server)}`,
        );
        expect(canvas.right - canvas.left, 'the letters are there').toBeGreaterThan(100);
        for (const side of ['left', 'right', 'top', 'bottom'] as const)
          expect(Math.abs(canvas[side] - server[side]), side).toBeLessThan(1);
      });
    });
  }
});

test.describe('canvas and server paint the same', () => {
  test.use({ deviceScaleFactor: 4 });

  for (const [index, scene] of PAINTED_SCENES.entries()) {
    const { id } = SCREENS[index % SCREENS.length]!;
    test(`painting: ${scene} on ${id}`, async ({ page, request }) => {
      const { png, scale } = await canvasOf(page, scene, id);
      const d = difference(await raster(png), await serverOf(request, scene, id, scale));
      console.log(
        `${scene}: ${d.mean.map((m) => (m * 100).toFixed(3)).join(' ')} % of ${(d.compared * 100).toFixed(0)} %`,
      );
      expect(Math.max(...d.mean)).toBeLessThan(MOST);
      expect(d.compared).toBeGreaterThan(0.4);
    });
  }
});
