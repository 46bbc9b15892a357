import { v4 as uuid } from 'uuid';
import type { ErrorBody } from '@mendum/core/interchange';
import { useTickMutation, useWriteMutation, type Write } from './api.ts';
import { notify } from './notice.ts';
import { useAppSelector } from './store.ts';

/** What came of a write: the server's answer, or its error in the one shape. */
export type Outcome =
  | { readonly ok: true; readonly data: Record<string, unknown> }
  | { readonly ok: false; readonly error: ErrorBody['error'] };

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

/** Sends writes in the name of the person at the bench. Errors are shown unless the caller takes them with `quiet`. */
export function useChange(jobId?: string) {
  const person = useAppSelector((state) => state.view.person) ?? '';
  const [write, { isLoading }] = useWriteMutation();
  const change = async (
    method: Write['method'],
    path: string,
    fields: Record<string, unknown> = {},
    options: { readonly quiet?: boolean } = {},
  ): Promise<Outcome> => {
    const result = await write({
      method,
      path: jobId === undefined ? path : `/jobs/${jobId}${path}`,
      jobId,
      body: { ...fields, writeId: uuid(), by: person },
    });
    if (!('error' in result)) return { ok: true, data: result.data };
    const error = errorOf(result.error);
    if (!options.quiet) showError(error);
    return { ok: false, error };
  };
  return { change, busy: isLoading };
}

/** Ticks steps, or takes ticks back. */
export function useTicks(jobId: string) {
  const person = useAppSelector((state) => state.view.person) ?? '';
  const [tick] = useTickMutation();
  return async (
    steps: readonly { readonly id: string; readonly spliceId: string }[],
    done: boolean,
  ): Promise<boolean> => {
    const result = await tick({
      jobId,
      body: { writeId: uuid(), by: person, done, steps: steps.map(({ id, spliceId }) => ({ stepId: id, spliceId })) },
    });
    if ('error' in result && result.error) {
      showError(errorOf(result.error));
      return false;
    }
    return true;
  };
}
