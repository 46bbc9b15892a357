import type { Router } from 'express';
import { HarnessEntity } from '../db/entities.ts';
import type { Database } from '../db/open.ts';
import { rowsBy } from '../db/prepared.ts';
import { TodoEntity } from '../db/todoEntities.ts';
import { AppError } from '../errors.ts';
import { loadHarness } from '../harnesses/store.ts';
import { read, write } from '../http/serve.ts';
import { insertJob, nextNumber } from '../jobs/store.ts';
import { usualPractice } from '../practices/load.ts';
import { listTodos } from './list.ts';
import { jobFor, mustBeFree, noteTodo, todoRow } from './store.ts';

/** What was seen on a harness and left: written down, done by a job, closed with a reason, opened again. */
export function todoRoutes(router: Router, db: Database): void {
  read(router, 'todos', ({ args }) => db.read((manager) => listTodos(manager, args)));

  write(router, db, 'addTodo', 'to do noted', async ({ args, manager, now, audit }) => {
    const { harnessId: asked, words, circuitId, by } = args;
    const known = rowsBy(manager).one(HarnessEntity, { id: asked });
    if (!known) throw new AppError('NOT_FOUND', `There is no harness "${asked}".`);
    const harnessId = known.keptFor ?? known.id;
    const { harness } = await loadHarness(manager, harnessId);
    if (circuitId !== undefined && !harness.circuits.some(({ id }) => id === circuitId))
      throw new AppError('BAD_INPUT', `${harness.name} has no circuit "${circuitId}".`, { field: '/circuitId' });
    const id = noteTodo(manager, { harnessId, words, circuitId, by, at: now });
    await audit('to do noted', null, { id, harnessId, words });
    return { id };
  });

  write(router, db, 'doTodo', 'to do begun', async ({ args: { todoId, by }, manager, now, audit }) => {
    const row = mustBeFree(manager, todoId);
    const { machine, harness } = await loadHarness(manager, row.harnessId);
    const number = await nextNumber(manager);
    const { lost, ...job } = jobFor(row, { number, asOf: now.slice(0, 10), machine, harness });
    const made = await insertJob(manager, job, await usualPractice(manager), by, now, row.harnessId);
    rowsBy(manager).update(
      TodoEntity,
      { id: todoId },
      { doneInJobId: made.id, doneFindingId: job.findings[0]?.id ?? null },
    );
    await audit('to do begun', made.id, { todoId });
    return { ...made, ...(lost === undefined ? {} : { lost }) };
  });

  write(router, db, 'endTodo', 'to do closed', async ({ args: { todoId, because, by }, manager, now, audit }) => {
    const row = todoRow(manager, todoId);
    if (because === null) {
      if (row.endedAt !== null && row.because === null)
        throw new AppError('TODO_TAKEN', 'It was done in a job that is signed: it cannot be opened again.', {
          hint: 'Note what is left of it anew.',
        });
      rowsBy(manager).update(TodoEntity, { id: todoId }, { endedAt: null, endedBy: null, because: null });
    } else {
      mustBeFree(manager, todoId);
      rowsBy(manager).update(TodoEntity, { id: todoId }, { endedAt: now, endedBy: by, because });
    }
    await audit('to do closed', null, { todoId, because });
    return { id: todoId };
  });
}
