import Joi from 'joi';
import type {
  AnswerOf,
  AnsweringName,
  Backups,
  ErrorBody,
  FoundCircuit,
  HarnessSummary,
  HarnessView,
  JobEffect,
  KeptBackup,
  Page,
  PracticeView,
  RulingOf,
  KeptSearch,
} from '../operations/index.ts';
import type { SideLoss } from '../mishap/index.ts';
import { catalogueSchema } from './catalogueSchemas.ts';
import { parcelRecordSchema, parcelSchema } from './parcelSchemas.ts';
import { sharedRecordSchema, shareSchema } from './shareSchemas.ts';
import { todoSchema } from './todoSchemas.ts';
import { jobStandingSchema } from './shopSchemas.ts';
import { comebackSchemas } from './comebackSchema.ts';
import { facePhotoSchema } from './facePhotoSchemas.ts';
import { cableSchema, circuitSchema, nodeSchema, pinoutSourcesSchema, runSchema } from './harnessSchemas.ts';
import { spentSchema } from './jobSchemas.ts';
import { jobFileSchema } from './jobFile.ts';
import { jobState, jobSummary } from './jobStateSchemas.ts';
import { accountSchema, personSchema, sessionSchema, signInSchema } from './peopleSchemas.ts';
import { practiceSchema } from './practiceSchema.ts';
import {
  bundleSchemas,
  chainSchemas,
  doneRepair,
  dueBack,
  recordFoundSchema,
  recordLine,
  rulingSchema,
} from './recordSchema.ts';
import { date, flag, instant, lengthMm, positionMm, version } from './schema/fields.ts';
import { named, needed, oneOf, shape, type FieldsOf } from './schema/shape.ts';

const words = Joi.string().allow('');
const all = (item: Joi.Schema): Joi.ArraySchema => Joi.array().items(item);
const whole = Joi.number().integer().min(0);
const voltage = Joi.number().greater(0).max(1500);

const page = <T>(item: Joi.Schema): FieldsOf<Page<T>> => ({
  items: needed(all(item)),
  total: needed(whole),
  next: words,
});

const machineFields = {
  machineId: needed(words),
  machine: needed(words),
  machineKind: needed(words),
  systemVoltageV: needed(voltage),
};
const harnessSummary = named(
  'harnessSummary',
  shape<HarnessSummary>({
    id: needed(words),
    version: needed(version),
    name: needed(words),
    ...machineFields,
    circuits: needed(whole),
    connectors: needed(whole),
  }),
);
const foundCircuit = shape<FoundCircuit>({
  harnessId: needed(words),
  machine: needed(words),
  harness: needed(words),
  circuit: needed(circuitSchema),
  from: needed(words),
  to: needed(words),
});

const harnessView = named(
  'harnessView',
  shape<HarnessView>({
    id: needed(words),
    version: needed(version),
    ...machineFields,
    name: needed(words),
    runs: needed(all(runSchema)),
    circuits: needed(all(circuitSchema)),
    nodes: needed(all(nodeSchema)),
    cables: all(cableSchema),
    sources: pinoutSourcesSchema,
  }),
);

type OtherHarness = AnswerOf<'harnessHistory'>['others'][number];
type Change = JobEffect['changes'][number];
const jobEffect = named(
  'jobEffect',
  shape<JobEffect>({
    jobId: needed(words),
    number: needed(words),
    title: needed(words),
    changes: needed(
      all(
        shape<Change>({
          findingId: needed(words),
          circuitId: needed(words),
          circuitNumber: needed(words),
          before: needed(words),
          after: needed(words),
          because: needed(words),
        }),
      ),
    ),
    keeps: needed(flag),
  }),
);

const practiceView = shape<PracticeView>({
  practice: needed(practiceSchema),
  ready: needed(flag),
  jobs: needed(whole),
  usual: needed(flag),
});

/** What is answered when something cannot be done: always of this shape. */
export const errorSchema = named(
  'error',
  shape<ErrorBody>({
    error: needed(
      shape<ErrorBody['error']>({
        code: needed(words),
        message: needed(words),
        field: words,
        hint: words,
        details: Joi.any(),
      }),
    ),
  }),
);

