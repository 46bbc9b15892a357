import { performance } from 'node:perf_hooks';
import { FULL_SHELF } from '@mendum/core/catalogue';
import { plan } from '@mendum/core/plan';
import { CRIMP_FIRST } from '@mendum/core/practice';
import { jobOf } from './benchJob.ts';

// The first plan of a process that has planned nothing yet: `node --import tsx scripts/benchCold.ts 400` prints its
// milliseconds.
const job = jobOf(Number(process.argv[2] ?? 400));
const start = performance.now();
plan(job, CRIMP_FIRST, FULL_SHELF);
console.log((performance.now() - start).toFixed(1));
