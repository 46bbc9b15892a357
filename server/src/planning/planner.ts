import { makeDesk } from './desk.ts';
import type { Database } from '../db/open.ts';
import { TASKS, type AnswerOf, type ArgsOf, type TaskName } from './tasks.ts';

/** Answers what is asked of plans. */
export interface Planner {
  /** @throws AppError what the task throws; PLAN_TOO_LONG when it takes longer than planning may */
  readonly ask: <K extends TaskName>(task: K, args: ArgsOf<K>) => Promise<AnswerOf<K>>;
  /**
   * Somebody has opened a job: its plan is made ready, so that the first tick does not wait for it. Nothing is
   * answered.
   */
  readonly prepare?: (jobId: string) => void;
  readonly close: () => Promise<void>;
}

/** Does a task at a desk. */
export const doTask = <K extends TaskName>(
  desk: ReturnType<typeof makeDesk>,
  task: K,
  args: ArgsOf<K>,
): Promise<AnswerOf<K>> => {
  const work = TASKS[task] as (at: typeof desk, of: ArgsOf<K>) => Promise<AnswerOf<K>>;
  return work(desk, args);
};

/** Plans where it is asked, on the database that is open: for tests and for a database in memory. */
export function plannerHere(read: Database['read']): Planner {
  const desk = makeDesk(read);
  return { ask: (task, args) => doTask(desk, task, args), close: () => Promise.resolve() };
}
