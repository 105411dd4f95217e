import { readFileSync } from 'node:fs';
import { parseArgs } from 'node:util';
import { casesOf, type Case } from '../src/core/screens/cases';
import { readCatalogue } from '../src/core/screens/catalogue';
import { turnedSize } from '../src/core/screens/turn';
import { Painter } from './browser';
import { comparePage } from './css-compare';
import { PageOnScreens } from './css-layout';
import { pageScene } from './css-scenes';
import { tally } from './css-tally';

/**
 * Writes random scenes as pages of CSS, has Chromium lay them out on many screens with their insets and bars, and holds
 * every box and some pictures against the core. Prints what is off and what was drawn; ends with 1 when anything is off.
 */
const { values } = parseArgs({
  options: {
    seed: { type: 'string', default: '1' },
    scenes: { type: 'string', default: '200' },
    screens: { type: 'string', default: '30' },
  },
});
const [seed, scenes, count] = [Number(values.seed), Number(values.scenes), Number(values.screens)];
const catalogue = readCatalogue(JSON.parse(readFileSync('data/screens.json', 'utf8')));
const screens = Array.from(
  { length: count },
  (_, i) => catalogue[Math.floor((i * catalogue.length) / count)]!,
);

/** Upright and turned, light and dark by turns. */
const cases: Case[] = screens.flatMap((screen, i) =>
  casesOf([screen], [i % 2 === 0 ? 'light' : 'dark']).filter((c) => c.rotation === 0 || c.rotation === 90),
);
const px = (c: Case) => {
  const { width, height } = turnedSize(c.screen, c.rotation);
  return width * height * c.screen.density ** 2;
};
const small = cases.filter((c) => px(c) < 1_500_000);

const painter = await Painter.open();
const rules = new Map<string, number>();
const drawn = new Map<string, number>();
let [boxes, painted, left, off, furthest, differs] = [0, 0, 0, 0, 0, 0];
try {
  const shown = await PageOnScreens.open(await painter.blank());
  for (let i = 0; i < scenes; i++) {
    const made = await pageScene(seed * 1000 + i);
    const toPaint = [small[i % small.length]!, small[(i * 7 + 3) % small.length]!];
    const check = await comparePage(made, { painter, shown, screens, cases, toPaint });
    for (const said of check.off) console.log(said);
    for (const { rule } of check.notSaid) {
      const kind = rule.replace(/“.*”/, '…');
      rules.set(kind, (rules.get(kind) ?? 0) + 1);
    }
    tally(made.scene, drawn);
    boxes += check.boxes;
    painted += check.painted;
    left += check.notSaid.length;
    off += check.off.length;
    furthest = Math.max(furthest, check.furthest);
    differs = Math.max(differs, check.differs);
    if ((i + 1) % 20 === 0) console.error(`${i + 1} of ${scenes} scenes, ${off} off`);
  }
} finally {
  await painter.close();
}
console.log(
  `drawn: ${[...drawn]
    .toSorted()
    .map(([what, n]) => `${n} × ${what}`)
    .join(', ')}`,
);
for (const [rule, n] of rules) console.log(`not said, ${n} ×: ${rule}`);
console.log(
  `${scenes} scenes on ${screens.length} screens, ${cases.length} cases: ${boxes} boxes, at most ${furthest.toFixed(3)} device px off; ${painted} pictures, at most ${(differs * 100).toFixed(2)} % off; ${left} layers not said; ${off} off`,
);
process.exitCode = off > 0 ? 1 : 0;
