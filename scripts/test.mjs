// npm test: installs what is missing, runs every check and suite, and closes with one line of totals.
import './node-version.mjs';
import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import path from 'node:path';
import { bin, build, env, install, root, run } from './lib.mjs';

const RESULTS = path.join(root, 'test-results');
const CHROMIUM = ['/usr/bin/chromium', '/usr/bin/chromium-browser'];
const total = { passed: 0, failed: 0 };
let begun = Date.now();

function record(name, passed, failed) {
  total.passed += passed;
  total.failed += failed;
  const seconds = Math.round((Date.now() - begun) / 1000);
  begun = Date.now();
  console.log(`${failed > 0 ? 'FAILED' : 'ok'}  ${name}: ${passed} passed, ${failed} failed, ${seconds} s\n`);
}

/** A check that passes or fails as a whole. */
function check(name, command, args) {
  console.log(`— ${name}`);
  const ok = run(command, args);
  record(name, ok ? 1 : 0, ok ? 0 : 1);
  return ok;
}

const tool = (file, ...args) => [process.execPath, [bin(file), ...args]];

/** Debian's Chromium, installed when it is missing and that is possible. */
function chromium() {
  const found = () => [process.env.CHROMIUM, ...CHROMIUM].find((file) => file && existsSync(file));
  if (found()) return found();
  console.log('Installing Chromium…');
  const apt = (...args) => run('apt-get', args, { env: { ...env, DEBIAN_FRONTEND: 'noninteractive' } });
  if (apt('update', '-q')) apt('install', '-y', '-q', '--no-install-recommends', 'chromium');
  return found();
}

/** A suite that writes a JSON report; one that leaves none counts as a failure. */
function suite(name, file, args, report, count) {
  console.log(`— ${name}`);
  rmSync(report, { force: true });
  const extra = { ...env, PLAYWRIGHT_JSON_OUTPUT_FILE: report, CHROMIUM: browser };
  const { status } = spawnSync(process.execPath, [bin(file), ...args], {
    cwd: root,
    env: extra,
    stdio: 'inherit',
  });
  const { passed, failed } = existsSync(report)
    ? count(JSON.parse(readFileSync(report, 'utf8')))
    : { passed: 0, failed: 1 };
  record(name, passed, status !== 0 && failed === 0 ? 1 : failed);
}

install();
mkdirSync(RESULTS, { recursive: true });
const browser = chromium();

check('ESLint', ...tool('eslint/bin/eslint.js', '.'));
check('Prettier', ...tool('prettier/bin/prettier.cjs', '--check', '--log-level', 'warn', '.'));
check('route types', ...tool('next/dist/bin/next', 'typegen'));
check('types', ...tool('typescript7/bin/tsc', '-p', '.'));
check(
  'import rules',
  ...tool('dependency-cruiser/bin/dependency-cruise.mjs', 'src', '--config', '.dependency-cruiser.mjs'),
);
check('nothing unused', ...tool('knip/bin/knip.js'));
check('notices', process.execPath, [path.join(root, 'scripts', 'notices.mjs'), '--check']);

check('command line', process.execPath, [path.join(root, 'scripts', 'build-parts.mjs')]);

const jestReport = path.join(RESULTS, 'jest.json');
suite('unit tests', 'jest/bin/jest.js', ['--json', `--outputFile=${jestReport}`], jestReport, (r) => ({
  passed: r.numPassedTests,
  failed: r.numFailedTests + r.numRuntimeErrorTestSuites,
}));

if (!browser) {
  console.error('No Chromium was found, and Debian’s could not be installed: the browser tests cannot run.');
  record('browser tests', 0, 1);
} else if (!build()) {
  record('build', 0, 1);
} else {
  record('build', 1, 0);
  const report = path.join(RESULTS, 'browser.json');
  suite(
    'browser tests',
    '@playwright/test/cli.js',
    ['test', '--reporter=list,json'],
    report,
    ({ stats }) => ({
      passed: stats.expected,
      failed: stats.unexpected + stats.flaky,
    }),
  );
}

console.log(`${total.passed} passed, ${total.failed} failed`);
process.exitCode = total.failed > 0 ? 1 : 0;
