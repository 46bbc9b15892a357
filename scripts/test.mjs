import { existsSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { buildAll, ensureChromium, ensurePackages, run } from './setup.mjs';

// npm test: types, format, lint, unit, server and browser tests, and a closing line that counts them.
ensurePackages();
ensureChromium();
let passed = 0;
let failed = 0;
const count = (good, bad) => {
  passed += good;
  failed += bad;
};

/** Runs a test runner that leaves a report; without one the run as a whole counts as one failure. */
function runWithReport(name, script, args, env, read) {
  const report = join(tmpdir(), `mendum-${name}-${process.pid}.json`);
  const well = run('npm', ['run', '-s', script, '--', ...args(report)], env(report));
  if (!existsSync(report)) return count(0, 1);
  const { good, bad } = read(JSON.parse(readFileSync(report, 'utf8')));
  rmSync(report, { force: true });
  return count(good, bad === 0 && !well ? 1 : bad);
}

for (const script of ['types', 'format:check', 'lint']) {
  console.log(`\n— ${script}`);
  const well = run('npm', ['run', '-s', script]);
  count(well ? 1 : 0, well ? 0 : 1);
}
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
  }),
);
console.log('\n— size of the first screens');
buildAll();
const small = run('npm', ['run', '-s', 'size']);
count(small ? 1 : 0, small ? 0 : 1);
console.log('\n— browser tests');
runWithReport(
  'browser',
  'browser',
  () => ['--reporter=list,json'],
  (report) => ({ PLAYWRIGHT_JSON_OUTPUT_NAME: report }),
  (report) => ({ good: report.stats.expected + report.stats.flaky, bad: report.stats.unexpected }),
);

console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed === 0 && passed > 0 ? 0 : 1);
