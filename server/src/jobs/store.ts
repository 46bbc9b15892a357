import { randomUUID } from 'node:crypto';
import { isDeepStrictEqual } from 'node:util';
import type { EntityManager } from 'typeorm';
import { areaMm2, FULL_SHELF, plan, practiceById, CRIMP_FIRST, type Catalogue, type Choice, type Circuit, type Finding, type Harness, type Job, type Machine, type Plan, type Practice, type Reading } from '@mendum/core';
import {
  CatalogueEntity, ChoiceEntity, CircuitEntity, FindingEntity, HarnessEntity, JobEntity, MachineEntity, NodeEntity, PinEntity, ReadingEntity, RecordEntity, RedoEntity, RunEntity, TickEntity,
} from '../db/entities.ts';
import type { CircuitRow, JobRow, RecordRow, TickRow } from '../db/rows.ts';
import { AppError } from '../errors.ts';

/** A job with everything that people have added to it. */
export interface StoredJob {
  readonly row: JobRow;
  readonly job: Job;
  readonly practice: Practice;
  readonly catalogue: Catalogue;
  readonly ownShelf: boolean;
  readonly findingVersions: Readonly<Record<string, number>>;
  readonly ticks: readonly TickRow[];
  readonly readings: readonly Reading[];
  readonly records: readonly RecordRow[];
}

const orUndefined = <T>(value: T | null): T | undefined => value ?? undefined;

const circuitOf = (row: CircuitRow): Circuit => ({
  id: row.id, number: row.number, function: row.function, kind: row.kind, wire: row.wire, from: { nodeId: row.fromNodeId, cavity: row.fromCavity }, to: { nodeId: row.toNodeId, cavity: row.toCavity },
  runIds: row.runIds, fuseA: orUndefined(row.fuseA), loadA: orUndefined(row.loadA), pairWith: orUndefined(row.pairWith),
});

/** The shop's shelf as it stands: the stored one, else the full generic shelf. */
export async function loadShelf(manager: EntityManager): Promise<Catalogue> {
  const row = await manager.findOneBy(CatalogueEntity, { id: SHELF_ID });
  return row ? (row.body as Catalogue) : FULL_SHELF;
}

const SHELF_ID = 'shelf';
const ownShelfId = (jobId: string): string => `job:${jobId}`;

/** The shelf that a job is planned from: its own where it came with one in a file, else the shop's. */
async function loadCatalogueOf(manager: EntityManager, jobId: string): Promise<{ catalogue: Catalogue; ownShelf: boolean }> {
  const own = await manager.findOneBy(CatalogueEntity, { id: ownShelfId(jobId) });
  return own ? { catalogue: own.body as Catalogue, ownShelf: true } : { catalogue: await loadShelf(manager), ownShelf: false };
}

/** Keeps the shelf that came with a job's file, unless it is the shop's own. */
export async function keepOwnShelf(manager: EntityManager, jobId: string, catalogue: Catalogue): Promise<void> {
  if (JSON.stringify(catalogue) === JSON.stringify(await loadShelf(manager))) return;
  await manager.insert(CatalogueEntity, { id: ownShelfId(jobId), version: catalogue.version, body: catalogue });
}

export async function loadHarness(manager: EntityManager, harnessId: string): Promise<{ machine: Machine; harness: Harness }> {
  const row = await manager.findOneByOrFail(HarnessEntity, { id: harnessId });
  const machine = await manager.findOneByOrFail(MachineEntity, { id: row.machineId });
  const order = { where: { harnessId }, order: { position: 'ASC' } } as const;
  const nodes = await manager.find(NodeEntity, order);
  const runs = await manager.find(RunEntity, order);
  const circuits = await manager.find(CircuitEntity, order);
  return {
    machine,
    harness: {
      id: row.id, name: row.name,
      nodes: nodes.map((node) => ({ id: node.id, kind: node.kind, name: node.name, ways: orUndefined(node.ways), face: orUndefined(node.face), lock: orUndefined(node.lock) })),
      runs: runs.map((run) => ({ id: run.id, name: run.name, fromNodeId: run.fromNodeId, toNodeId: run.toNodeId, lengthMm: run.lengthMm, conduitInsideMm: orUndefined(run.conduitInsideMm), zone: run.zone, features: run.features })),
      circuits: circuits.map(circuitOf),
    },
  };
}

