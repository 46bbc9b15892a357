import Joi from 'joi';
import type { JobState, JobSummary, PhotoView, Tick } from '../operations/index.ts';
import { jobWithoutHarnessSchema } from './jobSchemas.ts';
import { functionSeenSchema, readingSchema } from './readingSchema.ts';
import { keptRecordSchema } from './recordSchema.ts';
import { date, flag, instant, version } from './schema/fields.ts';
import { named, needed, oneOf, shape } from './schema/shape.ts';

const words = Joi.string().allow('');
const all = (item: Joi.Schema): Joi.ArraySchema => Joi.array().items(item);
const whole = Joi.number().integer().min(0);
const status = oneOf(['open', 'signed']);

export const jobSummary = named(
  'jobSummary',
  shape<JobSummary>({
    id: needed(words),
    number: needed(words),
    title: needed(words),
    machine: needed(words),
    harness: needed(words),
    status: needed(status),
    stage: needed(oneOf(['survey', 'decide', 'layout', 'bench', 'prove', 'record'])),
    findings: needed(whole),
    openedOn: needed(date),
    updatedAt: needed(instant),
  }),
);

const tick = named(
  'tick',
  shape<Tick>({
    stepId: needed(words),
    spliceId: needed(words),
    done: needed(flag),
    by: needed(words),
    at: needed(instant),
  }),
);

const photo = named(
  'photo',
  shape<PhotoView>({
    id: needed(words),
    findingId: needed(words),
    name: needed(words),
    widthPx: needed(whole),
    heightPx: needed(whole),
    by: needed(words),
    at: needed(instant),
  }),
);

export const jobState = named(
  'jobState',
  shape<JobState>({
    id: needed(words),
    version: needed(version),
    status: needed(status),
    practiceId: needed(words),
    practiceVersion: needed(version),
    harnessId: needed(words),
    harnessVersion: needed(version),
    ownShelf: needed(flag),
    shelfVersion: needed(version),
    job: needed(jobWithoutHarnessSchema),
    findingVersions: needed(Joi.object().pattern(Joi.string(), version)),
    ticks: needed(all(tick)),
    readings: needed(all(readingSchema)),
    functions: needed(all(functionSeenSchema)),
    records: needed(all(keptRecordSchema)),
    photos: needed(all(photo)),
  }),
);
