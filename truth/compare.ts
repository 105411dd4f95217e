import type { CaseResult, PictureResult, PlacedResult, TextResult } from '../src/core/survey/survey';
import type { Rect } from '../src/core/geometry/rect';
import type { Page } from '@playwright/test';
import type { Painter, Shot } from './browser';
import { contrastOf, countIn, countRamp, flattened, paintDifference, type Counted, type Flat } from './count';
import { screenOf, type PageOptions } from './html';
import type { MadeFile } from './pictures';
import { encodeRaster, inkBoxOf, inkColours } from './ink';
import { notCompared } from './not-compared';
import { hangsOnRounding, paintedByProduct, surveyed } from './product';
import type { RandomScene } from './scenes';

/** How far figures may lie from what a browser engine laid out or painted. */
export const TOLERANCE = {
  /** lu, and the 64ths of a px to which the engine rounds an edge and what it is measured from */
  box: 0.05 + 2 / 64,
  /** of full scale, away from edges */
  paintMean: 0.01,
  paintHigh: 0.06,
  /** of the ratio */
  contrast: 0.05,
  /** of the picture; eight bits of a ramp and the px at its ends */
  crop: 0.012,
  /** of the screen */
  bare: 0.006,
  /** of the figure */
  enlargement: 0.035,
} as const;

/** One figure held against the browser’s. */
export interface Check {
  what: string;
  /** how far it is off, in tolerances */
  off: number;
  said: string;
}

const check = (what: string, actual: number, expected: number, tolerance: number): Check => ({
  what,
  off: Number.isFinite(actual) ? Math.abs(actual - expected) / tolerance : Infinity,
  said: `${what}: ${actual.toFixed(4)}, painted ${expected.toFixed(4)}`,
});

/** Addresses of the files of a scene, by their hash, and of the same with their places as colours. */
interface Files {
  own: Map<string, string>;
  ramps: Map<string, string>;
}

/** Everything of one scene that is asked of the browser. */
class Truth {
  readonly checks: Check[] = [];
  private readonly result: CaseResult;
  private readonly size: { width: number; height: number };

  constructor(
    private readonly random: RandomScene,
    private readonly painter: Painter,
    private readonly page: Page,
    private readonly files: Files,
  ) {
    this.result = surveyed(random);
    const { width, height } = this.result.regions.screen;
    const px = (length: number) => Math.floor(length * random.scale + 0.5);
    this.size = { width: px(width), height: px(height) };
  }

  private async shot(more: Partial<PageOptions> = {}, late: string[] = []): Promise<Shot> {
    const { scene, screen, files } = this.random;
    const address = (hash: string) => this.files.own.get(hash)!;
    await this.painter.show(this.page, screenOf({ scene, screen, files, address, ...more }), late);
    return this.painter.shot(this.page, this.size);
  }

  private placed = (): PlacedResult[] =>
    this.result.layers.filter((l): l is PlacedResult => l.kind !== 'ground');

  /** The engine rounds letters and lines to a 64th of a px each: what that may come to in a text, lu. */
  private rounding(l: PlacedResult): number {
    if (l.kind !== 'text') return 0;
    const longest = Math.max(...l.lines.map(({ text }) => text.length));
    return Math.max(longest / 96, l.lines.length / 64);
  }

  private async layout(): Promise<void> {
    const { boxes, words } = await this.painter.boxes(this.page);
    for (const l of this.placed()) {
      const box = boxes[l.id]!;
      const tolerance = TOLERANCE.box + this.rounding(l);
      for (const side of ['x', 'y', 'width', 'height'] as const)
        this.checks.push(check(`box ${side} of ${l.id}`, l.box[side], box[side], tolerance));
      const said = words[l.id];
      if (l.kind === 'text' && said)
        this.checks.push(
          check(
            `width of the words of ${l.id}`,
            l.placement.drawn.width,
            said.width,
            TOLERANCE.box + this.rounding(l),
          ),
        );
    }
  }

