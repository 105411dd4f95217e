// The command line in one file, so that it starts at once; packages stay where they are.
import path from 'node:path';
import { build } from 'esbuild';

const root = path.resolve(import.meta.dirname, '..');

await build({
  absWorkingDir: root,
  entryPoints: ['src/cli/main.ts'],
  outfile: '.next/coulee.mjs',
  bundle: true,
  platform: 'node',
  format: 'esm',
  target: 'node20',
  packages: 'external',
  tsconfig: 'tsconfig.json',
  logLevel: 'warning',
});