/** What was signed comes before its corrections, whatever the clock said. */
const originalsFirst = (records: readonly RecordRow[]): RecordRow[] => [...records].sort((a, b) => Number(a.replacesId !== null) - Number(b.replacesId !== null));

/** Loads a job whole. @throws AppError NOT_FOUND */
export async function loadJob(manager: EntityManager, jobId: string): Promise<StoredJob> {
  const row = await manager.findOneBy(JobEntity, { id: jobId });
  if (!row) throw new AppError('NOT_FOUND', `There is no job "${jobId}".`);
  const { machine, harness } = await loadHarness(manager, row.harnessId);
  const findings = await manager.find(FindingEntity, { where: { jobId }, order: { position: 'ASC' } });
  const choices = await manager.find(ChoiceEntity, { where: { jobId }, order: { at: 'ASC' } });
  const latest = new Map(choices.map((choice) => [choice.findingId, choice]));
  const readings = await manager.find(ReadingEntity, { where: { jobId }, order: { sequence: 'ASC' } });
  const redos = await manager.find(RedoEntity, { where: { jobId }, order: { sequence: 'ASC' } });
  const pins = await manager.find(PinEntity, { where: { jobId } });
  return {
    row,
    practice: practiceById(row.practiceId) ?? CRIMP_FIRST,
    ...(await loadCatalogueOf(manager, jobId)),
    findingVersions: Object.fromEntries(findings.map((finding) => [finding.id, finding.version])),
    ticks: await manager.find(TickEntity, { where: { jobId } }),
    records: originalsFirst(await manager.find(RecordEntity, { where: { jobId }, order: { signedAt: 'ASC' } })),
    readings: readings.map(({ id, spliceId, make, checkId, value, by, at }) => ({ id, spliceId, make, checkId, value, by, at })),
    job: {
      id: row.id, number: row.number, title: row.title, asOf: row.openedOn, machine, harness,
      findings: findings.map((finding) => finding.body), gate: row.gate,
      choices: [...latest.values()].flatMap(({ findingId, use, reason, by, at }) => (use === null ? [] : [{ findingId, use: use as Choice['use'], reason, by, at }])),
      pins: pins.map(({ findingId, side, centreMm }) => ({ findingId, side, centreMm })),
      redos: redos.map(({ id, findingId, lostFromMm, lostToMm, because, by, at }) => ({ id, findingId, lostFromMm, lostToMm, because, by, at })),
    },
  };
}

/** The plan of a stored job: computed, never kept. */
export const planOf = ({ job, practice, catalogue }: Pick<StoredJob, 'job' | 'practice' | 'catalogue'>): Plan => plan(job, practice, catalogue);

/** @throws AppError JOB_SIGNED when the job's record is already signed */
export function mustBeOpen({ row }: StoredJob): void {
  if (row.status === 'signed') throw new AppError('JOB_SIGNED', `Job ${row.number} is signed: its record cannot be changed.`);
}

/** Marks a job as changed and gives its new version. */
export async function touch(manager: EntityManager, row: JobRow, now: string, change: Partial<JobRow> = {}): Promise<number> {
  const version = row.version + 1;
  await manager.update(JobEntity, { id: row.id }, { ...change, version, updatedAt: now });
  return version;
}

const takenNumbers = async (manager: EntityManager): Promise<string[]> => (await manager.find(JobEntity, { select: { number: true } })).map((row) => row.number);

/** One above the highest plain number so far, four digits. */
export async function nextNumber(manager: EntityManager): Promise<string> {
  return String(Math.max(0, ...(await takenNumbers(manager)).map(Number).filter(Number.isInteger)) + 1).padStart(4, '0');
}

/** The number a job gets: the wished one, else with -2, -3 … where it is taken. */
async function freeNumber(manager: EntityManager, wished: string): Promise<string> {
  const taken = new Set(await takenNumbers(manager));
  let candidate = wished;
  for (let n = 2; taken.has(candidate); n += 1) candidate = `${wished}-${n}`;
  return candidate;
}

