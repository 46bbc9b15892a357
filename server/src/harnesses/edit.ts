import { isDeepStrictEqual } from 'node:util';
import type { EntityManager } from 'typeorm';
import type { Finding } from '@mendum/core/damage';
import type { Harness } from '@mendum/core/harness';
import { checkJob, type Job } from '@mendum/core/job';
import type { Pin } from '@mendum/core/layout';
import { alongWith, applyEdits, EditRefused, type HarnessEdit, type Surveyed } from '@mendum/core/survey';
import { FindingEntity, HarnessEntity, JobEntity, PinEntity } from '../db/entities.ts';
import { AppError } from '../errors.ts';
import { placedAfter } from '../jobs/earlier.ts';
import { hasWork, mustBeCurrent } from '../jobs/change.ts';
import { findingRow, loadJob, type StoredJob } from '../jobs/store.ts';
import { todosAlong } from '../todo/store.ts';
import { keepAside, loadHarness, replaceHarness } from './store.ts';

/** The edits done, in the words of an error where one cannot be. @throws AppError EDIT_REFUSED */
function done(state: Surveyed, edits: readonly HarnessEdit[], where: string): Surveyed {
  try {
    return applyEdits(state, edits);
  } catch (error) {
    if (error instanceof EditRefused)
      throw new AppError('EDIT_REFUSED', `${where}${error.message}`, { hint: error.remedy });
    throw error;
  }
}

/**
 * What splices that are already made stand on, as it lies round them: their wire, what its place is like, what lies
 * along it, all measured from the finding. What lies farther off may become known, longer or another connector.
 */
function footing(finding: Finding, { runs, circuits }: Harness, pins: Job['pins']): unknown {
  const { fromMm, toMm, runId: _, ...found } = finding;
  const own = pins.filter((pin) => pin.findingId === finding.id);
  const on = [finding.runId, ...own.flatMap((pin) => pin.runId ?? [])];
  const round = on.flatMap((id) => {
    const run = runs.find((one) => one.id === id);
    if (!run) return [];
    const features = run.features.map((one) => ({ ...one, fromMm: one.fromMm - fromMm, toMm: one.toMm - fromMm }));
    return [
      {
        zone: run.zone,
        conduitInsideMm: run.conduitInsideMm,
        features: id === finding.runId ? features : run.features,
      },
    ];
  });
  const circuit = circuits.find((one) => one.id === finding.circuitId);
  const wire = circuit && {
    kind: circuit.kind,
    wire: circuit.wire,
    fuseA: circuit.fuseA,
    loadA: circuit.loadA,
    pairWith: circuit.pairWith,
    shield: circuit.shield,
  };
  return JSON.parse(JSON.stringify({ found, longMm: toMm - fromMm, round, wire }));
}

/** Pins that lie on another run than their finding, or as far from it as they did: nothing made has moved. */
function stayBeside(before: Finding, after: Finding, pins: readonly Pin[], now: readonly Pin[]): boolean {
  const placesOf = (finding: Finding, all: readonly Pin[]): unknown =>
    all
      .filter((pin) => pin.findingId === finding.id)
      .map(({ side, centreMm, runId }) =>
        runId === undefined ? [side, Math.round((centreMm - finding.fromMm) * 1e6) / 1e6] : [side, runId, centreMm],
      );
  return isDeepStrictEqual(placesOf(before, pins), placesOf(after, now));
}

/** What the edits do to an open job. @throws AppError when they cannot be done under it */
function inJob(stored: StoredJob, edits: readonly HarnessEdit[]): Surveyed {
  const after = done(stored.job, edits, `Job ${stored.row.number}: `);
  stored.job.findings.forEach((finding, index) => {
    const now = after.findings[index];
    if (
      hasWork(stored, finding.id) &&
      now &&
      !(
        isDeepStrictEqual(
          footing(finding, stored.job.harness, stored.job.pins),
          footing(now, after.harness, stored.job.pins),
        ) && stayBeside(finding, now, stored.job.pins, pinsAlong(stored.job.pins, stored, after.findings, edits))
      )
    ) {
      throw new AppError(
        'HAS_WORK',
        `Job ${stored.row.number} has splices made on circuit ${stored.job.harness.circuits.find((one) => one.id === finding.circuitId)?.number ?? finding.circuitId}: its wire and its run cannot change under them.`,
        { hint: 'Finish and sign that job first; it keeps the harness as it was.' },
      );
    }
  });
  const [problem] = checkJob({ ...stored.job, ...after });
  if (problem)
    throw new AppError('EDIT_REFUSED', `Job ${stored.row.number}: ${problem.message}`, {
      field: problem.pointer,
      hint: problem.hint,
    });
  return after;
}

