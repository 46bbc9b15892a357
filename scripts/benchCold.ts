import { performance } from 'node:perf_hooks';
import { CRIMP_FIRST, FULL_SHELF, plan } from '@mendum/core';
import { jobOf } from './benchJob.ts';

// The first plan of a process that has planned nothing yet: `node --import tsx scripts/benchCold.ts 400` prints its
// milliseconds.
const job = jobOf(Number(process.argv[2] ?? 400));
const start = performance.now();
plan(job, CRIMP_FIRST, FULL_SHELF);
console.log((performance.now() - start).toFixed(1));
