import { defineConfig } from '@playwright/test';
import { readFileSync } from 'node:fs';

const args = JSON.parse(readFileSync('e2e/chromium-flags.json', 'utf8')) as string[];
const port = Number(process.env.E2E_PORT ?? 3107);

export default defineConfig({
  testDir: 'e2e',
  testMatch: '**/*.e2e.ts',
  outputDir: 'test-results/browser',
  workers: 1,
  timeout: 90_000,
  expect: { timeout: 15_000 },
  forbidOnly: true,
  use: {
    baseURL: `http://127.0.0.1:${port}`,
    viewport: { width: 1280, height: 800 },
    launchOptions: { executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium', args },
  },
  webServer: {
    command:
      'rm -rf test-results/store && node --import tsx e2e/prepare-store.ts && exec node scripts/start.mjs',
    url: `http://127.0.0.1:${port}/api/health`,
    env: {
      PORT: String(port),
      STORE_DIR: 'test-results/store',
      LOG_LEVEL: 'error',
      // The one server that pictures may be fetched from although it is not public.
      FETCH_ALLOWED: '127.0.0.1:3199',
    },
    timeout: 240_000,
    reuseExistingServer: false,
    gracefulShutdown: { signal: 'SIGTERM', timeout: 5_000 },
  },
});
