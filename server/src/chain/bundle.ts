import { createHash, type KeyObject } from 'node:crypto';
import Joi from 'joi';
import type { ChainedRecord, RecordBundle } from '@mendum/core/operations';
import type { RecordRow } from '../db/rows.ts';
import type { Head } from './head.ts';
import { hashOf, isSignedBy, NOTHING_BEFORE, type RecordContent } from './link.ts';

/** A record with its place in the chain, as it is given out. @param before the hash of the row before it */
export const chained = (
  { signature, replacesId, temporaryUntil, ...row }: RecordRow,
  before: string,
): ChainedRecord => ({
  ...row,
  before,
  replacesId: replacesId ?? undefined,
  temporaryUntil: temporaryUntil ?? undefined,
  signature: signature ?? undefined,
});

/** Holds the records of a bundle together: none can be left out of it without this being another one. */
export const sealOf = (records: readonly ChainedRecord[]): string =>
  createHash('sha256')
    .update(records.map(({ hash }) => hash).join(''))
    .digest('hex');

/** What is read of a bundle; what else stands in it is no part of the chain. */
const bundleSchema = Joi.object({
  format: Joi.valid('mendum-record').required(),
  version: Joi.valid(2).required(),
  seal: Joi.string().required(),
  head: Joi.object().required(),
  records: Joi.array()
    .items(Joi.object({ chainRow: Joi.number().required(), hash: Joi.string().required() }).unknown())
    .required(),
}).unknown();

/** Reads a bundle. @throws Error naming what it is not */
export function readBundle(text: string): RecordBundle {
  const read: unknown = JSON.parse(text);
  const { error } = bundleSchema.validate(read, { convert: false });
  if (error) throw error;
  return read as RecordBundle;
}

/** What does not hold of a bundle of records; nothing where all does. */
export function bundleBroken({ records, head, seal }: RecordBundle, key?: KeyObject): string | undefined {
  let last: Head = { row: 0, hash: NOTHING_BEFORE };
  for (const { before, chainRow, hash, signature, ...rest } of records) {
    const {
      id,
      jobId,
      spliceId,
      circuitNumber,
      temporaryUntil = null,
      replacesId = null,
      body,
      signedBy,
      signedAt,
    } = rest;
    const content: RecordContent = {
      id,
      jobId,
      spliceId,
      circuitNumber,
      temporaryUntil,
      replacesId,
      body,
      signedBy,
      signedAt,
    };
    if (chainRow <= last.row) return `Row ${chainRow} follows row ${last.row}.`;
    if (hashOf(chainRow, before, { kind: 'record', content }) !== hash)
      return `Row ${chainRow} is not what was written.`;
    if (chainRow === last.row + 1 && before !== last.hash) return `Row ${chainRow} does not follow row ${last.row}.`;
    if (key && (signature === undefined || !isSignedBy(key, hash, signature)))
      return `Row ${chainRow} is not signed by this key.`;
    last = { row: chainRow, hash };
  }
  if (last.row > head.row || (last.row === head.row && last.hash !== head.hash))
    return `Its head is row ${head.row}, and it goes on.`;
  return sealOf(records) === seal ? undefined : 'Records are missing from it, or were put in.';
}
