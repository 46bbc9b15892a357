import { In, type EntityManager } from 'typeorm';
import type { EarlierRepair, Harness, SpliceRecord } from '@mendum/core';
import { HarnessEntity, JobEntity, RecordEntity } from '../db/entities.ts';
import type { JobRow } from '../db/rows.ts';
import { notReplaced } from '../record/notReplaced.ts';

/** "sealed butt, job 0126, 2026-03-01". */
const wordsOf = ({ method, jobNumber, signedAt }: SpliceRecord): string =>
  `${method}, job ${jobNumber}, ${signedAt.slice(0, 10)}`;

/**
 * What earlier signed jobs left on the wires of a job's harness: their splices and covers, less what a later one cut
 * out.
 * @param before only what was signed before this instant counts: what a signed job itself found there
 */
export async function earlierOn(
  manager: EntityManager,
  job: JobRow,
  before: string | undefined,
): Promise<EarlierRepair[]> {
  const own = await manager.findOneByOrFail(HarnessEntity, { id: job.harnessId });
  const lineage = own.keptFor ?? own.id;
  const kept = await manager.findBy(HarnessEntity, [{ id: lineage }, { keptFor: lineage }]);
  const jobs = await manager.findBy(JobEntity, { harnessId: In(kept.map((one) => one.id)), status: 'signed' });
  const others = jobs.filter((one) => one.id !== job.id);
  if (others.length === 0) return [];
  const all = await manager.findBy(RecordEntity, { jobId: In(others.map((one) => one.id)) });
  const signed = new Map(
    all.filter((row) => row.replacesId === null).map((row) => [`${row.jobId} ${row.spliceId}`, row.signedAt]),
  );
  const rows = notReplaced(all).filter(
    (row) => before === undefined || (signed.get(`${row.jobId} ${row.spliceId}`) ?? row.signedAt) < before,
  );
  const cutOut = new Set(rows.flatMap((row) => row.body.cutsOut ?? []));
  return rows.flatMap(({ id, body }): EarlierRepair[] =>
    body.onWire && !cutOut.has(id) ? [{ ...body.onWire, id, words: wordsOf(body) }] : [],
  );
}

/** The earlier repairs whose wire and place are still there: of a harness that was edited since, some are not. */
export const stillOn = (repairs: readonly EarlierRepair[], { runs, circuits }: Harness): EarlierRepair[] =>
  repairs.filter(({ runId, circuitId, toMm }) => {
    const run = runs.find((one) => one.id === runId);
    const circuit = circuits.find((one) => one.id === circuitId);
    return run !== undefined && toMm <= run.lengthMm && (circuit?.runIds.includes(runId) ?? false);
  });
