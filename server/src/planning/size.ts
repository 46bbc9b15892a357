import { CircuitEntity, FindingEntity, JobEntity } from '../db/entities.ts';
import type { Database } from '../db/open.ts';

/** "Job 0147, 40 findings on a harness of 5,000 circuits": counted, not loaded. */
export const sizeOf =
  (read: Database['read']) =>
  (jobId: string): Promise<string> =>
    read(async (manager) => {
      const job = await manager.findOneBy(JobEntity, { id: jobId });
      if (!job) return 'This job';
      const [findings, circuits] = [
        await manager.countBy(FindingEntity, { jobId }),
        await manager.countBy(CircuitEntity, { harnessId: job.harnessId }),
      ];
      return `Job ${job.number}, ${findings} findings on a harness of ${circuits.toLocaleString('en-GB')} circuits,`;
    });
