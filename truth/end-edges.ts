import sharp from 'sharp';
import { Painter } from './browser';
import { countRamp } from './count';
import { randomOf, type Random } from './random';

/**
 * Prints cases of CSS positions that count from the right or the bottom edge, as Chromium paints them: one JSON object a
 * line, as data/conformance has them. `node --import tsx truth/end-edges.ts > data/conformance/end-edge-cases.jsonl`
 */
const CASES = 120;
/** Edges of backgrounds end on whole px: everything is painted so many times as large. */
const TIMES = 8;
const TOLERANCE = 0.5 / TIMES + 0.03;

function offset(random: Random): string {
  const amount = random.chance(0.5) ? `${random.tenth(0, 100)}%` : `${random.whole(0, 60)}px`;
  return random.chance(0.15) ? '' : amount;
}

function position(random: Random): string {
  const [x, y] = [random.pick(['right', 'right', 'left']), random.pick(['bottom', 'bottom', 'top'])];
  if (random.chance(0.2))
    return `calc(100% - ${random.whole(0, 40)}px) calc(${random.whole(10, 90)}% + ${random.whole(0, 20)}px)`;
  // With one offset only, three parts are allowed; with none, two.
  const parts = [`${x} ${offset(random)}`.trim(), `${y} ${offset(random)}`.trim()];
  return (random.chance(0.3) ? parts.reverse() : parts).join(' ');
}

const painter = await Painter.open();
try {
  const random = randomOf(16);
  for (let i = 0; i < CASES; i++) {
    const box = { width: random.tenth(80, 240), height: random.tenth(80, 240) };
    const natural = { width: random.whole(20, 150), height: random.whole(20, 150) };
    const data = Buffer.alloc(natural.width * natural.height * 4);
    for (let k = 0; k < data.length / 4; k++) {
      const [x, y] = [k % natural.width, Math.floor(k / natural.width)];
      data.set([((x + 0.5) / natural.width) * 255, ((y + 0.5) / natural.height) * 255, 0, 255], k * 4);
    }
    const png = await sharp(data, { raw: { ...natural, channels: 4 } })
      .png()
      .toBuffer();
    const address = painter.file(`end-${i}.png`, png);
    const page = await painter.sized(400 * TIMES, 400 * TIMES, 1, [address]);
    const at = position(random);
    const large = at.replaceAll(/(-?[\d.]+)px/g, (_, px: string) => `${Number(px) * TIMES}px`);
    const px = (length: number) => `${length * TIMES}px`;
    const css = `position:absolute;left:${px(80)};top:${px(80)};width:${px(box.width)};height:${px(box.height)}`;
    const how = `${large} / ${px(natural.width)} ${px(natural.height)} no-repeat`;
    await painter.show(page, `<div id="screen" style="${css};background:url('${address}') ${how}"></div>`);
    const { bounds } = countRamp(await painter.shot(page, { width: 400 * TIMES, height: 400 * TIMES }));
    await page.context().close();
    if (!bounds) continue;
    // Only where nothing is cut off does the first px say where the drawing starts.
    const isWhole =
      bounds.width / TIMES > natural.width - 0.01 && bounds.height / TIMES > natural.height - 0.01;
    if (!isWhole) continue;
    const rule = { kind: 'background', size: 'auto', position: at, repeat: 'no-repeat' };
    const round = (v: number) => Math.round(v * 1e4) / 1e4;
    console.log(
      JSON.stringify({
        id: `end-${String(i).padStart(4, '0')}`,
        rule,
        natural,
        box,
        dpr: 1,
        expected: {
          drawn: { x: round(bounds.x / TIMES - 80), y: round(bounds.y / TIMES - 80), ...natural },
          visibleSource: { x: 0, y: 0, ...natural },
        },
        tolerance: TOLERANCE,
        toleranceSource: 2 * TOLERANCE,
        measuredBy: 'pixels',
      }),
    );
  }
} finally {
  await painter.close();
}
