// npm run test:full: what repeats at scale what npm test does a few times; hours on a small machine. Ends with one line of totals.
import './node-version.mjs';
import { mkdirSync, rmSync } from 'node:fs';
import path from 'node:path';
import { build, env, install, root, run } from './lib.mjs';

const SEED = process.env.SEED ?? '1';
const STORE = path.join(root, 'test-results', 'store-full');
const sources = (...args) => ['--import', 'tsx', ...args];

/** Each with what it is called, and how it is run. */
const RUNS = [
  ['scenes against a browser engine', sources('truth/main.ts', '--seed', SEED, '--scenes', '1000')],
  ['pages of CSS against our own layout', sources('truth/css.ts', '--seed', SEED)],
  [
    'screenshots, and what they are taken for',
    sources('truth/screenshots.ts', '--seed', SEED, '--count', '300'),
  ],
  ['a server that is killed', sources('harness/main.ts', 'kill', '--seed', SEED)],
  ['inputs that are wrong', sources('harness/main.ts', 'fuzz', '--seed', SEED)],
  ['stores that are', sources('harness/main.ts', 'faults')],
  ['fifty clients for two minutes', sources('harness/main.ts', 'load', '--seed', SEED, '--count', '120')],
  ['what is sent to silence a server', sources('harness/main.ts', 'attacks')],
  ['the largest projects', sources('harness/main.ts', 'big')],
];

install();
if (!build()) process.exit(1);
rmSync(STORE, { recursive: true, force: true });
mkdirSync(STORE, { recursive: true });
const withStore = { env: { ...env, STORE_DIR: STORE } };
if (!run(process.execPath, sources('scripts/prepare.ts'), withStore)) process.exit(1);

const total = { passed: 0, failed: 0 };
for (const [name, args] of RUNS) {
  console.log(`— ${name}`);
  const begun = Date.now();
  const ok = run(process.execPath, args, withStore);
  total[ok ? 'passed' : 'failed']++;
  console.log(`${ok ? 'ok' : 'FAILED'}  ${name}: ${Math.round((Date.now() - begun) / 1000)} s\n`);
}
console.log(`${total.passed} passed, ${total.failed} failed`);
process.exitCode = total.failed > 0 ? 1 : 0;
