import type { Router } from 'express';
import Joi from 'joi';
import { IsNull, type EntityManager } from 'typeorm';
import { checkJob, type Harness, type HarnessEdit, type Machine } from '@mendum/core';
import { harnessEditSchema, harnessSchema, machineSchema, type HarnessView } from '@mendum/core/interchange';
import { HarnessEntity } from '../db/entities.ts';
import type { Database } from '../db/open.ts';
import { AppError } from '../errors.ts';
import { checked, param, writeBody } from '../http/handle.ts';
import { writeOnce, type WriteHead } from '../http/writes.ts';
import { editHarness } from './edit.ts';
import { insertHarness, loadHarness } from './store.ts';

const newBody = writeBody({ machine: machineSchema.required(), harness: harnessSchema.required() });
const editBody = writeBody({
  version: Joi.number().integer().min(1).required(),
  edits: Joi.array().items(harnessEditSchema).min(1).max(500).required(),
});

async function viewOf(manager: EntityManager, id: string): Promise<HarnessView> {
  const row = await manager.findOneBy(HarnessEntity, { id });
  if (!row) throw new AppError('NOT_FOUND', `There is no harness "${id}".`);
  const { machine, harness } = await loadHarness(manager, id);
  return {
    id,
    version: row.version,
    machineId: machine.id,
    machine: machine.name,
    machineKind: machine.kind,
    systemVoltageV: machine.systemVoltageV,
    name: harness.name,
    runs: harness.runs,
    circuits: harness.circuits,
    nodes: harness.nodes,
  };
}

/** @throws AppError BAD_INPUT naming the first thing in a new harness that cannot be */
function mustHang(machine: Machine, harness: Harness): void {
  const problems = checkJob({
    id: '',
    number: '',
    title: '',
    machine,
    harness,
    findings: [],
    gate: {},
    choices: [],
    pins: [],
    redos: [],
  });
  const [first] = problems;
  if (first)
    throw new AppError('BAD_INPUT', first.message, { field: first.pointer, hint: first.hint, details: problems });
}

/** Machines with their harnesses: listed, described anew, edited. */
export function harnessRoutes(router: Router, db: Database): void {
  router.get('/harnesses', async (_req, res) => {
    const views = await db.read(async (manager) => {
      const list: HarnessView[] = [];
      for (const row of await manager.findBy(HarnessEntity, { keptFor: IsNull() }))
        list.push(await viewOf(manager, row.id));
      return list.sort((a, b) => a.machine.localeCompare(b.machine) || a.name.localeCompare(b.name));
    });
    res.json(views);
  });

  router.post('/harnesses', async (req, res) => {
    const input = checked<WriteHead & { machine: Machine; harness: Harness }>(newBody, req);
    const answer = await writeOnce(db, input, 'harness described', input, async ({ manager, audit }) => {
      mustHang(input.machine, input.harness);
      const id = await insertHarness(manager, input.machine, input.harness);
      await audit('harness described', null, {
        id,
        machine: input.machine.name,
        harness: input.harness.name,
        circuits: input.harness.circuits.length,
      });
      return { status: 201, body: { id } };
    });
    res.status(answer.status).json(answer.body);
  });

  router.put('/harnesses/:harnessId', async (req, res) => {
    const input = checked<WriteHead & { version: number; edits: HarnessEdit[] }>(editBody, req);
    const id = param(req, 'harnessId');
    const answer = await writeOnce(db, input, 'harness edited', { id, input }, async ({ manager, now, audit }) => {
      const version = await editHarness(manager, id, input.version, input.edits, now);
      await audit('harness edited', null, { id, edits: input.edits });
      return { status: 200, body: { harnessVersion: version } };
    });
    res.status(answer.status).json(answer.body);
  });
}
