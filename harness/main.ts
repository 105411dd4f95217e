import { parseArgs } from 'node:util';
import { attacks } from './attacks';
import { big } from './big';
import { faults } from './faults';
import { fuzz } from './fuzz';
import { kill } from './kill';
import { load } from './load';
import { say, type Seen } from './report';

/** What is thrown at the built server, each with how much of it there is when nobody says. */
const RUNS: Record<string, { count: number; run: (seed: number, count: number) => Promise<Seen[]> }> = {
  kill: { count: 100, run: kill },
  fuzz: { count: 1500, run: fuzz },
  faults: { count: 1, run: faults },
  load: { count: 60, run: load },
  attacks: { count: 1, run: attacks },
  big: { count: 1, run: big },
};

const { values, positionals } = parseArgs({
  allowPositionals: true,
  options: { seed: { type: 'string', default: '1' }, count: { type: 'string' } },
});
const chosen = RUNS[positionals[0] ?? ''];
const seed = Number(values.seed);
const count = Number(values.count ?? chosen?.count);
if (!chosen || !Number.isInteger(seed) || !(count >= 1)) {
  console.error(
    'Say what: npm run harness -- kill|fuzz|faults|load|attacks|big [--seed N] [--count N]\nThe count is of kills, of inputs, or of seconds under load.',
  );
  process.exit(2);
}
const found = await chosen.run(seed, count);
for (const line of found) console.log(say(line));
process.exitCode = found.every((s) => s.kept) ? 0 : 1;
