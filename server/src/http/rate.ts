import { rateLimit } from 'express-rate-limit';
import type { Request, RequestHandler } from 'express';
import { OPERATIONS, type OperationName } from '@mendum/core/operations';
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
  'find',
  'practiceEffect',
  'importJob',
  'importShelf',
  'addPhoto',
  'joinHarness',
];
const SIGNING_IN: readonly OperationName[] = ['signIn', 'confirm', 'changeSecret'];

/** An operation's address with anything in its places. */
const matcherOf = (names: readonly OperationName[]) => {
  const all = names.map((name) => {
    const { method, path } = OPERATIONS[name];
    return { method, pattern: new RegExp(`^${path.replaceAll('.', '\\.').replace(/:[A-Za-z]+/g, '[^/]+')}/?$`) };
  });
  return (req: Request): boolean => all.some(({ method, pattern }) => method === req.method && pattern.test(req.path));
};

const refused = (words: string) => () => {
  throw new AppError('TOO_MANY', words);
};

/** Slows down whoever asks too often, where others than this machine can ask. */
export function slowedDown(): RequestHandler[] {
  const [signing, costly] = [matcherOf(SIGNING_IN), matcherOf(COSTLY)];
  const inUse = (req: Request): boolean => askingOf(req).signsIn;
  const shared = { standardHeaders: 'draft-8', legacyHeaders: false, validate: { trustProxy: false } } as const;
  return [
    rateLimit({
      ...shared,
      windowMs: 5 * MINUTE_MS,
      limit: SIGN_IN_MOST,
      skipSuccessfulRequests: true,
      skip: (req) => !inUse(req) || !signing(req),
      handler: refused(`More than ${SIGN_IN_MOST} wrong tries from this address within five minutes.`),
    }),
    rateLimit({
      ...shared,
      windowMs: MINUTE_MS,
      limit: COSTLY_MOST,
      keyGenerator: (req) => askingOf(req).who?.id ?? 'nobody',
      skip: (req) => askingOf(req).who === undefined || !costly(req),
      handler: refused(`More than ${COSTLY_MOST} plans, sheets or imports in a minute.`),
    }),
  ];
}
