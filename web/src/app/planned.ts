import type { Plan } from '@mendum/core/plan';
import type { JobView } from '@mendum/core/operations';

/** What a plan is made from. */
export type PlanInput = Pick<JobView, 'job' | 'practice' | 'catalogue'>;

export interface Planned extends PlanInput {
  /** The version that the job was at. */
  readonly version: number;
  readonly plan?: Plan;
  readonly failed?: string;
}
