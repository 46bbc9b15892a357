import { randomUUID } from 'node:crypto';
import { existsSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { parseArgs } from 'node:util';
import type { EntityManager, EntitySchema, ObjectLiteral } from 'typeorm';
import type { Circuit } from '@mendum/core/harness';
import type { Machine } from '@mendum/core/job';
import { FindingEntity, HarnessEntity, JobEntity, RecordEntity } from '../server/src/db/entities.ts';
import { claimFolder } from '../server/src/data/claim.ts';
import { openDatabase } from '../server/src/db/open.ts';
import { seedDemo } from '../server/src/demo/seed.ts';
import { insertHarness } from '../server/src/harnesses/store.ts';
import { findingRow } from '../server/src/jobs/store.ts';
import { keepRecord } from '../server/src/chain/append.ts';
import { jobOf } from './benchJob.ts';

// npm run seed -- --data FOLDER [--jobs 20000] [--harnesses 500]
// A large workshop for trying how quick everything stays: the demo, and around it jobs and harnesses that are copies of
// it under other names. Only into a folder that has no database yet.

const { values } = parseArgs({
  options: {
    data: { type: 'string' },
    jobs: { type: 'string', default: '20000' },
    harnesses: { type: 'string', default: '500' },
  },
});
const refuse = (words: string): never => {
  console.error(words);
  process.exit(1);
};
/** A whole number from 1. */
function countOf(name: 'jobs' | 'harnesses'): number {
  const count = Number(values[name]);
  return Number.isInteger(count) && count >= 1
    ? count
    : refuse(`--${name} is ${values[name]}: give a whole number from 1.`);
}
const [jobs, harnesses] = [countOf('jobs'), countOf('harnesses')];
const folder = resolve(values.data ?? refuse('Say into which folder: npm run seed -- --data FOLDER'));
if (existsSync(join(folder, 'mendum.sqlite'))) refuse(`There is a database in ${folder} already: name another folder.`);

const WORK = ['Valve', 'Lamp', 'Sensor', 'Ground', 'Motor', 'Pump', 'Horn', 'Relay'];
const SIDES = ['feed', 'left', 'right', 'return', 'front', 'rear'];
const pick = <T>(list: readonly T[], index: number): T => list[index % list.length] as T;
const CAUSES = ['rubbed at a clip', 'water in the connector', 'pulled', 'cooked by a loose crimp'];
const CIRCUITS = 60;
const DAY_MS = 86_400_000;
const began = new Date();
/** Rows that are put in at once. */
const AT_ONCE = 200;

async function insertAll<T extends ObjectLiteral>(
  manager: EntityManager,
  entity: EntitySchema<T>,
  rows: readonly T[],
): Promise<void> {
  for (let start = 0; start < rows.length; start += AT_ONCE)
    await manager.insert(entity, rows.slice(start, start + AT_ONCE));
}

async function addHarnesses(manager: EntityManager): Promise<string[]> {
  const { harness, machine } = jobOf(CIRCUITS);
  const ids: string[] = [];
  for (let n = 0; n < harnesses; n += 1) {
    const of: Machine = {
      ...machine,
      name: `Machine ${Math.floor(n / 4)}`,
      kind: pick(WORK, Math.floor(n / 4)).toLowerCase(),
    };
    const circuits = harness.circuits.map((circuit, index): Circuit => ({
      ...circuit,
      function: `${pick(WORK, index)} ${pick(SIDES, index + n)} ${index}`,
    }));
    ids.push(await insertHarness(manager, of, { ...harness, name: `Loom ${n}`, circuits }));
  }
  return ids;
}

async function addJobs(manager: EntityManager, harnessIds: readonly string[]): Promise<void> {
  const { findings } = jobOf(2);
  const template = await manager.findOneByOrFail(JobEntity, { status: 'signed' });
  const record = await manager.findOneByOrFail(RecordEntity, { jobId: template.id });
  const made = Array.from({ length: jobs }, (_, n) => {
    const day = new Date(began.getTime() - (n % 1500) * DAY_MS).toISOString();
    const title = `${pick(WORK, n)} ${pick(SIDES, n)} of loom ${n % harnessIds.length}`;
    return {
      ...template,
      id: randomUUID(),
      number: String(1000 + n),
      title,
      harnessId: pick(harnessIds, n),
      status: n % 5 === 0 ? ('open' as const) : ('signed' as const),
      openedOn: day.slice(0, 10),
      createdAt: day,
      updatedAt: day,
    };
  });
  await insertAll(manager, JobEntity, made);
  await insertAll(
    manager,
    FindingEntity,
    made.flatMap((job) => findings.map((finding, position) => findingRow(job.id, finding, position, 1))),
  );
  const { chainRow: _row, hash: _hash, signature: _signature, ...content } = record;
  for (const [n, job] of made.filter(({ status }) => status === 'signed').entries()) {
    const temporaryUntil = n % 40 === 0 ? job.openedOn : null;
    await keepRecord(manager, {
      ...content,
      id: randomUUID(),
      jobId: job.id,
      temporaryUntil,
      signedAt: job.updatedAt,
      body: {
        ...record.body,
        jobNumber: job.number,
        signedAt: job.updatedAt,
        note: `${pick(CAUSES, n)}, butts of lot ${n % 97}`,
        ...(temporaryUntil === null ? {} : { temporaryUntil }),
      },
    });
  }
}

const db = await openDatabase(claimFolder(folder, { what: 'a large workshop being made' }));
await seedDemo(db, began);
await db.write(async (manager) => {
  await addJobs(manager, await addHarnesses(manager));
  const counted = (entity: Parameters<typeof manager.count>[0]): Promise<number> => manager.count(entity);
  const [jobs, harnesses, records] = [
    await counted(JobEntity),
    await counted(HarnessEntity),
    await counted(RecordEntity),
  ];
  const seconds = ((Date.now() - began.getTime()) / 1000).toFixed(0);
  console.log(`${jobs} jobs, ${harnesses} harnesses, ${records} records in ${folder}, in ${seconds} s.`);
});
await db.close();
