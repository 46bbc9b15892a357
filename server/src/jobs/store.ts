import { randomUUID } from 'node:crypto';
import type { EntityManager } from 'typeorm';
import type { Choice } from '@mendum/core/approach';
import { FULL_SHELF, type Catalogue } from '@mendum/core/catalogue';
import type { Finding } from '@mendum/core/damage';
import { asFarAsSeen, type Job } from '@mendum/core/job';
import { findingOf, NO_WISHES, type LayoutWishes } from '@mendum/core/layout';
import type { Practice } from '@mendum/core/practice';
import type { Reading } from '@mendum/core/prove';
import type { WorkedAt } from '@mendum/core/record';
import {
  CatalogueEntity,
  ChoiceEntity,
  FindingEntity,
  JobEntity,
  PinEntity,
  ReadingEntity,
  RecordEntity,
  RedoEntity,
  TickEntity,
} from '../db/entities.ts';
import { PhotoEntity } from '../db/photoEntities.ts';
import { keptVersions } from '../db/kept.ts';
import { rowsBy } from '../db/prepared.ts';
import type { JobRow, PhotoRow, RecordRow, TickRow } from '../db/rows.ts';
import { AppError } from '../errors.ts';
import { insertHarness, loadHarness, sameHarness } from '../harnesses/store.ts';
import { earlierOn, harnessOf, recordsOn, stillOn } from './earlier.ts';
import { endsOn, endsStillOn } from './earlierEnds.ts';
import { keepPractice, loadPractice } from '../practices/load.ts';

/** A tick or a reading, as far as it says when somebody was at work; one that was taken back says nothing. */
type Done = Pick<TickRow, 'spliceId' | 'at'> & { readonly done?: boolean };

/** A job with everything that people have added to it. */
export interface StoredJob {
  readonly row: JobRow;
  readonly job: Job;
  readonly harnessVersion: number;
  readonly practice: Practice;
  readonly catalogue: Catalogue;
  readonly ownShelf: boolean;
  readonly findingVersions: Readonly<Record<string, number>>;
  readonly ticks: readonly TickRow[];
  readonly readings: readonly Reading[];
  readonly records: readonly RecordRow[];
  readonly photos: readonly PhotoRow[];
}

/** When something of a finding was ticked, and read. */
export function workedAt(
  { ticks, readings }: { readonly ticks: readonly Done[]; readonly readings: readonly Done[] },
  findingId: string,
): WorkedAt {
  const of = (all: readonly Done[]): string[] =>
    all.filter(({ done, spliceId }) => done !== false && findingOf(spliceId) === findingId).map(({ at }) => at);
  return { ticked: of(ticks), read: of(readings) };
}

/** What a shop begins with: everything that is usual, of which nobody has counted anything. */
const USUAL_SHELF: Catalogue = { ...FULL_SHELF, id: 'shelf', name: 'Shelf', uncounted: true };

const SHELVES = keptVersions<Catalogue>(8);

/** A shelf by id, if there is one: read whole only where its version is another. */
function storedShelf(manager: EntityManager, id: string): Catalogue | undefined {
  const rows = rowsBy(manager);
  const version = rows.value(CatalogueEntity, 'version', { id });
  if (version === undefined) return undefined;
  const known = SHELVES.get(manager, id, version);
  if (known) return known;
  const body = rows.value(CatalogueEntity, 'body', { id }) as Catalogue;
  SHELVES.keep(manager, id, version, body);
  return body;
}

/** The shop's shelf as it stands: the stored one, else what is usual, not counted. */
export const loadShelf = (manager: EntityManager): Promise<Catalogue> =>
  Promise.resolve(storedShelf(manager, SHELF_ID) ?? USUAL_SHELF);

export const SHELF_ID = 'shelf';
const ownShelfId = (jobId: string): string => `job:${jobId}`;

/** The shelf that a job is planned from: its own where it came with one in a file, else the shop's. */
async function loadCatalogueOf(
  manager: EntityManager,
  jobId: string,
): Promise<{ catalogue: Catalogue; ownShelf: boolean }> {
  const own = storedShelf(manager, ownShelfId(jobId));
  return own ? { catalogue: own, ownShelf: true } : { catalogue: await loadShelf(manager), ownShelf: false };
}

