import { randomUUID } from 'node:crypto';
import { isDeepStrictEqual } from 'node:util';
import { setImmediate } from 'node:timers/promises';
import { IsNull, type EntityManager } from 'typeorm';
import { NOT_MEASURED_MM, type Circuit, type Harness } from '@mendum/core/harness';
import type { Machine } from '@mendum/core/job';
import { areaMm2 } from '@mendum/core/wire';
import { CircuitEntity, HarnessEntity, MachineEntity, NodeEntity, RunEntity } from '../db/entities.ts';
import { keptVersions } from '../db/kept.ts';
import { rowsBy } from '../db/prepared.ts';
import type { CircuitRow } from '../db/rows.ts';

const orUndefined = <T>(value: T | null): T | undefined => value ?? undefined;

/** A circuit as it is stored in a row. */
export const circuitOf = (row: CircuitRow): Circuit => ({
  id: row.id,
  number: row.number,
  function: row.function,
  kind: row.kind,
  wire: row.wire,
  from: { nodeId: row.fromNodeId, cavity: row.fromCavity },
  to: { nodeId: row.toNodeId, cavity: row.toCavity },
  runIds: row.runIds,
  fuseA: orUndefined(row.fuseA),
  loadA: orUndefined(row.loadA),
  shield: orUndefined(row.shield),
  pairWith: orUndefined(row.pairWith),
  remark: orUndefined(row.remark),
});

/** A harness with its machine, and the version that its contents are of. */
export interface StoredHarness {
  readonly machine: Machine;
  readonly harness: Harness;
  readonly version: number;
}

/** Circuits that are read before others get their turn (some 20 ms): thousands at once would keep everybody waiting. */
const PAGE = 100;

type Parts = Pick<Harness, 'nodes' | 'runs' | 'circuits'>;
const PARTS = keptVersions<Parts>(20);

async function readParts(manager: EntityManager, harnessId: string): Promise<Parts> {
  const order = { where: { harnessId }, order: { position: 'ASC' } } as const;
  const nodes = await manager.find(NodeEntity, order);
  const runs = await manager.find(RunEntity, order);
  const circuits: Circuit[] = [];
  for (;;) {
    const page = await manager.find(CircuitEntity, { ...order, skip: circuits.length, take: PAGE });
    circuits.push(...page.map(circuitOf));
    if (page.length < PAGE) break;
    await setImmediate();
  }
  return {
    nodes: nodes.map((node) => ({
      id: node.id,
      kind: node.kind,
      name: node.name,
      ways: orUndefined(node.ways),
      face: orUndefined(node.face),
      identity: orUndefined(node.identity),
      lock: orUndefined(node.lock),
      fittings: orUndefined(node.fittings),
    })),
    runs: runs.map((run) => ({
      id: run.id,
      name: run.name,
      fromNodeId: run.fromNodeId,
      toNodeId: run.toNodeId,
      lengthMm: run.lengthMm,
      ...(run.atLeast ? { atLeast: true as const } : {}),
      conduitInsideMm: orUndefined(run.conduitInsideMm),
      zone: run.zone,
      features: run.features,
    })),
    circuits,
  };
}

/** Nodes, runs and circuits of a version of a harness. */
async function partsOf(manager: EntityManager, harnessId: string, version: number): Promise<Parts> {
  const known = PARTS.get(manager, harnessId, version);
  if (known) return known;
  const parts = await readParts(manager, harnessId);
  PARTS.keep(manager, harnessId, version, parts);
  return parts;
}

/** A harness whole. What it gives is shared: nobody may change it in place. */
export async function loadHarness(manager: EntityManager, harnessId: string): Promise<StoredHarness> {
  const rows = rowsBy(manager);
  const row = rows.one(HarnessEntity, { id: harnessId });
  const machine = row && rows.one(MachineEntity, { id: row.machineId });
  if (!machine) throw new Error(`There is no harness ${harnessId}, or not its machine.`);
  const parts = await partsOf(manager, harnessId, row.version);
  const besides = {
    ...(row.cables.length === 0 ? {} : { cables: row.cables }),
    ...(row.sources === null ? {} : { sources: row.sources }),
  };
  return { machine, harness: { id: row.id, name: row.name, ...parts, ...besides }, version: row.version };
}

/**
 * What a harness is, from whichever sheets it is known. How far a run that nobody has measured was seen is no part of
 * that: a job's file has it as far as its findings.
 */
const whateverWasSeen = ({ sources: _, ...harness }: Harness): Harness => ({
  ...harness,
  id: '',
  runs: harness.runs.map((run) => (run.atLeast === true ? { ...run, lengthMm: NOT_MEASURED_MM } : run)),
});

