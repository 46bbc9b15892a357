import type { Router } from 'express';
import type { Harness } from '@mendum/core/harness';
import { checkJob, NOTHING_YET, type Machine } from '@mendum/core/job';
import type { Database } from '../db/open.ts';
import { AppError } from '../errors.ts';
import { mustBeAt, read, write } from '../http/serve.ts';
import { editHarness } from './edit.ts';
import type { Planner } from '../planning/planner.ts';
import { joinHarness } from './join.ts';
import { nameHarness } from './name.ts';
import { insertHarness } from './store.ts';
import { listHarnesses, viewOf } from './views.ts';

/** @throws AppError BAD_INPUT naming the first thing in a new harness that cannot be */
function mustHang(machine: Machine, harness: Harness): void {
  const problems = checkJob({ ...NOTHING_YET, id: '', number: '', title: '', machine, harness });
  const [first] = problems;
  if (first)
    throw new AppError('BAD_INPUT', first.message, { field: first.pointer, hint: first.hint, details: problems });
}

/** Machines with their harnesses: listed, described anew, edited. */
export function harnessRoutes(router: Router, db: Database, planner: Planner): void {
  read(router, 'harnesses', ({ args }) => db.read((manager) => listHarnesses(manager, args)));
  read(router, 'harness', async ({ args: { harnessId, version } }) => {
    const view = await db.read((manager) => viewOf(manager, harnessId));
    mustBeAt('The harness', version, view.version);
    return view;
  });
  read(router, 'find', ({ args }) => planner.ask('find', args));

  write(router, db, 'addHarness', 'harness described', async ({ args: { machine, harness }, manager, audit }) => {
    mustHang(machine, harness);
    const id = await insertHarness(manager, machine, harness);
    await audit('harness described', null, {
      id,
      machine: machine.name,
      harness: harness.name,
      circuits: harness.circuits.length,
    });
    return { id };
  });

  write(
    router,
    db,
    'changeHarness',
    'harness edited',
    async ({ args: { harnessId: id, version, edits }, manager, now, audit }) => {
      const harnessVersion = await editHarness(manager, id, version, edits, now);
      await audit('harness edited', null, { id, edits });
      return { harnessVersion };
    },
  );

  write(router, db, 'joinHarness', 'harnesses joined', async ({ args, manager, now, audit }) => {
    const { harnessId: id, version, otherId, otherVersion, at, same, by } = args;
    const joined = await joinHarness(manager, { id, version, otherId, otherVersion, at, same }, { by, now });
    await audit('harnesses joined', null, { id, otherId, at, same });
    return joined;
  });

  write(
    router,
    db,
    'nameHarness',
    'harness named',
    async ({ args: { harnessId, version, name, machine, by }, manager, now, audit }) => {
      const named = await nameHarness(manager, harnessId, version, { name, machine }, { by, now });
      await audit('harness named', null, { id: harnessId, name, machine });
      return named;
    },
  );
}
