import { Piscina } from 'piscina';
import { AppError } from '../errors.ts';
import { aheadOf } from './ahead.ts';
import type { Planner } from './planner.ts';
import type { AnswerOf, ArgsOf, TaskName } from './tasks.ts';
import type { Asked, Desked, Told } from './worker.ts';

/** Something that is asked of a thread; `key` where others who ask the same may share its answer. */
interface InLine {
  readonly key: string | undefined;
  isBegun: boolean;
  readonly told: Promise<Told>;
}

/** One thread that plans, and what it is busy with. */
interface Seat {
  readonly pool: Piscina<Asked, Told>;
  /** What is asked of it, one after the other. */
  readonly line: InLine[];
  /** Jobs that it planned last: it has them at hand. */
  readonly jobs: Set<string>;
}

/** Two plan at a time: one long job keeps nobody else waiting. */
const SEATS = 2;
/** Jobs that are remembered to be at hand at a seat. */
const AT_HAND = 8;
/** Memory of a thread, MB: far more than any job within the limits was seen to take. */
const MOST_MB = 2048;

/** Run from its source under tsx, else bundled beside this file. */
const isSource = import.meta.url.endsWith('.ts');

/** What is asked of no single job, in words. */
const OTHER_WORDS: { readonly [K in TaskName]?: string } = {
  find: 'The search for circuits',
  effects: 'The comparison of all open jobs',
  labels: 'The labels',
  exported: 'The table of records',
  openParcel: 'The parcel',
  comebacks: 'The count of what came back',
  chain: 'The walk along the chain of records',
};

/**
 * What is known at one seat is asked there, whichever job it is of: it stands among the jobs that a seat has at hand,
 * and puts none of those out that somebody works on.
 */
const AT_ONE_SEAT: { readonly [K in TaskName]?: string } = { find: ' find', standing: ' standing' };

/** Asked by many at the same moment, and asked by little: the plan of a job, and what is made by it. */
const SHARED: ReadonlySet<TaskName> = new Set(['plan', 'made']);

const jobOf = (args: unknown): string | undefined =>
  typeof args === 'object' && args !== null && 'jobId' in args && typeof args.jobId === 'string'
    ? args.jobId
    : undefined;

/**
 * Plans in threads of their own, so that requests are answered meanwhile. What takes longer than it may is ended,
 * thread and all.
 * @param limitS seconds that one answer may take
 * @param sizeOf a job and its size in words, for what is said of one that takes too long
 */
export function plannerPool(dataDir: string, limitS: number, sizeOf: (jobId: string) => Promise<string>): Planner {
  const seats: readonly Seat[] = Array.from({ length: SEATS }, () => ({
    pool: new Piscina<Asked, Told>({
      filename: new URL(isSource ? './worker.ts' : './worker.js', import.meta.url).href,
      minThreads: 1,
      maxThreads: 1,
      workerData: { dataDir } satisfies Desked,
      resourceLimits: { maxOldGenerationSizeMb: MOST_MB },
      ...(isSource ? { execArgv: ['--import', 'tsx'] } : {}),
    }),
    line: [],
    jobs: new Set<string>(),
  }));
  const seatFor = (jobId: string | undefined): Seat => {
    const [first, ...others] = seats;
    if (!first) throw new Error('There is nobody to plan.');
    const known = jobId === undefined ? undefined : seats.find(({ jobs }) => jobs.has(jobId));
    const least = others.reduce((best, seat) => (seat.line.length < best.line.length ? seat : best), first);
    return known && known.line.length <= least.line.length + 1 ? known : least;
  };
  const remember = ({ jobs }: Seat, jobId: string): void => {
    for (const seat of seats) seat.jobs.delete(jobId);
    jobs.add(jobId);
    for (const old of [...jobs].slice(0, -AT_HAND)) jobs.delete(old);
  };
  /**
   * Puts something in line at a thread. What waits there already, and is not begun, is answered for all who ask the
   * same: it is read from what is stored when it is begun.
   */
  const told = (task: TaskName, args: unknown): Promise<Told> => {
    const key = SHARED.has(task) ? JSON.stringify([task, args]) : undefined;
    const same = seats.flatMap(({ line }) => line).find((one) => key !== undefined && one.key === key && !one.isBegun);
    if (same) return same.told;
    const jobId = AT_ONE_SEAT[task] ?? jobOf(args);
    const seat = seatFor(jobId);
    if (jobId !== undefined) remember(seat, jobId);
    const before = seat.line.at(-1)?.told.catch(() => undefined) ?? Promise.resolve();
    const begin = async (): Promise<Told> => {
      await before;
      own.isBegun = true;
      try {
        return await seat.pool.run({ task, args }, { signal: AbortSignal.timeout(limitS * 1000) });
      } finally {
        seat.line.splice(seat.line.indexOf(own), 1);
      }
    };
    const own: InLine = { key, isBegun: false, told: Promise.resolve().then(begin) };
    seat.line.push(own);
    return own.told;
  };
  const ask = async <K extends TaskName>(task: K, args: ArgsOf<K>): Promise<AnswerOf<K>> => {
    try {
      const said = await told(task, args);
      if (!said.ok) throw new AppError(said.code, said.message, said.more);
      return said.answer as AnswerOf<K>;
    } catch (error) {
      if (isTooMuch(error)) {
        const of = jobOf(args);
        const what = of === undefined ? OTHER_WORDS[task] : await sizeOf(of);
        throw new AppError(
          'PLAN_TOO_LONG',
          `${what ?? 'It'} was not ${of === undefined ? 'done' : 'planned'} within ${limitS} s: it was stopped.`,
        );
      }
      throw error;
    } finally {
      ahead.goOn();
    }
  };
  const ahead = aheadOf(
    () => seats.some(({ line }) => line.length > 0),
    (jobId) => {
      // What goes wrong here is said to whoever asks.
      ask('made', { jobId, spliceIds: [] }).catch(() => undefined);
    },
  );
  return {
    ask,
    prepare: (jobId) => ahead.open(jobId),
    close: async () => {
      ahead.close();
      await Promise.all(seats.map(({ pool }) => pool.destroy()));
    },
  };
}

const isTooMuch = (error: unknown): boolean =>
  error instanceof Error &&
  (error.name === 'AbortError' || ('code' in error && error.code === 'ERR_WORKER_OUT_OF_MEMORY'));
