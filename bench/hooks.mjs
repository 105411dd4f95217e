import { existsSync, readFileSync, statSync } from 'node:fs';
import path from 'node:path';
import { fileURLToPath, pathToFileURL } from 'node:url';
import { transformSync } from '@swc/core';

const SOURCE = path.resolve(import.meta.dirname, '..', 'src');
const isFile = (file) => existsSync(file) && statSync(file).isFile();

export function resolve(specifier, context, next) {
  const local = specifier.startsWith('.') || specifier.startsWith('@/');
  if (!local || !context.parentURL) return next(specifier, context);
  const base = specifier.startsWith('@/')
    ? path.join(SOURCE, specifier.slice(2))
    : path.resolve(path.dirname(fileURLToPath(context.parentURL)), specifier);
  const file = [base, `${base}.ts`, `${base}.tsx`].find(isFile);
  return file ? { url: pathToFileURL(file).href, shortCircuit: true } : next(specifier, context);
}

export function load(url, context, next) {
  if (url.endsWith('.json')) {
    return {
      format: 'module',
      source: `export default ${readFileSync(fileURLToPath(url), 'utf8')}`,
      shortCircuit: true,
    };
  }
  if (!/\.tsx?$/.test(url)) return next(url, context);
  const { code } = transformSync(readFileSync(fileURLToPath(url), 'utf8'), {
    swcrc: false,
    jsc: { parser: { syntax: 'typescript', tsx: url.endsWith('x') }, target: 'es2022' },
    module: { type: 'es6' },
  });
  return { format: 'module', source: code, shortCircuit: true };
}
