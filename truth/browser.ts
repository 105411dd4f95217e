import { chromium, type Browser, type Page } from '@playwright/test';
import { build } from 'esbuild';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { pathToFileURL } from 'node:url';
import sharp from 'sharp';
import type { Rect } from '../src/core/geometry/rect';
import type { Drawing } from '../src/render/drawing';

/** Pixels of a screenshot, four bytes each. */
export interface Shot {
  data: Buffer;
  width: number;
  height: number;
}

const FAMILIES = { sans: 'commissioner', serif: 'literata' } as const;

/** The style sheets of the shipped fonts, under the names that texts call them by. */
function fontSheets(): string {
  return Object.entries(FAMILIES)
    .flatMap(([name, family]) =>
      [400, 700].map((weight) => {
        const folder = path.resolve('node_modules/@fontsource', family);
        return readFileSync(path.join(folder, `${weight}.css`), 'utf8')
          .replaceAll(/font-family: '[^']+'/g, `font-family: shipped-${name}`)
          .replaceAll('./files/', `${pathToFileURL(folder).href}/files/`)
          .replaceAll('font-display: swap', 'font-display: block');
      }),
    )
    .join('\n');
}

const START = '<!doctype html><meta charset="utf-8">';
const RESET =
  'html, body { margin: 0; background: transparent; overflow: hidden } * { text-rendering: geometricPrecision }';

export interface Seen {
  /** boxes of layers on the screen, lu */
  boxes: Record<string, Rect>;
  /** of texts: how far their words reach across */
  words: Record<string, { x: number; width: number }>;
}

/** A browser that lays out and paints pages from files, and drawings as the product’s page does. */
export class Painter {
  readonly fonts = fontSheets();
  private count = 0;
  private canvasPage: Page | null = null;

  private constructor(
    private readonly browser: Browser,
    private readonly folder: string,
  ) {}

  static async open(): Promise<Painter> {
    const flags = JSON.parse(readFileSync('e2e/chromium-flags.json', 'utf8')) as string[];
    const browser = await chromium.launch({
      executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
      args: [
        ...flags,
        '--allow-file-access-from-files',
        '--font-render-hinting=none',
        '--force-color-profile=srgb',
      ],
    });
    return new Painter(browser, mkdtempSync(path.join(tmpdir(), 'coulee-truth-')));
  }

  async close(): Promise<void> {
    await this.browser.close();
    rmSync(this.folder, { recursive: true, force: true });
  }

  blank = async (): Promise<Page> => (await this.browser.newContext()).newPage();

  /** @returns its address */
  file(name: string, bytes: Buffer): string {
    const file = path.join(this.folder, name);
    writeFileSync(file, bytes);
    return pathToFileURL(file).href;
  }

  /**
   * A page of one size, on which scenes are shown one after another. What they are made of is loaded once.
   * @param scale px per lu @param images addresses of all pictures that will be shown
   */
  async sized(width: number, height: number, scale: number, images: readonly string[]): Promise<Page> {
    const context = await this.browser.newContext({
      viewport: { width: Math.ceil(width), height: Math.ceil(height) },
      deviceScaleFactor: scale,
    });
    const page = await context.newPage();
    const kept = images.map((address) => `<img src="${address}" style="position:absolute;left:-9999px">`);
    await page.goto(
      this.file(
        `page-${this.count++}.html`,
        Buffer.from(`${START}<style>${this.fonts}${RESET}</style>${kept.join('')}<div id="stage"></div>`),
      ),
    );
    return page;
  }

  /** @param images addresses of pictures that came later than the page */
  async show(page: Page, html: string, images: readonly string[] = []): Promise<void> {
    await page.evaluate(
      async ([body, late]) => {
        for (const address of late) {
          const image = document.body.appendChild(new Image());
          image.style.cssText = 'position:absolute;left:-9999px';
          image.src = address;
        }
        document.getElementById('stage')!.innerHTML = body;
        await Promise.all([...document.fonts].map((f) => (f.status === 'loading' ? f.loaded : null)));
        await document.fonts.ready;
        await Promise.all([...document.images].map((i) => i.decode()));
        // Two frames on, everything is drawn.
        for (const _ of [1, 2]) await new Promise((resolve) => requestAnimationFrame(resolve));
      },
      [html, images] as const,
    );
  }

  boxes = (page: Page): Promise<Seen> =>
    page.evaluate(() => {
      const boxes: Record<string, { x: number; y: number; width: number; height: number }> = {};
      const words: Record<string, { x: number; width: number }> = {};
      for (const e of document.querySelectorAll<HTMLElement>('[data-id]')) {
        const { x, y, width, height } = e.getBoundingClientRect();
        boxes[e.dataset.id!] = { x, y, width, height };
      }
      for (const e of document.querySelectorAll<HTMLElement>('[data-words]')) {
        const rects = [...e.getClientRects()].filter((r) => r.width > 0);
        const [left, right] = [Math.min(...rects.map((r) => r.left)), Math.max(...rects.map((r) => r.right))];
        words[e.dataset.words!] = { x: left, width: right - left };
      }
      return { boxes, words };
    });

  /** The screen as it is painted. @param size px */
  async shot(page: Page, size: { width: number; height: number }): Promise<Shot> {
    const png = await page.screenshot({ omitBackground: true });
    const image = sharp(png)
      .ensureAlpha()
      .extract({ left: 0, top: 0, ...size });
    return { data: await image.raw().toBuffer(), ...size };
  }

  /** A drawing as the product’s page paints it. */
  async canvas(drawing: Drawing, files: Record<string, string>): Promise<Shot> {
    this.canvasPage ??= await this.pageWithCanvas();
    const address = await this.canvasPage.evaluate(
      ([d, f]) =>
        (globalThis as unknown as { paintDrawing: (d: unknown, f: unknown) => Promise<string> }).paintDrawing(
          d,
          f,
        ),
      [drawing, files] as const,
    );
    return shotOf(Buffer.from(address.split(',')[1]!, 'base64'));
  }

  private async pageWithCanvas(): Promise<Page> {
    const bundle = await build({
      entryPoints: ['truth/canvas-entry.ts'],
      bundle: true,
      write: false,
      format: 'iife',
      tsconfig: 'tsconfig.json',
    });
    const page = await (await this.browser.newContext()).newPage();
    await page.goto(this.file('canvas.html', Buffer.from(START)));
    await page.addScriptTag({ content: bundle.outputFiles[0]!.text });
    return page;
  }
}

export async function shotOf(png: Buffer): Promise<Shot> {
  const { data, info } = await sharp(png).ensureAlpha().raw().toBuffer({ resolveWithObject: true });
  return { data, width: info.width, height: info.height };
}
