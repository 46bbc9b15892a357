import Joi from 'joi';
import type {
  ChainedRecord,
  ChainState,
  DoneRepair,
  DueBack,
  KeptRecord,
  RecordBundle,
  RecordFound,
  RecordLine,
} from '../operations/index.ts';
import { FAILURE_NAMES } from '../damage/index.ts';
import type { Ruling } from '../prove/index.ts';
import type { Correction, RecordCost, RecordPhoto, RecordReading, SpliceRecord } from '../record/index.ts';
import { date, flag, instant, lengthMm, positionMm, version } from './schema/fields.ts';
import { named, needed, oneOf, shape, type FieldsOf } from './schema/shape.ts';
import { earlierSchema, onWireSchema } from './jobSchemas.ts';

/** Words as they were written down, however many. */
const words = Joi.string().allow('');
const lines = Joi.array().items(words);

export const rulingSchema = named(
  'ruling',
  shape<Ruling>({
    verdict: needed(oneOf(['pass', 'looked', 'rework', 'scrap', 'open'])),
    watch: needed(flag),
    cause: needed(words),
    next: needed(words),
  }),
);

type RecordPart = NonNullable<SpliceRecord['parts']>[number];
type RecordEnd = NonNullable<SpliceRecord['atEnd']>;
const atEndSchema = shape<RecordEnd>({ circuitId: needed(words), nodeId: needed(words), cavity: needed(words) });
type RecordWire = NonNullable<SpliceRecord['wires']>[number];
const amount = Joi.number().min(0);
type RecordFailed = NonNullable<SpliceRecord['failedBefore']>[number];

const correctionsSchema = Joi.array().items(
  shape<Correction>({ by: needed(words), at: needed(instant), text: needed(words) }),
);

const versionOfThing = shape<SpliceRecord['practice']>({
  id: needed(words),
  version: needed(version),
  name: needed(words),
});

/** The record of one splice, cover or work at a cavity, as it was signed. */
export const recordSchema = named(
  'record',
  shape<SpliceRecord>({
    spliceId: needed(words),
    jobNumber: needed(words),
    machine: needed(words),
    harness: needed(words),
    circuitNumber: needed(words),
    circuitFunction: needed(words),
    wire: needed(words),
    run: needed(words),
    atMm: needed(positionMm),
    fromName: needed(words),
    finding: needed(words),
    approach: needed(words),
    method: needed(words),
    materials: needed(lines),
    tools: needed(lines),
    because: needed(lines),
    override: words,
    cause: words,
    parts: Joi.array().items(shape<RecordPart>({ name: needed(words), lot: words })),
    wires: Joi.array().items(shape<RecordWire>({ name: needed(words), mm: needed(lengthMm), reel: words })),
    cost: shape<RecordCost>({ minutes: needed(amount), parts: amount, unpriced: lines }),
    closedBy: lines,
    failedBefore: Joi.array().items(
      shape<RecordFailed>({ recordId: needed(words), words: needed(words), why: oneOf(FAILURE_NAMES) }),
    ),
    insert: words,
    redos: needed(Joi.number().integer().min(0)),
    temporaryUntil: words,
    putOff: version,
    onWire: onWireSchema,
    atEnd: atEndSchema,
    cutsOut: lines,
    makesGood: lines,
    practice: needed(versionOfThing),
    catalogue: needed(versionOfThing),
    isolation: needed(words),
    cautions: needed(
      Joi.array().items(shape<SpliceRecord['cautions'][number]>({ id: needed(words), text: needed(words) })),
    ),
    signedBy: needed(words),
    signedAt: needed(instant),
    note: needed(words),
    procedure: words,
    checkedBy: words,
    photos: Joi.array().items(shape<RecordPhoto>({ id: needed(words), when: oneOf(['before', 'after']) })),
    corrections: correctionsSchema,
    notMeasured: flag,
    functionSeen: words,
    readings: needed(
      Joi.array().items(
        shape<RecordReading>({
          title: needed(words),
          words: needed(words),
          ruling: needed(rulingSchema),
          by: needed(words),
          at: needed(instant),
          make: needed(version),
        }),
      ),
    ),
  }),
  'The record of one splice, cover or work at a cavity, as it was signed.',
);

