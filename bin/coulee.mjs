#!/usr/bin/env node
// The command line of Coulee: runs the TypeScript sources where the product lies, from wherever it is called.
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { register } from 'tsx/esm/api';

const folder = path.dirname(path.dirname(fileURLToPath(import.meta.url)));
process.env.COULEE_FOLDER = folder;
process.env.TSX_TSCONFIG_PATH ??= path.join(folder, 'tsconfig.json');
register();
await import('../src/cli/main.ts');
