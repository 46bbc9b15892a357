import Joi from 'joi';
import { COMPARED_NAMES } from '../comeback/index.ts';
import { FACE_SIDES } from '../connector/index.ts';
import { LIMITS } from '../job/index.ts';
import { LABEL_SIZE_NAMES } from '../label/index.ts';
import { LONGEST_MISHAP_MM } from '../mishap/index.ts';
import { ROLES, SECRET_MOST, SHARE_DAYS, type SendingName, type SentOf, type WriteHead } from '../operations/index.ts';
import { shelfEditSchema } from './catalogueSchemas.ts';
import { harnessEditSchema } from './editSchemas.ts';
import { cavityMarkSchema } from './facePhotoSchemas.ts';
import { findingSchema } from './findingSchema.ts';
import { harnessSchema, machineSchema } from './harnessSchemas.ts';
import { JOB_FILE_MOST } from './jobFile.ts';
import { layoutSchema, searchedSchema, useSchema } from './jobSchemas.ts';
import { continuityFields, mappingSchema } from './mappingSchemas.ts';
import { practiceSchema } from './practiceSchema.ts';
import { MISHAPS } from '../step/index.ts';
import { quickConnectorSchema, quickSchema } from './quickSchema.ts';
import { functionSchemas, howReadSchemas, readingOfSchemas, readingValueSchema } from './readingSchema.ts';
import { above0, date, flag, lengthMm, longText, text, version } from './schema/fields.ts';
import { needed, oneOf, shape, usual, type FieldsOf } from './schema/shape.ts';

const versioned = { version: needed(version) };
const atVersion = { version };
/** Most lines that a list gives at once. */
const PAGE_MOST = 200;
const paged = {
  search: Joi.string().max(200).allow(''),
  cursor: Joi.string().max(400),
  limit: Joi.number().integer().min(1).max(PAGE_MOST),
};
const exportAsked = {
  jobId: Joi.string().max(200),
  harnessId: Joi.string().max(200),
  machineId: Joi.string().max(200),
};
const ofLabel = { size: needed(oneOf(LABEL_SIZE_NAMES)) };
const templateAsked = { fromMm: lengthMm, toMm: lengthMm };
const idText = Joi.string().trim().min(1).max(200);
/** Letters of something that is to be done. */
const TODO_MOST = 500;
/** Why something is done otherwise, or what a correction says: some words at least. */
const reason = Joi.string().trim().min(3).max(2000);
const practice = { practice: needed(practiceSchema) };

const writeId = needed(
  Joi.string().pattern(
    /^[0-9a-fA-F]{8}-[0-9a-fA-F]{4}-[0-9a-fA-F]{4}-[0-9a-fA-F]{4}-[0-9a-fA-F]{12}$/,
    'an id like 1b4e28ba-2fa1-4d2c-883f-0016d3cca427',
  ),
);
const personName = needed(Joi.string().trim().min(1).max(80));
const secret = Joi.string().min(1).max(SECRET_MOST);
const role = oneOf(ROLES);

/** Who sends a write, and the id under which it is done once. */
export const headSchemas = { writeId, by: personName } satisfies FieldsOf<WriteHead>;

