import { mkdirSync, readFileSync } from 'node:fs';
import { AREAS } from './mutateAreas.mjs';
import { ensurePackages, run } from './setup.mjs';

// npm run mutate [area ...]: changes the rules and figures of the core one by one and counts the changes that no test notices.
ensurePackages();
const asked = process.argv.slice(2);
const unknown = asked.find((name) => !(name in AREAS));
if (unknown !== undefined) {
  console.error(`There is no area "${unknown}": use ${Object.keys(AREAS).join(', ')}.`);
  process.exit(2);
}
mkdirSync('reports/mutation', { recursive: true });
const lines = [];
for (const area of asked.length > 0 ? asked : Object.keys(AREAS)) {
  console.log(`\n— ${area}`);
  if (!run('npx', ['stryker', 'run'], { ...process.env, MUTATE_AREA: area })) process.exitCode = 1;
  const { files } = JSON.parse(readFileSync(`reports/mutation/${area}.json`, 'utf8'));
  const mutants = Object.values(files).flatMap((file) => file.mutants);
  const count = (...states) => mutants.filter(({ status }) => states.includes(status)).length;
  const [killed, left] = [count('Killed', 'Timeout'), count('Survived', 'NoCoverage')];
  lines.push(
    `${area.padEnd(12)} ${killed} of ${killed + left} noticed: ${((100 * killed) / (killed + left)).toFixed(1)} %`,
  );
}
console.log(`\n${lines.join('\n')}`);
