import { spawnSync } from 'node:child_process';
import { performance } from 'node:perf_hooks';
import { jobOf } from './benchJob.ts';
import { makeFinder, type Findable } from '../server/src/find/finder.ts';
import { packCircles } from '@mendum/core/bundle';
import { FULL_SHELF } from '@mendum/core/catalogue';
import { cutSticks } from '@mendum/core/kit';
import { optimise, QUICK, quickLayout } from '@mendum/core/layout';
import { readPinout } from '@mendum/core/pinout';
import { plan, planOne, warm } from '@mendum/core/plan';
import { CRIMP_FIRST } from '@mendum/core/practice';
import { randomRun } from '../core/src/layout/test/randomRun.ts';
import { readSeparated, writeCsv } from '@mendum/core/spreadsheet';

const TARGET_MS: Readonly<Record<number, number>> = { 400: 500 };
const ROUNDS = 7;
const middleOf = (times: readonly number[]): number =>
  [...times].sort((a, b) => a - b)[Math.floor(times.length / 2)] ?? 0;
for (const count of [4, 40, 400]) {
  // Cold: a process of its own each time, as the command line and a freshly started server plan.
  const cold = Array.from({ length: 5 }, () =>
    Number(
      spawnSync(process.execPath, ['--import', 'tsx', 'scripts/benchCold.ts', String(count)], { encoding: 'utf8' })
        .stdout,
    ),
  );
  console.log(
    `plan of ${String(count).padStart(3)} circuits, cold: ${middleOf(cold).toFixed(1)} ms (middle of 5; ${Math.min(...cold).toFixed(1)} to ${Math.max(...cold).toFixed(1)})`,
  );
}
for (const count of [4, 40, 400]) {
  const job = jobOf(count);
  plan(job, CRIMP_FIRST, FULL_SHELF);
  const times = Array.from({ length: ROUNDS }, () => {
    const start = performance.now();
    plan(job, CRIMP_FIRST, FULL_SHELF);
    return performance.now() - start;
  }).sort((a, b) => a - b);
  const middle = times[Math.floor(ROUNDS / 2)] ?? 0;
  const target = TARGET_MS[count];
  console.log(
    `plan of ${String(count).padStart(3)} circuits: ${middle.toFixed(1)} ms (middle of ${ROUNDS}; ${times[0]?.toFixed(1) ?? ''} to ${times.at(-1)?.toFixed(1) ?? ''})${target === undefined ? '' : `, target under ${target} ms`}`,
  );
}
const large = jobOf(400);
const memory = warm(CRIMP_FIRST, FULL_SHELF);
const whole = plan(large, CRIMP_FIRST, FULL_SHELF, memory);
const single = Array.from({ length: 25 }, (_, index) => {
  const findingId = `F${index * 13}`;
  const changed = {
    ...large,
    findings: large.findings.map((finding) => (finding.id === findingId ? { ...finding, slackMm: 55 } : finding)),
  };
  const start = performance.now();
  planOne(changed, whole, findingId, memory);
  return performance.now() - start;
}).sort((a, b) => a - b);
console.log(
  `one circuit of 400 planned anew: ${(single[12] ?? 0).toFixed(1)} ms (middle of 25; ${single[0]?.toFixed(1) ?? ''} to ${single.at(-1)?.toFixed(1) ?? ''}), target under 16 ms`,
);
const machines = Array.from({ length: 50 }, (_, m): Findable => {
  const { harness } = jobOf(100);
  return {
    id: `H${m}`,
    version: 1,
    machine: `Machine ${m}`,
    harness: `Loom ${m}`,
    nodeNames: new Map(harness.nodes.map((node) => [node.id, node.name])),
    circuits: harness.circuits.map((circuit, i) => ({
      ...circuit,
      function: `${['Valve', 'Lamp', 'Sensor', 'Ground', 'Motor'][i % 5] ?? ''} ${['feed', 'left', 'right', 'return'][i % 4] ?? ''} ${m * 100 + i}`,
    })),
  };
});
const built = performance.now();
const { find, take } = makeFinder();
machines.forEach(take);
console.log(`index of 5000 circuits: ${(performance.now() - built).toFixed(0)} ms, once`);
for (const words of ['lamp left', 'snesor', 'X1 77', 'machine 12 ground']) {
  const start = performance.now();
  const count = find(words).length;
  console.log(
    `find "${words}" among 5000 circuits: ${(performance.now() - start).toFixed(1)} ms, ${count} shown, target under 50 ms`,
  );
}
const SHEET_ROWS = 2000;
const sheet = writeCsv([
  ['Circuit', 'Connector', 'Cavity', 'To connector', 'To cavity', 'Size', 'Colour'],
  ...Array.from({ length: SHEET_ROWS }, (_, i) => [
    String(i),
    'X1',
    String(i),
    'X2',
    String(i),
    i % 3 === 0 ? '1,0 mm²' : '16 AWG',
    i % 2 === 0 ? 'GN' : 'RD/BK',
  ]),
]);
const read = performance.now();
const pinout = readPinout({ rows: readSeparated(sheet) }, { nodes: [], runs: [], circuits: [] });
console.log(
  `pinout of ${pinout.rows.length} lines from CSV: ${(performance.now() - read).toFixed(0)} ms, target under 2000 ms`,
);
console.log(`memory in use: ${(process.memoryUsage().heapUsed / 1e6).toFixed(0)} MB`);

// Laying out: proof for a few circuits, a good answer soon for many.
const seconds = (ms: number): string => `${(ms / 1000).toFixed(2)} s`;
for (const [items, lengthMm, runs] of [
  [8, 1400, 12],
  [8, 600, 8],
  [35, 6000, 12],
  [30, 4000, 6],
] as const) {
  const took: number[] = [];
  const first: number[] = [];
  const open: string[] = [];
  let splices = 0;
  for (let seed = 1; seed <= runs; seed += 1) {
    const run = randomRun(100 + seed, { items, lengthMm });
    let start = performance.now();
    quickLayout(run);
    first.push(performance.now() - start);
    start = performance.now();
    const found = optimise(run, QUICK);
    took.push(performance.now() - start);
    splices = Math.max(splices, found.objective.splices);
    open.push(
      found.open === undefined
        ? 'proven'
        : `${found.open} ${found.objective[found.open].toFixed(0)} of ${found.bound[found.open].toFixed(0)}`,
    );
  }
  console.log(
    `layouts of ${items} circuits on ${lengthMm} mm (up to ${splices} splices): first legal ${Math.max(...first).toFixed(0)} ms at most; searched ${seconds(Math.max(...took))} at most (target under 2 s); ${open.join(', ')}`,
  );
}
{
  const wires = Array.from({ length: 100 }, (_, index) => 1.2 + ((index * 37) % 50) / 10);
  const start = performance.now();
  const { diameterMm } = packCircles(wires);
  console.log(
    `100 wires of mixed sizes packed: ${(performance.now() - start).toFixed(0)} ms (target under 300), ${diameterMm.toFixed(2)} mm across`,
  );
  const pieces = Array.from({ length: 300 }, (_, index) => ({ id: String(index), mm: 30 + ((index * 7919) % 570) }));
  const cut = performance.now();
  const list = cutSticks(pieces, 1200);
  console.log(
    `300 pieces cut from sticks: ${(performance.now() - cut).toFixed(0)} ms, ${list.begun} sticks, bound ${list.bound}`,
  );
}
