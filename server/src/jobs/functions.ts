import type { Router } from 'express';
import { JobEntity } from '../db/entities.ts';
import type { Database } from '../db/open.ts';
import { AppError } from '../errors.ts';
import { changeRoute } from './change.ts';

/** What was seen of functions. It waits for no gate: what works is watched before the machine is made safe. */
export function functionRoutes(router: Router, db: Database): void {
  changeRoute(router, db, {
    name: 'seeFunctions',
    what: 'functions',
    behindGate: false,
    work: async ({ input, stored, manager, now, next, audit }) => {
      const { circuits } = stored.job.harness;
      for (const [index, { circuitId, answer, value }] of input.functions.entries()) {
        if (!circuits.some(({ id }) => id === circuitId))
          throw new AppError('BAD_INPUT', `There is no circuit "${circuitId}" in job ${stored.row.number}.`, {
            field: `/functions/${index}/circuitId`,
          });
        if (answer === 'notTried' && value === undefined)
          throw new AppError('BAD_INPUT', 'A function that was not tried needs its reason.', {
            field: `/functions/${index}/value`,
            hint: 'Say why, such as "the machine is away".',
          });
      }
      const functions = input.functions.map((one) => ({ ...one, by: input.by, at: now }));
      await audit('functions', stored.row.id, functions);
      await manager.update(JobEntity, { id: stored.row.id }, { functions: [...stored.row.functions, ...functions] });
      return { seen: functions.length, jobVersion: next };
    },
  });
}
