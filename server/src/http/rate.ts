import { rateLimit } from 'express-rate-limit';
import type { RequestHandler } from 'express';
import type { OperationName } from '@mendum/core/operations';
import { askingOf } from '../people/asking.ts';
import { AppError } from '../errors.ts';

const MINUTE_MS = 60_000;
/** Tries at a PIN from one address, within five minutes; those that were right do not count. */
const SIGN_IN_MOST = 30;
/** What costs the server a plan, a drawing or a long read, for each person in a minute. */
const COSTLY_MOST = 240;

const COSTLY: readonly OperationName[] = [
  'plan',
  'jobFile',
  'recordSheet',
  'templateSheets',
  'templateDrawing',
  'chain',
  'comebacks',
  'shopJobs',
  'exportTable',
  'exportBook',
  'exportRecords',
  'exportParcel',
  'readParcel',
  'parcelAgain',
  'jobLabels',
  'recordLabelPage',
  'printLabel',
  'find',
  'practiceEffect',
  'importJob',
  'importShelf',
  'addPhoto',
  'addFacePhoto',
  'joinHarness',
];
const SIGNING_IN: readonly OperationName[] = ['signIn', 'confirm', 'changeSecret'];

const refused = (words: string) => () => {
  throw new AppError('TOO_MANY', words);
};
const SHARED = { standardHeaders: 'draft-8', legacyHeaders: false, validate: { trustProxy: false } } as const;

/** All tries at a PIN count together, whatever they are for; before anybody signs in there is none. */
const SIGNING = rateLimit({
  ...SHARED,
  windowMs: 5 * MINUTE_MS,
  limit: SIGN_IN_MOST,
  skipSuccessfulRequests: true,
  skip: (req) => !askingOf(req).signsIn,
  handler: refused(`More than ${SIGN_IN_MOST} wrong tries from this address within five minutes.`),
});
const WORKING = rateLimit({
  ...SHARED,
  windowMs: MINUTE_MS,
  limit: COSTLY_MOST,
  keyGenerator: (req) => askingOf(req).who?.id ?? 'nobody',
  skip: (req) => askingOf(req).who === undefined,
  handler: refused(`More than ${COSTLY_MOST} plans, sheets or imports in a minute.`),
});

/** Slows down whoever asks for an operation too often, where others than this machine can ask. */
export const slowedDown = (name: OperationName): readonly RequestHandler[] =>
  SIGNING_IN.includes(name) ? [SIGNING] : COSTLY.includes(name) ? [WORKING] : [];
