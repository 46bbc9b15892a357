import type { Router } from 'express';
import { checkWishes, type LayoutWishes } from '@mendum/core';
import { layoutSchema } from '@mendum/core/interchange';
import Joi from 'joi';
import type { Database } from '../db/open.ts';
import { AppError, type ErrorCode } from '../errors.ts';
import { changeRoute, mustBeCurrent } from './change.ts';
import { memoryOf, touch } from './store.ts';

const CODES: Readonly<Record<string, ErrorCode>> = {
  HAS_WORK: 'HAS_WORK',
  NO_SUCH_SPLICE: 'NO_SUCH_SPLICE',
  UNKNOWN_FINDING: 'NOT_FOUND',
  PLACE_NOT_LEGAL: 'PLACE_NOT_LEGAL',
};

/** Where people want splices to lie: pins, findings that keep one splice, and places that are kept as they are. All of a job at once. */
export function layoutRoutes(router: Router, db: Database): void {
  changeRoute<{ version: number; layout: LayoutWishes }>(router, db, {
    method: 'put',
    path: '/layout',
    what: 'layout',
    behindGate: true,
    fields: { version: Joi.number().integer().min(1).required(), layout: layoutSchema.required() },
    work: async ({ input, stored, manager, now, audit }) => {
      mustBeCurrent('The layout', input.version, stored.row.version, stored.row.layout, input.layout);
      const problems = checkWishes(stored.job, input.layout, memoryOf(stored.practice, stored.catalogue));
      const [first] = problems;
      if (first)
        throw new AppError(CODES[first.code] ?? 'BAD_INPUT', first.message, {
          field: first.pointer,
          hint: first.hint,
          details: problems,
        });
      const { pins, atOne, found, otherColours } = input.layout;
      await audit('layout', stored.row.id, { pins, atOne, found: found.length, otherColours });
      return { status: 200, body: { version: await touch(manager, stored.row, now, { layout: input.layout }) } };
    },
  });
}
