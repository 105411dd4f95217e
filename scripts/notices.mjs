// Says whose work the product contains, and under which licences, as the lock file has it: writes NOTICES.md, or with --check fails
// where it is not as it would be written.
import { readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { root } from './lib.mjs';

const file = path.join(root, 'NOTICES.md');
const { packages } = JSON.parse(readFileSync(path.join(root, 'package-lock.json'), 'utf8'));

/** Packages that are part of the product when it runs; those it is built and tested with are not. */
const used = Object.entries(packages)
  .filter(([place, { dev }]) => place !== '' && !dev)
  .map(([place, { version, license }]) => ({
    name: place.slice(place.lastIndexOf('node_modules/') + 'node_modules/'.length),
    version,
    license: license ?? 'see the package',
  }));

const byLicense = new Map();
for (const { name, version, license } of used) {
  const list = byLicense.get(license) ?? new Set();
  byLicense.set(license, list.add(`${name} ${version}`));
}

const sections = [...byLicense]
  .sort(([a], [b]) => a.localeCompare(b, 'en'))
  .map(([license, names]) => `## ${license}\n\n${[...names].sort().join(', ')}\n`);

const text = `# Notices

What is not ours in the product when it runs, by licence, made from \`package-lock.json\` by \`node scripts/notices.mjs\`. The text of
each licence lies in the package, under \`node_modules\`.

The library that reads and writes pictures (\`@img/sharp-libvips-…\`) is under the LGPL: it is a file of its own that can be replaced by
another build of it. The fonts are under the SIL Open Font License: they may be passed on with the product, and not sold by themselves.

${sections.join('\n')}`;

if (process.argv.includes('--check')) {
  const isCurrent = readFileSync(file, 'utf8') === text;
  if (!isCurrent) console.error('NOTICES.md is not what is installed: node scripts/notices.mjs');
  process.exitCode = isCurrent ? 0 : 1;
} else writeFileSync(file, text);
