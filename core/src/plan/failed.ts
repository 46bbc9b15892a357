import { failedBefore, failureInWords, type Finding } from '../damage/index.ts';
import type { Job } from '../job/index.ts';

/** That a repair failed here before, of what, and whether the same is made again. @param method chosen now, by name */
export const failedWarnings = (
  finding: Finding,
  job: Pick<Job, 'earlier' | 'earlierEnds'>,
  method: string | undefined,
): readonly string[] =>
  failedBefore(finding, job).map(({ repair, why }) => {
    const same = repair.method !== undefined && repair.method === method ? ' This would be the same joint again.' : '';
    return `Failed here before: ${repair.words}; ${failureInWords(why)}. Mend what made it fail, or this one fails too.${same}`;
  });
