// What the start and test scripts share. Plain Node: it runs before anything is installed.
import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';

export const root = path.resolve(import.meta.dirname, '..');
export const env = { ...process.env, NEXT_TELEMETRY_DISABLED: '1' };
/** The process that decodes and draws, as `build-parts.mjs` builds it. */
export const builtDrawing = path.join(root, '.next', 'drawing', 'child.mjs');
export const bin = (name) => path.join(root, 'node_modules', name);

/** Runs a command to its end with its output shown; returns whether it succeeded. */
export function run(command, args, options = {}) {
  return spawnSync(command, args, { cwd: root, env, stdio: 'inherit', ...options }).status === 0;
}

const readJson = (file) => (existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')) : null);

/** Whether every package of the lock file is there in its version; optional ones of other platforms may be missing. */
function installed() {
  const lock = readJson(path.join(root, 'package-lock.json'));
  const there = readJson(path.join(root, 'node_modules', '.package-lock.json'));
  if (!there) return false;
  return Object.entries(lock.packages).every(
    ([name, entry]) =>
      name === '' || (there.packages[name] ? there.packages[name].version === entry.version : entry.optional),
  );
}

/** Installs what the lock file says, if that is not what is there. */
export function install() {
  if (installed()) return;
  console.log('Installing packages (a few minutes the first time)…');
  if (!run('npm', ['ci', '--no-audit', '--no-fund'])) {
    console.error('npm ci failed; its messages stand above.');
    process.exit(1);
  }
}

const SOURCES = ['src', 'demo', 'data', 'next.config.ts', 'tsconfig.json', 'package-lock.json'];
const STAMP = path.join(root, '.next', 'coulee-sources');

function filesBelow(entry) {
  const full = path.join(root, entry);
  if (!existsSync(full)) return [];
  const names = readdirSync(full, { withFileTypes: true });
  return names.flatMap((n) =>
    n.isDirectory() ? filesBelow(path.join(entry, n.name)) : [path.join(entry, n.name)],
  );
}

/** A hash over names and contents of all sources: also a deleted file or an older checkout changes it. */
function sourcesHash() {
  const hash = createHash('sha256');
  const files = SOURCES.flatMap((s) => (path.extname(s) ? [s] : filesBelow(s)));
  for (const file of files.sort())
    hash
      .update(file)
      .update('\0')
      .update(readFileSync(path.join(root, file)));
  return hash.digest('hex');
}

/** Builds when the build was made from other sources. Returns whether there is a build now. */
export function build() {
  const hash = sourcesHash();
  const built = existsSync(path.join(root, '.next', 'BUILD_ID'));
  if (built && existsSync(STAMP) && readFileSync(STAMP, 'utf8') === hash) return true;
  console.log(built ? 'The sources have changed, building…' : 'Building (about a minute)…');
  if (!run(process.execPath, [bin('next/dist/bin/next'), 'build'])) return false;
  if (!run(process.execPath, [path.join(root, 'scripts', 'build-parts.mjs')])) return false;
  mkdirSync(path.dirname(STAMP), { recursive: true });
  writeFileSync(STAMP, hash);
  return true;
}
