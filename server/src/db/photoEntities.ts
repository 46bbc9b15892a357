import { EntitySchema } from 'typeorm';
import { json, key, ofHarness, ofJob, text, whole } from './columns.ts';
import type * as Rows from './rows.ts';

export const PhotoEntity = new EntitySchema<Rows.PhotoRow>({
  name: 'photo',
  columns: {
    id: key,
    jobId: text,
    findingId: text,
    name: text,
    type: text,
    sizeBytes: whole,
    widthPx: whole,
    heightPx: whole,
    by: text,
    at: text,
    removed: { type: 'boolean' },
  },
  indices: [{ name: 'photo_by_job', columns: ['jobId'] }],
  foreignKeys: ofJob,
});

export const FacePhotoEntity = new EntitySchema<Rows.FacePhotoRow>({
  name: 'face_photo',
  columns: {
    id: key,
    harnessId: text,
    nodeId: text,
    version: whole,
    side: text,
    name: text,
    type: text,
    sizeBytes: whole,
    widthPx: whole,
    heightPx: whole,
    marks: json,
    by: text,
    at: text,
    removed: { type: 'boolean' },
  },
  indices: [{ name: 'face_photo_by_harness', columns: ['harnessId'] }],
  foreignKeys: ofHarness,
});
