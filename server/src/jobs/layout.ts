import type { Router } from 'express';
import { searchedFor } from '@mendum/core/plan';
import type { Database } from '../db/open.ts';
import { AppError, type ErrorCode } from '../errors.ts';
import type { Planner } from '../planning/planner.ts';
import { changeRoute, mustBeCurrent } from './change.ts';
import { plannedRoute } from './plannedChange.ts';
import { touch } from './store.ts';

const CODES: Readonly<Record<string, ErrorCode>> = {
  HAS_WORK: 'HAS_WORK',
  NO_SUCH_SPLICE: 'NO_SUCH_SPLICE',
  UNKNOWN_FINDING: 'NOT_FOUND',
  UNKNOWN_RUN: 'NOT_FOUND',
  PLACE_NOT_LEGAL: 'PLACE_NOT_LEGAL',
};

/**
 * Where people want splices to lie: pins, findings that keep one splice, and places that are kept as they are. All of a
 * job at once.
 */
export function layoutRoutes(router: Router, db: Database, planner: Planner): void {
  plannedRoute(router, db, planner, {
    name: 'setLayout',
    what: 'layout',
    behindGate: true,
    asks: ({ input: { version, layout }, stored }) => {
      mustBeCurrent('The layout', version, stored.row.version, stored.row.layout, layout);
      return ['wishes', { jobId: stored.row.id, layout }];
    },
    work: async ({ input, stored, answer: problems, manager, now, audit }) => {
      mustBeCurrent('The layout', input.version, stored.row.version, stored.row.layout, input.layout);
      const [first] = problems;
      if (first)
        throw new AppError(CODES[first.code] ?? 'BAD_INPUT', first.message, {
          field: first.pointer,
          hint: first.hint,
          details: problems,
        });
      // What searches found goes its own way: whoever moves a splice may not know it yet.
      const { searched: _, ...wanted } = input.layout;
      const { searched } = stored.row.layout;
      const { pins, atOne, found, chosen, otherColours } = wanted;
      await audit('layout', stored.row.id, { pins, atOne, found: found.length, chosen, otherColours });
      const layout = { ...wanted, ...(searched ? { searched } : {}) };
      return { version: await touch(manager, stored.row, now, { layout }) };
    },
  });

  changeRoute(router, db, {
    name: 'keepLayout',
    what: 'searched layout',
    behindGate: true,
    work: async ({ input: { searched }, stored, manager, now, audit }) => {
      const { harness } = stored.job;
      if (!harness.runs.some(({ id }) => id === searched.runId))
        throw new AppError('NOT_FOUND', `There is no run "${searched.runId}" in this harness.`, {
          field: '/searched/runId',
          hint: 'Take the run’s id from the job.',
        });
      const { runId, kind, apartMm, places } = searched;
      await audit('searchedLayout', stored.row.id, { runId, kind, apartMm, places: places.length });
      return { version: await touch(manager, stored.row, now, { layout: searchedFor(stored.row.layout, searched) }) };
    },
  });
}
