import { createHash } from 'node:crypto';
import type { Job } from '@mendum/core/job';
import type { Pin } from '@mendum/core/layout';
import type { StoredJob } from './store.ts';

const placeOf = ({ findingId, side }: Pin): string => `${findingId} ${side}`;
const inOrder = (pins: readonly Pin[]): readonly Pin[] => [...pins].sort((a, b) => (placeOf(a) < placeOf(b) ? -1 : 1));

/**
 * All of a job that its plan is made from, in an order of its own; a field that is new in a job has to be named here.
 */
const essence = (job: Job, { row, harnessVersion }: StoredJob): { readonly [K in keyof Required<Job>]: unknown } => ({
  id: job.id,
  number: job.number,
  title: job.title,
  asOf: job.asOf,
  machine: job.machine,
  harness: [job.harness.id, harnessVersion],
  findings: job.findings,
  gate: job.gate,
  mappings: job.mappings ?? [],
  held: job.held ?? [],
  earlier: job.earlier ?? [],
  earlierEnds: job.earlierEnds ?? [],
  layout: row.layout,
  choices: job.choices,
  pins: inOrder(job.pins),
  redos: job.redos,
});

/**
 * What a plan depends on, in a few letters: two states of a job with the same stamp have the same plan. Ticks,
 * readings, photos and records are not in it; harness, practice and shelf are, by their versions.
 */
export function stampOf(stored: StoredJob): string {
  const { job, practice, catalogue } = stored;
  return createHash('sha256')
    .update(
      JSON.stringify([
        essence(job, stored),
        [practice.id, practice.version],
        [catalogue.id, catalogue.version, stored.ownShelf],
      ]),
    )
    .digest('base64url');
}
