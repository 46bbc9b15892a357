import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { defineConfig } from '@playwright/test';
import { SIGNING_IN_PORT } from './bench.ts';

const PORT = 4655;

/** A server of the tests' own, begun anew. */
const serverAt = (port: number) => ({
  command: 'node server/dist/main.js --demo --fresh',
  cwd: '..',
  url: `http://127.0.0.1:${port}/api/health`,
  env: {
    PORT: String(port),
    MENDUM_DATA: join(tmpdir(), `mendum-e2e-${process.pid}-${port}`),
    MENDUM_BACKUPS: join(tmpdir(), `mendum-e2e-${process.pid}-${port}-backups`),
    LOG_LEVEL: 'error',
  },
  timeout: 120_000,
  gracefulShutdown: { signal: 'SIGTERM' as const, timeout: 5000 },
});

export default defineConfig({
  testDir: '.',
  timeout: 480_000,
  expect: { timeout: 20_000 },
  workers: 1,
  outputDir: 'test-results',
  projects: [
    { name: 'walks', testMatch: 'walks/*.spec.ts' },
    { name: 'screenshots', testMatch: 'screenshots/*.spec.ts' },
  ],
  use: {
    baseURL: `http://127.0.0.1:${PORT}`,
    viewport: { width: 1280, height: 800 },
    acceptDownloads: true,
    // What cannot be pressed is said long before the walk runs out of time.
    actionTimeout: 120_000,
    launchOptions: {
      executablePath: '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
  webServer: [serverAt(PORT), serverAt(SIGNING_IN_PORT)],
});