/** What may be sent with each operation beside its address and its head: its query, or its body. */
export const SENT: { readonly [N in SendingName]: FieldsOf<SentOf<N>> } = {
  signIn: { name: personName, secret: needed(secret), shared: needed(flag) },
  confirm: { secret: needed(secret), writeId },
  changeSecret: { secret: needed(secret), next: needed(secret) },
  addAccount: { name: personName, role: needed(role), secret: needed(secret) },
  changeAccount: { role, active: flag, secret },
  jobs: { ...paged, status: oneOf(['open', 'signed']) },
  jobShelf: atVersion,
  allRecords: { ...paged, harnessId: idText },
  recordSheet: { paper: usual(oneOf(['a4', 'letter']), 'a4'), form: usual(oneOf(['whole', 'short']), 'whole') },
  comebacks: { by: needed(oneOf(COMPARED_NAMES)), from: date, to: date },
  jobLabels: ofLabel,
  recordLabel: ofLabel,
  recordLabelPage: ofLabel,
  printLabel: ofLabel,
  templateSheets: templateAsked,
  templateDrawing: templateAsked,
  exportTable: exportAsked,
  exportBook: exportAsked,
  exportRecords: exportAsked,
  exportParcel: exportAsked,
  readParcel: { shop: needed(Joi.string().trim().min(1).max(120)) },
  parcelRecords: { ...paged, parcelId: Joi.string().hex().min(64).max(64) },
  parcelFile: { name: needed(Joi.string().max(300)) },
  shareRecord: { days: needed(oneOf(SHARE_DAYS)), key: needed(Joi.string().hex().min(48).max(48)) },
  shopJobs: { search: paged.search, cursor: paged.cursor, limit: paged.limit, signed: flag },
  due: paged,
  keepSearch: { words: needed(Joi.string().trim().min(1).max(200)), kept: needed(flag) },
  todos: { ...paged, harnessId: idText, ended: flag },
  addTodo: { harnessId: needed(idText), words: needed(Joi.string().trim().min(3).max(TODO_MOST)), circuitId: idText },
  endTodo: { because: needed(reason.allow(null)) },
  setCalendar: { on: needed(flag) },
  practice: atVersion,
  harnesses: paged,
  harness: atVersion,
  find: { words: needed(Joi.string().max(200).allow('')) },
  openJob: { title: needed(text), harnessId: needed(Joi.string().min(1).max(80)) },
  beginQuick: { quick: needed(quickSchema), how: needed(oneOf(['provedDead', 'batteryOff'])) },
  beginConnector: { connector: needed(quickConnectorSchema), how: needed(oneOf(['provedDead', 'batteryOff'])) },
  importJob: { text: needed(Joi.string().min(1).max(JOB_FILE_MOST)) },
  sayGate: { ...versioned, how: oneOf(['provedDead', 'batteryOff']), procedure: longText, reading: longText },
  withdrawGate: versioned,
  setPractice: { ...versioned, practiceId: needed(Joi.string().min(1).max(120)) },
  addFinding: { finding: needed(findingSchema), todoId: idText },
  changeFinding: { ...versioned, finding: needed(findingSchema) },
  removeFinding: { ...versioned, jobVersion: needed(version) },
  leaveFinding: { ...versioned, jobVersion: needed(version) },
  saveMapping: { ...versioned, card: needed(mappingSchema) },
  readContinuity: continuityFields,
  setLayout: { ...versioned, layout: needed(layoutSchema) },
  keepLayout: { ...versioned, searched: needed(searchedSchema) },
  choose: {
    ...versioned,
    findingId: needed(idText),
    use: needed(useSchema.valid(null)),
    terminal: idText,
    reason: reason.when('use', { is: null, then: Joi.optional(), otherwise: Joi.required() }),
  },
  tick: {
    ...versioned,
    steps: needed(
      Joi.array()
        .items(shape<SentOf<'tick'>['steps'][number]>({ stepId: needed(idText), spliceId: needed(idText) }))
        .min(1)
        .max(500),
    ),
    done: needed(flag),
  },
  addReadings: {
    readings: needed(
      Joi.array()
        .items(
          shape<SentOf<'addReadings'>['readings'][number]>({
            ...readingOfSchemas,
            value: needed(readingValueSchema),
            ...howReadSchemas,
          }),
        )
        .min(1)
        .max(50),
    ),
  },
  seeFunctions: {
    functions: needed(
      Joi.array().items(shape<SentOf<'seeFunctions'>['functions'][number]>(functionSchemas)).min(1).max(200),
    ),
  },
  makeAgain: {
    ...versioned,
    spliceId: needed(idText),
    make: needed(version),
    kind: needed(oneOf(MISHAPS)),
    side: oneOf(['left', 'right', 'both']),
    mm: above0(LONGEST_MISHAP_MM),
    joined: needed(flag),
    sealed: needed(flag),
    because: needed(longText),
  },
  sign: {
    ...versioned,
    note: Joi.string().trim().max(2000).allow(''),
    procedure: Joi.string().trim().max(200).allow(''),
    checkedBy: Joi.string().trim().max(80).allow(''),
    harnessVersion: needed(version),
    practiceVersion: needed(version),
    shelfVersion: needed(version),
  },
  correctRecord: { text: needed(reason) },
  setDue: { until: needed(date.allow(null)), because: needed(reason) },
  addPhoto: { name: Joi.string().trim().min(1).max(120) },
  keepPhoto: { removed: needed(flag) },
  addFacePhoto: { name: Joi.string().trim().min(1).max(120), side: needed(oneOf(FACE_SIDES)) },
  setFacePhoto: {
    ...versioned,
    side: needed(oneOf(FACE_SIDES)),
    marks: needed(Joi.array().items(cavityMarkSchema).unique('cavity').max(400)),
    removed: needed(flag),
  },
  changeShelf: { ...versioned, edits: needed(Joi.array().items(shelfEditSchema).min(1).max(2000)) },
  importShelf: { ...versioned, text: needed(Joi.string().min(1).max(2_000_000)) },
  practiceEffect: practice,
  addPractice: practice,
  changePractice: practice,
  addHarness: { machine: needed(machineSchema), harness: needed(harnessSchema) },
  joinHarness: {
    ...versioned,
    otherId: needed(idText),
    otherVersion: needed(version),
    at: needed(shape<SentOf<'joinHarness'>['at']>({ nodeId: needed(idText), otherNodeId: needed(idText) })),
    same: needed(
      Joi.array()
        .items(
          shape<SentOf<'joinHarness'>['same'][number]>({ circuitId: needed(idText), otherCircuitId: needed(idText) }),
        )
        .max(LIMITS.circuits.most),
    ),
  },
  nameHarness: { ...versioned, name: needed(text), machine: needed(machineSchema) },
  changeHarness: { ...versioned, edits: needed(Joi.array().items(harnessEditSchema).min(1).max(500)) },
};
