import { createContext, useContext } from 'react';
import type { Finding } from '@mendum/core/damage';
import type { Circuit } from '@mendum/core/harness';
import type { FindingPlan, Plan } from '@mendum/core/plan';
import type { JobView, StageName } from '@mendum/core/operations';

/** The job that is on the screen, with its plan and the finding that is picked. */
export interface OpenJob {
  readonly view: JobView;
  readonly plan: Plan;
  /** The version of the job that the plan was made from: behind the job's while it is planned anew. */
  readonly planVersion: number;
  readonly selected: FindingPlan | undefined;
  readonly select: (findingId: string) => void;
  /** The address of a stage of this job, with the finding that is picked. */
  readonly pathTo: (stage: StageName) => string;
  readonly circuitOf: (circuitId: string) => Circuit;
  readonly findingOf: (findingId: string) => Finding;
  readonly nodeName: (nodeId: string) => string;
  readonly signed: boolean;
  /** It is only read: it is signed, or whoever is signed in changes no repair. */
  readonly locked: boolean;
  /** It takes readings, looks and photos. */
  readonly canProve: boolean;
}

export const JobContext = createContext<OpenJob | undefined>(undefined);

export function useOpenJob(): OpenJob {
  const job = useContext(JobContext);
  if (!job) throw new Error('No job is open here.');
  return job;
}
