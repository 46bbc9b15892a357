import { defineConfig } from 'vitest/config';
import { AREAS } from './scripts/mutateAreas.mjs';

export default defineConfig({
  test: {
    root: 'core',
    include: AREAS[process.env.MUTATE_AREA ?? 'sizing'].tests,
    environment: 'node',
    testTimeout: 120_000,
  },
});
