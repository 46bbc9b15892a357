import type { Router } from 'express';
import type { EntityManager } from 'typeorm';
import { GATE_ENTRIES, type GateEntry } from '@mendum/core/approach';
import type { Finding } from '@mendum/core/damage';
import { checkFinding, checkLimits, checkOverlap, type Job } from '@mendum/core/job';
import type { ArgsOf } from '@mendum/core/operations';
import { practiceById } from '@mendum/core/practice';
import { ChoiceEntity, FindingEntity, PracticeEntity } from '../db/entities.ts';
import type { Database } from '../db/open.ts';
import { AppError } from '../errors.ts';
import { changeRoute, hasWork, mustBeCurrent, mustHaveSeen } from './change.ts';
import { leaveTodo, takeTodo } from '../todo/store.ts';
import { findingRow, touch, type StoredJob } from './store.ts';

/** @throws AppError BAD_INPUT naming the first thing that cannot be */
function mustBePossible(finding: Finding, job: Job): void {
  const isNew = job.findings.every(({ id }) => id !== finding.id);
  const problems = [
    ...(isNew ? checkLimits({ ...job, findings: [...job.findings, finding] }) : []),
    ...checkFinding(finding, job, '/finding'),
    ...checkOverlap(finding, job.findings, job.harness, '/finding'),
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

/** Takes a finding out of a job that nothing was made of. @throws AppError NOT_FOUND, STALE, HAS_WORK */
async function takeOut(
  manager: EntityManager,
  stored: StoredJob,
  { findingId: id, version, jobVersion }: ArgsOf<'removeFinding'>,
): Promise<Finding> {
  const jobId = stored.row.id;
  const before = stored.job.findings.find((finding) => finding.id === id);
  const at = stored.findingVersions[id];
  if (!before || at === undefined)
    throw new AppError('NOT_FOUND', `There is no finding "${id}" in job ${stored.row.number}.`);
  mustBeCurrent('The finding', version, at, before, undefined);
  if (hasWork(stored, id)) throw workRefusal();
  const chosen = await manager.findBy(ChoiceEntity, { jobId, findingId: id });
  mustHaveSeen('The choice here', jobVersion, chosen, stored.job.choices, undefined, '/jobVersion');
  await manager.delete(FindingEntity, { jobId, id });
  await manager.delete(ChoiceEntity, { jobId, findingId: id });
  return before;
}

/** Gate, findings and practice: what is settled before anything is cut. */
export function surveyRoutes(router: Router, db: Database): void {
  changeRoute(router, db, {
    name: 'sayGate',
    what: 'gate',
    behindGate: false,
    work: async ({ input, stored, manager, now, audit }) => {
      const entry = gateEntry(input.entry);
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
      return { version: await touch(manager, stored.row, now, { gate }) };
    },
  });

  changeRoute(router, db, {
    name: 'withdrawGate',
    what: 'gate withdrawn',
    behindGate: false,
    work: async ({ input, stored, manager, now, audit }) => {
      const entry = gateEntry(input.entry);
      mustBeCurrent('The gate', input.version, stored.row.version, stored.row.gate, input);
      const gate = { ...stored.row.gate, [entry]: undefined };
      await audit('gate withdrawn', stored.row.id, { entry });
      return { version: await touch(manager, stored.row, now, { gate }) };
    },
  });

  changeRoute(router, db, {
    name: 'setPractice',
    what: 'practice',
    behindGate: false,
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
      return { version: await touch(manager, stored.row, now, { practiceId: input.practiceId }) };
    },
  });

  changeRoute(router, db, {
    name: 'addFinding',
    what: 'finding added',
    behindGate: false,
    work: async ({ input, stored, manager, next, audit }) => {
      if (stored.job.findings.some((finding) => finding.id === input.finding.id))
        throw new AppError('BAD_INPUT', `Finding "${input.finding.id}" is there already.`, {
          field: '/finding/id',
          hint: 'Give the new finding an id of its own.',
        });
      mustBePossible(input.finding, stored.job);
      const rows = await manager.find(FindingEntity, { where: { jobId: stored.row.id }, select: { position: true } });
      const position = Math.max(-1, ...rows.map((row) => row.position)) + 1;
      await manager.insert(FindingEntity, findingRow(stored.row.id, input.finding, position, 1));
      if (input.todoId !== undefined) takeTodo(manager, input.todoId, stored.row, input.finding.id);
      await audit('finding added', stored.row.id, input.finding);
      return { version: 1, jobVersion: next };
    },
  });

  changeRoute(router, db, {
    name: 'changeFinding',
    what: 'finding changed',
    behindGate: false,
    work: async ({ input, stored, manager, next, audit }) => {
      const id = input.findingId;
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
      return { version: at + 1, jobVersion: next };
    },
  });

  changeRoute(router, db, {
    name: 'removeFinding',
    what: 'finding removed',
    behindGate: false,
    work: async ({ input, stored, manager, next, audit }) => {
      const before = await takeOut(manager, stored, input);
      await audit('finding removed', stored.row.id, before);
      return { removed: before.id, jobVersion: next };
    },
  });

  changeRoute(router, db, {
    name: 'leaveFinding',
    what: 'finding left',
    behindGate: false,
    work: async ({ input, stored, manager, now, next, audit }) => {
      const finding = await takeOut(manager, stored, input);
      const id = leaveTodo(manager, stored.row, finding, { by: input.by, at: now });
      await audit('finding left', stored.row.id, { ...finding, todoId: id });
      return { id, jobVersion: next };
    },
  });
}
