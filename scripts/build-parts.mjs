// What the framework does not build: the command line, and what runs on a real screen, each in one file.
import path from 'node:path';
import { build } from 'esbuild';

const root = path.resolve(import.meta.dirname, '..');

/** It starts at once; packages stay where they are. */
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

await build({
  absWorkingDir: root,
  entryPoints: ['src/real-screen/main.ts'],
  outfile: '.next/real-screen.js',
  bundle: true,
  minify: true,
  platform: 'browser',
  format: 'iife',
  target: 'es2022',
  tsconfig: 'tsconfig.json',
  logLevel: 'warning',
});
