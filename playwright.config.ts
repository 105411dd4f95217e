import { defineConfig } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { addressOf, portOf, PREPARED, WORKERS } from './e2e/servers';

const args = JSON.parse(readFileSync('e2e/chromium-flags.json', 'utf8')) as string[];

/** They are started one after another: the first prepares what all of them begin with. */
const PREPARE = `rm -rf ${PREPARED} && STORE_DIR=${PREPARED} node --import tsx e2e/prepare-store.ts`;

/** The server of one worker with a store of its own. */
function serverOf(worker: number) {
  const store = `test-results/store-${worker}`;
  const prepare = worker === 0 ? `${PREPARE} && ` : '';
  return {
    command: `${prepare}rm -rf ${store} && cp -r ${PREPARED} ${store} && exec node scripts/start.mjs`,
    url: `${addressOf(worker)}/api/v1/health`,
    env: {
      PORT: String(portOf(worker)),
      STORE_DIR: store,
      LOG_LEVEL: 'error',
      // The one server that pictures may be fetched from although it is not public.
      FETCH_ALLOWED: '127.0.0.1:3199',
    },
    timeout: 240_000,
    reuseExistingServer: false,
    gracefulShutdown: { signal: 'SIGTERM' as const, timeout: 5_000 },
  };
}

export default defineConfig({
  testDir: 'e2e',
  testMatch: '**/*.e2e.ts',
  outputDir: 'test-results/browser',
  workers: WORKERS,
  // What is asserted is results: a busy machine may take its time.
  timeout: 120_000,
  expect: { timeout: 30_000 },
  forbidOnly: true,
  use: {
    viewport: { width: 1280, height: 800 },
    launchOptions: { executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium', args },
  },
  // They are started one after another: the first builds where that is needed.
  webServer: Array.from({ length: WORKERS }, (_, worker) => serverOf(worker)),
});
