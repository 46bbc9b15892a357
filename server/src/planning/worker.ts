import { workerData } from 'node:worker_threads';
import { AppError, type ErrorCode, type ErrorMore } from '../errors.ts';
import { openToRead } from '../db/open.ts';
import { makeDesk, type Desk } from './desk.ts';
import { doTask } from './planner.ts';
import type { ArgsOf, TaskName } from './tasks.ts';

/** What a worker is asked. */
export interface Asked {
  readonly task: TaskName;
  readonly args: unknown;
}

/** What it answers; an error that is shown to people goes over as what it says. */
export type Told =
  | { readonly ok: true; readonly answer: unknown }
  | { readonly ok: false; readonly code: ErrorCode; readonly message: string; readonly more: ErrorMore };

/** What a worker is started with: the folder of the database, which it only reads. */
export interface Desked {
  readonly dataDir: string;
}

let desk: Promise<Desk> | undefined;
const open = async (): Promise<Desk> => {
  const { dataDir } = workerData as Desked;
  return makeDesk((await openToRead(dataDir)).read);
};

/** One question answered, away from where requests are. */
export default async function answer({ task, args }: Asked): Promise<Told> {
  // A database that could not be opened is tried again with the next question.
  desk ??= open().catch((error: unknown) => {
    desk = undefined;
    throw error;
  });
  try {
    return { ok: true, answer: await doTask(await desk, task, args as ArgsOf<typeof task>) };
  } catch (error) {
    if (error instanceof AppError)
      return { ok: false, code: error.code, message: error.message, more: { ...error.more } };
    throw error;
  }
}
