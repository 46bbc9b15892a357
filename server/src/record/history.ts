import type { EntityManager } from 'typeorm';
import type { EarlierRepair } from '@mendum/core/damage';
import type { Harness } from '@mendum/core/harness';
import type { DoneBody, HarnessHistory } from '@mendum/core/operations';
import { placeOn, proofWords, type SpliceRecord } from '@mendum/core/record';
import { HarnessEntity } from '../db/entities.ts';
import { rowsBy } from '../db/prepared.ts';
import { AppError } from '../errors.ts';
import { recordsOn, repairsOn, stillOn } from '../jobs/earlier.ts';
import { loadHarness } from '../harnesses/store.ts';
import { endedBy } from './good.ts';
import { recordCount } from './lists.ts';
import { notReplaced } from './notReplaced.ts';

/** So many repairs of one harness are given at once, the newest. */
const MOST = 1000;

const bodyOf = (record: SpliceRecord): DoneBody => ({
  jobNumber: record.jobNumber,
  circuitNumber: record.circuitNumber,
  circuitFunction: record.circuitFunction,
  run: record.run,
  atMm: record.atMm,
  fromName: record.fromName,
  finding: record.finding,
  method: record.method,
  materials: record.materials,
  redos: record.redos,
  temporaryUntil: record.temporaryUntil,
  notMeasured: record.notMeasured,
  functionSeen: record.functionSeen,
  note: record.note,
  corrections: record.corrections,
  signedBy: record.signedBy,
  signedAt: record.signedAt,
  atEnd: record.atEnd,
});

/** Where the finger is put by now: the harness may have been edited since it was signed. */
function placeNow({ runId, fromMm, toMm }: EarlierRepair, { runs, nodes }: Harness): Partial<DoneBody> {
  const run = runs.find(({ id }) => id === runId);
  if (!run) return {};
  const { atMm, fromNodeId } = placeOn(run, (fromMm + toMm) / 2);
  return { run: run.name, atMm, fromName: nodes.find(({ id }) => id === fromNodeId)?.name ?? fromNodeId };
}

/** Everything ever done on a harness and its kept versions, with where it lies by now. @throws AppError NOT_FOUND */
export async function historyOf(manager: EntityManager, harnessId: string): Promise<HarnessHistory> {
  const rows = rowsBy(manager);
  const asked = rows.one(HarnessEntity, { id: harnessId });
  const own = asked && (asked.keptFor === null ? asked : rows.one(HarnessEntity, { id: asked.keptFor }));
  if (!own) throw new AppError('NOT_FOUND', `There is no harness "${harnessId}".`);
  const { harness } = await loadHarness(manager, own.id);
  const all = recordsOn(manager, own);
  const repairs = repairsOn(manager, own, () => true, all);
  const there = new Set(stillOn([...repairs.values()], harness));
  const records = notReplaced(all).reverse();
  const others: HarnessHistory['others'][number][] = [];
  for (const { id, name } of rows.find(HarnessEntity, { machineId: own.machineId, keptFor: null }, 'name'))
    if (id !== own.id) others.push({ harnessId: id, name, records: await recordCount(manager, id) });
  return {
    harnessId: own.id,
    total: records.length,
    others,
    done: records.slice(0, MOST).map((row) => {
      const known = repairs.get(`${row.jobId} ${row.spliceId}`);
      const lies = known && there.has(known) ? known : undefined;
      return {
        recordId: row.id,
        jobId: row.jobId,
        body: { ...bodyOf(row.body), ...(lies && placeNow(lies, harness)) },
        proved: proofWords(row.body),
        ...(lies ? { lies } : { lay: row.body.onWire }),
        ended: endedBy(manager, row),
      };
    }),
  };
}
