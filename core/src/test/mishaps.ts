import type { Job } from '../job/index.ts';
import { afterMishap, mishapCost, type MishapCost, type MishapSaid, type Progress } from '../mishap/index.ts';
import { CRIMP_FIRST } from '../practice/index.ts';
import type { FindingPlan, Make } from '../plan/index.ts';

const MADE: Progress = { joined: true, sealed: true, wireCut: true };

/** What it costs to cut a joint out once all of its finding is made and shrunk. */
export const cutOut = (finding: FindingPlan, make: Make): MishapCost =>
  mishapCost(finding, make, { kind: 'jointFailed', joined: true, sealed: true }, () => MADE, CRIMP_FIRST.figures);

/** The job once a mishap of its first finding has been accepted. */
export const withMishap = (job: Job, { kind }: Pick<MishapSaid, 'kind'>, cost: MishapCost): Job =>
  afterMishap(job, 'F1', kind, cost, {
    id: `R${job.redos.length + 1}`,
    because: 'It went wrong.',
    by: 'Ines',
    at: '2030-01-01T10:00:00Z',
  });
