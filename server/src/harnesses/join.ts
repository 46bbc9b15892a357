import type { EntityManager } from 'typeorm';
import type { Harness } from '@mendum/core/harness';
import { checkJob, NOTHING_YET, type Machine } from '@mendum/core/job';
import { UNNAMED_MACHINE } from '@mendum/core/quick';
import {
  EditRefused,
  joinHarnesses,
  renamedIn,
  type Joined,
  type JoinedIds,
  type JoinPlace,
  type SameCircuit,
  type WirePlace,
} from '@mendum/core/survey';
import { FindingEntity, HarnessEntity, JobEntity, PinEntity } from '../db/entities.ts';
import type { HarnessRow, JobRow } from '../db/rows.ts';
import { AppError } from '../errors.ts';
import { mustBeCurrent } from '../jobs/change.ts';
import { recordsOn, repairsOn } from '../jobs/earlier.ts';
import { keptEnds } from '../jobs/earlierEnds.ts';
import { findingRow, loadJob } from '../jobs/store.ts';
import { todosJoined } from '../todo/store.ts';
import { facePhotosJoined } from './facePhotos.ts';
import { nameHarness } from './name.ts';
import { keepAside, loadHarness, replaceHarness } from './store.ts';

interface JoinAsked {
  readonly id: string;
  readonly version: number;
  readonly otherId: string;
  readonly otherVersion: number;
  readonly at: JoinPlace;
  readonly same: readonly SameCircuit[];
}

/** A harness that goes on, at the version that was seen. @throws AppError NOT_FOUND, STALE */
async function goingOn(manager: EntityManager, id: string, version: number): Promise<HarnessRow> {
  const row = await manager.findOneBy(HarnessEntity, { id });
  if (!row || row.keptFor !== null) throw new AppError('NOT_FOUND', `There is no harness "${id}".`);
  mustBeCurrent('The harness', version, row.version, { name: row.name }, {});
  return row;
}

/** @throws AppError EDIT_REFUSED where two machines cannot be one */
function mustBeOneMachine(machine: Machine, other: Machine): void {
  if (other.name !== UNNAMED_MACHINE && other.name !== machine.name)
    throw new AppError('EDIT_REFUSED', `One is of ${machine.name}, and the other of ${other.name}.`, {
      hint: 'Name the machine of both alike first, where they are of one.',
    });
  if (other.systemVoltageV !== machine.systemVoltageV)
    throw new AppError(
      'EDIT_REFUSED',
      `One has ${machine.systemVoltageV} V, and the other ${other.systemVoltageV} V.`,
      {
        hint: 'Correct the voltage of one first.',
      },
    );
}

/** Both made one. @throws AppError EDIT_REFUSED in words of what stands in the way */
function madeOne(machine: Machine, harness: Harness, other: Harness, { at, same }: JoinAsked): Joined {
  try {
    const joined = joinHarnesses(harness, other, at, same);
    const [problem] = checkJob({ ...NOTHING_YET, id: '', number: '', title: '', machine, harness: joined.harness });
    if (problem) throw new EditRefused(problem.message, problem.hint);
    return joined;
  } catch (error) {
    if (error instanceof EditRefused) throw new AppError('EDIT_REFUSED', error.message, { hint: error.remedy });
    throw error;
  }
}

/** An open job of the other harness put on the joined one, with all that names its wires. @throws AppError EDIT_REFUSED */
async function bringJob(
  manager: EntityManager,
  job: JobRow,
  harnessId: string,
  { harness, ids }: Joined,
  now: string,
): Promise<void> {
  const stored = await loadJob(manager, job.id);
  const moved = renamedIn(stored.job, ids);
  const [problem] = checkJob({ ...moved, harness });
  if (problem)
    throw new AppError('EDIT_REFUSED', `Job ${job.number}: ${problem.message}`, {
      field: problem.pointer,
      hint: problem.hint,
    });
  for (const [position, finding] of moved.findings.entries())
    await manager.update(
      FindingEntity,
      { jobId: job.id, id: finding.id },
      findingRow(job.id, finding, position, (stored.findingVersions[finding.id] ?? 1) + 1),
    );
  await manager.delete(PinEntity, { jobId: job.id });
  for (const pin of moved.pins) await manager.insert(PinEntity, { jobId: job.id, runId: null, ...pin });
  const { mappings, layout, earlier, earlierEnds, functions } = renamedIn(stored.row, ids);
  await manager.update(
    JobEntity,
    { id: job.id },
    { harnessId, mappings, layout, earlier, earlierEnds, functions, version: job.version + 1, updatedAt: now },
  );
}

