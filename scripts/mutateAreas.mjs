/** All code of a folder of the core without its tests. */
const code = (...folders) =>
  folders.flatMap((folder) => [
    `core/src/${folder}/*.ts`,
    `!core/src/${folder}/*.test.ts`,
    `!core/src/${folder}/index.ts`,
  ]);

/** What decides about a finding is held by its own tests, and by the examples of whole plans that are quick. */
const OF_APPROACHES = [
  'src/approach/**/*.test.ts',
  'src/damage/**/*.test.ts',
  'src/plan/{trade,examples,byHand,shield,lengthen,replan}.test.ts',
  'src/plan/together/together.test.ts',
];

/**
 * What is changed on purpose, area by area, and the tests that have to notice; test files are named as the core sees them.
 * @type {Record<string, { mutate: string[], tests: string[] }>}
 */
export const AREAS = {
  sizing: { mutate: code('sizing'), tests: ['src/sizing/**/*.test.ts'] },
  families: {
    mutate: [...code('family/*'), '!core/src/family/*/looks.ts'],
    tests: [
      'src/family/**/*.test.ts',
      'src/method/joints.test.ts',
      'src/method/forItsPlace.test.ts',
      'src/method/joined.test.ts',
      'src/bench/*.test.ts',
    ],
  },
  rulings: { mutate: code('prove', 'prove/kinds'), tests: ['src/prove/**/*.test.ts'] },
  rules: {
    mutate: [...code('method', 'method/rules'), '!core/src/method/rules/reasons.ts'],
    tests: ['src/method/**/*.test.ts'],
  },
  approaches: { mutate: code('approach'), tests: OF_APPROACHES },
  ways: { mutate: code('approach/ways'), tests: OF_APPROACHES },
  ends: { mutate: code('approach/ends'), tests: ['src/approach/ends/*.test.ts'] },
  damage: { mutate: code('damage', 'damage/kinds'), tests: OF_APPROACHES },
};
