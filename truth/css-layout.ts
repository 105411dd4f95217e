import type { CDPSession, Page } from '@playwright/test';
import type { Rect } from '../src/core/geometry/rect';
import { visibleBars, safeInsets } from '../src/core/screens/regions';
import { turn } from '../src/core/screens/turn';
import type { Case } from '../src/core/screens/cases';
import type { Scene } from '../src/core/scene/scene';

/** So often a screen is looked at until two pictures of it are the same. */
const MOST_LOOKS = 6;

/** A page of a scene on one case after another, in a browser that takes the screen’s size and density. */
export class PageOnScreens {
  private constructor(
    private readonly page: Page,
    private readonly session: CDPSession,
  ) {}

  static async open(page: Page): Promise<PageOnScreens> {
    return new PageOnScreens(page, await page.context().newCDPSession(page));
  }

  async show(address: string): Promise<void> {
    await this.page.goto(address);
    await this.page.evaluate(async () => {
      await document.fonts.ready;
      await Promise.all([...document.images].map((i) => i.decode().catch(() => undefined)));
    });
  }

  /** @returns the boxes of elements by their class, lu */
  async on(c: Case, scene: Scene, classes: readonly string[]): Promise<Record<string, Rect>> {
    const turned = turn(c.screen, c.rotation);
    const { width, height } = turned.size;
    await this.session.send('Emulation.setDeviceMetricsOverride', {
      width: Math.ceil(width),
      height: Math.ceil(height),
      deviceScaleFactor: c.screen.density,
      mobile: false,
    });
    await this.session.send('Emulation.setEmulatedMedia', {
      features: [{ name: 'prefers-color-scheme', value: c.appearance }],
    });
    const insets = safeInsets(turned, scene.bars);
    const bars = visibleBars(turned, scene.bars);
    return this.page.evaluate(
      ([size, safe, bar, names]) => {
        const root = document.querySelector<HTMLElement>('.screen')!;
        root.style.width = `${size.width}px`;
        root.style.height = `${size.height}px`;
        root.style.inset = '0 auto auto 0';
        for (const side of ['left', 'right', 'top', 'bottom'] as const) {
          root.style.setProperty(`--safe-${side}`, `${safe[side]}px`);
          root.style.setProperty(`--bar-${side}`, `${bar[side]}px`);
        }
        const boxes: Record<string, Rect> = {};
        interface Rect {
          x: number;
          y: number;
          width: number;
          height: number;
        }
        for (const name of names) {
          const found = document.querySelector(`.${name}`);
          if (!found) continue;
          const { x, y, width, height } = found.getBoundingClientRect();
          boxes[name] = { x, y, width, height };
        }
        return boxes;
      },
      [turned.size, insets, bars, classes] as const,
    );
  }

  private async capture(c: Case): Promise<string> {
    const { width, height } = turn(c.screen, c.rotation).size;
    const { data } = await this.session.send('Page.captureScreenshot', {
      format: 'png',
      clip: { x: 0, y: 0, width, height, scale: 1 },
    });
    return data;
  }

  /** The screen as it is painted, PNG: once it stays the same, as files are decoded while others are painted already. */
  async shot(c: Case): Promise<Buffer> {
    let last = await this.capture(c);
    for (let looks = 1; looks < MOST_LOOKS; looks++) {
      const now = await this.capture(c);
      if (now === last) break;
      last = now;
    }
    return Buffer.from(last, 'base64');
  }
}
