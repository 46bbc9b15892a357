import type { Run } from '../harness/index.ts';
import type { Job } from '../job/index.ts';
import type { LyingBody } from '../layout/index.ts';
import type { Practice } from '../practice/index.ts';
import { coveredBy } from './together/extent.ts';
import type { Decided } from './types.ts';

/** Earlier repairs that stay where they are: all that no work of the job cuts out. */
function earlierLeft(job: Pick<Job, 'earlier'>, decided: readonly Pick<Decided, 'share'>[]): Job['earlier'] {
  const gone = new Set(decided.flatMap(({ share }) => share.cutsOut.map(({ id }) => id)));
  return (job.earlier ?? []).filter(({ id }) => !gone.has(id));
}

/** What lies on a run whatever the layout: earlier repairs that stay, and the covers of this job. */
export function lyingOn(run: Pick<Run, 'id'>, job: Job, decided: readonly Decided[], practice: Practice): LyingBody[] {
  const earlier = (earlierLeft(job, decided) ?? []).filter(({ runId }) => runId === run.id);
  const covers = decided.flatMap(({ decision, finding }): LyingBody[] =>
    decision.runId === run.id && decision.cover && !decision.method
      ? [
          {
            ...coveredBy(finding, practice),
            circuitId: decision.circuitId,
            kind: 'cover',
            diameterMm: decision.cover.diameterMm,
            words: decision.cover.name,
          },
        ]
      : [],
  );
  return [
    ...earlier.map(({ circuitId, kind, fromMm, toMm, diameterMm, words }) => ({
      circuitId,
      kind,
      fromMm,
      toMm,
      diameterMm,
      words,
    })),
    ...covers,
  ];
}
