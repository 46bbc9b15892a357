import type { EntityManager } from 'typeorm';
import { isAtCavity, type Finding } from '@mendum/core/damage';
import type { Harness } from '@mendum/core/harness';
import type { Page, Todo, TodosAsked } from '@mendum/core/operations';
import { placeOn } from '@mendum/core/record';
import { JobEntity } from '../db/entities.ts';
import { havingWords, pageOf } from '../db/page.ts';
import { rowsBy } from '../db/prepared.ts';
import { TodoEntity, type TodoRow } from '../db/todoEntities.ts';
import { loadHarness } from '../harnesses/store.ts';
import { doingOf } from './store.ts';

/** Where it is on the harness as that is now; nowhere where its run or connector is gone. */
function placeOf(finding: Finding, { runs, nodes }: Harness): Todo['place'] {
  const nameOf = (id: string): string => nodes.find((node) => node.id === id)?.name ?? id;
  if (isAtCavity(finding)) {
    const { nodeId, cavity } = finding.at;
    return nodes.some(({ id }) => id === nodeId) ? { connector: nameOf(nodeId), cavity } : undefined;
  }
  const run = runs.find(({ id }) => id === finding.runId);
  if (!run) return undefined;
  const { atMm, fromNodeId } = placeOn(run, (finding.fromMm + finding.toMm) / 2);
  return { run: run.name, atMm, fromName: nameOf(fromNodeId) };
}

function jobOf(manager: EntityManager, id: string | null): Todo['doing'] {
  const number = id === null ? undefined : rowsBy(manager).value(JobEntity, 'number', { id });
  return id === null || number === undefined ? undefined : { id, number };
}

async function todoOf(manager: EntityManager, row: TodoRow): Promise<Todo> {
  const { machine, harness } = await loadHarness(manager, row.harnessId);
  const { endedAt, endedBy, because, finding } = row;
  const ended = endedAt !== null && {
    by: endedBy ?? '',
    at: endedAt,
    because: because ?? undefined,
    job: because === null ? jobOf(manager, row.doneInJobId) : undefined,
  };
  return {
    id: row.id,
    harnessId: row.harnessId,
    machine: machine.name,
    harness: harness.name,
    words: row.words,
    circuitNumber: harness.circuits.find(({ id }) => id === row.circuitId)?.number,
    by: row.by,
    at: row.at,
    ...(finding && { finding, place: placeOf(finding, harness) }),
    seenIn: jobOf(manager, row.seenInJobId),
    ...(ended ? { ended } : { doing: doingOf(manager, row) }),
  };
}

/** Words of it, and of whose harness it is, in which every word of a search is. */
const SAYS = `fold("todo"."words" || ' ' || "todo"."by" || ' ' || (SELECT harness.name || ' ' || machine.name
  FROM harness JOIN machine ON machine.id = harness."machineId" WHERE harness.id = "todo"."harnessId"))`;

/** A page of what is to be done on harnesses, or of what was closed, the last one first. */
export function listTodos(
  manager: EntityManager,
  { harnessId, ended = false, ...asked }: TodosAsked,
): Promise<Page<Todo>> {
  const query = manager
    .createQueryBuilder(TodoEntity, 'todo')
    .where(ended ? 'todo.endedAt IS NOT NULL' : 'todo.endedAt IS NULL');
  if (harnessId !== undefined)
    query.andWhere(
      'todo.harnessId IN (SELECT COALESCE(own."keptFor", own.id) FROM harness own WHERE own.id = :harnessId)',
      {
        harnessId,
      },
    );
  return pageOf(
    havingWords(query, SAYS, asked.search),
    { by: ['todo.at', 'todo.id'], descends: true },
    asked,
    ({ at, id }) => [at, id],
    (rows) => Promise.all(rows.map((row) => todoOf(manager, row))),
  );
}
