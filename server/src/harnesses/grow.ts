import type { EntityManager } from 'typeorm';
import type { Growth } from '@mendum/core/harness';
import { HarnessEntity } from '../db/entities.ts';
import { AppError, type ErrorCode } from '../errors.ts';
import type { StoredJob } from '../jobs/store.ts';
import { editHarness } from './edit.ts';

/** A run that a job made longer. */
export interface GrownRun {
  readonly runId: string;
  readonly growths: readonly Growth[];
}

/** What another job may have against it: nobody is kept from signing by that. */
const OF_OTHERS: readonly ErrorCode[] = ['HAS_WORK', 'EDIT_REFUSED'];

/**
 * The harness takes over the lengths of a job that was just signed, where it made leads longer: all beyond them moves
 * along, on open jobs, to-dos and earlier repairs. What the job itself made lies where its records say.
 * @returns why the harness could not take them over: work of another job stands in the way
 */
export async function takeLengths(
  manager: EntityManager,
  { row, harnessVersion }: StoredJob,
  grown: readonly GrownRun[],
  now: string,
): Promise<string | undefined> {
  if (grown.length === 0) return undefined;
  const edits = grown.map((one) => ({ do: 'growRun', ...one }) as const);
  const before = await manager.findOneByOrFail(HarnessEntity, { id: row.harnessId });
  // A job on a harness that was put aside tells nothing of the one that goes on.
  if (before.keptFor !== null) return undefined;
  try {
    await editHarness(manager, before.id, harnessVersion, edits, now);
  } catch (error) {
    if (error instanceof AppError && OF_OTHERS.includes(error.code)) return error.message;
    throw error;
  }
  const { placed } = await manager.findOneByOrFail(HarnessEntity, { id: before.id });
  if (placed) {
    const others = Object.fromEntries(Object.entries(placed).filter(([key]) => !key.startsWith(`${row.id} `)));
    await manager.update(HarnessEntity, { id: before.id }, { placed: others });
  }
  return undefined;
}
