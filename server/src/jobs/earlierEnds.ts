import type { EntityManager } from 'typeorm';
import type { EarlierEnd } from '@mendum/core/damage';
import type { Harness } from '@mendum/core/harness';
import type { SpliceRecord } from '@mendum/core/record';
import { HarnessEntity, JobEntity, RecordEntity } from '../db/entities.ts';
import { rowsBy } from '../db/prepared.ts';
import type { JobRow, RecordRow } from '../db/rows.ts';
import { notReplaced } from '../record/notReplaced.ts';

const placeOf = ({ nodeId, cavity }: EarlierEnd): string => `${nodeId} ${cavity}`;

/** Work at a cavity as it counts now, with the record by which it was signed first: that names it whatever is corrected. */
interface KeptEnd {
  readonly key: string;
  readonly signed: RecordRow;
  readonly body: SpliceRecord & { readonly atEnd: NonNullable<SpliceRecord['atEnd']> };
}

/** All work at cavities and ends by signed jobs on a harness and its kept states, the last one first. */
export function keptEnds(manager: EntityManager, lineage: string): KeptEnd[] {
  const rows = rowsBy(manager);
  const kept = [lineage, ...rows.find(HarnessEntity, { keptFor: lineage }).map(({ id }) => id)];
  return kept
    .flatMap((harnessId) => rows.find(JobEntity, { harnessId, status: 'signed' }))
    .flatMap(({ id }): KeptEnd[] => {
      const all = rows.find(RecordEntity, { jobId: id }, 'chainRow');
      return notReplaced(all).flatMap(({ jobId, spliceId, body }): KeptEnd[] => {
        const signed = all.find((one) => one.spliceId === spliceId && one.replacesId === null);
        const { atEnd } = body;
        return signed && atEnd ? [{ key: `${jobId} ${spliceId}`, signed, body: { ...body, atEnd } }] : [];
      });
    })
    .sort((a, b) => b.signed.chainRow - a.signed.chainRow);
}

/**
 * What earlier signed jobs did at the cavities and ends of a job's harness, the last one first. Of a harness that was
 * joined to it, what is named otherwise there is not known any more: one cavity is not taken for another.
 * @param before only what was signed before this row of the chain counts
 */
export function endsOn(manager: EntityManager, job: JobRow, before: number | undefined): EarlierEnd[] {
  const own = rowsBy(manager).one(HarnessEntity, { id: job.harnessId });
  if (!own) throw new Error(`There is no harness ${job.harnessId}.`);
  return keptEnds(manager, own.keptFor ?? own.id)
    .filter(({ key, signed }) => {
      const isOther = signed.jobId !== job.id && (before === undefined || signed.chainRow < before);
      return isOther && own.placed?.[key] !== null;
    })
    .map(({ signed, body: { atEnd, method, jobNumber, signedAt } }) => ({
      id: signed.id,
      ...atEnd,
      method,
      words: `${method}, job ${jobNumber}, ${signedAt.slice(0, 10)}`,
    }));
}

/** The last work at each cavity whose connector and circuit are still there. @param ends the last one first */
export function endsStillOn(ends: readonly EarlierEnd[], { circuits, nodes }: Harness): EarlierEnd[] {
  const seen = new Set<string>();
  return ends.filter((end) => {
    const isThere = circuits.some(({ id }) => id === end.circuitId) && nodes.some(({ id }) => id === end.nodeId);
    if (!isThere || seen.has(placeOf(end))) return false;
    seen.add(placeOf(end));
    return true;
  });
}
