import { EntitySchema } from 'typeorm';
import { json, key, ofJob, optional, text, whole } from './columns.ts';
import type * as Rows from './parcelRows.ts';

const ofParcel = [
  { target: 'parcel', columnNames: ['parcelId'], referencedColumnNames: ['id'], onDelete: 'CASCADE' as const },
];

export const ParcelEntity = new EntitySchema<Rows.ParcelRow>({
  name: 'parcel',
  columns: { id: key, shop: text, manifest: text, records: whole, signed: whole, by: text, at: text },
});
export const ParcelFileEntity = new EntitySchema<Rows.ParcelFileRow>({
  name: 'parcel_file',
  columns: { parcelId: key, name: key, content: { type: 'blob' } },
  foreignKeys: ofParcel,
});
export const ParcelRecordEntity = new EntitySchema<Rows.ParcelRecordRow>({
  name: 'parcel_record',
  columns: {
    parcelId: key,
    chainRow: { ...whole, primary: true },
    recordId: text,
    folder: text,
    body: json,
    text,
  },
  foreignKeys: ofParcel,
});

export const ShareEntity = new EntitySchema<Rows.ShareRow>({
  name: 'share',
  columns: {
    id: key,
    keyHash: text,
    jobId: text,
    spliceId: text,
    until: text,
    by: text,
    at: text,
    endedAt: optional(text),
  },
  indices: [
    { name: 'share_by_key', columns: ['keyHash'] },
    { name: 'share_by_repair', columns: ['jobId', 'spliceId'] },
  ],
  foreignKeys: ofJob,
});

/** Tables of what comes from other shops and of what is shown to others. */
export const PARCEL_ENTITIES = [ParcelEntity, ParcelFileEntity, ParcelRecordEntity, ShareEntity];
