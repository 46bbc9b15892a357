import type { Router } from 'express';
import type { AnswerOf } from '@mendum/core/operations';
import type { Database } from '../db/open.ts';
import { AppError } from '../errors.ts';
import { answeredBefore, type Answer } from '../http/writes.ts';
import type { Planner } from '../planning/planner.ts';
import type { AnswerOf as ToldBy, ArgsOf as AskedWith, Stamped, TaskName } from '../planning/tasks.ts';
import {
  changeBy,
  changeOnce,
  mustTakeChanges,
  type Change,
  type ChangeKind,
  type ChangeName,
  type SentChange,
} from './change.ts';
import { stampOf } from './stamp.ts';
import type { StoredJob } from './store.ts';

/** What a change may ask of the plan: what is answered with a stamp. */
export type Question = { [K in TaskName]: ToldBy<K> extends Stamped<unknown> ? K : never }[TaskName];
type AnswerTo<K extends Question> = ToldBy<K> extends Stamped<infer A> ? A : never;

interface PlannedRoute<N extends ChangeName, K extends Question> extends ChangeKind<N> {
  /** What is asked of the plan, before anything is written. */
  readonly asks: (asking: {
    readonly input: Change<N>['input'];
    readonly stored: StoredJob;
    readonly now: string;
  }) => readonly [task: K, args: AskedWith<K>];
  /** The answer where it is known without asking: of the very state that is changed. */
  readonly known?: (asking: {
    readonly input: Change<N>['input'];
    readonly stored: StoredJob;
  }) => AnswerTo<K> | undefined;
  /** Takes note of what was told of a job. */
  readonly keep?: (jobId: string, told: Stamped<AnswerTo<K>>) => void;
  readonly work: (change: Change<N> & { readonly answer: AnswerTo<K> }) => Promise<AnswerOf<N>>;
}

/** Thrown inside a transaction: the plan has to be asked. */
class NotKnown extends Error {}

/** Thrown inside a transaction: what was asked of the plan does not hold any more. */
export class ChangedMeanwhile extends Error {}

/** How often a plan is asked again because somebody else changed the job while it was made. */
const TRIES = 5;

/**
 * Registers one kind of change that has to know something of the plan. It is asked before the transaction, so that
 * nobody waits for a plan; where the job is another one by then, it is asked again.
 */
export function plannedRoute<N extends ChangeName, K extends Question>(
  router: Router,
  db: Database,
  planner: Planner,
  route: PlannedRoute<N, K>,
): void {
  /** Does it without asking. @returns nothing where the plan has to be asked */
  const doneAsKnown = async (sent: SentChange<N>): Promise<Answer | undefined> => {
    const { known } = route;
    if (!known) return undefined;
    try {
      return await changeOnce(db, route, sent, (change) => {
        const answer = known(change);
        if (answer === undefined) throw new NotKnown();
        return route.work({ ...change, answer });
      });
    } catch (error) {
      if (error instanceof NotKnown) return undefined;
      throw error;
    }
  };
  const asked = (sent: SentChange<N>): Promise<Answer> =>
    tried(async () => {
      const { args: input, content, load } = sent;
      const before = await answeredBefore(db, input, route.what, content);
      if (before) return before;
      const now = new Date().toISOString();
      const stored = await db.read(load);
      mustTakeChanges(stored, route);
      const told = (await planner.ask(...route.asks({ input, stored, now }))) as Stamped<AnswerTo<K>>;
      route.keep?.(stored.row.id, told);
      return changeOnce(
        db,
        route,
        sent,
        (change) => {
          if (told.stamp !== stampOf(change.stored)) throw new ChangedMeanwhile();
          return route.work({ ...change, answer: told.answer });
        },
        now,
      );
    });
  changeBy<N>(router, route, async (sent) => (await doneAsKnown(sent)) ?? asked(sent));
}

/** Tries again while the job is changed by others in between. @throws AppError CHANGED_MEANWHILE */
async function tried(work: () => Promise<Answer>): Promise<Answer> {
  for (let n = 1; n <= TRIES; n += 1) {
    try {
      return await work();
    } catch (error) {
      if (!(error instanceof ChangedMeanwhile)) throw error;
    }
  }
  throw new AppError('CHANGED_MEANWHILE', 'Others changed this job again and again while it was planned.');
}
