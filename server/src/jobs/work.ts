import { randomUUID } from 'node:crypto';
import type { Router } from 'express';
import Joi from 'joi';
import type { EntityManager } from 'typeorm';
import { heldBy, redoCost, rule, type Plan, type ReadingValue } from '@mendum/core';
import { readingValueSchema } from '@mendum/core/interchange';
import { PinEntity, ReadingEntity, RedoEntity, TickEntity } from '../db/entities.ts';
import type { Database } from '../db/open.ts';
import { AppError } from '../errors.ts';
import { changeRoute } from './change.ts';
import { hold } from './hold.ts';
import type { StoredJob } from './store.ts';

const id = Joi.string().trim().min(1).max(200).required();
const longText = Joi.string().trim().min(1).max(2000).required();

/** A splice, cover or work at a cavity of the plan by its id. @throws AppError NO_SUCH_SPLICE */
function findMade(plan: Plan, spliceId: string) {
  for (const finding of plan.findings) {
    const splice = finding.splices.find((one) => one.id === spliceId);
    if (splice) return { finding, made: splice, splice, cover: undefined };
    if (finding.cavity?.id === spliceId) return { finding, made: finding.cavity, splice: undefined, cover: undefined };
    if (finding.cover?.id === spliceId)
      return { finding, made: finding.cover, splice: undefined, cover: finding.cover };
  }
  throw new AppError('NO_SUCH_SPLICE', `There is no splice "${spliceId}" in the plan.`);
}

/** Work has begun on a finding: its splices stay where they are and what they are, whatever is found, bought or decided later. */
async function pinFinding(manager: EntityManager, stored: StoredJob, plan: Plan, findingId: string): Promise<void> {
  const finding = plan.findings.find((one) => one.findingId === findingId);
  if (!finding || stored.job.held?.some((one) => one.findingId === findingId)) return;
  await hold(manager, stored.row.id, findingId, heldBy(finding, stored.row.layout.otherColours ?? false), plan);
  for (const splice of finding.splices) {
    await manager.upsert(
      PinEntity,
      {
        jobId: stored.row.id,
        findingId,
        side: splice.side,
        centreMm: splice.centreMm,
        runId: splice.runId === finding.runId ? null : splice.runId,
      },
      ['jobId', 'findingId', 'side'],
    );
  }
}

/** Ticked steps, readings and joints that are made again. */
export function workRoutes(router: Router, db: Database): void {
  changeRoute<{ steps: { stepId: string; spliceId: string }[]; done: boolean }>(router, db, {
    method: 'put',
    path: '/ticks',
    what: 'ticks',
    behindGate: true,
    fields: {
      steps: Joi.array()
        .items(Joi.object({ stepId: id, spliceId: id }))
        .min(1)
        .max(500)
        .required(),
      done: Joi.boolean().required(),
    },
    work: async ({ input, stored, plan, manager, now, audit }) => {
      const pinned = new Set<string>();
      for (const { stepId, spliceId } of input.steps) {
        const { finding, made } = findMade(plan(), spliceId);
        if (!made.steps.some((step) => step.id === stepId))
          throw new AppError('NO_SUCH_SPLICE', `Step "${stepId}" does not belong to this splice any more.`);
        await manager.upsert(
          TickEntity,
          { jobId: stored.row.id, stepId, spliceId, done: input.done, by: input.by, at: now },
          ['jobId', 'stepId'],
        );
        if (input.done && !pinned.has(finding.findingId)) await pinFinding(manager, stored, plan(), finding.findingId);
        pinned.add(finding.findingId);
      }
      await audit(input.done ? 'steps ticked' : 'steps unticked', stored.row.id, {
        steps: input.steps.map((step) => step.stepId),
      });
      return { status: 200, body: { ticked: input.steps.length } };
    },
  });

  changeRoute<{ readings: { spliceId: string; make: number; checkId: string; value: ReadingValue }[] }>(router, db, {
    method: 'post',
    path: '/readings',
    what: 'readings',
    behindGate: true,
    fields: {
      readings: Joi.array()
        .items(
          Joi.object({
            spliceId: id,
            make: Joi.number().integer().min(1).required(),
            checkId: id,
            value: readingValueSchema.required(),
          }),
        )
        .min(1)
        .max(50)
        .required(),
    },
    work: async ({ input, stored, plan, manager, now, audit }) => {
      const rulings: unknown[] = [];
      for (const [index, reading] of input.readings.entries()) {
        const { finding, made } = findMade(plan(), reading.spliceId);
        if (made.make !== reading.make)
          throw new AppError(
            'NO_SUCH_SPLICE',
            `This splice is at its make ${made.make}, and the reading is of make ${reading.make}.`,
          );
        const check = made.checks.find((one) => one.id === reading.checkId);
        if (!check)
          throw new AppError('BAD_INPUT', `The check "${reading.checkId}" does not belong to ${made.id}.`, {
            field: `/readings/${index}/checkId`,
            hint: `Its checks are: ${made.checks.map((one) => one.id).join(', ')}.`,
          });
        try {
          rulings.push({ spliceId: made.id, checkId: check.id, ruling: rule(check, reading.value) });
        } catch (error) {
          throw new AppError('BAD_INPUT', error instanceof Error ? error.message : 'The reading is not right.', {
            field: `/readings/${index}/value`,
          });
        }
        await pinFinding(manager, stored, plan(), finding.findingId);
        await manager.insert(ReadingEntity, {
          id: randomUUID(),
          jobId: stored.row.id,
          spliceId: made.id,
          make: made.make,
          checkId: check.id,
          value: reading.value,
          by: input.by,
          at: now,
          sequence: stored.readings.length + index,
        });
      }
      await audit('readings', stored.row.id, input.readings);
      return { status: 201, body: { rulings } };
    },
  });

  changeRoute<{ spliceId: string; make: number; shrunk: boolean; because: string }>(router, db, {
    method: 'post',
    path: '/redos',
    what: 'made again',
    behindGate: true,
    fields: {
      spliceId: id,
      make: Joi.number().integer().min(1).required(),
      shrunk: Joi.boolean().required(),
      because: longText,
    },
    work: async ({ input, stored, plan, manager, now, audit }) => {
      const { finding, made, splice } = findMade(plan(), input.spliceId);
      if (made.make !== input.make)
        throw new AppError('NO_SUCH_SPLICE', `This splice is at its make ${made.make} already.`);
      const cost = splice
        ? redoCost(finding, splice, input.shrunk)
        : { lostFromMm: finding.lost.fromMm, lostToMm: finding.lost.toMm };
      await manager.insert(RedoEntity, {
        id: randomUUID(),
        jobId: stored.row.id,
        findingId: finding.findingId,
        lostFromMm: cost.lostFromMm,
        lostToMm: cost.lostToMm,
        because: input.because,
        by: input.by,
        at: now,
        sequence: stored.job.redos.length,
      });
      await manager.delete(PinEntity, { jobId: stored.row.id, findingId: finding.findingId });
      await hold(manager, stored.row.id, finding.findingId, undefined);
      await audit('made again', stored.row.id, { spliceId: input.spliceId, ...cost, because: input.because });
      return { status: 201, body: cost };
    },
  });
}