/** The harness that is stored already with the same contents on the same machine, in whatever order its fields came. */
async function sameHarness(manager: EntityManager, machine: Machine, harness: Harness): Promise<string | undefined> {
  const plain = (one: { machine: Machine; harness: Harness }): unknown => JSON.parse(JSON.stringify({ machine: { ...one.machine, id: '' }, harness: { ...one.harness, id: '' } }));
  const wanted = plain({ machine, harness });
  for (const row of await manager.findBy(HarnessEntity, { name: harness.name })) {
    if (isDeepStrictEqual(plain(await loadHarness(manager, row.id)), wanted)) return row.id;
  }
  return undefined;
}

/** Stores a machine with its harness under new ids; ids inside the harness stay. */
export async function insertHarness(manager: EntityManager, machine: Machine, harness: Harness): Promise<string> {
  const harnessId = randomUUID();
  const machineId = randomUUID();
  await manager.insert(MachineEntity, { ...machine, id: machineId });
  await manager.insert(HarnessEntity, { id: harnessId, machineId, name: harness.name });
  if (harness.nodes.length > 0) await manager.insert(NodeEntity, harness.nodes.map((node, position) => ({ harnessId, position, id: node.id, kind: node.kind, name: node.name, ways: node.ways ?? null, face: node.face ?? null, lock: node.lock ?? null })));
  await manager.insert(RunEntity, harness.runs.map((run, position) => ({ ...run, features: [...run.features], harnessId, position, conduitInsideMm: run.conduitInsideMm ?? null })));
  for (let start = 0; start < harness.circuits.length; start += 40) {
    await manager.insert(CircuitEntity, harness.circuits.slice(start, start + 40).map((circuit, at) => ({
      harnessId, position: start + at, id: circuit.id, number: circuit.number, function: circuit.function, kind: circuit.kind, areaMm2: areaMm2(circuit.wire.size), colourBase: circuit.wire.colour.base,
      fromNodeId: circuit.from.nodeId, fromCavity: circuit.from.cavity, toNodeId: circuit.to.nodeId, toCavity: circuit.to.cavity,
      fuseA: circuit.fuseA ?? null, loadA: circuit.loadA ?? null, pairWith: circuit.pairWith ?? null, wire: circuit.wire, runIds: [...circuit.runIds],
    })));
  }
  return harnessId;
}

/** One row of the findings table. */
export const findingRow = (jobId: string, finding: Finding, position: number, version: number): { jobId: string; id: string; position: number; circuitId: string; runId: string; kind: Finding['kind']; fromMm: number; toMm: number; body: Finding; version: number } => ({
  jobId, id: finding.id, position, circuitId: finding.circuitId, runId: finding.runId, kind: finding.kind, fromMm: finding.fromMm, toMm: finding.toMm, body: finding, version,
});

/** Stores a job from a file, with its machine and harness; the job gets a new id and a free number. */
export async function insertJob(manager: EntityManager, job: Job, practice: Practice, by: string, now: string, harnessId?: string): Promise<{ id: string; number: string }> {
  const id = randomUUID();
  const number = await freeNumber(manager, job.number);
  await manager.insert(JobEntity, {
    id, number, title: job.title, harnessId: harnessId ?? (await sameHarness(manager, job.machine, job.harness)) ?? (await insertHarness(manager, job.machine, job.harness)), practiceId: practice.id, status: 'open',
    openedOn: job.asOf ?? now.slice(0, 10), gate: job.gate, version: 1, createdBy: by, createdAt: now, updatedAt: now,
  });
  for (const [position, finding] of job.findings.entries()) await manager.insert(FindingEntity, findingRow(id, finding, position, 1));
  for (const choice of job.choices) await manager.insert(ChoiceEntity, { id: randomUUID(), jobId: id, ...choice });
  for (const pin of job.pins) await manager.insert(PinEntity, { jobId: id, ...pin });
  for (const [sequence, redo] of job.redos.entries()) await manager.insert(RedoEntity, { ...redo, id: randomUUID(), jobId: id, sequence });
  return { id, number };
}
