import type { EarlierEnd } from '@mendum/core/damage';
import type { Harness } from '@mendum/core/harness';
import type { SpliceRecord } from '@mendum/core/record';
import type { HarnessRow, JobRow, RecordRow } from '../db/rows.ts';
import { notReplaced } from '../record/notReplaced.ts';

const placeOf = ({ nodeId, cavity }: EarlierEnd): string => `${nodeId} ${cavity}`;

/** Work at a cavity as it counts now, with the record by which it was signed first: that names it whatever is corrected. */
interface KeptEnd {
  readonly key: string;
  readonly signed: RecordRow;
  readonly body: SpliceRecord & { readonly atEnd: NonNullable<SpliceRecord['atEnd']> };
}

/** All work at cavities and ends among records, the last one first. @param all the records on a harness */
export function keptEnds(all: readonly RecordRow[]): KeptEnd[] {
  const signed = new Map(
    all
      .filter(({ replacesId }) => replacesId === null)
      .map((row): [string, RecordRow] => [`${row.jobId} ${row.spliceId}`, row]),
  );
  return notReplaced(all)
    .flatMap(({ jobId, spliceId, body }): KeptEnd[] => {
      const key = `${jobId} ${spliceId}`;
      const first = signed.get(key);
      const { atEnd } = body;
      return first && atEnd ? [{ key, signed: first, body: { ...body, atEnd } }] : [];
    })
    .sort((a, b) => b.signed.chainRow - a.signed.chainRow);
}

/**
 * What earlier signed jobs did at the cavities and ends of a job's harness, the last one first. Of a harness that was
 * joined to it, what is named otherwise there is not known any more: one cavity is not taken for another.
 * @param own that harness
 * @param before only what was signed before this row of the chain counts
 * @param all the records on it
 */
export const endsOn = (
  own: HarnessRow,
  job: JobRow,
  before: number | undefined,
  all: readonly RecordRow[],
): EarlierEnd[] =>
  keptEnds(all)
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
