// What the framework does not build: the command line and what runs on a real screen, each in one file, and what draws.
import path from 'node:path';
import { build } from 'esbuild';
import { builtDrawing, root } from './lib.mjs';

const common = { absWorkingDir: root, bundle: true, tsconfig: 'tsconfig.json', logLevel: 'warning' };
/** It starts at once; packages stay where they are. */
const forNode = { ...common, platform: 'node', format: 'esm', target: 'node20', packages: 'external' };

/**
 * Builds the process that decodes and draws; each task is loaded when it is asked for. It has to lie within the product, where its
 * packages are found.
 * @param {string} folder @returns {Promise<string>} the file that is run
 */
export async function buildDrawing(folder) {
  const outExtension = { '.js': '.mjs' };
  await build({
    ...forNode,
    entryPoints: ['src/server/drawing/child.ts'],
    outdir: folder,
    splitting: true,
    outExtension,
  });
  return path.resolve(root, folder, 'child.mjs');
}

if (process.argv[1] === import.meta.filename) {
  await build({ ...forNode, entryPoints: ['src/cli/main.ts'], outfile: '.next/coulee.mjs' });
  await buildDrawing(path.dirname(builtDrawing));
  await build({
    ...common,
    entryPoints: ['src/real-screen/main.ts'],
    outfile: '.next/real-screen.js',
    minify: true,
    platform: 'browser',
    format: 'iife',
    target: 'es2022',
  });
}