const answer = <N extends AnsweringName>(fields: FieldsOf<AnswerOf<N>>): Joi.ObjectSchema =>
  Joi.object(fields as Joi.SchemaMap);
const numbered = { id: needed(words), number: needed(words) };
const byVersion = { version: needed(version) };
const jobAfter = { jobVersion: needed(version) };
const ofPractice = { id: needed(words), practiceVersion: needed(version) };
/** A description in a language of its own. */
const described = Joi.object().unknown();

/** What each operation answers with. A plan is described in docs/formats/plan.md. */
export const ANSWERS: { readonly [N in AnsweringName]: Joi.Schema } = {
  health: answer<'health'>({ ok: needed(Joi.valid(true)) }),
  description: described,
  backups: answer<'backups'>({
    folder: needed(words),
    kept: needed(all(shape<KeptBackup>({ name: needed(words), at: needed(instant), bytes: needed(whole) }))),
    last: shape<NonNullable<Backups['last']>>({ at: needed(instant), ok: needed(flag), words: needed(words) }),
    stale: needed(flag),
  }),
  session: sessionSchema,
  signIn: sessionSchema,
  signOut: sessionSchema,
  confirm: answer<'confirm'>({ ok: needed(Joi.valid(true)) }),
  changeSecret: answer<'changeSecret'>({ ok: needed(Joi.valid(true)) }),
  signIns: all(signInSchema),
  endSignIn: answer<'endSignIn'>({ id: needed(words) }),
  accounts: all(accountSchema),
  addAccount: answer<'addAccount'>({ id: needed(words) }),
  changeAccount: answer<'changeAccount'>({ id: needed(words) }),
  people: all(personSchema),
  addPerson: answer<'addPerson'>({ name: needed(words) }),
  jobs: answer<'jobs'>(page(jobSummary)),
  job: jobState,
  jobShelf: catalogueSchema,
  plan: described,
  jobFile: jobFileSchema,
  openJob: answer<'openJob'>(numbered),
  beginQuick: answer<'beginQuick'>(numbered),
  beginConnector: answer<'beginConnector'>(numbered),
  importJob: answer<'importJob'>(numbered),
  sayGate: answer<'sayGate'>(byVersion),
  withdrawGate: answer<'withdrawGate'>(byVersion),
  setPractice: answer<'setPractice'>(byVersion),
  addFinding: answer<'addFinding'>({ ...byVersion, ...jobAfter }),
  changeFinding: answer<'changeFinding'>({ ...byVersion, ...jobAfter }),
  removeFinding: answer<'removeFinding'>({ removed: needed(words), ...jobAfter }),
  saveMapping: answer<'saveMapping'>(byVersion),
  readContinuity: answer<'readContinuity'>(byVersion),
  setLayout: answer<'setLayout'>(byVersion),
  keepLayout: answer<'keepLayout'>(byVersion),
  choose: answer<'choose'>({ use: needed(words.allow(null)), ...jobAfter }),
  tick: answer<'tick'>({ ticked: needed(whole), ...jobAfter }),
  addReadings: answer<'addReadings'>({
    ...jobAfter,
    rulings: needed(
      all(shape<RulingOf>({ spliceId: needed(words), checkId: needed(words), ruling: needed(rulingSchema) })),
    ),
  }),
  seeFunctions: answer<'seeFunctions'>({ seen: needed(whole), ...jobAfter }),
  makeAgain: answer<'makeAgain'>({
    ...jobAfter,
    losses: needed(
      all(
        shape<SideLoss>({
          side: needed(oneOf(['left', 'right'])),
          of: needed(oneOf(['oldWire', 'newWire', 'tail'])),
          mm: needed(lengthMm),
        }),
      ),
    ),
    leftMm: needed(lengthMm),
    rightMm: needed(lengthMm),
    tailMm: lengthMm,
    lostFromMm: needed(positionMm),
    lostToMm: needed(positionMm),
    alsoAgain: words,
    spent: needed(spentSchema),
  }),
  sign: answer<'sign'>({ ...byVersion, records: needed(whole), lengthKept: words }),
  correctRecord: answer<'correctRecord'>({ id: needed(words) }),
  makeGood: answer<'makeGood'>(numbered),
  setDue: answer<'setDue'>({ id: needed(words) }),
  readParcel: answer<'readParcel'>({ id: needed(words), records: needed(whole) }),
  parcels: all(parcelSchema),
  parcelRecords: answer<'parcelRecords'>(page(parcelRecordSchema)),
  shares: all(shareSchema),
  shareRecord: answer<'shareRecord'>({ id: needed(words), until: needed(date) }),
  endShare: answer<'endShare'>({ id: needed(words) }),
  sharedRecord: sharedRecordSchema,
  exportRecords: answer<'exportRecords'>(bundleSchemas),
  chain: answer<'chain'>(chainSchemas),
  allRecords: answer<'allRecords'>(page(recordLine)),
  record: recordFoundSchema,
  labelPrinter: answer<'labelPrinter'>({ there: needed(flag) }),
  printLabel: answer<'printLabel'>({ bytes: needed(whole) }),
  searches: all(shape<KeptSearch>({ words: needed(words), by: needed(words) })),
  keepSearch: answer<'keepSearch'>({ kept: needed(whole) }),
  comebacks: answer<'comebacks'>(comebackSchemas),
  harnessHistory: answer<'harnessHistory'>({
    harnessId: needed(words),
    done: needed(Joi.array().items(doneRepair)),
    total: needed(whole),
    others: needed(
      Joi.array().items(shape<OtherHarness>({ harnessId: needed(words), name: needed(words), records: needed(whole) })),
    ),
  }),
  calendarAddress: answer<'calendarAddress'>({ path: words }),
  setCalendar: answer<'setCalendar'>({ path: words }),
  shop: answer<'shop'>({
    since: needed(instant),
    open: needed(whole),
    overdue: needed(whole),
    signed: needed(whole),
    lastSigned: needed(Joi.array().items(jobSummary)),
  }),
  shopJobs: answer<'shopJobs'>(page(jobStandingSchema)),
  due: answer<'due'>({ ...page(dueBack), overdue: needed(whole) }),
  leaveFinding: answer<'leaveFinding'>({ id: needed(words), ...jobAfter }),
  todos: answer<'todos'>(page(todoSchema)),
  addTodo: answer<'addTodo'>({ id: needed(words) }),
  doTodo: answer<'doTodo'>({ ...numbered, lost: words }),
  endTodo: answer<'endTodo'>({ id: needed(words) }),
  addPhoto: answer<'addPhoto'>({ id: needed(words), ...jobAfter }),
  facePhotos: all(facePhotoSchema),
  addFacePhoto: answer<'addFacePhoto'>({ id: needed(words) }),
  setFacePhoto: answer<'setFacePhoto'>({ id: needed(words) }),
  keepPhoto: answer<'keepPhoto'>({ removed: needed(flag), ...jobAfter }),
  shelf: catalogueSchema,
  changeShelf: answer<'changeShelf'>({ shelfVersion: needed(version) }),
  importShelf: answer<'importShelf'>({ shelfVersion: needed(version), lines: needed(whole) }),
  practice: practiceSchema,
  practices: all(practiceView),
  practiceEffect: all(jobEffect),
  addPractice: answer<'addPractice'>(ofPractice),
  changePractice: answer<'changePractice'>(ofPractice),
  setUsualPractice: answer<'setUsualPractice'>({ id: needed(words) }),
  removePractice: answer<'removePractice'>({ id: needed(words) }),
  harnesses: answer<'harnesses'>(page(harnessSummary)),
  harness: harnessView,
  find: all(foundCircuit),
  addHarness: answer<'addHarness'>({ id: needed(words) }),
  changeHarness: answer<'changeHarness'>({ harnessVersion: needed(version) }),
  joinHarness: answer<'joinHarness'>({ harnessVersion: needed(version), jobs: needed(whole) }),
  nameHarness: answer<'nameHarness'>({ harnessVersion: needed(version), corrected: needed(whole) }),
};