/** The shelf that a job is planned from. @throws AppError NOT_FOUND */
export async function shelfOf(manager: EntityManager, jobId: string): Promise<Catalogue> {
  if (!rowsBy(manager).has(JobEntity, { id: jobId })) throw new AppError('NOT_FOUND', `There is no job "${jobId}".`);
  return (await loadCatalogueOf(manager, jobId)).catalogue;
}

/** Keeps the shelf that came with a job's file, unless it is the shop's own. */
export async function keepOwnShelf(manager: EntityManager, jobId: string, catalogue: Catalogue): Promise<void> {
  if (JSON.stringify(catalogue) === JSON.stringify(await loadShelf(manager))) return;
  await manager.insert(CatalogueEntity, { id: ownShelfId(jobId), version: catalogue.version, body: catalogue });
}

const isEmpty = (wishes: LayoutWishes): boolean =>
  wishes.pins.length +
    wishes.atOne.length +
    wishes.found.length +
    (wishes.chosen?.length ?? 0) +
    (wishes.searched?.length ?? 0) ===
    0 && wishes.otherColours !== true;

/** Loads a job whole. @throws AppError NOT_FOUND */
export async function loadJob(manager: EntityManager, jobId: string): Promise<StoredJob> {
  const rows = rowsBy(manager);
  const row = rows.one(JobEntity, { id: jobId });
  if (!row) throw new AppError('NOT_FOUND', `There is no job "${jobId}".`);
  const { machine, harness, version: harnessVersion } = await loadHarness(manager, row.harnessId);
  const findings = rows.find(FindingEntity, { jobId }, 'position');
  const choices = rows.find(ChoiceEntity, { jobId }, 'jobVersion');
  const latest = new Map(choices.map((choice) => [choice.findingId, choice]));
  const readings = rows.find(ReadingEntity, { jobId }, 'sequence');
  const redos = rows.find(RedoEntity, { jobId }, 'sequence');
  const pins = rows.find(PinEntity, { jobId });
  const records = rows.find(RecordEntity, { jobId }, 'chainRow');
  const own = harnessOf(manager, row);
  const onIt = recordsOn(manager, own);
  const signedIn = records[0]?.chainRow;
  const recorded = earlierOn(manager, own, row, signedIn, onIt);
  const earlier = stillOn(
    [...row.earlier.filter((one) => !recorded.some((other) => other.id === one.id)), ...recorded],
    harness,
  );
  const earlierEnds = endsStillOn([...endsOn(own, row, signedIn, onIt), ...row.earlierEnds], harness);
  return {
    row,
    harnessVersion,
    practice: await loadPractice(manager, row.practiceId),
    ...(await loadCatalogueOf(manager, jobId)),
    findingVersions: Object.fromEntries(findings.map((finding) => [finding.id, finding.version])),
    ticks: rows.find(TickEntity, { jobId }),
    records,
    photos: rows.find(PhotoEntity, { jobId, removed: false }, 'at'),
    readings: readings.map(({ id, spliceId, make, checkId, value, inOneGo, instrument, by, at }) => ({
      id,
      spliceId,
      make,
      checkId,
      value,
      ...(inOneGo ? { inOneGo } : {}),
      ...(instrument === null ? {} : { instrument }),
      by,
      at,
    })),
    job: asFarAsSeen({
      id: row.id,
      number: row.number,
      title: row.title,
      asOf: row.openedOn,
      machine,
      harness,
      findings: findings.map((finding) => finding.body),
      gate: row.gate,
      ...(row.mappings.length === 0 ? {} : { mappings: row.mappings }),
      ...(row.held.length === 0 ? {} : { held: row.held }),
      ...(earlier.length === 0 ? {} : { earlier }),
      ...(earlierEnds.length === 0 ? {} : { earlierEnds }),
      ...(isEmpty(row.layout) ? {} : { layout: row.layout }),
      choices: [...latest.values()].flatMap(({ findingId, use, terminal, reason, by, at }) =>
        use === null
          ? []
          : [{ findingId, use: use as Choice['use'], ...(terminal === null ? {} : { terminal }), reason, by, at }],
      ),
      pins: pins.map(({ findingId, side, centreMm, runId }) => ({
        findingId,
        side,
        centreMm,
        ...(runId === null ? {} : { runId }),
      })),
      redos: redos.map(({ id, findingId, lostFromMm, lostToMm, mishap, because, by, at }) => ({
        id,
        findingId,
        lostFromMm,
        lostToMm,
        ...(mishap === null ? {} : { mishap }),
        because,
        by,
        at,
      })),
    }),
  };
}