/** The harness that is stored already with the same contents on the same machine, in whatever order its fields came. */
export async function sameHarness(
  manager: EntityManager,
  machine: Machine,
  harness: Harness,
): Promise<string | undefined> {
  const plain = (one: { machine: Machine; harness: Harness }): unknown =>
    JSON.parse(JSON.stringify({ machine: { ...one.machine, id: '' }, harness: whateverWasSeen(one.harness) }));
  const wanted = plain({ machine, harness });
  for (const row of await manager.findBy(HarnessEntity, { name: harness.name, keptFor: IsNull() })) {
    if (isDeepStrictEqual(plain(await loadHarness(manager, row.id)), wanted)) return row.id;
  }
  return undefined;
}

/** The machine that is stored already under this name, kind and voltage, else a new one. */
export async function machineIdOf(manager: EntityManager, { name, kind, systemVoltageV }: Machine): Promise<string> {
  const known = await manager.findOneBy(MachineEntity, { name, kind, systemVoltageV });
  if (known) return known.id;
  const id = randomUUID();
  await manager.insert(MachineEntity, { id, name, kind, systemVoltageV });
  return id;
}

async function insertParts(manager: EntityManager, harnessId: string, harness: Harness): Promise<void> {
  if (harness.nodes.length > 0)
    await manager.insert(
      NodeEntity,
      harness.nodes.map((node, position) => ({
        harnessId,
        position,
        id: node.id,
        kind: node.kind,
        name: node.name,
        ways: node.ways ?? null,
        face: node.face ?? null,
        identity: node.identity ?? null,
        lock: node.lock ?? null,
        fittings: node.fittings ?? null,
      })),
    );
  await manager.insert(
    RunEntity,
    harness.runs.map((run, position) => ({
      ...run,
      features: [...run.features],
      atLeast: run.atLeast === true,
      harnessId,
      position,
      conduitInsideMm: run.conduitInsideMm ?? null,
    })),
  );
  for (let start = 0; start < harness.circuits.length; start += 40) {
    await manager.insert(
      CircuitEntity,
      harness.circuits.slice(start, start + 40).map((circuit, at) => ({
        harnessId,
        position: start + at,
        id: circuit.id,
        number: circuit.number,
        function: circuit.function,
        kind: circuit.kind,
        areaMm2: areaMm2(circuit.wire.size),
        colourBase: circuit.wire.colour.base,
        fromNodeId: circuit.from.nodeId,
        fromCavity: circuit.from.cavity,
        toNodeId: circuit.to.nodeId,
        toCavity: circuit.to.cavity,
        fuseA: circuit.fuseA ?? null,
        loadA: circuit.loadA ?? null,
        shield: circuit.shield ?? null,
        pairWith: circuit.pairWith ?? null,
        remark: circuit.remark ?? null,
        wire: circuit.wire,
        runIds: [...circuit.runIds],
      })),
    );
  }
}

/** Stores a harness under a new id, with its machine where that is new; ids inside the harness stay. */
export async function insertHarness(manager: EntityManager, machine: Machine, harness: Harness): Promise<string> {
  const harnessId = randomUUID();
  await manager.insert(HarnessEntity, {
    id: harnessId,
    machineId: await machineIdOf(manager, machine),
    name: harness.name,
    version: 1,
    keptFor: null,
    placed: null,
    cables: harness.cables ?? [],
    sources: harness.sources ?? null,
  });
  await insertParts(manager, harnessId, harness);
  return harnessId;
}

/** Keeps a harness aside as it is, for the jobs that were signed on it. */
export async function keepAside(manager: EntityManager, harnessId: string): Promise<string> {
  const row = await manager.findOneByOrFail(HarnessEntity, { id: harnessId });
  const { harness } = await loadHarness(manager, harnessId);
  const id = randomUUID();
  await manager.insert(HarnessEntity, { ...row, id, keptFor: harnessId });
  await insertParts(manager, id, harness);
  return id;
}

/** Puts another state of a harness in place of the stored one. */
export async function replaceHarness(
  manager: EntityManager,
  harnessId: string,
  harness: Harness,
  version: number,
): Promise<void> {
  for (const part of [NodeEntity, RunEntity, CircuitEntity]) await manager.delete(part, { harnessId });
  await insertParts(manager, harnessId, harness);
  await manager.update(
    HarnessEntity,
    { id: harnessId },
    {
      name: harness.name,
      version,
      cables: [...(harness.cables ?? [])],
      sources: harness.sources === undefined ? null : [...harness.sources],
    },
  );
}
