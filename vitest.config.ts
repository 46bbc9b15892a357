import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    // Left alone, a machine of two cores gets one worker.
    maxWorkers: 2,
    projects: [
      {
        test: {
          name: 'core',
          root: 'core',
          include: ['src/**/*.test.ts'],
          environment: 'node',
          // The core keeps nothing between calls, so its files need no process of their own each.
          isolate: false,
          testTimeout: 180_000,
        },
      },
      {
        test: {
          name: 'server',
          root: 'server',
          include: ['src/**/*.test.ts'],
          environment: 'node',
          testTimeout: 120_000,
          hookTimeout: 120_000,
        },
      },
      'web/vitest.config.ts',
    ],
  },
});
