import type { Router } from 'express';
import Joi from 'joi';
import {
  checkFinding,
  checkLimits,
  checkOverlap,
  GATE_ENTRIES,
  practiceById,
  type Finding,
  type GateEntry,
  type Job,
} from '@mendum/core';
import { findingSchema } from '@mendum/core/interchange';
import { ChoiceEntity, FindingEntity, PracticeEntity } from '../db/entities.ts';
import type { Database } from '../db/open.ts';
import { AppError } from '../errors.ts';
import { param } from '../http/handle.ts';
import { changeRoute, hasWork, mustBeCurrent } from './change.ts';
import { findingRow, touch } from './store.ts';

const version = Joi.number().integer().min(1).required();
const longText = Joi.string().trim().min(1).max(2000);

/** @throws AppError BAD_INPUT naming the first thing that cannot be */
function mustBePossible(finding: Finding, job: Job): void {
  const isNew = job.findings.every(({ id }) => id !== finding.id);
  const problems = [
    ...(isNew ? checkLimits({ ...job, findings: [...job.findings, finding] }) : []),
    ...checkFinding(finding, job, '/finding'),
    ...checkOverlap(finding, job.findings, '/finding'),
  ];
  const [first] = problems;
  if (first)
    throw new AppError('BAD_INPUT', first.message, { field: first.pointer, hint: first.hint, details: problems });
}

const workRefusal = (): AppError =>
  new AppError('HAS_WORK', 'Work has been done on this finding: it cannot be changed or removed any more.');

/** @throws AppError NOT_FOUND unless it is an entry that the gate has */
function gateEntry(word: string): GateEntry {
  const entry = GATE_ENTRIES.find((one) => one === word);
  if (!entry)
    throw new AppError('NOT_FOUND', `There is no gate entry "${word}".`, {
      hint: `Entries are ${GATE_ENTRIES.join(', ')}.`,
    });
  return entry;
}

