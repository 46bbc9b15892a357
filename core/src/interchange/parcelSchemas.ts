import Joi from 'joi';
import type { Parcel, ParcelFile, ParcelManifest, ParcelRecord } from '../operations/index.ts';
import { bundleSchemas, recordSchema } from './recordSchema.ts';
import { instant } from './schema/fields.ts';
import { wholeJsonSchema, type JsonSchema } from './schema/jsonSchema.ts';
import { named, needed, oneOf, shape } from './schema/shape.ts';

const words = Joi.string().allow('');
const whole = Joi.number().integer().min(0);
const sha256 = Joi.string().length(64).hex();

/** Names of files of a parcel: in folders below it, and nowhere else. */
const fileName = Joi.string()
  .pattern(/^\w[\w.-]*(\/\w[\w.-]*)*$/)
  .max(300);

const of = shape<ParcelManifest['of']>({
  kind: needed(oneOf(['job', 'harness', 'machine', 'all'])),
  name: needed(words),
});

/** What a parcel says of itself, as docs/formats/parcel.md describes it. */
export const manifestSchema = named(
  'parcelManifest',
  shape<ParcelManifest>({
    format: needed(oneOf(['mendum-parcel'])),
    version: needed(oneOf([1])),
    madeAt: needed(instant),
    origin: needed(shape<ParcelManifest['origin']>({ id: needed(Joi.string().min(8).max(100)) })),
    of: needed(of),
    jobs: needed(
      Joi.array().items(
        shape<ParcelManifest['jobs'][number]>({ id: needed(words), number: needed(words), folder: needed(fileName) }),
      ),
    ),
    records: needed(whole),
    files: needed(
      Joi.array().items(shape<ParcelFile>({ name: needed(fileName), bytes: needed(whole), sha256: needed(sha256) })),
    ),
  }),
  'What a parcel says of itself: where it comes from, of what it is, and the hash of each file.',
);

/** What a parcel says of itself, as JSON Schema. */
export const manifestJsonSchema = (): JsonSchema =>
  wholeJsonSchema(manifestSchema, { $id: 'mendum-parcel', title: 'Mendum parcel, version 1: manifest.json' });

/** Records as they are given out, as JSON Schema. */
export const recordsJsonSchema = (): JsonSchema =>
  wholeJsonSchema(parcelRecordsSchema, { $id: 'mendum-record', title: 'Mendum records, version 2' });

/** The records of a parcel, as they are given out and read in. */
export const parcelRecordsSchema = shape(bundleSchemas);

export const parcelSchema = named(
  'parcel',
  shape<Parcel>({
    id: needed(sha256),
    shop: needed(words),
    originId: needed(words),
    madeAt: needed(instant),
    of: needed(of),
    jobs: needed(whole),
    records: needed(whole),
    by: needed(words),
    at: needed(instant),
    signed: needed(whole),
  }),
  'A parcel of another shop that was read in.',
);

export const parcelRecordSchema = named(
  'parcelRecord',
  shape<ParcelRecord>({
    parcelId: needed(sha256),
    shop: needed(words),
    recordId: needed(words),
    body: needed(recordSchema),
    files: needed(Joi.array().items(words)),
  }),
  'A record of another shop, under that shop’s own numbers.',
);
