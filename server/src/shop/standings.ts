import type { EntityManager } from 'typeorm';
import type { Page, ShopAsked } from '@mendum/core/operations';
import type { JobStanding } from '@mendum/core/shop';
import { CatalogueEntity, HarnessEntity, PracticeEntity } from '../db/entities.ts';
import type { Database } from '../db/open.ts';
import { pageOf } from '../db/page.ts';
import { rowsBy } from '../db/prepared.ts';
import type { JobRow } from '../db/rows.ts';
import { AppError } from '../errors.ts';
import { openJobs, signedSince, weekBegan } from './jobs.ts';
import { ownShelfId } from '../jobs/store.ts';
import type { Planner } from '../planning/planner.ts';

/** Jobs are planned one after the other for each page; so many by default. */
const USUAL = 20;
/** Standings that are kept. */
const KEPT = 2000;

/** What a standing depends on: the versions of the job and of all that it is planned by. */
interface ToStand {
  readonly row: Pick<JobRow, 'id' | 'harnessId' | 'number' | 'title' | 'updatedAt'>;
  readonly versions: string;
}

function toStand(manager: EntityManager, row: JobRow): ToStand {
  const rows = rowsBy(manager);
  const { id, number, title, updatedAt, version, harnessId, practiceId } = row;
  const shelf = ownShelfId(id);
  const versions = [
    version,
    rows.value(HarnessEntity, 'version', { id: harnessId }),
    practiceId,
    rows.value(PracticeEntity, 'version', { id: practiceId }),
    rows.value(CatalogueEntity, 'version', { id: shelf }) ?? rows.value(CatalogueEntity, 'version', { id: 'shelf' }),
  ];
  return { row: { id, harnessId, number, title, updatedAt }, versions: versions.join(' ') };
}

/** Of a job that cannot be planned nothing is known but why. */
const unplanned = ({ row: { id, ...row } }: ToStand, { message }: AppError): JobStanding => ({
  ...row,
  jobId: id,
  machine: '',
  makes: 0,
  proved: 0,
  toSign: false,
  doubts: [{ circuit: '', words: message }],
  needs: [],
  missing: [],
  uncounted: true,
  plannedMin: 0,
  workedMin: 0,
});

/** How open jobs, or those that were signed this week, stand, page by page, the last changed first; each is planned only where something of it changed. */
export function standingsOf(db: Database, planner: Planner, today: () => string) {
  const known = new Map<string, { readonly versions: string; readonly standing: JobStanding }>();
  const standingOf = async (one: ToStand): Promise<JobStanding> => {
    const { id } = one.row;
    const kept = known.get(id);
    if (kept?.versions === one.versions) return kept.standing;
    try {
      const standing = await planner.ask('standing', { jobId: id });
      known.delete(id);
      known.set(id, { versions: one.versions, standing });
      for (const old of [...known.keys()].slice(0, -KEPT)) known.delete(old);
      return standing;
    } catch (error) {
      if (error instanceof AppError) return unplanned(one, error);
      throw error;
    }
  };
  return async ({ signed = false, ...asked }: ShopAsked): Promise<Page<JobStanding>> => {
    const { items, ...page } = await db.read((manager) =>
      pageOf(
        signed ? signedSince(manager, weekBegan(today())) : openJobs(manager),
        { by: ['job.updatedAt', 'job.id'], descends: true },
        { limit: USUAL, ...asked },
        (row) => [row.updatedAt, row.id],
        (rows) => Promise.resolve(rows.map((row) => toStand(manager, row))),
      ),
    );
    // One after the other: whoever ticks a step meanwhile waits behind one job of this list, never behind all.
    const standings: JobStanding[] = [];
    for (const item of items) standings.push(await standingOf(item));
    return { ...page, items: standings };
  };
}