  private async paint(css: Shot): Promise<void> {
    const { drawing, server } = await paintedByProduct(this.random, this.result);
    const canvas = await this.painter.canvas(drawing, Object.fromEntries(this.files.own));
    const hidden = this.placed().flatMap((l) => notCompared(l, this.random.scale));
    const behind = this.random.screen.appearance === 'dark' ? 0 : 255;
    const [byCss, byServer, byCanvas] = [css, server, canvas].map((s) => flattened(s, behind, hidden)) as [
      Flat,
      Flat,
      Flat,
    ];
    const pairs: [string, Flat, Flat][] = [
      ['server and CSS', byServer, byCss],
      ['canvas and CSS', byCanvas, byCss],
      ['canvas and server', byCanvas, byServer],
    ];
    for (const [name, a, b] of pairs) {
      const { mean, high } = paintDifference(a, b);
      this.checks.push(check(`paint of ${name}, mean`, mean, 0, TOLERANCE.paintMean));
      this.checks.push(check(`paint of ${name}, 99.9th`, high, 0, TOLERANCE.paintHigh));
    }
  }

  private async counted(
    id: string,
    address: (hash: string) => string,
    late: string[] = [],
  ): Promise<Counted> {
    return countRamp(await this.shot({ solo: id, address }, late));
  }

  /** Crop, enlargement and what is bare, of one picture. */
  private losses(l: PictureResult, c: Counted): void {
    const { measures: m } = l;
    const { scale, screen } = this.random;
    const repeated = l.placement.tiles.x !== null || l.placement.tiles.y !== null;
    const whole = this.size.width * this.size.height;
    this.checks.push(
      check(`bare part of the screen, ${l.id}`, m.bareScreen.total, 1 - c.count / whole, TOLERANCE.bare),
    );
    // A sliver of a few px says too little of what it is a part of.
    if (repeated || !c.part || !c.bounds || Math.min(c.bounds.width, c.bounds.height) < 12) return;
    const px = { x: c.step.x, y: c.step.y };
    const drawn = { x: 1 / px.x / scale, y: 1 / px.y / scale };
    const { left, right, top, bottom } = c.part;
    if (m.crop) {
      const sides = { left, right: 1 - right, top, bottom: 1 - bottom };
      for (const side of ['left', 'right', 'top', 'bottom'] as const)
        this.checks.push(
          check(
            `crop ${side} of ${l.id}`,
            m.crop[side],
            Math.max(0, sides[side]),
            TOLERANCE.crop + px.x + px.y,
          ),
        );
      const total = 1 - (right - left) * (bottom - top);
      this.checks.push(
        check(`crop of ${l.id}`, m.crop.total, Math.max(0, total), TOLERANCE.crop + px.x + px.y),
      );
    }
    // The slope of a ramp of 256 steps is known the better the more of it is seen.
    if (right - left < 0.3 || bottom - top < 0.3) return;
    const { widthPx, heightPx } = l.rendition;
    const enlarged = Math.max((drawn.x * screen.density) / widthPx, (drawn.y * screen.density) / heightPx);
    this.checks.push(
      check(
        `enlargement of ${l.id}`,
        m.enlargement!,
        enlarged,
        enlarged * (TOLERANCE.enlargement + 0.5 / Math.min(c.bounds.width, c.bounds.height)),
      ),
    );
  }

  /** How far a layer stands off the edges, and what of it lies under the glass. */
  private async place(l: PlacedResult, c: Counted, glass: Shot): Promise<void> {
    const { scale, screen } = this.random;
    const { bounds } = c;
    const { clearance, intrusion } = l.measures;
    if (!bounds || !clearance || !intrusion) return;
    const edge = {
      left: bounds.x / scale,
      top: bounds.y / scale,
      right: screen.width - (bounds.x + bounds.width) / scale,
      bottom: screen.height - (bounds.y + bounds.height) / scale,
    };
    for (const side of ['left', 'right', 'top', 'bottom'] as const) {
      // Box and drawing end on whole CSS px each, whatever the scale.
      const near = 1.6;
      this.checks.push(
        check(`to the ${side} of the screen, ${l.id}`, clearance.screen[side], edge[side], near),
      );
      this.checks.push(
        check(
          `to the ${side} of the safe area, ${l.id}`,
          clearance.safe[side],
          edge[side] - screen.insets[side],
          near,
        ),
      );
    }
    // Half a px along each edge of the layer may go either way, and half a px along that of what hides it.
    const rim = (2 * (bounds.width + bounds.height)) / scale ** 2;
    for (const [channel, what] of (['cutout', 'corner', 'bar'] as const).entries()) {
      const expected = countIn(glass, c.mask, channel) / scale ** 2;
      const tolerance = 0.03 * expected + rim * 0.5 + 8 / scale;
      this.checks.push(check(`under the ${what}, ${l.id}`, intrusion[what], expected, tolerance));
    }
  }

