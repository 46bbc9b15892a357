import { useState } from 'react';
import { v4 as uuid } from 'uuid';
import type { AnswerOf, ArgsOf, ErrorBody, WriteName } from '@mendum/core/operations';
import { api, type WriteArgs } from './api.ts';
import { letIn } from './letIn.ts';
import { notify } from './notice.ts';
import { allAnswered, seenBy, unanswered, wroteItself } from './seen.ts';
import { useAppDispatch, useAppSelector } from './store.ts';

/** What came of a write: the server's answer, or its error in the one shape. */
export type Outcome<T = unknown> =
  { readonly ok: true; readonly data: T } | { readonly ok: false; readonly error: ErrorBody['error'] };

const UNREACHABLE: ErrorBody['error'] = {
  code: 'UNREACHABLE',
  message: 'The server did not answer: this was not saved.',
  hint: 'Check the network and press again; nothing is done twice.',
};

/** The one error shape out of whatever went wrong. */
export function errorOf(thrown: unknown): ErrorBody['error'] {
  const data = (thrown as { data?: unknown } | undefined)?.data;
  const error = (data as Partial<ErrorBody> | undefined)?.error;
  return error ?? UNREACHABLE;
}

/** Says what went wrong and what to do. */
export const showError = (error: ErrorBody['error']): void => {
  notify(error.message, { hint: error.hint, wrong: true });
};

/** A write's own way to be sent: one shape for all, since a name that is not known yet has no single one. */
type Initiate<N extends WriteName> = (
  args: WriteArgs<N>,
) => (
  dispatch: ReturnType<typeof useAppDispatch>,
) => Promise<{ readonly data: AnswerOf<N> } | { readonly error: unknown }>;

/** What is sent as data; photos are files, and go by themselves. */
type SaveName = Exclude<WriteName, 'addPhoto'>;

export type Save = <N extends SaveName>(
  name: N,
  args: ArgsOf<N>,
  options?: { readonly quiet?: boolean; readonly by?: string },
) => Promise<Outcome<AnswerOf<N>>>;

/** In which field a write says which version of its job was seen; none where it says nothing of it. */
function seenIn(name: SaveName, args: object): 'version' | 'jobVersion' | undefined {
  if ('jobVersion' in args) return 'jobVersion';
  return 'version' in args && name !== 'changeFinding' ? 'version' : undefined;
}

/**
 * Sends a write to a job. Where it says which version of the job was seen, this device's own writes until then count as
 * seen: they are waited for, but by a tick, which undoes nothing.
 */
async function sentAsSeen<N extends SaveName>(
  name: N,
  jobId: string,
  args: ArgsOf<N>,
  send: (args: ArgsOf<N>) => ReturnType<ReturnType<Initiate<N>>>,
): ReturnType<ReturnType<Initiate<N>>> {
  const said = args as { readonly version?: number; readonly jobVersion?: number; readonly done?: boolean };
  const field = seenIn(name, said);
  if (field && said.done !== true) await allAnswered(jobId);
  const seen = field && { ...args, [field]: seenBy(jobId, said[field] ?? 0) };
  const result = await unanswered(jobId, send(seen ?? args));
  if ('data' in result) {
    const { jobVersion, version: own } = result.data as { readonly jobVersion?: number; readonly version?: number };
    const after = jobVersion ?? own;
    if (after !== undefined) wroteItself(jobId, after);
  }
  return result;
}

/** Sends writes in the name of the person at the bench. Errors are shown unless the caller takes them with `quiet`. */
export function useSave(): { readonly save: Save; readonly busy: boolean } {
  const person = useAppSelector((state) => state.view.person) ?? '';
  const dispatch = useAppDispatch();
  const [under, setUnder] = useState(0);
  const save: Save = async <N extends SaveName>(
    name: N,
    args: ArgsOf<N>,
    { quiet = false, by = person }: { readonly quiet?: boolean; readonly by?: string } = {},
  ): Promise<Outcome<AnswerOf<N>>> => {
    const initiate = api.endpoints[name].initiate as unknown as Initiate<N>;
    setUnder((count) => count + 1);
    const { jobId } = args as { readonly jobId?: string };
    const writeId = uuid();
    const send = (seen: ArgsOf<N>) => dispatch(initiate({ ...seen, writeId, by }));
    const attempt = () => (jobId === undefined ? send(args) : sentAsSeen(name, jobId, args, send));
    let result = await attempt();
    while ('error' in result && (await letIn(errorOf(result.error), writeId, by))) result = await attempt();
    setUnder((count) => count - 1);
    if (!('error' in result)) return { ok: true, data: result.data };
    const error = errorOf(result.error);
    if (!quiet) showError(error);
    return { ok: false, error };
  };
  return { save, busy: under > 0 };
}

/** Ticks steps, or takes ticks back. @param version of the job, as it is seen */
export function useTicks(jobId: string, version: number) {
  const { save } = useSave();
  return async (
    steps: readonly { readonly id: string; readonly spliceId: string }[],
    done: boolean,
  ): Promise<boolean> =>
    (await save('tick', { jobId, version, done, steps: steps.map(({ id, spliceId }) => ({ stepId: id, spliceId })) }))
      .ok;
}