/** By repair: that it is not on a harness, as of states that were kept before two became one. */
const nowhere = (keys: Iterable<string>): Record<string, null> => {
  const none: Record<string, null> = {};
  for (const key of keys) none[key] = null;
  return none;
};

/** Every state of a harness: the one that goes on, and those kept for signed jobs. */
const statesOf = (manager: EntityManager, id: string): Promise<HarnessRow[]> =>
  manager.findBy(HarnessEntity, [{ id }, { keptFor: id }]);

/** What earlier jobs left on both, where it lies in the joined one; kept states see only their own. */
async function joinRepairs(
  manager: EntityManager,
  row: HarnessRow,
  other: HarnessRow,
  ids: JoinedIds,
): Promise<HarnessRow['placed']> {
  const own = repairsOn(manager, row, () => true);
  const theirs = repairsOn(manager, other, () => true);
  const [ownEnds, theirEnds] = [keptEnds(recordsOn(manager, row)), keptEnds(recordsOn(manager, other))];
  for (const state of await statesOf(manager, row.id))
    await manager.update(
      HarnessEntity,
      { id: state.id },
      { placed: { ...state.placed, ...nowhere([...theirs.keys(), ...theirEnds.map(({ key }) => key)]) } },
    );
  for (const state of await statesOf(manager, other.id))
    await manager.update(
      HarnessEntity,
      { id: state.id },
      { placed: { ...state.placed, ...nowhere([...own.keys(), ...ownEnds.map(({ key }) => key)]) } },
    );
  const placed: Record<string, WirePlace | null> = { ...row.placed };
  for (const [key, { circuitId, runId, fromMm, toMm }] of theirs)
    placed[key] = renamedIn({ circuitId, runId, fromMm, toMm }, ids);
  // Work at a cavity that is named otherwise by now is not taken for work at another.
  for (const { key, body } of theirEnds)
    if (JSON.stringify(renamedIn(body.atEnd, ids)) !== JSON.stringify(body.atEnd)) placed[key] = null;
  return placed;
}

/**
 * Makes two harnesses one, which meet in a node. Open jobs of the other come along, with their findings, pins, ticks
 * and readings; signed ones keep it as it was, and what they left on its wires is seen on the joined one.
 * @returns its new version, and how many open jobs came along
 * @throws AppError NOT_FOUND, STALE, EDIT_REFUSED
 */
export async function joinHarness(
  manager: EntityManager,
  asked: JoinAsked,
  said: { readonly by: string; readonly now: string },
): Promise<{ readonly harnessVersion: number; readonly jobs: number }> {
  const { id, otherId } = asked;
  if (id === otherId)
    throw new AppError('EDIT_REFUSED', 'A harness cannot be joined to itself.', { hint: 'Pick another one.' });
  const row = await goingOn(manager, id, asked.version);
  const other = await goingOn(manager, otherId, asked.otherVersion);
  const here = await loadHarness(manager, id);
  const there = await loadHarness(manager, otherId);
  mustBeOneMachine(here.machine, there.machine);
  const joined = madeOne(here.machine, here.harness, there.harness, asked);

  // Records that were signed before their machine had a name are corrected as they are by naming it.
  if (there.machine.name !== here.machine.name)
    await nameHarness(manager, otherId, other.version, { name: other.name, machine: here.machine }, said);
  const jobs = await manager.findBy(JobEntity, { harnessId: otherId, status: 'open' });
  for (const job of jobs) await bringJob(manager, job, id, joined, said.now);
  if (await manager.existsBy(JobEntity, { harnessId: id, status: 'signed' }))
    await manager.update(JobEntity, { harnessId: id, status: 'signed' }, { harnessId: await keepAside(manager, id) });
  const last = await manager.findOneByOrFail(HarnessEntity, { id: otherId });
  todosJoined(manager, otherId, id, joined.ids);
  await facePhotosJoined(manager, otherId, id, joined.ids);
  const placed = await joinRepairs(manager, row, last, joined.ids);
  for (const state of await statesOf(manager, otherId))
    await manager.update(HarnessEntity, { id: state.id }, { keptFor: id });
  await replaceHarness(manager, id, joined.harness, row.version + 1);
  await manager.update(HarnessEntity, { id }, { placed });
  for (const job of await manager.findBy(JobEntity, { harnessId: id, status: 'open' }))
    if (!jobs.some((one) => one.id === job.id))
      await manager.update(JobEntity, { id: job.id }, { version: job.version + 1, updatedAt: said.now });
  return { harnessVersion: row.version + 1, jobs: jobs.length };
}