/** Gate, findings and practice: what is settled before anything is cut. */
export function surveyRoutes(router: Router, db: Database): void {
  changeRoute<{ version: number; how?: 'provedDead' | 'batteryOff'; procedure?: string; reading?: string }>(
    router,
    db,
    {
      method: 'put',
      path: '/gate/:entry',
      what: 'gate',
      behindGate: false,
      fields: { version, how: Joi.valid('provedDead', 'batteryOff'), procedure: longText, reading: longText },
      work: async ({ input, stored, manager, now, audit, req }) => {
        const entry = gateEntry(param(req, 'entry'));
        // Entries do not get in each other's way: only what somebody else has said already is not overwritten unseen.
        if (stored.row.gate[entry] !== undefined)
          mustBeCurrent('The gate', input.version, stored.row.version, stored.row.gate, input);
        const said = { by: input.by, at: now };
        const needs = { isolation: 'how', airbag: 'procedure', highVoltage: 'procedure', vapour: 'reading' } as const;
        const wanted = input[needs[entry]];
        if (wanted === undefined)
          throw new AppError('BAD_INPUT', `The gate entry "${entry}" lacks its ${needs[entry]}.`, {
            field: `/${needs[entry]}`,
            hint: 'Say what was done, and by whose procedure.',
          });
        const gate = { ...stored.row.gate, [entry]: { [needs[entry]]: wanted, ...said } };
        await audit('gate', stored.row.id, { entry, [needs[entry]]: wanted });
        return { status: 200, body: { version: await touch(manager, stored.row, now, { gate }) } };
      },
    },
  );

  changeRoute<{ version: number }>(router, db, {
    method: 'delete',
    path: '/gate/:entry',
    what: 'gate withdrawn',
    behindGate: false,
    fields: { version },
    work: async ({ input, stored, manager, now, audit, req }) => {
      const entry = gateEntry(param(req, 'entry'));
      mustBeCurrent('The gate', input.version, stored.row.version, stored.row.gate, input);
      const gate = { ...stored.row.gate, [entry]: undefined };
      await audit('gate withdrawn', stored.row.id, { entry });
      return { status: 200, body: { version: await touch(manager, stored.row, now, { gate }) } };
    },
  });

  changeRoute<{ version: number; practiceId: string }>(router, db, {
    method: 'put',
    path: '/practice',
    what: 'practice',
    behindGate: false,
    fields: { version, practiceId: Joi.string().min(1).max(120).required() },
    work: async ({ input, stored, manager, now, audit }) => {
      mustBeCurrent('The job', input.version, stored.row.version, stored.row.practiceId, input.practiceId);
      if (stored.job.findings.some((finding) => hasWork(stored, finding.id))) {
        throw new AppError('HAS_WORK', 'Splices have been made under this practice: it stays for this job.', {
          hint: 'Choose another method for a circuit in Decide instead.',
        });
      }
      if (
        !practiceById(input.practiceId) &&
        !(await manager.existsBy(PracticeEntity, { id: input.practiceId, kept: false }))
      )
        throw new AppError('BAD_INPUT', `There is no practice "${input.practiceId}".`, { field: '/practiceId' });
      await audit('practice', stored.row.id, { from: stored.row.practiceId, to: input.practiceId });
      return {
        status: 200,
        body: { version: await touch(manager, stored.row, now, { practiceId: input.practiceId }) },
      };
    },
  });

  changeRoute<{ finding: Finding }>(router, db, {
    method: 'post',
    path: '/findings',
    what: 'finding added',
    behindGate: false,
    fields: { finding: findingSchema.required() },
    work: async ({ input, stored, manager, audit }) => {
      if (stored.job.findings.some((finding) => finding.id === input.finding.id))
        throw new AppError('BAD_INPUT', `Finding "${input.finding.id}" is there already.`, {
          field: '/finding/id',
          hint: 'Give the new finding an id of its own.',
        });
      mustBePossible(input.finding, stored.job);
      const rows = await manager.find(FindingEntity, { where: { jobId: stored.row.id }, select: { position: true } });
      const position = Math.max(-1, ...rows.map((row) => row.position)) + 1;
      await manager.insert(FindingEntity, findingRow(stored.row.id, input.finding, position, 1));
      await audit('finding added', stored.row.id, input.finding);
      return { status: 201, body: { version: 1 } };
    },
  });

  changeRoute<{ version: number; finding: Finding }>(router, db, {
    method: 'put',
    path: '/findings/:findingId',
    what: 'finding changed',
    behindGate: false,
    fields: { version, finding: findingSchema.required() },
    work: async ({ input, stored, manager, audit, req }) => {
      const id = param(req, 'findingId');
      const before = stored.job.findings.find((finding) => finding.id === id);
      const at = stored.findingVersions[id];
      if (!before || at === undefined)
        throw new AppError('NOT_FOUND', `There is no finding "${id}" in job ${stored.row.number}.`);
      if (input.finding.id !== id)
        throw new AppError('BAD_INPUT', `The finding's id is "${input.finding.id}" and the address says "${id}".`, {
          field: '/finding/id',
        });
      mustBeCurrent('The finding', input.version, at, before, input.finding);
      if (hasWork(stored, id)) throw workRefusal();
      mustBePossible(input.finding, stored.job);
      const { position } = await manager.findOneByOrFail(FindingEntity, { jobId: stored.row.id, id });
      await manager.update(
        FindingEntity,
        { jobId: stored.row.id, id },
        findingRow(stored.row.id, input.finding, position, at + 1),
      );
      await audit('finding changed', stored.row.id, { before, after: input.finding });
      return { status: 200, body: { version: at + 1 } };
    },
  });

  changeRoute<{ version: number }>(router, db, {
    method: 'delete',
    path: '/findings/:findingId',
    what: 'finding removed',
    behindGate: false,
    fields: { version },
    work: async ({ input, stored, manager, audit, req }) => {
      const id = param(req, 'findingId');
      const before = stored.job.findings.find((finding) => finding.id === id);
      const at = stored.findingVersions[id];
      if (!before || at === undefined)
        throw new AppError('NOT_FOUND', `There is no finding "${id}" in job ${stored.row.number}.`);
      mustBeCurrent('The finding', input.version, at, before, undefined);
      if (hasWork(stored, id)) throw workRefusal();
      await manager.delete(FindingEntity, { jobId: stored.row.id, id });
      await manager.delete(ChoiceEntity, { jobId: stored.row.id, findingId: id });
      await audit('finding removed', stored.row.id, before);
      return { status: 200, body: { removed: id } };
    },
  });
}
