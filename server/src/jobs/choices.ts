import { randomUUID } from 'node:crypto';
import type { Router } from 'express';
import { ChoiceEntity } from '../db/entities.ts';
import type { Database } from '../db/open.ts';
import { AppError } from '../errors.ts';
import type { Planner } from '../planning/planner.ts';
import { mustHaveSeen } from './change.ts';
import { letGo } from './hold.ts';
import { plannedRoute } from './plannedChange.ts';

/** Decisions against the ranking: another method, cover, way or terminal, with its reason. */
export function choiceRoutes(router: Router, db: Database, planner: Planner): void {
  plannedRoute(router, db, planner, {
    name: 'choose',
    what: 'choice',
    behindGate: true,
    asks: ({ input: { findingId, use, terminal }, stored }) => [
      'choice',
      { jobId: stored.row.id, findingId, use, terminal },
    ],
    work: async ({ input, stored, answer: { makes }, manager, now, next, audit }) => {
      const begun = makes.some(
        ({ id: madeId, make }) =>
          stored.ticks.some((tick) => tick.done && tick.stepId.startsWith(`${madeId}#${make}/`)) ||
          stored.readings.some((reading) => reading.spliceId === madeId && reading.make === make),
      );
      if (begun)
        throw new AppError('HAS_WORK', 'This splice is being made already: its method stays until it is made again.');
      const made = await manager.findBy(ChoiceEntity, { jobId: stored.row.id, findingId: input.findingId });
      mustHaveSeen('The choice here', input.version, made, stored.job.choices, input.use);
      await letGo(manager, stored.row.id, input.findingId);
      await manager.insert(ChoiceEntity, {
        id: randomUUID(),
        jobId: stored.row.id,
        findingId: input.findingId,
        use: input.use,
        terminal: input.terminal ?? null,
        reason: input.reason ?? '',
        by: input.by,
        at: now,
        jobVersion: next,
      });
      await audit('choice', stored.row.id, {
        findingId: input.findingId,
        use: input.use,
        terminal: input.terminal,
        reason: input.reason,
      });
      return { use: input.use, jobVersion: next };
    },
  });
}
