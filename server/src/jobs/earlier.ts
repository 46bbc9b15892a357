import type { EntityManager } from 'typeorm';
import type { EarlierRepair } from '@mendum/core/damage';
import { farthestOn, type Harness } from '@mendum/core/harness';
import type { SpliceRecord } from '@mendum/core/record';
import { alongWith, type HarnessEdit } from '@mendum/core/survey';
import { HarnessEntity, JobEntity, RecordEntity } from '../db/entities.ts';
import { rowsBy } from '../db/prepared.ts';
import type { HarnessRow, JobRow, RecordRow } from '../db/rows.ts';
import { notReplaced } from '../record/notReplaced.ts';

/** "sealed butt, job 0126, 2026-03-01". */
const wordsOf = ({ method, jobNumber, signedAt }: SpliceRecord): string =>
  `${method}, job ${jobNumber}, ${signedAt.slice(0, 10)}`;

const keyOf = ({ jobId, spliceId }: Pick<RecordRow, 'jobId' | 'spliceId'>): string => `${jobId} ${spliceId}`;

/** All records of signed jobs on a harness and its kept states, in the order of the chain. */
export function recordsOn(manager: EntityManager, own: HarnessRow): readonly RecordRow[] {
  const lineage = own.keptFor ?? own.id;
  const rows = rowsBy(manager);
  const kept = [lineage, ...rows.find(HarnessEntity, { keptFor: lineage }).map(({ id }) => id)];
  return kept
    .flatMap((harnessId) => rows.find(JobEntity, { harnessId, status: 'signed' }))
    .flatMap(({ id }) => rows.find(RecordEntity, { jobId: id }))
    .sort((a, b) => a.chainRow - b.chainRow);
}

/** The harness that a job is on. */
export function harnessOf(manager: EntityManager, job: JobRow): HarnessRow {
  const own = rowsBy(manager).one(HarnessEntity, { id: job.harnessId });
  if (!own) throw new Error(`There is no harness ${job.harnessId}.`);
  return own;
}

/**
 * What signed jobs left on the wires of a harness, by job and splice: where each lies by now, and what it was cut by.
 * @param all the records on it
 */
export function repairsOn(
  manager: EntityManager,
  own: HarnessRow,
  counts: (row: RecordRow, signedIn: number) => boolean,
  all: readonly RecordRow[] = recordsOn(manager, own),
): Map<string, EarlierRepair> {
  if (all.length === 0) return new Map();
  // What is known of a repair whatever was corrected in its record since: when it was signed, and by which id.
  const signed = new Map(all.filter((row) => row.replacesId === null).map((row) => [keyOf(row), row]));
  const keys = new Map(all.map((row) => [row.id, keyOf(row)]));
  const standing = notReplaced(all).filter((row) => counts(row, (signed.get(keyOf(row)) ?? row).chainRow));
  const cutOut = new Set(standing.flatMap((row) => row.body.cutsOut ?? []).map((id) => keys.get(id)));
  return new Map(
    standing.flatMap((row) => {
      const { body } = row;
      const { id } = signed.get(keyOf(row)) ?? row;
      const moved = own.placed?.[keyOf(row)];
      return body.onWire && moved !== null && !cutOut.has(keyOf(row))
        ? [[keyOf(row), { ...body.onWire, ...moved, id, words: wordsOf(body), method: body.method }] as const]
        : [];
    }),
  );
}

/**
 * What earlier signed jobs left on the wires of a job's harness: their splices and covers, less what a later one cut
 * out.
 * @param own that harness, and all records on it
 * @param before only what was signed before this row of the chain counts: what a signed job itself found there
 */
export function earlierOn(
  manager: EntityManager,
  own: HarnessRow,
  job: JobRow,
  before: number | undefined,
  all: readonly RecordRow[],
): EarlierRepair[] {
  const counts = (row: RecordRow, signedIn: number): boolean =>
    row.jobId !== job.id && (before === undefined || signedIn < before);
  return [...repairsOn(manager, own, counts, all).values()];
}

/** Where all repairs on a harness lie once it has been edited; none where their wire is gone. */
export function placedAfter(
  manager: EntityManager,
  own: HarnessRow,
  harness: Harness,
  edits: readonly HarnessEdit[],
): HarnessRow['placed'] {
  const repairs = repairsOn(manager, own, () => true);
  if (repairs.size === 0) return own.placed;
  const now = [...repairs].map(([key, repair]) => [key, alongWith(harness, edits, repair) ?? null] as const);
  return { ...own.placed, ...Object.fromEntries(now) };
}

/** The earlier repairs whose wire and place are still there: of a harness that was edited since, some are not. */
export const stillOn = (repairs: readonly EarlierRepair[], { runs, circuits }: Harness): EarlierRepair[] =>
  repairs.filter(({ runId, circuitId, toMm }) => {
    const run = runs.find((one) => one.id === runId);
    const circuit = circuits.find((one) => one.id === circuitId);
    return run !== undefined && toMm <= farthestOn(run) && (circuit?.runIds.includes(runId) ?? false);
  });
