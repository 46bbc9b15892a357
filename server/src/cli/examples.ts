import { FULL_SHELF } from '@mendum/core/catalogue';
import type { Job } from '@mendum/core/job';
import { BENCH_SOLDER, CRIMP_FIRST } from '@mendum/core/practice';
import { writeJobFile, type JobFile } from '@mendum/core/interchange';
import { harvesterJob } from '../demo/harvester.ts';
import { ferryJob, tugJob } from '../demo/others.ts';

/** Examples carry a day of their own, so that they never change. */
const DAY = new Date('2030-05-20T08:00:00Z');
const safe = (job: Job): Job => ({
  ...job,
  gate: { isolation: { how: 'provedDead', by: 'Ines Valdur', at: '2030-05-20T08:10:00.000Z' } },
});

/** The example job files of the documentation, made from the demo. */
export const EXAMPLES: Readonly<Record<string, () => JobFile>> = {
  'harvester.json': () => writeJobFile(safe(harvesterJob(DAY)), CRIMP_FIRST, FULL_SHELF),
  'ferry-ramp.json': () => writeJobFile(safe(ferryJob(DAY)), BENCH_SOLDER, FULL_SHELF),
  'baggage-tug.json': () => ({
    ...writeJobFile(tugJob(DAY), CRIMP_FIRST, FULL_SHELF),
    shelf: { without: ['sealedButt-small'] },
  }),
};
