// npm run build: builds where what was built is of other sources.
import './node-version.mjs';
import { build, install } from './lib.mjs';

install();
process.exitCode = build() ? 0 : 1;