/** Whether anything was ticked or read on a job. */
export const hasBegun = (stored: StoredJob): boolean =>
  (stored.job.held ?? []).length > 0 || stored.ticks.some((tick) => tick.done) || stored.readings.length > 0;

/** @throws AppError JOB_SIGNED when the job's record is already signed */
export function mustBeOpen({ row }: StoredJob): void {
  if (row.status === 'signed')
    throw new AppError('JOB_SIGNED', `Job ${row.number} is signed: its record cannot be changed.`);
}

/** Marks a job as changed and gives its new version. */
export function touch(manager: EntityManager, row: JobRow, now: string, change: Partial<JobRow> = {}): Promise<number> {
  const version = row.version + 1;
  rowsBy(manager).update(JobEntity, { id: row.id }, { ...change, version, updatedAt: now });
  return Promise.resolve(version);
}

/** One above the highest plain number so far, four digits. */
export async function nextNumber(manager: EntityManager): Promise<string> {
  const found = await manager
    .createQueryBuilder(JobEntity, 'job')
    .select('MAX(CAST(job.number AS INTEGER))', 'highest')
    .where("job.number NOT GLOB '*[^0-9]*'")
    .getRawOne<{ highest: number | null }>();
  return String((found?.highest ?? 0) + 1).padStart(4, '0');
}

/** The number a job gets: the wished one, else with -2, -3 … where it is taken. */
async function freeNumber(manager: EntityManager, wished: string): Promise<string> {
  let candidate = wished;
  for (let n = 2; await manager.existsBy(JobEntity, { number: candidate }); n += 1) candidate = `${wished}-${n}`;
  return candidate;
}

/** One row of the findings table. */
export const findingRow = (
  jobId: string,
  finding: Finding,
  position: number,
  version: number,
): {
  jobId: string;
  id: string;
  position: number;
  circuitId: string;
  runId: string;
  kind: Finding['kind'];
  fromMm: number;
  toMm: number;
  body: Finding;
  version: number;
} => ({
  jobId,
  id: finding.id,
  position,
  circuitId: finding.circuitId,
  runId: finding.runId,
  kind: finding.kind,
  fromMm: finding.fromMm,
  toMm: finding.toMm,
  body: finding,
  version,
});

/** Stores a job from a file, with its machine and harness; the job gets a new id and a free number. */
export async function insertJob(
  manager: EntityManager,
  job: Job,
  practice: Practice,
  by: string,
  now: string,
  harnessId?: string,
): Promise<{ id: string; number: string }> {
  const id = randomUUID();
  const number = await freeNumber(manager, job.number);
  await manager.insert(JobEntity, {
    id,
    number,
    title: job.title,
    harnessId:
      harnessId ??
      (await sameHarness(manager, job.machine, job.harness)) ??
      (await insertHarness(manager, job.machine, job.harness)),
    practiceId: await keepPractice(manager, practice, id),
    status: 'open',
    held: job.held ?? [],
    earlier: job.earlier ?? [],
    earlierEnds: job.earlierEnds ?? [],
    layout: job.layout ?? NO_WISHES,
    openedOn: job.asOf ?? now.slice(0, 10),
    gate: job.gate,
    mappings: job.mappings ?? [],
    functions: [],
    version: 1,
    createdBy: by,
    createdAt: now,
    updatedAt: now,
  });
  for (const [position, finding] of job.findings.entries())
    await manager.insert(FindingEntity, findingRow(id, finding, position, 1));
  for (const choice of job.choices)
    await manager.insert(ChoiceEntity, {
      id: randomUUID(),
      jobId: id,
      ...choice,
      terminal: choice.terminal ?? null,
      jobVersion: 1,
    });
  for (const pin of job.pins) await manager.insert(PinEntity, { jobId: id, runId: null, ...pin });
  for (const [sequence, redo] of job.redos.entries())
    await manager.insert(RedoEntity, { ...redo, mishap: redo.mishap ?? null, id: randomUUID(), jobId: id, sequence });
  return { id, number };
}
