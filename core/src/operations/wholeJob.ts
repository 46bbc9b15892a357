import type { Catalogue } from '../catalogue/index.ts';
import { asFarAsSeen, type Job } from '../job/index.ts';
import type { Practice } from '../practice/index.ts';
import type { HarnessView, JobState, JobView } from './types.ts';

/** Machine and harness of a job, out of a harness as it is read. */
export const partsOf = ({
  machineId,
  machine,
  machineKind,
  systemVoltageV,
  version: _,
  ...harness
}: HarnessView): Pick<Job, 'machine' | 'harness'> => ({
  machine: { id: machineId, name: machine, kind: machineKind, systemVoltageV },
  harness,
});

/** A job whole, out of what is read apart: itself, its harness, its practice and its shelf. */
export const wholeJob = (state: JobState, view: HarnessView, practice: Practice, catalogue: Catalogue): JobView => ({
  ...state,
  practice,
  catalogue,
  job: asFarAsSeen({ ...state.job, ...partsOf(view) }),
});
