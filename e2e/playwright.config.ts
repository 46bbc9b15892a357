import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { defineConfig } from '@playwright/test';

const PORT = 4655;

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
  webServer: {
    command: 'node server/dist/main.js --demo --fresh',
    cwd: '..',
    url: `http://127.0.0.1:${PORT}/api/health`,
    env: {
      PORT: String(PORT),
      MENDUM_DATA: join(tmpdir(), `mendum-e2e-${process.pid}`),
      MENDUM_BACKUPS: join(tmpdir(), `mendum-e2e-${process.pid}-backups`),
      LOG_LEVEL: 'error',
    },
    timeout: 120_000,
    gracefulShutdown: { signal: 'SIGTERM', timeout: 5000 },
  },
});