  /** Whether a round corner of a panel cuts some of it off: there no ink is seen that could stand out. */
  private isRoundedOff(l: PlacedResult): boolean {
    const { visible } = l.placement;
    const holder = this.placed().find((p) => p.id === l.parent);
    if (holder?.kind !== 'panel' || !visible) return false;
    const { box, clip, placement } = holder;
    const r = placement.cornerRadius;
    const inX = visible.x < box.x + r || visible.x + visible.width > box.x + box.width - r;
    const inY = visible.y < box.y + r || visible.y + visible.height > box.y + box.height - r;
    return clip && inX && inY;
  }

  private async contrast(
    l: PlacedResult,
    seen: Rect | null,
    inks: { ink: string; ground: string | null },
  ): Promise<void> {
    const figure = l.measures.contrast;
    if (figure === null || !seen || Math.min(seen.width, seen.height) < 8 || this.isRoundedOff(l)) return;
    const ink = await this.shot({ until: { id: l.id, ink: inks.ink } });
    const ground = await this.shot({ until: { id: l.id, ink: inks.ground } });
    // What lies under it, and the layer itself, may each end half a px further on: its tiles are a few px high.
    const shifts = [0, -1, 1].flatMap((x) => [0, -1, 1].map((y) => ({ x, y })));
    const all = shifts.map(({ x, y }) => contrastOf(ink, ground, { ...seen, x: seen.x + x, y: seen.y + y }));
    const expected = Math.max(Math.min(...all), Math.min(Math.max(...all), figure));
    this.checks.push(check(`contrast of ${l.id}`, figure, expected, TOLERANCE.contrast * expected));
  }

  private async pictureContrast(l: PictureResult): Promise<void> {
    const file = this.random.files.find((f) => f.hash === l.rendition.hash)!;
    const isOpaque = file.raster.data.every((v, i) => i % 4 !== 3 || v === 255);
    const tint = l.tint;
    const { ink, border } = inkColours(file.raster);
    // Where the ink lies is seen of a picture that is nothing but its box.
    const box = inkBoxOf(file.raster, tint !== null && isOpaque);
    const png = await encodeRaster(box);
    const address = this.painter.file(`${this.random.seed}-${l.id}-ink.png`, png);
    const addressOf = (hash: string) => (hash === l.rendition.hash ? address : this.files.own.get(hash)!);
    const { bounds } = await this.counted(l.id, addressOf, [address]);
    await this.contrast(l, bounds, { ink: tint ?? ink, ground: tint || !isOpaque ? null : border });
  }

  /** A text’s letters take as much room as its lines are wide and high, where they are seen. */
  private async textContrast(l: TextResult): Promise<void> {
    if (!l.placement.visible) return;
    const { x, y, width, height } = l.placement.visible;
    const { scale } = this.random;
    const seen = { x: x * scale, y: y * scale, width: width * scale, height: height * scale };
    await this.contrast(l, seen, { ink: l.colour, ground: null });
  }

  async run(): Promise<Check[]> {
    if (hangsOnRounding(this.random, this.result)) return [];
    const css = await this.shot();
    await this.layout();
    await this.paint(css);
    const glass = await this.shot({ scene: { ...this.random.scene, layers: [] }, glass: true });
    for (const l of this.placed()) {
      if (l.kind === 'picture') {
        const c = await this.counted(l.id, (hash) => this.files.ramps.get(hash)!);
        this.losses(l, c);
        // Copies and their gaps are not one drawing.
        if (!l.placement.tiles.x && !l.placement.tiles.y) await this.place(l, c, glass);
        if (l.role === 'logo') await this.pictureContrast(l);
      }
      if (l.kind === 'text') await this.textContrast(l);
    }
    return this.checks;
  }
}

/**
 * Everything of one random scene that is off what a browser engine lays out and paints, and everything that is not; nothing
 * where it hangs on rounding how a text breaks or how often a picture is repeated.
 */
export async function compareScene(random: RandomScene, painter: Painter): Promise<Check[]> {
  const { screen, scale, seed } = random;
  const named = (suffix: string, of: (f: MadeFile) => Buffer) =>
    new Map(random.files.map((f) => [f.hash, painter.file(`${seed}-${f.picture.id}-${suffix}.png`, of(f))]));
  const files = { own: named('own', (f) => f.png), ramps: named('ramp', (f) => f.ramp) };
  const all = [...files.own.values(), ...files.ramps.values()];
  const page = await painter.sized(screen.width, screen.height, scale, all);
  try {
    return await new Truth(random, painter, page, files).run();
  } finally {
    await page.context().close();
  }
}
