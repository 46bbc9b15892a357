import type { EntityManager } from 'typeorm';
import { CircuitEntity, HarnessEntity, MachineEntity, NodeEntity } from '../db/entities.ts';
import type { CircuitRow } from '../db/rows.ts';
import { circuitOf } from '../harnesses/store.ts';
import type { Findable, Finder } from './finder.ts';

/** A harness that can be looked for. */
interface Listed {
  readonly id: string;
  readonly version: number;
  readonly name: string;
  readonly machine: string;
}

async function listed(manager: EntityManager): Promise<readonly Listed[]> {
  return manager
    .createQueryBuilder(HarnessEntity, 'harness')
    .innerJoin(MachineEntity.options.name, 'machine', 'machine.id = harness.machineId')
    .select(['harness.id AS id', 'harness.version AS version', 'harness.name AS name', 'machine.name AS machine'])
    .where('harness.keptFor IS NULL')
    .getRawMany<Listed>();
}

/** Rows as they lie there: thousands of them would take long to become objects one by one. */
async function findable(manager: EntityManager, { id, version, name, machine }: Listed): Promise<Findable> {
  const nodes = await manager.find(NodeEntity, {
    where: { harnessId: id },
    select: { harnessId: true, id: true, name: true },
  });
  type Raw = Omit<CircuitRow, 'wire' | 'runIds' | 'shield'> &
    Record<'wire' | 'runIds', string> & { shield: string | null };
  const rows: Raw[] = await manager.query(
    `SELECT * FROM "${CircuitEntity.options.name}" WHERE "harnessId" = ? ORDER BY "position"`,
    [id],
  );
  return {
    id,
    version,
    machine,
    harness: name,
    nodeNames: new Map(nodes.map((node) => [node.id, node.name])),
    circuits: rows.map((row) =>
      circuitOf({
        ...row,
        wire: JSON.parse(row.wire) as CircuitRow['wire'],
        runIds: JSON.parse(row.runIds) as CircuitRow['runIds'],
        shield: row.shield === null ? null : (JSON.parse(row.shield) as CircuitRow['shield']),
      }),
    ),
  };
}

/** Brings a finder to what is stored: only harnesses that are new or were edited are read. */
export async function bringUpToDate(finder: Finder, manager: EntityManager): Promise<void> {
  const there = await listed(manager);
  const ids = new Set(there.map(({ id }) => id));
  for (const id of [...finder.versions.keys()]) if (!ids.has(id)) finder.forget(id);
  for (const one of there) if (finder.versions.get(one.id) !== one.version) finder.take(await findable(manager, one));
}
