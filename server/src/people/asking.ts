import { parseCookie } from 'cookie';
import type { Request, RequestHandler } from 'express';
import {
  asksSecret,
  hasRight,
  OPERATIONS,
  requestOf,
  rightOf,
  type OperationName,
  type Session,
} from '@mendum/core/operations';
import { AppError } from '../errors.ts';
import { logOf } from '../http/requestLog.ts';
import type { Door, Who } from './door.ts';

/** Who sends a request, as far as the server knows. */
export interface Asking {
  /** Whether people sign in here at all. */
  readonly signsIn: boolean;
  readonly who?: Who | undefined;
  /** From the server's own machine. */
  readonly isHere: boolean;
  readonly isConfirmed: (writeId: string) => boolean;
}

const ASKING = new WeakMap<Request, Asking>();
const NOBODY: Asking = { signsIn: false, isHere: false, isConfirmed: () => false };
const OWN_MACHINE = /^(::1|(::ffff:)?127\.)/;

/** The name of the cookie that a sign-in is held by; over TLS one that no other name of the machine can set. */
export const cookieName = (req: Request): string => (req.secure ? '__Host-mendum' : 'mendum');
const tokenIn = (req: Request): string | undefined => parseCookie(req.headers.cookie ?? '')[cookieName(req)];

/** Finds out who asks, before anything is answered. */
export const whoAsks =
  (door: Door): RequestHandler =>
  async (req, _res, next) => {
    const signsIn = await door.signsIn();
    const who = signsIn ? await door.whose(tokenIn(req)) : undefined;
    ASKING.set(req, {
      signsIn,
      who,
      isHere: OWN_MACHINE.test(req.socket.remoteAddress ?? ''),
      isConfirmed: (writeId) => who !== undefined && door.isConfirmed(who.signInId, writeId),
    });
    next();
  };

export const askingOf = (req: Request): Asking => ASKING.get(req) ?? NOBODY;

/** Who is asking, as it is told to them. */
export function sessionOf({ signsIn, who, isHere }: Pick<Asking, 'signsIn' | 'who' | 'isHere'>): Session {
  const named = who && {
    who: { id: who.id, name: who.name, role: who.role, ...(who.mustChange ? { mustChange: true } : {}) },
  };
  return { signsIn, ...named, mayBegin: !signsIn && isHere };
}
/** The same, for a page that brings its answers along. */
export const sessionGiven = (req: Request): Readonly<Record<string, unknown>> => ({
  [requestOf('session', {}).url]: sessionOf(askingOf(req)),
});

/** Whether whoever asks may have what is read: a page is sent without answers where not. */
export const mayRead = (req: Request): boolean => {
  const { signsIn, who } = askingOf(req);
  return !signsIn || (who !== undefined && !who.mustChange);
};

/** @throws AppError SIGN_IN_NEEDED, SECRET_TO_CHANGE, NOT_ALLOWED unless whoever asks has the right to it */
export function mustMay(name: OperationName, req: Request): void {
  const { signsIn, who } = askingOf(req);
  const right = rightOf(name, OPERATIONS[name].method === 'GET');
  if (!signsIn || right === 'enter') return;
  if (!who) throw new AppError('SIGN_IN_NEEDED', 'Nobody is signed in here, or the sign-in has ended.');
  if (who.mustChange && name !== 'changeSecret')
    throw new AppError('SECRET_TO_CHANGE', 'This PIN was set by somebody else: take one of your own first.');
  if (hasRight(who.role, right)) return;
  logOf(req).warn({ event: 'not allowed', account: who.id, operation: name }, 'not allowed');
  throw new AppError('NOT_ALLOWED', `${who.name} signed in as ${who.role}, who may not do this.`);
}

/** The name that stands on what is done: of whoever is signed in; as it was picked where nobody signs in. */
export const byOf = (req: Request, said: string): string => askingOf(req).who?.name ?? said;

/** @throws AppError CONFIRM_NEEDED unless the PIN was given once more for this write, where it is asked for */
export function mustBeConfirmed(
  name: OperationName,
  req: Request,
  args: { readonly writeId: string; readonly use?: unknown },
): void {
  const { signsIn, isConfirmed } = askingOf(req);
  if (!signsIn || !asksSecret(name, args) || isConfirmed(args.writeId)) return;
  throw new AppError('CONFIRM_NEEDED', 'This takes your PIN or passphrase once more.');
}
