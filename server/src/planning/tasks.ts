import type { BegunWork } from '@mendum/core/approach';
import type { LayoutWishes, Pin } from '@mendum/core/layout';
import { checkMishap, mishapCost, progressOf, type MishapSaid, type Progress } from '@mendum/core/mishap';
import {
  checkWishes,
  heldBy,
  keptAsPlanned,
  leftFindings,
  makesOf,
  planChanges,
  plannedPins,
  unpinned,
  type FindingPlan,
  type Make,
} from '@mendum/core/plan';
import type { Practice } from '@mendum/core/practice';
import type { Check } from '@mendum/core/prove';
import { buildRecords, photosOf, RecordRefused, type Signing, type SpliceRecord } from '@mendum/core/record';
import type { ChainState, Comebacks, ComebacksAsked, FoundCircuit, JobEffect } from '@mendum/core/operations';
import { askBy, headOf, rowsOf } from '../chain/stored.ts';
import { walk } from '../chain/walk.ts';
import { JobEntity } from '../db/entities.ts';
import { AppError } from '../errors.ts';
import { bringUpToDate } from '../find/known.ts';
import { hasBegun, loadJob, workedAt, type StoredJob } from '../jobs/store.ts';
import { comebacksOf } from '../record/comebacks.ts';
import { inLocalTime } from '../record/when.ts';
import { openParcel, type OpenedParcel } from '../parcel/opened.ts';
import type { Left } from '../todo/store.ts';
import { standingNow } from './standing.ts';
import { checkTerminal, checkUse, type Asked } from './choice.ts';
import type { Desk, Planned } from './desk.ts';
import { PRINT_TASKS } from './printTasks.ts';

/** An answer that holds as long as the job has this stamp. */
export interface Stamped<A> {
  readonly answer: A;
  readonly stamp: string;
}
const stamped = <A>({ stamp }: Planned, answer: A): Stamped<A> => ({ answer, stamp });

/** What is made, as far as ticks and readings ask. */
export interface MadeNow {
  readonly spliceId: string;
  readonly findingId: string;
  readonly make: number;
  readonly stepIds: readonly string[];
  readonly checks: readonly Check[];
}

/**
 * What is written down when work on findings begins: what they are made by, where their splices lie, and that all
 * others stay.
 */
export interface Beginning {
  readonly held: readonly BegunWork[];
  readonly pins: readonly Pin[];
  readonly layout: LayoutWishes;
}

/** Finds a splice, a cover or work at a cavity in the plan. @throws AppError NO_SUCH_SPLICE */
function madeAs({ plan }: Planned, spliceId: string): { readonly finding: FindingPlan; readonly made: Make } {
  for (const finding of plan.findings) {
    const made = makesOf(finding).find(({ id }) => id === spliceId);
    if (made) return { finding, made };
  }
  throw new AppError('NO_SUCH_SPLICE', `There is no splice "${spliceId}" in the plan.`);
}

/** The beginning of work on those of some findings that nobody has begun yet. */
function beginningOf({ plan, stored }: Planned, findings: readonly FindingPlan[]): Beginning {
  const begun = new Set((stored.job.held ?? []).map(({ findingId }) => findingId));
  const begin = findings.filter(
    ({ findingId }, at, all) => !begun.has(findingId) && all.findIndex((one) => one.findingId === findingId) === at,
  );
  const ids = begin.map(({ findingId }) => findingId);
  const { layout } = stored.row;
  return {
    held: begin.map((finding) => heldBy(finding, layout.otherColours ?? false)),
    pins: plannedPins(begin),
    layout: ids.length === 0 ? layout : keptAsPlanned(unpinned(layout, ids), plan),
  };
}

/** What is said with a signature. */
type Signed = Omit<Signing, 'photosOf'>;

