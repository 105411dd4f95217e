import { parseArgs } from 'node:util';
import { Painter } from './browser';
import { compareScene, type Check } from './compare';
import { randomScene } from './scenes';

/**
 * Draws random scenes, has Chromium lay out and paint each as a page that is written without the product’s own resolver,
 * fit and painter, and compares. Prints a line for each figure that is off, and a summary; ends with 1 when any is.
 */
const { values } = parseArgs({
  options: { seed: { type: 'string', default: '1' }, scenes: { type: 'string', default: '40' } },
});
const seed = Number(values.seed);
const scenes = Number(values.scenes);
if (!Number.isInteger(seed) || !Number.isInteger(scenes) || scenes < 1) {
  console.error('Say which scenes: npm run --silent truth -- --seed 1 --scenes 40');
  process.exit(2);
}

/** “contrast of words” and “contrast of logo” are figures of one kind. */
const kindOf = ({ what }: Check) => what.replace(/(,? of|,) [a-z]+(-[a-z]+)*$/, '');

const painter = await Painter.open();
const kinds = new Map<string, { count: number; off: number; worst: number }>();
let failed = 0;
let doubtful = 0;
try {
  for (let i = 0; i < scenes; i++) {
    const random = await randomScene(seed * 100_000 + i);
    const checks = await compareScene(random, painter).catch((error: unknown): Check[] => [
      { what: 'a scene that could not be compared', off: Infinity, said: String(error) },
    ]);
    if (checks.length === 0) doubtful++;
    if ((i + 1) % 50 === 0) console.error(`${i + 1} of ${scenes} scenes, ${failed} figures off`);
    for (const c of checks) {
      const kind = kinds.get(kindOf(c)) ?? { count: 0, off: 0, worst: 0 };
      kinds.set(kindOf(c), kind);
      kind.count++;
      kind.worst = Math.max(kind.worst, c.off);
      if (c.off <= 1) continue;
      kind.off++;
      failed++;
      console.log(
        `scene ${random.seed} (${random.screen.caseId} at ${random.scale}): ${c.said}, ${c.off.toFixed(2)} tolerances`,
      );
    }
  }
} finally {
  await painter.close();
}
for (const [kind, { count, off, worst }] of [...kinds].toSorted())
  console.log(`${kind}: ${count} compared, ${off} off, at most ${worst.toFixed(2)} tolerances`);
console.log(`${scenes} scenes, ${doubtful} of them left out as they hang on rounding, ${failed} figures off`);
process.exitCode = failed > 0 ? 1 : 0;
