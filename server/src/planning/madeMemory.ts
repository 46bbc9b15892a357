import type { Stamped } from './tasks.ts';
import { stampOf } from '../jobs/stamp.ts';
import type { StoredJob } from '../jobs/store.ts';
import type { AnswerOf, MadeNow } from './tasks.ts';

type Made = AnswerOf<'made'> extends Stamped<infer A> ? A : never;

/** Jobs whose makes are remembered. */
const MOST = 50;

/**
 * Makes as plans last told them, by job and the stamp of all that a plan depends on. Most ticks and readings are of work
 * that has begun, on a plan that has not changed since: nobody has to be asked for those again.
 */
export function madeMemory() {
  const kept = new Map<string, { readonly stamp: string; readonly makes: Map<string, MadeNow> }>();
  return {
    keep(jobId: string, { stamp, answer }: Stamped<Made>): void {
      const known = kept.get(jobId);
      const makes = known?.stamp === stamp ? known.makes : new Map<string, MadeNow>();
      for (const make of answer.makes) makes.set(make.spliceId, make);
      kept.delete(jobId);
      kept.set(jobId, { stamp, makes });
      for (const old of [...kept.keys()].slice(0, -MOST)) kept.delete(old);
    },
    /** What a plan of the job as it is stored would tell of these splices, if work has begun on all of them. */
    told(stored: StoredJob, spliceIds: readonly string[]): Made | undefined {
      const known = kept.get(stored.row.id);
      const makes = spliceIds.flatMap((id) => known?.makes.get(id) ?? []);
      const begun = new Set((stored.job.held ?? []).map(({ findingId }) => findingId));
      if (makes.length < spliceIds.length || !makes.every(({ findingId }) => begun.has(findingId))) return undefined;
      if (known?.stamp !== stampOf(stored)) return undefined;
      return { makes, beginning: { held: [], pins: [], layout: stored.row.layout } };
    },
  };
}
