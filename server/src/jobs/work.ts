import { randomUUID } from 'node:crypto';
import type { Router } from 'express';
import { mishapOf } from '@mendum/core/mishap';
import { rule } from '@mendum/core/prove';
import type { RulingOf } from '@mendum/core/operations';
import { PinEntity, ReadingEntity, RedoEntity, TickEntity } from '../db/entities.ts';
import type { Database } from '../db/open.ts';
import { AppError } from '../errors.ts';
import { madeMemory } from '../planning/madeMemory.ts';
import type { Planner } from '../planning/planner.ts';
import { mustHaveSeen } from './change.ts';
import { begin, letGo } from './hold.ts';
import { plannedRoute } from './plannedChange.ts';

const splicesOf = (all: readonly { readonly spliceId: string }[]): readonly string[] =>
  all.map(({ spliceId }) => spliceId);

/** Ticked steps, readings and joints that are made again. */
export function workRoutes(router: Router, db: Database, planner: Planner): void {
  const memory = madeMemory();
  plannedRoute<'tick', 'made'>(router, db, planner, {
    name: 'tick',
    what: 'ticks',
    behindGate: true,
    asks: ({ input, stored }) => ['made', { jobId: stored.row.id, spliceIds: splicesOf(input.steps) }],
    known: ({ input, stored }) => memory.told(stored, splicesOf(input.steps)),
    keep: (jobId, told) => memory.keep(jobId, told),
    work: async ({ input, stored, answer: { makes, beginning }, manager, now, next, audit }) => {
      if (!input.done) {
        const taken = new Set(input.steps.map(({ stepId }) => stepId));
        const stand = stored.ticks.filter(({ stepId }) => taken.has(stepId));
        mustHaveSeen('This step', input.version, stand, stand, input.steps);
      }
      for (const [index, { stepId, spliceId }] of input.steps.entries()) {
        if (!makes[index]?.stepIds.includes(stepId))
          throw new AppError('NO_SUCH_SPLICE', `Step "${stepId}" does not belong to this splice any more.`);
        await manager.upsert(
          TickEntity,
          { jobId: stored.row.id, stepId, spliceId, done: input.done, by: input.by, at: now, jobVersion: next },
          ['jobId', 'stepId'],
        );
      }
      if (input.done) await begin(manager, stored.row.id, beginning);
      await audit(input.done ? 'steps ticked' : 'steps unticked', stored.row.id, {
        steps: input.steps.map((step) => step.stepId),
      });
      return { ticked: input.steps.length, jobVersion: next };
    },
  });

  plannedRoute<'addReadings', 'made'>(router, db, planner, {
    name: 'addReadings',
    what: 'readings',
    behindGate: true,
    asks: ({ input, stored }) => ['made', { jobId: stored.row.id, spliceIds: splicesOf(input.readings) }],
    known: ({ input, stored }) => memory.told(stored, splicesOf(input.readings)),
    keep: (jobId, told) => memory.keep(jobId, told),
    work: async ({ input, stored, answer: { makes, beginning }, manager, now, next, audit }) => {
      const rulings: RulingOf[] = [];
      for (const [index, reading] of input.readings.entries()) {
        const made = makes[index];
        if (made?.make !== reading.make)
          throw new AppError(
            'NO_SUCH_SPLICE',
            `This splice is at its make ${made?.make ?? 0}, and the reading is of make ${reading.make}.`,
          );
        const check = made.checks.find((one) => one.id === reading.checkId);
        if (!check)
          throw new AppError('BAD_INPUT', `The check "${reading.checkId}" does not belong to ${made.spliceId}.`, {
            field: `/readings/${index}/checkId`,
            hint: `Its checks are: ${made.checks.map((one) => one.id).join(', ')}.`,
          });
        try {
          rulings.push({ spliceId: made.spliceId, checkId: check.id, ruling: rule(check, reading.value) });
        } catch (error) {
          throw new AppError('BAD_INPUT', error instanceof Error ? error.message : 'The reading is not right.', {
            field: `/readings/${index}/value`,
          });
        }
        await manager.insert(ReadingEntity, {
          id: randomUUID(),
          jobId: stored.row.id,
          spliceId: made.spliceId,
          make: made.make,
          checkId: check.id,
          value: reading.value,
          inOneGo: reading.inOneGo ?? false,
          instrument: reading.instrument ?? null,
          by: input.by,
          at: now,
          sequence: stored.readings.length + index,
          jobVersion: next,
        });
      }
      await begin(manager, stored.row.id, beginning);
      await audit('readings', stored.row.id, input.readings);
      return { rulings, jobVersion: next };
    },
  });

  plannedRoute(router, db, planner, {
    name: 'makeAgain',
    what: 'made again',
    behindGate: true,
    asks: ({ input: { spliceId, make: _, because: __, version: ___, ...said }, stored }) => [
      'again',
      { jobId: stored.row.id, spliceId, said },
    ],
    work: async ({ input, stored, answer: { findingId, make, cost }, manager, now, next, audit }) => {
      if (make !== input.make) throw new AppError('NO_SUCH_SPLICE', `This splice is at its make ${make} already.`);
      const { spliceId } = input;
      const lost = [
        ...stored.ticks.filter((tick) => tick.spliceId === spliceId),
        ...(await manager.findBy(ReadingEntity, { jobId: stored.row.id, spliceId, make })),
      ];
      mustHaveSeen('This splice', input.version, lost, lost.length, spliceId);
      await manager.insert(RedoEntity, {
        id: randomUUID(),
        jobId: stored.row.id,
        findingId,
        lostFromMm: cost.lostFromMm,
        lostToMm: cost.lostToMm,
        mishap: mishapOf(input.kind, cost),
        because: input.because,
        by: input.by,
        at: now,
        sequence: stored.job.redos.length,
      });
      await manager.delete(PinEntity, { jobId: stored.row.id, findingId });
      await letGo(manager, stored.row.id, findingId);
      await audit('made again', stored.row.id, { spliceId: input.spliceId, ...cost, because: input.because });
      return { ...cost, jobVersion: next };
    },
  });
}
