import type { EntityManager, SelectQueryBuilder } from 'typeorm';
import type { Page, Parcel, ParcelManifest, ParcelRecord, ParcelRecordsAsked } from '@mendum/core/operations';
import { havingWords, pageOf } from '../db/page.ts';
import { ParcelEntity, ParcelFileEntity, ParcelRecordEntity } from '../db/parcelEntities.ts';
import type { ParcelRecordRow, ParcelRow } from '../db/parcelRows.ts';
import { rowsBy } from '../db/prepared.ts';
import { AppError } from '../errors.ts';
import type { OpenedParcel } from './opened.ts';

/** Keeps a parcel under its own name: nothing of it gets among one's own jobs and records. @throws AppError PARCEL_REFUSED */
export function keepParcel(
  manager: EntityManager,
  { parcel, files, records }: OpenedParcel,
  said: { readonly shop: string; readonly by: string; readonly at: string },
): void {
  const rows = rowsBy(manager);
  const known = rows.one(ParcelEntity, { id: parcel.id });
  if (known)
    throw new AppError('PARCEL_REFUSED', `This parcel was read in on ${known.at.slice(0, 10)} by ${known.by}.`, {
      hint: `It stands under ${known.shop}.`,
    });
  rows.insert(ParcelEntity, { ...parcel, ...said });
  for (const file of files) rows.insert(ParcelFileEntity, file);
  for (const record of records) rows.insert(ParcelRecordEntity, record);
}

const parcelOf = ({ manifest, ...row }: ParcelRow): Parcel => {
  const { origin, madeAt, of, jobs } = JSON.parse(manifest) as ParcelManifest;
  return { ...row, originId: origin.id, madeAt, of, jobs: jobs.length };
};

/** The parcels that were read in, the last one first. */
export const listParcels = async (manager: EntityManager): Promise<Parcel[]> =>
  (await manager.find(ParcelEntity, { order: { at: 'DESC', id: 'ASC' } })).map(parcelOf);

/** @throws AppError NOT_FOUND */
export async function parcelRow(manager: EntityManager, id: string): Promise<ParcelRow> {
  const row = await manager.findOneBy(ParcelEntity, { id });
  if (!row) throw new AppError('NOT_FOUND', 'There is no such parcel.');
  return row;
}

/** Files of a job in a parcel that a person looks at: its sheet and its photos. */
const isLookedAt = (name: string, folder: string): boolean =>
  name.startsWith(`${folder}/`) && /\.(pdf|jpe?g|png|webp)$/.test(name);

/** A page of the records of other shops that count there; found by every word that they say. */
export async function listParcelRecords(
  manager: EntityManager,
  { parcelId, ...asked }: ParcelRecordsAsked,
): Promise<Page<ParcelRecord>> {
  const query: SelectQueryBuilder<ParcelRecordRow> = havingWords(
    manager
      .createQueryBuilder(ParcelRecordEntity, 'line')
      .where(parcelId === undefined ? '1 = 1' : 'line.parcelId = :id', {
        id: parcelId,
      }),
    'line.text',
    asked.search,
  );
  const parcels = new Map((await manager.find(ParcelEntity)).map((row) => [row.id, row]));
  return pageOf(
    query,
    { by: ['line.parcelId', 'line.chainRow'], descends: true },
    asked,
    (row) => [row.parcelId, row.chainRow],
    (rows) =>
      Promise.resolve(
        rows.map(({ parcelId: of, recordId, folder, body }): ParcelRecord => {
          const parcel = parcels.get(of);
          const { files } = JSON.parse(parcel?.manifest ?? '{"files":[]}') as ParcelManifest;
          return {
            parcelId: of,
            shop: parcel?.shop ?? '',
            recordId,
            body,
            files: files.map(({ name }) => name).filter((name) => isLookedAt(name, folder)),
          };
        }),
      ),
  );
}
