import type { AnswerOf, ArgsOf, ErrorBody } from '@mendum/core/operations';
import { api, type WriteArgs } from './api.ts';
import { errorOf, isUnanswered } from './errors.ts';
import { letIn } from './letIn.ts';
import { allAnswered, seenBy, unanswered, wroteItself } from './seen.ts';
import type { Store } from './store.ts';
import {
  forgetUnsent,
  isAlike,
  keepUnsent,
  leaveUnanswered,
  unansweredBefore,
  type SaveName,
  type Unsent,
} from './unsent.ts';

/** What came of a write: the server's answer, or its error in the one shape. */
export type Outcome<T = unknown> =
  { readonly ok: true; readonly data: T } | { readonly ok: false; readonly error: ErrorBody['error'] };

/** A write's own way to be sent: one shape for all, since a name that is not known yet has no single one. */
type Initiate<N extends SaveName> = (
  args: WriteArgs<N>,
) => (dispatch: Store['dispatch']) => Promise<{ readonly data: AnswerOf<N> } | { readonly error: unknown }>;

/** In which field a write says which version of its job was seen; none where it says nothing of it. */
function seenIn(name: SaveName, args: object): 'version' | 'jobVersion' | undefined {
  if ('jobVersion' in args) return 'jobVersion';
  return 'version' in args && name !== 'changeFinding' ? 'version' : undefined;
}

/**
 * The write as it goes out. Where it says which version of the job was seen, this device's own writes until then count as
 * seen: they are waited for, but by a tick, which undoes nothing. What went out before goes out as it was.
 */
async function asSeen(entry: Unsent, jobId: string, before: Promise<void>): Promise<Unsent> {
  const said = entry.args as { readonly version?: number; readonly jobVersion?: number; readonly done?: boolean };
  const field = seenIn(entry.name, said);
  if (!field || entry.wasSent) return entry;
  if (said.done !== true) await before;
  return { ...entry, args: { ...entry.args, [field]: seenBy(jobId, said[field] ?? 0) } };
}

/** Sends it as it is, and keeps it on the device until there is an answer. */
async function sendAs<N extends SaveName>(dispatch: Store['dispatch'], made: Unsent<N>) {
  const entry = { ...made, wasSent: true };
  keepUnsent(entry);
  const { name, args, writeId, by } = entry;
  const initiate = api.endpoints[name].initiate as unknown as Initiate<N>;
  return { entry, result: await dispatch(initiate({ ...(args as ArgsOf<N>), writeId, by })) };
}

/** Sends a write to a job: it is among those without an answer from the moment that it is made. */
async function sendToJob<N extends SaveName>(dispatch: Store['dispatch'], made: Unsent<N>, jobId: string) {
  const before = allAnswered(jobId);
  const sending = async () => {
    const sent = await sendAs(dispatch, (await asSeen(made, jobId, before)) as Unsent<N>);
    if ('data' in sent.result) {
      const { jobVersion, version } = sent.result.data as { readonly jobVersion?: number; readonly version?: number };
      const after = jobVersion ?? version;
      if (after !== undefined) wroteItself(jobId, after);
    }
    return sent;
  };
  return unanswered(jobId, sending());
}

/** Sends a write once. What waits before it is sent is kept on the device as well. */
async function sendOnce<N extends SaveName>(dispatch: Store['dispatch'], made: Unsent<N>) {
  const { jobId } = made.args as { readonly jobId?: string };
  if (!made.wasSent) keepUnsent(made);
  return jobId === undefined ? sendAs(dispatch, made) : sendToJob(dispatch, made, jobId);
}

/** Sends a write until it is done or refused: whoever is to sign in or to give their PIN again is waited for. */
export async function sendWrite<N extends SaveName>(
  dispatch: Store['dispatch'],
  made: Unsent<N>,
): Promise<Outcome<AnswerOf<N>>> {
  let { entry, result } = await sendOnce(dispatch, made);
  while ('error' in result && (await letIn(errorOf(result.error), entry.writeId, entry.by)))
    // It was refused, so that nothing of it is known there: what is seen by now may be told.
    ({ entry, result } = await sendOnce(dispatch, { ...made, writeId: entry.writeId }));
  if (!('error' in result)) {
    forgetUnsent(entry);
    return { ok: true, data: result.data };
  }
  const error = errorOf(result.error);
  if (isUnanswered(error)) leaveUnanswered(entry);
  // Where somebody else has signed in, it stays for whoever made it.
  else if (error.code !== 'SIGN_IN_NEEDED') forgetUnsent(entry);
  return { ok: false, error };
}

/**
 * Sends a write behind all that was written there before without an answer: what came of that is known then, and nothing
 * older comes in later. Pressed again right after it had no answer, it is the same write.
 */
export async function sendInOrder<N extends SaveName>(
  dispatch: Store['dispatch'],
  made: Unsent<N>,
): Promise<Outcome<AnswerOf<N>>> {
  const before = unansweredBefore(made);
  const last = before.at(-1);
  const isAgain = last !== undefined && isAlike(last, made);
  for (const earlier of before) {
    const outcome = await sendWrite(dispatch, earlier as Unsent<N>);
    if (outcome.ok ? isAgain && earlier === last : isUnanswered(outcome.error)) {
      // It waits behind them, on the device as well.
      if (!outcome.ok && !isAgain) {
        keepUnsent(made);
        leaveUnanswered(made);
      }
      return outcome;
    }
  }
  return sendWrite(dispatch, made);
}

/** As it is made now. @param by who makes it */
export const newWrite = <N extends SaveName>(name: N, args: ArgsOf<N>, by: string, writeId: string): Unsent<N> => ({
  writeId,
  name,
  args,
  by,
  at: Date.now(),
  wasSent: false,
});
