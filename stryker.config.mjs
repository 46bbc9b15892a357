import { AREAS } from './scripts/mutateAreas.mjs';

// One area at a time, with its own tests only: the tests of a room import through every room's index, so that nothing
// narrows them by itself. `npm run mutate` sets the area.
const area = AREAS[process.env.MUTATE_AREA ?? 'sizing'];

/** @type {import('@stryker-mutator/api/core').PartialStrykerOptions} */
export default {
  testRunner: 'vitest',
  vitest: { configFile: 'vitest.stryker.config.ts' },
  coverageAnalysis: 'perTest',
  mutate: area.mutate,
  // Words are read by people, and held by tests only where a figure stands in them.
  mutator: { excludedMutations: ['StringLiteral'] },
  concurrency: 2,
  timeoutMS: 60_000,
  reporters: ['clear-text', 'json'],
  clearTextReporter: { logTests: false, allowColor: false, allowEmojis: false, reportTests: false },
  jsonReporter: { fileName: `reports/mutation/${process.env.MUTATE_AREA ?? 'sizing'}.json` },
  ignorePatterns: ['data', '**/dist', 'docs', 'e2e', 'web', 'server', 'reports'],
  disableTypeChecks: false,
};
