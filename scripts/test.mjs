import { existsSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { buildAll, ensureChromium, ensurePackages, run, runBeside } from './setup.mjs';

// npm test: types, format, lint, unit, server and browser tests, and a closing line that counts them.
ensurePackages();
ensureChromium();
let passed = 0;
let failed = 0;
const names = [];
const count = (good, bad, which = []) => {
  passed += good;
  failed += bad;
  names.push(...which);
};

/** Runs a test runner that leaves a report; without one the run as a whole counts as one failure. */
function runWithReport(name, script, args, env, read) {
  const report = join(tmpdir(), `mendum-${name}-${process.pid}.json`);
  const well = run('npm', ['run', '-s', script, '--', ...args(report)], env(report));
  if (!existsSync(report)) return count(0, 1, [`${name}: ended without a report`]);
  const { good, bad, which } = read(JSON.parse(readFileSync(report, 'utf8')));
  rmSync(report, { force: true });
  return bad === 0 && !well ? count(good, 1, [`${name}: ended badly, though no test failed`]) : count(good, bad, which);
}

/** Runs a script that passes or fails as a whole. */
function runWhole(script) {
  const well = run('npm', ['run', '-s', script]);
  return well ? count(1, 0) : count(0, 1, [script]);
}

/** The walks of a report that failed, from all the files it has folded in each other. */
const failedWalks = (suite) => [
  ...(suite.suites ?? []).flatMap(failedWalks),
  ...(suite.specs ?? []).filter((spec) => !spec.ok).map((spec) => `${spec.file}: ${spec.title}`),
];

/** Scripts that only read, one after the other, each beside those of another row. */
async function inARow(scripts) {
  for (const script of scripts) {
    const { well, printed } = await runBeside('npm', ['run', '-s', script]);
    console.log(`\n— ${script}\n${printed}`);
    if (well) count(1, 0);
    else count(0, 1, [script]);
  }
}

await Promise.all([inARow(['types']), inARow(['format:check', 'lint', 'unused'])]);
console.log('\n— unit and server tests');
runWithReport(
  'unit',
  'unit',
  (report) => ['--reporter=default', '--reporter=json', `--outputFile.json=${report}`],
  () => ({}),
  (report) => ({
    good: report.numPassedTests,
    bad:
      report.numFailedTests +
      report.testResults.filter((file) => file.status === 'failed' && file.assertionResults.length === 0).length,
    which: report.testResults
      .filter((file) => file.status === 'failed')
      .flatMap((file) => {
        const tests = file.assertionResults.filter((test) => test.status === 'failed');
        return tests.length === 0 ? [file.name] : tests.map((test) => `${file.name}: ${test.fullName}`);
      }),
  }),
);
console.log('\n— size of the first screens');
buildAll();
runWhole('size');
console.log('\n— browser tests');
runWithReport(
  'browser',
  'browser',
  () => ['--reporter=list,json'],
  (report) => ({ PLAYWRIGHT_JSON_OUTPUT_NAME: report }),
  (report) => ({
    good: report.stats.expected + report.stats.flaky,
    bad: report.stats.unexpected,
    which: failedWalks(report),
  }),
);

for (const name of names) console.log(`failed: ${name}`);
console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed === 0 && passed > 0 ? 0 : 1);
