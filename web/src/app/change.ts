import { useState } from 'react';
import { v4 as uuid } from 'uuid';
import type { AnswerOf, ArgsOf, ErrorBody } from '@mendum/core/operations';
import { notify } from './notice.ts';
import { newWrite, sendInOrder, type Outcome } from './send.ts';
import { useAppDispatch, useAppSelector } from './store.ts';
import type { SaveName } from './unsent.ts';

/** Says what went wrong and what to do. */
export const showError = (error: ErrorBody['error']): void => {
  notify(error.message, { hint: error.hint, wrong: true });
};

export type Save = <N extends SaveName>(
  name: N,
  args: ArgsOf<N>,
  options?: { readonly quiet?: boolean; readonly by?: string },
) => Promise<Outcome<AnswerOf<N>>>;

/** Sends writes in the name of the person at the bench. Errors are shown unless the caller takes them with `quiet`. */
export function useSave(): { readonly save: Save; readonly busy: boolean } {
  const person = useAppSelector((state) => state.view.person) ?? '';
  const dispatch = useAppDispatch();
  const [under, setUnder] = useState(0);
  const save: Save = async (name, args, { quiet = false, by = person } = {}) => {
    setUnder((count) => count + 1);
    const outcome = await sendInOrder(dispatch, newWrite(name, args, by, uuid()));
    setUnder((count) => count - 1);
    if (!outcome.ok && !quiet) showError(outcome.error);
    return outcome;
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
