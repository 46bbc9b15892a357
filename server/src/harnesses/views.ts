import type { EntityManager } from 'typeorm';
import type { HarnessSummary, HarnessView, Page, PageAsked } from '@mendum/core/operations';
import { CircuitEntity, HarnessEntity, MachineEntity, NodeEntity } from '../db/entities.ts';
import { countFor, havingWords, pageOf } from '../db/page.ts';
import type { HarnessRow, MachineRow } from '../db/rows.ts';
import { AppError } from '../errors.ts';
import { loadHarness } from './store.ts';

/** A harness with its machine, as it goes out. @throws AppError NOT_FOUND */
export async function viewOf(manager: EntityManager, id: string): Promise<HarnessView> {
  const row = await manager.findOneBy(HarnessEntity, { id });
  if (!row) throw new AppError('NOT_FOUND', `There is no harness "${id}".`);
  const { machine, harness } = await loadHarness(manager, id);
  return {
    ...harness,
    version: row.version,
    machineId: machine.id,
    machine: machine.name,
    machineKind: machine.kind,
    systemVoltageV: machine.systemVoltageV,
  };
}

/** What is searched of a harness: its name, its machine, and what its circuits do. */
const TEXT = `fold(machine.name || ' ' || machine.kind || ' ' || harness.name || ' ' || coalesce((
  SELECT group_concat(circuit.function, ' ') FROM circuit WHERE circuit.harnessId = harness.id
), ''))`;

type Row = HarnessRow & { machine: MachineRow };

async function summariesOf(manager: EntityManager, rows: readonly Row[]): Promise<HarnessSummary[]> {
  const ids = rows.map(({ id }) => id);
  const circuits = await countFor(manager, CircuitEntity.options.name, 'harnessId', ids);
  const connectors = await countFor(manager, NodeEntity.options.name, 'harnessId', ids);
  return rows.map(({ id, version, name, machine }) => ({
    id,
    version,
    name,
    machineId: machine.id,
    machine: machine.name,
    machineKind: machine.kind,
    systemVoltageV: machine.systemVoltageV,
    circuits: circuits.get(id) ?? 0,
    connectors: connectors.get(id) ?? 0,
  }));
}

/** A page of the harnesses, by machine and name; states that are only kept for signed jobs are not listed. */
export function listHarnesses(manager: EntityManager, asked: PageAsked): Promise<Page<HarnessSummary>> {
  const query = manager
    .createQueryBuilder(HarnessEntity, 'harness')
    .innerJoinAndMapOne('harness.machine', MachineEntity.options.name, 'machine', 'machine.id = harness.machineId')
    .where('harness.keptFor IS NULL');
  return pageOf(
    havingWords(query, TEXT, asked.search),
    // All of one machine together, whatever another one of its name has.
    { by: ['machine.name', 'machine.id', 'harness.name', 'harness.id'] },
    asked,
    (row) => [(row as Row).machine.name, (row as Row).machine.id, row.name, row.id],
    (rows) => summariesOf(manager, rows as readonly Row[]),
  );
}
