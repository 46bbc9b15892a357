import { randomUUID } from 'node:crypto';
import type { Router } from 'express';
import Joi from 'joi';
import {
  COVER_IDS,
  isAtCavity,
  makesOf,
  METHOD_IDS,
  WAYS,
  type CoverId,
  type FindingPlan,
  type MethodId,
  type Way,
} from '@mendum/core';
import { ChoiceEntity } from '../db/entities.ts';
import type { Database } from '../db/open.ts';
import { AppError } from '../errors.ts';
import { changeRoute } from './change.ts';
import { hold } from './hold.ts';
import type { StoredJob } from './store.ts';

const id = Joi.string().trim().min(1).max(200).required();

/** Another terminal is taken for the way that stands, and only one that no rule refuses. */
function checkTerminal(finding: FindingPlan, use: string | null, terminal: string): void {
  const ranked = finding.cavity?.work.terminals.find(({ id: one }) => one === terminal);
  if (use !== finding.approach || !ranked?.part)
    throw new AppError('BAD_INPUT', `"${terminal}" is not a terminal of this end.`, {
      field: '/terminal',
      hint: 'Take one of its ranking.',
    });
  if (ranked.status === 'refused')
    throw new AppError(
      'BAD_INPUT',
      `"${ranked.name}" cannot be used here, with or without a reason: ${ranked.because}`,
      { field: '/terminal', hint: 'Change what the rule looks at, or take another terminal.' },
    );
}

/** A method, cover or way is taken only from the ranking of its finding, and only one that a reason may take. */
function checkUse(stored: StoredJob, finding: FindingPlan, use: MethodId | CoverId | Way): void {
  const method = finding.ranked.find((one) => one.methodId === use);
  const cover = finding.covers.find((one) => one.coverId === use);
  const source = stored.job.findings.find((one) => one.id === finding.findingId);
  const way = source && isAtCavity(source) ? finding.ways.find((one) => one.way === use) : undefined;
  const allowed =
    way && !method && !cover
      ? way.status !== 'refused'
      : method
        ? method.status === 'allowed' || method.usableWithReason
        : cover !== undefined && cover.status !== 'refused';
  if (allowed) return;
  const because = method?.because ?? cover?.because ?? way?.because ?? 'It is not in the ranking of this finding.';
  throw new AppError(
    'BAD_INPUT',
    `"${method?.name ?? cover?.name ?? use}" cannot be used here, with or without a reason: ${because}`,
    { field: '/use', hint: 'Change what the rule looks at, or choose another method.' },
  );
}

/** Decisions against the ranking: another method, cover, way or terminal, with its reason. */
export function choiceRoutes(router: Router, db: Database): void {
  changeRoute<{ findingId: string; use: MethodId | CoverId | Way | null; terminal?: string; reason?: string }>(
    router,
    db,
    {
      method: 'post',
      path: '/choices',
      what: 'choice',
      behindGate: true,
      fields: {
        findingId: id,
        use: Joi.valid(...METHOD_IDS, ...COVER_IDS, ...WAYS, null).required(),
        terminal: Joi.string().trim().min(1).max(200),
        reason: Joi.string()
          .trim()
          .min(3)
          .max(2000)
          .when('use', { is: null, then: Joi.optional(), otherwise: Joi.required() }),
      },
      work: async ({ input, stored, plan, manager, now, audit }) => {
        const finding = plan().findings.find((one) => one.findingId === input.findingId);
        if (!finding)
          throw new AppError('NOT_FOUND', `There is no finding "${input.findingId}" in job ${stored.row.number}.`);
        const begun = makesOf(finding).some(
          (made) =>
            stored.ticks.some((tick) => tick.done && tick.stepId.startsWith(`${made.id}#${made.make}/`)) ||
            stored.readings.some((reading) => reading.spliceId === made.id && reading.make === made.make),
        );
        if (begun)
          throw new AppError('HAS_WORK', 'This splice is being made already: its method stays until it is made again.');
        if (input.terminal !== undefined) checkTerminal(finding, input.use, input.terminal);
        else if (input.use !== null) checkUse(stored, finding, input.use);
        await hold(manager, stored.row.id, input.findingId, undefined);
        await manager.insert(ChoiceEntity, {
          id: randomUUID(),
          jobId: stored.row.id,
          findingId: input.findingId,
          use: input.use,
          terminal: input.terminal ?? null,
          reason: input.reason ?? '',
          by: input.by,
          at: now,
        });
        await audit('choice', stored.row.id, {
          findingId: input.findingId,
          use: input.use,
          terminal: input.terminal,
          reason: input.reason,
        });
        return { status: 201, body: { use: input.use } };
      },
    },
  );
}