/** Where splices are put or kept once the harness is edited; those whose place is gone are put anew. */
function pinsAlong(
  pins: readonly Pin[],
  { job }: StoredJob,
  findings: readonly Finding[],
  edits: readonly HarnessEdit[],
): Pin[] {
  return pins.flatMap((pin): Pin[] => {
    const before = job.findings.find(({ id }) => id === pin.findingId);
    const after = findings.find(({ id }) => id === pin.findingId);
    if (!before || !after) return [pin];
    const { centreMm, runId = before.runId } = pin;
    const place = { circuitId: before.circuitId, runId, fromMm: centreMm, toMm: centreMm };
    const now = alongWith(job.harness, edits, place);
    if (!now) return [];
    const { runId: _, ...rest } = pin;
    return [{ ...rest, centreMm: now.fromMm, ...(now.runId === after.runId ? {} : { runId: now.runId }) }];
  });
}

/** Moves what people and plans have put on an open job's harness along with it. */
async function movePins(
  manager: EntityManager,
  stored: StoredJob,
  findings: readonly Finding[],
  edits: readonly HarnessEdit[],
): Promise<void> {
  const along = (pins: readonly Pin[]): Pin[] => pinsAlong(pins, stored, findings, edits);
  const { row, job } = stored;
  if (job.pins.length > 0) {
    await manager.delete(PinEntity, { jobId: row.id });
    for (const pin of along(job.pins)) await manager.insert(PinEntity, { jobId: row.id, runId: null, ...pin });
  }
  const { layout } = row;
  if (layout.pins.length + layout.found.length > 0)
    await manager.update(
      JobEntity,
      { id: row.id },
      { layout: { ...layout, pins: along(layout.pins), found: along(layout.found) } },
    );
}

/**
 * Edits a stored harness. Findings of every open job on it keep their place; signed jobs keep the harness as it was.
 * @returns its new version
 * @throws AppError NOT_FOUND, STALE, EDIT_REFUSED, HAS_WORK
 */
export async function editHarness(
  manager: EntityManager,
  id: string,
  version: number,
  edits: readonly HarnessEdit[],
  now: string,
): Promise<number> {
  const row = await manager.findOneBy(HarnessEntity, { id });
  if (!row || row.keptFor !== null) throw new AppError('NOT_FOUND', `There is no harness "${id}".`);
  const { machine, harness } = await loadHarness(manager, id);
  mustBeCurrent('The harness', version, row.version, harness, edits);
  const after = done({ harness, findings: [] }, edits, '').harness;
  const [problem] = checkJob({
    id: '',
    number: '',
    title: '',
    machine,
    harness: after,
    findings: [],
    gate: {},
    choices: [],
    pins: [],
    redos: [],
  });
  if (problem) throw new AppError('EDIT_REFUSED', problem.message, { field: problem.pointer, hint: problem.hint });

  const jobs = await manager.findBy(JobEntity, { harnessId: id });
  // Nothing is written before all of it is known to be possible.
  const moved: { readonly stored: StoredJob; readonly findings: readonly Finding[] }[] = [];
  for (const job of jobs.filter((one) => one.status === 'open')) {
    const stored = await loadJob(manager, job.id);
    moved.push({ stored, findings: inJob(stored, edits).findings });
  }
  for (const { stored, findings } of moved) {
    const job = stored.row;
    for (const [position, finding] of findings.entries()) {
      const before = stored.job.findings[position];
      if (isDeepStrictEqual(finding, before)) continue;
      await manager.update(
        FindingEntity,
        { jobId: job.id, id: finding.id },
        findingRow(job.id, finding, position, (stored.findingVersions[finding.id] ?? 1) + 1),
      );
    }
    await movePins(manager, stored, findings, edits);
    await manager.update(JobEntity, { id: job.id }, { version: job.version + 1, updatedAt: now });
  }
  todosAlong(manager, id, harness, edits);
  const placed = placedAfter(manager, row, harness, edits);
  if (jobs.some((job) => job.status === 'signed'))
    await manager.update(JobEntity, { harnessId: id, status: 'signed' }, { harnessId: await keepAside(manager, id) });
  await replaceHarness(manager, id, after, row.version + 1);
  await manager.update(HarnessEntity, { id }, { placed });
  return row.version + 1;
}
