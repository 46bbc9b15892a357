import { Router, type Request, type RequestHandler, type Response } from 'express';
import { sentSchema } from '@mendum/core/interchange';
import {
  OPERATIONS,
  type AnswerOf,
  type ArgsOf,
  type OperationName,
  type ReadName,
  type WriteName,
} from '@mendum/core/operations';
import type { Database } from '../db/open.ts';
import { AppError } from '../errors.ts';
import { askingOf, byOf, mustBeConfirmed, mustMay, type Asking } from '../people/asking.ts';
import { checked, checkedQuery } from './handle.ts';
import { slowedDown } from './rate.ts';
import { writeOnce, type WriteHead, type WriteWork } from './writes.ts';

/** What an operation was asked with, checked. */
export interface Asked<N extends OperationName> {
  readonly args: ArgsOf<N>;
  readonly req: Request;
  readonly res: Response;
}

const METHODS = { GET: 'get', POST: 'post', PUT: 'put', DELETE: 'delete' } as const;

/** What stands before every operation: whether whoever asks may, and how often. */
export const guardsOf = (name: OperationName): readonly RequestHandler[] => [
  (req, _res, next) => {
    mustMay(name, req);
    next();
  },
  ...slowedDown(name),
];

/** The first word of an address, by which its operations are found. */
const wordOf = (path: string): string => (path.split('/', 2)[1] ?? '').toLowerCase();

/** Operations of a router by the first word of their addresses: one after the other, all of them would be looked at. */
const BY_WORD = new WeakMap<Router, Map<string, Router>>();

function byWord(router: Router, path: string): Router {
  const known = BY_WORD.get(router) ?? new Map<string, Router>();
  if (!BY_WORD.has(router)) {
    BY_WORD.set(router, known);
    const found: RequestHandler = (req, res, next) => {
      const one = known.get(wordOf(req.path));
      if (one) one(req, res, next);
      else next();
    };
    // Whoever looks for all routes that there are sees these as well, as in any router.
    router.use(Object.defineProperty(found, 'stack', { get: () => [...known.values()].flatMap(({ stack }) => stack) }));
  }
  const word = wordOf(path);
  const found = known.get(word) ?? Router();
  known.set(word, found);
  return found;
}

/** Registers an operation at its address; whoever asks must have the right to it. */
export function register(
  router: Router,
  name: OperationName,
  handle: (req: Request, res: Response) => Promise<void>,
): void {
  const { method, path } = OPERATIONS[name];
  byWord(router, path)[METHODS[method]](path, ...guardsOf(name), (req: Request, res: Response) => handle(req, res));
}

/** Reads, checks its query, and answers with what is given. */
export function read<N extends ReadName>(
  router: Router,
  name: N,
  give: (asked: Asked<N>) => Promise<AnswerOf<N>> | AnswerOf<N>,
): void {
  file(router, name, async (asked) => {
    asked.res.json(await give(asked));
  });
}

/** Reads, and leaves the answer to `send`. */
export function file<N extends ReadName>(router: Router, name: N, send: (asked: Asked<N>) => Promise<void>): void {
  const schema = sentSchema(name);
  register(router, name, (req, res) =>
    send({ args: { ...checkedQuery<object>(schema, req), ...req.params } as ArgsOf<N>, req, res }),
  );
}

/**
 * What is asked for at a version is given at no other: nobody may put findings of one state on the harness of another.
 * @throws AppError STALE
 */
export function mustBeAt(what: string, asked: number | undefined, has: number): void {
  if (asked === undefined || asked === has) return;
  throw new AppError('STALE', `${what} is at version ${has}, and version ${asked} was asked for.`, {
    field: '/version',
    hint: 'Read again what named that version.',
  });
}

/** One write on its way: what it was asked with, by whom, and what it is known by. */
export interface Sent<N extends OperationName> {
  readonly args: ArgsOf<N> & WriteHead;
  readonly asking: Asking;
  readonly content: unknown;
}

/**
 * The arguments of a write, checked, in the name of whoever is signed in. A PIN is no part of what it is known by: that
 * is stored. @throws AppError BAD_INPUT, EMPTY_BODY, CONFIRM_NEEDED
 */
export function sentOf<N extends OperationName>(name: N): (req: Request) => Sent<N> {
  const schema = sentSchema(name);
  return (req) => {
    const { secret, ...said } = checked<WriteHead & { readonly secret?: string }>(schema, req);
    const input = { ...said, by: byOf(req, said.by) };
    mustBeConfirmed(name, req, input);
    return {
      args: { ...input, ...(secret === undefined ? {} : { secret }), ...req.params } as ArgsOf<N> & WriteHead,
      asking: askingOf(req),
      content: { params: req.params, input },
    };
  };
}

/** What a write does in its transaction, with what was made ready before it, and what it answers with. */
export type Work<N extends OperationName, R> = (
  work: WriteWork & Sent<N> & { readonly ready: R },
) => Promise<AnswerOf<N>>;

/** Writes once, in one transaction. */
export function write<N extends WriteName>(
  router: Router,
  db: Database,
  name: N,
  what: string,
  work: Work<N, undefined>,
): void {
  writeReady(router, db, name, what, () => undefined, work);
}

/**
 * The same for what is made ready without a transaction: a file that is read, or what stands in the way whatever is
 * stored.
 */
export function writeReady<N extends WriteName, R>(
  router: Router,
  db: Database,
  name: N,
  what: string,
  makeReady: (args: ArgsOf<N>, req: Request) => R | Promise<R>,
  work: Work<N, R>,
): void {
  const { status } = OPERATIONS[name];
  const sent = sentOf(name);
  register(router, name, async (req, res) => {
    const asked = sent(req);
    const ready = await makeReady(asked.args, req);
    const answer = await writeOnce(db, asked.args, what, asked.content, async (at) => ({
      status,
      body: await work({ ...at, ...asked, ready }),
    }));
    res.status(answer.status).json(answer.body);
  });
}