/** @throws AppError RECORD_REFUSED saying which splices stand in the way */
function recordsOf({ stored, plan }: Planned, signed: Signed): SpliceRecord[] {
  try {
    const records = buildRecords(
      stored.job,
      plan,
      stored.readings,
      { ...signed, photosOf: (findingId) => photosOf(stored.photos, findingId, workedAt(stored, findingId)) },
      inLocalTime,
      stored.row.functions,
      stored.catalogue,
    );
    if (records.length === 0)
      throw new AppError('RECORD_REFUSED', `Job ${stored.row.number} has no splice and no cover to record.`, {
        hint: 'Add what was found in Survey first.',
      });
    return records;
  } catch (error) {
    if (error instanceof RecordRefused)
      throw new AppError('RECORD_REFUSED', error.message, { details: { spliceIds: error.spliceIds } });
    throw error;
  }
}

interface OfJob {
  readonly jobId: string;
}

/**
 * Everything that is asked of a plan. Each runs where plans are made, away from where requests are answered, and
 * answers with no more than is asked.
 */
export const TASKS = {
  ...PRINT_TASKS,

  /** The whole plan, as JSON. */
  plan: async (desk: Desk, { jobId }: OfJob): Promise<string> => JSON.stringify((await desk.planned(jobId)).plan),

  /** The whole plan, as JSON, with the stamp of what it was made from. */
  opened: async (desk: Desk, { jobId }: OfJob): Promise<Stamped<string>> => {
    const planned = await desk.planned(jobId);
    return stamped(planned, JSON.stringify(planned.plan));
  },

  /** What ticks and readings are about, and what beginning it means. @throws AppError NO_SUCH_SPLICE */
  made: async (desk: Desk, { jobId, spliceIds }: OfJob & { readonly spliceIds: readonly string[] }) => {
    const planned = await desk.asBegun(jobId);
    const found = spliceIds.map((id) => madeAs(planned, id));
    return stamped(planned, {
      makes: found.map(({ finding: { findingId }, made }): MadeNow => ({
        spliceId: made.id,
        findingId,
        make: made.make,
        stepIds: made.steps.map(({ id }) => id),
        checks: made.checks,
      })),
      beginning: beginningOf(
        planned,
        found.map(({ finding }) => finding),
      ),
    });
  },

  /** What a mishap costs. @throws AppError NO_SUCH_SPLICE; BAD_INPUT where it cannot be what is said */
  again: async (
    desk: Desk,
    { jobId, spliceId, said }: OfJob & { readonly spliceId: string; readonly said: MishapSaid },
  ) => {
    const planned = await desk.planned(jobId);
    const { finding, made } = madeAs(planned, spliceId);
    const problem = checkMishap(made, said);
    if (problem) throw new AppError('BAD_INPUT', problem.message, { field: `/${problem.field}`, hint: problem.hint });
    const { ticks, readings } = planned.stored;
    const ticked = new Set(ticks.filter(({ done }) => done).map(({ stepId }) => stepId));
    const progress = (make: Make): Progress =>
      progressOf(
        make,
        (stepId) => ticked.has(stepId),
        readings.some((reading) => reading.spliceId === make.id && reading.make === make.make),
      );
    return stamped(planned, {
      findingId: finding.findingId,
      make: made.make,
      cost: mishapCost(finding, made, said, progress, planned.stored.practice.figures),
    });
  },

  /** Whether a method, cover, way or terminal may be chosen. @throws AppError NOT_FOUND, BAD_INPUT with the reason */
  choice: async (desk: Desk, { jobId, findingId, use, terminal }: OfJob & Asked) => {
    const planned = await desk.planned(jobId);
    const finding = planned.plan.findings.find((one) => one.findingId === findingId);
    if (!finding)
      throw new AppError('NOT_FOUND', `There is no finding "${findingId}" in job ${planned.stored.row.number}.`);
    if (terminal !== undefined) checkTerminal(finding, use, terminal);
    else if (use !== null) checkUse(planned.stored, finding, use);
    return stamped(planned, { makes: makesOf(finding).map(({ id, make }) => ({ id, make })) });
  },

  /** What is wrong with what people wish of a layout. */
  wishes: async (desk: Desk, { jobId, layout }: OfJob & { readonly layout: LayoutWishes }) => {
    const planned = await desk.planned(jobId);
    const { job, practice, catalogue } = planned.stored;
    return stamped(planned, checkWishes(job, layout, desk.memoryOf(practice, catalogue)));
  },

  /**
   * The records of a job that is signed now, the readings that they were made from, and what it leaves. @throws AppError RECORD_REFUSED
   */
  records: async (desk: Desk, { jobId, signed }: OfJob & { readonly signed: Signed }) => {
    const planned = await desk.planned(jobId);
    return stamped(planned, {
      records: recordsOf(planned, signed),
      readingIds: planned.stored.readings.map(({ id }) => id),
      left: leftFindings(planned.plan).map(({ findingId, asks }): Left => ({
        findingId,
        because: asks[0]?.words ?? '',
      })),
      grown: planned.plan.runs.flatMap(({ runId, growths = [] }) => (growths.length > 0 ? [{ runId, growths }] : [])),
    });
  },

  /** How far the chain of records and audit lines holds: all of it is walked. @param at now */
  chain: (desk: Desk, { at }: { readonly at: string }): Promise<ChainState> =>
    desk.read(async (manager) => {
      const ask = askBy(manager);
      const head = await headOf(ask);
      const { whole, broken } = await walk(rowsOf(ask), head);
      const [last] = await rowsOf(ask)(head.row, 1);
      return { ...whole, at, ...(broken && { broken }), signs: (last?.signature ?? null) !== null };
    }),

  /** A parcel of another shop, unpacked and checked. @throws AppError PARCEL_REFUSED */
  openParcel: (
    _: Desk,
    { bytes, ownId }: { readonly bytes: Uint8Array; readonly ownId: string },
  ): Promise<OpenedParcel> => openParcel(bytes, ownId),

  /** How an open job stands. */
  standing: standingNow,

  /** How often repairs came back, by what they have in common. */
  comebacks: (desk: Desk, { asked }: { readonly asked: ComebacksAsked }): Promise<Comebacks> =>
    comebacksOf(desk.facts, desk.read, asked),

  /** Circuits of any harness, by words. */
  find: async (desk: Desk, { words }: { readonly words: string }): Promise<FoundCircuit[]> => {
    await desk.read((manager) => bringUpToDate(desk.finder, manager));
    return desk.finder.find(words);
  },

  /**
   * Open jobs by a practice for which it, changed, would choose otherwise; those with work begun keep what they have.
   */
  effects: async (desk: Desk, { practice }: { readonly practice: Practice }): Promise<JobEffect[]> => {
    const rows = await desk.read((manager) => manager.findBy(JobEntity, { practiceId: practice.id, status: 'open' }));
    const effects: JobEffect[] = [];
    for (const { id } of rows) {
      const stored: StoredJob = await desk.read((manager) => loadJob(manager, id));
      const { job, catalogue } = stored;
      const changes = planChanges(desk.planOf(job, stored.practice, catalogue), desk.planOf(job, practice, catalogue));
      if (changes.length === 0) continue;
      const numbers = new Map(job.harness.circuits.map((circuit) => [circuit.id, circuit.number]));
      effects.push({
        jobId: id,
        number: stored.row.number,
        title: stored.row.title,
        keeps: hasBegun(stored),
        changes: changes.map((change) => ({
          ...change,
          circuitNumber: numbers.get(change.circuitId) ?? change.circuitId,
        })),
      });
    }
    return effects;
  },
};

type Tasks = typeof TASKS;
export type TaskName = keyof Tasks;
export type ArgsOf<K extends TaskName> = Parameters<Tasks[K]>[1];
export type AnswerOf<K extends TaskName> = Awaited<ReturnType<Tasks[K]>>;