export const keptRecordSchema = named(
  'keptRecord',
  shape<KeptRecord>({ id: needed(words), spliceId: needed(words), replacesId: words, body: needed(recordSchema) }),
  'A record as it is kept; a correction names the record that it replaces.',
);

/** A job as it is named in a line of a list. */
const jobNamed = { id: needed(words), number: needed(words) };
const endedBy = shape<NonNullable<RecordLine['ended']>>({ ...jobNamed, at: needed(instant) });
export const recordLine = shape<RecordLine>({
  recordId: needed(words),
  jobId: needed(words),
  body: needed(recordSchema),
  ended: endedBy,
});
export const recordFoundSchema = named(
  'recordFound',
  shape<RecordFound>({
    recordId: needed(words),
    jobId: needed(words),
    body: needed(recordSchema),
    ended: endedBy,
    harnessId: needed(words),
    proved: needed(lines),
  }),
  'A repair as it stands by now.',
);
export const doneRepair = named(
  'doneRepair',
  shape<DoneRepair>({
    recordId: needed(words),
    jobId: needed(words),
    ended: endedBy,
    body: needed(
      shape<DoneRepair['body']>({
        jobNumber: needed(words),
        circuitNumber: needed(words),
        circuitFunction: needed(words),
        run: needed(words),
        atMm: needed(positionMm),
        fromName: needed(words),
        finding: needed(words),
        method: needed(words),
        materials: needed(lines),
        redos: needed(Joi.number().integer().min(0)),
        temporaryUntil: words,
        notMeasured: flag,
        functionSeen: words,
        note: needed(words),
        corrections: correctionsSchema,
        signedBy: needed(words),
        signedAt: needed(instant),
        atEnd: atEndSchema,
      }),
    ),
    proved: needed(lines),
    lies: earlierSchema,
    lay: onWireSchema,
  }),
  'A repair that was done on a harness, how it was proved, and where it lies by now.',
);
export const dueBack = named(
  'dueBack',
  shape<DueBack>({
    recordId: needed(words),
    jobId: needed(words),
    until: needed(date),
    overdue: needed(flag),
    body: needed(recordSchema),
    also: needed(
      Joi.array().items(
        shape<DueBack['also'][number]>({ atMm: needed(positionMm), fromName: needed(words), method: needed(words) }),
      ),
    ),
    good: shape<NonNullable<DueBack['good']>>(jobNamed),
  }),
);

const hash = Joi.string().length(64).hex();
const chainRow = Joi.number().integer().min(1);
/** A place in the chain, with its hash. */
const headSchema = shape<RecordBundle['head']>({ row: needed(Joi.number().integer().min(0)), hash: needed(hash) });
const chainedRecordSchema = shape<ChainedRecord>({
  id: needed(words),
  spliceId: needed(words),
  replacesId: words,
  body: needed(recordSchema),
  jobId: needed(words),
  circuitNumber: needed(words),
  temporaryUntil: words,
  signedBy: needed(words),
  signedAt: needed(words),
  chainRow: needed(chainRow),
  before: needed(hash),
  hash: needed(hash),
  signature: words,
});
export const bundleSchemas: FieldsOf<RecordBundle> = {
  format: needed(oneOf(['mendum-record'])),
  version: needed(oneOf([2])),
  head: needed(headSchema),
  seal: needed(hash),
  records: needed(Joi.array().items(chainedRecordSchema)),
};
export const chainSchemas: FieldsOf<ChainState> = {
  row: needed(Joi.number().integer().min(0)),
  hash: needed(hash),
  at: needed(instant),
  broken: shape<NonNullable<ChainState['broken']>>({ row: needed(chainRow), why: needed(words) }),
  signs: needed(flag),
};
