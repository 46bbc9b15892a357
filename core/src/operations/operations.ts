import type { Catalogue, CatalogueEdit } from '../catalogue/index.ts';
import type { Finding } from '../damage/index.ts';
import type { Harness } from '../harness/index.ts';
import type { FaceSide } from '../connector/index.ts';
import type { Machine, NamedHarness } from '../job/index.ts';
import type { LayoutWishes, SearchedLayout } from '../layout/index.ts';
import type { MappingCard } from '../mapping/index.ts';
import type { MishapCost, MishapSaid } from '../mishap/index.ts';
import type { Plan } from '../plan/index.ts';
import type { Practice } from '../practice/index.ts';
import type { QuickConnector, QuickRepair } from '../quick/index.ts';
import type { JobStanding } from '../shop/index.ts';
import type { HarnessEdit, JoinPlace, SameCircuit } from '../survey/index.ts';
import type { Account, Role, Session, SignIn } from './people.ts';
import type {
  CalendarAddress,
  Comebacks,
  ComebacksAsked,
  HarnessHistory,
  KeptSearch,
  RecordFound,
  RecordsAsked,
} from './history.ts';
import type { FacePhoto, FacePhotoSaid } from './facePhotos.ts';
import type { ExportAsked, Parcel, ParcelRecord, ParcelRecordsAsked } from './parcels.ts';
import type { Share, ShareMade, SharedRecord, ShareSent } from './shares.ts';
import type {
  Versioned,
  JobAfter,
  JobSeen,
  SignSent,
  AtVersion,
  WithId,
  GateSaid,
  OfLabel,
  SheetAsked,
  TicksSent,
  ReadingsSent,
  FunctionsSent,
  ChoiceSent,
} from './sent.ts';
import type { TemplateAsked } from './templates.ts';
import type { ShopAsked, ShopState } from './shop.ts';
import type { Todo, TodosAsked, TodoSent, TodoTaken } from './todos.ts';
import { adds, asks, changes, reads, removes, type ParamsOf } from './operation.ts';
import type {
  Backups,
  ChainState,
  DuePage,
  DueSent,
  FoundCircuit,
  HarnessSummary,
  HarnessView,
  JobEffect,
  JobsAsked,
  JobState,
  JobSummary,
  Page,
  PageAsked,
  Person,
  PracticeView,
  RecordBundle,
  RecordLine,
  RulingOf,
} from './types.ts';

/** Everything that the server does, by name. Addresses stand here and nowhere else. */
export const OPERATIONS = {
  health: reads<{ readonly ok: true }>()('/health'),
  description: reads<object>()('/openapi.json'),
  docs: reads<string>()('/docs', { gives: 'text/html' }),

  backups: reads<Backups>()('/backups'),

  session: reads<Session>()('/session'),
  signIn: asks<Session, { readonly name: string; readonly secret: string; readonly shared: boolean }>()('/session', {
    asks: true,
  }),
  signOut: asks<Session>()('/session/end', { asks: true }),
  confirm: asks<{ readonly ok: true }, { readonly secret: string; readonly writeId: string }>()('/session/confirm', {
    asks: true,
  }),
  changeSecret: asks<{ readonly ok: true }, { readonly secret: string; readonly next: string }>()('/session/secret', {
    asks: true,
  }),
  signIns: reads<readonly SignIn[]>()('/sign-ins'),
  endSignIn: removes<WithId>()('/sign-ins/:signInId'),
  accounts: reads<readonly Account[]>()('/accounts'),
  addAccount: adds<WithId, { readonly name: string; readonly role: Role; readonly secret: string }>()('/accounts'),
  changeAccount: changes<
    WithId,
    { readonly role?: Role | undefined; readonly active?: boolean | undefined; readonly secret?: string | undefined }
  >()('/accounts/:accountId'),

  people: reads<readonly Person[]>()('/people'),
  addPerson: adds<{ readonly name: string }>()('/people'),

  jobs: reads<Page<JobSummary>, JobsAsked>()('/jobs'),
  job: reads<JobState>()('/jobs/:jobId'),
  jobShelf: reads<Catalogue, AtVersion>()('/jobs/:jobId/shelf'),
  plan: reads<Plan>()('/jobs/:jobId/plan'),
  jobFile: reads<object>()('/jobs/:jobId/file'),
  openJob: adds<
    { readonly id: string; readonly number: string },
    { readonly title: string; readonly harnessId: string }
  >()('/jobs'),
  beginQuick: adds<
    { readonly id: string; readonly number: string },
    { readonly quick: QuickRepair; readonly how: 'provedDead' | 'batteryOff' }
  >()('/jobs/quick'),
  beginConnector: adds<
    { readonly id: string; readonly number: string },
    { readonly connector: QuickConnector; readonly how: 'provedDead' | 'batteryOff' }
  >()('/jobs/connector'),
  importJob: adds<{ readonly id: string; readonly number: string }, { readonly text: string }>()('/jobs/import'),

  sayGate: changes<Versioned, GateSaid>()('/jobs/:jobId/gate/:entry'),
  withdrawGate: removes<Versioned, Versioned>()('/jobs/:jobId/gate/:entry'),
  setPractice: changes<Versioned, Versioned & { readonly practiceId: string }>()('/jobs/:jobId/practice'),
  addFinding: adds<Versioned & JobAfter, { readonly finding: Finding; readonly todoId?: string | undefined }>()(
    '/jobs/:jobId/findings',
  ),
  changeFinding: changes<Versioned & JobAfter, Versioned & { readonly finding: Finding }>()(
    '/jobs/:jobId/findings/:findingId',
  ),
  removeFinding: removes<{ readonly removed: string } & JobAfter, Versioned & JobSeen>()(
    '/jobs/:jobId/findings/:findingId',
  ),
  leaveFinding: adds<WithId & JobAfter, Versioned & JobSeen>()('/jobs/:jobId/findings/:findingId/later'),
  saveMapping: changes<Versioned, Versioned & { readonly card: MappingCard }>()('/jobs/:jobId/mappings/:nodeId'),
  readContinuity: adds<
    Versioned,
    { readonly cavity: string; readonly soundsAt: string | null; readonly neighbourSounds: boolean }
  >()('/jobs/:jobId/mappings/:nodeId/readings'),
  setLayout: changes<Versioned, Versioned & { readonly layout: LayoutWishes }>()('/jobs/:jobId/layout'),
  keepLayout: changes<Versioned, Versioned & { readonly searched: SearchedLayout }>()('/jobs/:jobId/layouts'),
  choose: adds<{ readonly use: string | null } & JobAfter, ChoiceSent>()('/jobs/:jobId/choices'),

  tick: changes<{ readonly ticked: number } & JobAfter, TicksSent>()('/jobs/:jobId/ticks'),
  addReadings: adds<{ readonly rulings: readonly RulingOf[] } & JobAfter, ReadingsSent>()('/jobs/:jobId/readings'),
  seeFunctions: adds<{ readonly seen: number } & JobAfter, FunctionsSent>()('/jobs/:jobId/functions'),
  makeAgain: adds<
    MishapCost & JobAfter,
    MishapSaid & Versioned & { readonly spliceId: string; readonly make: number; readonly because: string }
  >()('/jobs/:jobId/redos'),

  sign: adds<
    Versioned & {
      readonly records: number;
      /** Why the harness keeps its length though the job made it longer. */
      readonly lengthKept?: string;
    },
    SignSent
  >()('/jobs/:jobId/sign'),
  correctRecord: adds<WithId, { readonly text: string }>()('/records/:recordId/corrections'),
  makeGood: adds<WithId & { readonly number: string }>()('/records/:recordId/good'),
  setDue: adds<WithId, DueSent>()('/records/:recordId/due'),
  recordSheet: reads<string, SheetAsked>()('/jobs/:jobId/record.pdf', { gives: 'application/pdf' }),
  exportTable: reads<string, ExportAsked>()('/export/records.csv', { gives: 'text/csv' }),
  exportBook: reads<string, ExportAsked>()('/export/records.xlsx', {
    gives: 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
  }),
  exportRecords: reads<RecordBundle, ExportAsked>()('/export/records.json'),
  exportParcel: reads<string, ExportAsked>()('/export/records.zip', { gives: 'application/zip' }),
  readParcel: adds<WithId & { readonly records: number }, { readonly shop: string }>()('/parcels', {
    takes: ['application/zip'],
  }),
  parcels: reads<readonly Parcel[]>()('/parcels'),
  parcelRecords: reads<Page<ParcelRecord>, ParcelRecordsAsked>()('/parcels/records'),
  parcelFile: reads<string, { readonly name: string }>()('/parcels/:parcelId/file', {
    gives: 'application/octet-stream',
  }),
  parcelAgain: reads<string>()('/parcels/:parcelId/parcel.zip', { gives: 'application/zip' }),
  chain: reads<ChainState>()('/chain'),
  allRecords: reads<Page<RecordLine>, RecordsAsked>()('/records'),
  searches: reads<readonly KeptSearch[]>()('/searches'),
  keepSearch: changes<{ readonly kept: number }, { readonly words: string; readonly kept: boolean }>()('/searches'),
  comebacks: reads<Comebacks, ComebacksAsked>()('/comebacks'),
  harnessHistory: reads<HarnessHistory>()('/harnesses/:harnessId/history'),
  record: reads<RecordFound>()('/records/:recordId'),
  shares: reads<readonly Share[]>()('/records/:recordId/shares'),
  shareRecord: adds<ShareMade, ShareSent>()('/records/:recordId/shares'),
  endShare: removes<WithId>()('/shares/:shareId'),
  sharedRecord: reads<SharedRecord>()('/shared/:key'),
  labelPrinter: reads<{ readonly there: boolean }>()('/label-printer'),
  jobLabels: reads<string, OfLabel>()('/jobs/:jobId/labels.pdf', { gives: 'application/pdf' }),
  recordLabel: reads<string, OfLabel>()('/records/:recordId/label.svg', { gives: 'image/svg+xml' }),
  recordLabelPage: reads<string, OfLabel>()('/records/:recordId/label.pdf', { gives: 'application/pdf' }),
  printLabel: adds<{ readonly bytes: number }, OfLabel>()('/records/:recordId/label'),
  shop: reads<ShopState>()('/shop'),
  shopJobs: reads<Page<JobStanding>, ShopAsked>()('/shop/jobs'),
  due: reads<DuePage, PageAsked>()('/due'),
  todos: reads<Page<Todo>, TodosAsked>()('/todos'),
  addTodo: adds<WithId, TodoSent>()('/todos'),
  doTodo: adds<TodoTaken>()('/todos/:todoId/job'),
  endTodo: changes<WithId, { readonly because: string | null }>()('/todos/:todoId/end'),
  calendarAddress: reads<CalendarAddress>()('/calendar'),
  setCalendar: changes<CalendarAddress, { readonly on: boolean }>()('/calendar'),
  calendar: reads<string>()('/calendar/:key/due.ics', { gives: 'text/calendar' }),
  templateSheets: reads<string, TemplateAsked>()('/jobs/:jobId/template/:runId.pdf', {
    gives: 'application/pdf',
  }),
  templateDrawing: reads<string, TemplateAsked>()('/jobs/:jobId/template/:runId.svg', {
    gives: 'image/svg+xml',
  }),

  addPhoto: adds<WithId & JobAfter, { readonly name?: string | undefined }>()(
    '/jobs/:jobId/findings/:findingId/photos',
    { takes: ['image/jpeg', 'image/png', 'image/webp'] },
  ),
  keepPhoto: changes<{ readonly removed: boolean } & JobAfter, { readonly removed: boolean }>()(
    '/jobs/:jobId/photos/:photoId',
  ),
  facePhotos: reads<readonly FacePhoto[]>()('/harnesses/:harnessId/faces/:nodeId/photos'),
  addFacePhoto: adds<WithId, { readonly name?: string | undefined; readonly side: FaceSide }>()(
    '/harnesses/:harnessId/faces/:nodeId/photos',
    { takes: ['image/jpeg', 'image/png', 'image/webp'] },
  ),
  setFacePhoto: changes<WithId, Versioned & FacePhotoSaid>()('/harnesses/:harnessId/faces/:nodeId/photos/:photoId'),
  facePhoto: reads<string>()('/facePhotos/:photoId', { gives: 'image/*' }),
  smallFacePhoto: reads<string>()('/facePhotos/:photoId/small', { gives: 'image/webp' }),
  photo: reads<string>()('/photos/:photoId', { gives: 'image/*' }),
  smallPhoto: reads<string>()('/photos/:photoId/small', { gives: 'image/webp' }),

  shelf: reads<Catalogue>()('/shelf'),
  shelfFile: reads<string>()('/shelf/file', { gives: 'text/csv' }),
  changeShelf: changes<{ readonly shelfVersion: number }, Versioned & { readonly edits: readonly CatalogueEdit[] }>()(
    '/shelf',
  ),
  importShelf: asks<{ readonly shelfVersion: number; readonly lines: number }, Versioned & { readonly text: string }>()(
    '/shelf/import',
  ),

  practice: reads<Practice, AtVersion>()('/practices/:practiceId'),
  practices: reads<readonly PracticeView[]>()('/practices'),
  practiceEffect: asks<readonly JobEffect[], { readonly practice: Practice }>()('/practices/effect', { asks: true }),
  addPractice: adds<{ readonly id: string; readonly practiceVersion: number }, { readonly practice: Practice }>()(
    '/practices',
  ),
  changePractice: changes<{ readonly id: string; readonly practiceVersion: number }, { readonly practice: Practice }>()(
    '/practices/:practiceId',
  ),
  setUsualPractice: changes<WithId>()('/practices/:practiceId/usual'),
  removePractice: removes<WithId>()('/practices/:practiceId'),

  harnesses: reads<Page<HarnessSummary>, PageAsked>()('/harnesses'),
  harness: reads<HarnessView, AtVersion>()('/harnesses/:harnessId'),
  find: reads<readonly FoundCircuit[], { readonly words: string }>()('/find'),
  addHarness: adds<WithId, { readonly machine: Machine; readonly harness: Harness }>()('/harnesses'),
  changeHarness: changes<{ readonly harnessVersion: number }, Versioned & { readonly edits: readonly HarnessEdit[] }>()(
    '/harnesses/:harnessId',
  ),
  joinHarness: changes<
    { readonly harnessVersion: number; readonly jobs: number },
    Versioned & {
      readonly otherId: string;
      readonly otherVersion: number;
      readonly at: JoinPlace;
      readonly same: readonly SameCircuit[];
    }
  >()('/harnesses/:harnessId/join'),
  nameHarness: changes<{ readonly harnessVersion: number; readonly corrected: number }, Versioned & NamedHarness>()(
    '/harnesses/:harnessId/name',
  ),
} as const;

export type OperationName = keyof typeof OPERATIONS;
type Op<N extends OperationName> = (typeof OPERATIONS)[N];

type TypesOf<N extends OperationName> = Op<N> extends { readonly types?: infer T } ? Exclude<T, undefined> : never;
/** What is sent with an operation besides its address and its head. */
export type SentOf<N extends OperationName> = TypesOf<N> extends { readonly sent: infer S extends object } ? S : never;
/** What an operation answers with. */
export type AnswerOf<N extends OperationName> = TypesOf<N> extends { readonly answer: infer A } ? A : never;
/** All that an operation is asked with: what stands in its address, and what is sent. */
export type ArgsOf<N extends OperationName> = ParamsOf<Op<N>['path']> & SentOf<N>;

/** What is sent something beside its address, and what answers with more than a file. */
export type SendingName = { [N in OperationName]: keyof SentOf<N> extends never ? never : N }[OperationName];
export type AnsweringName = { [N in OperationName]: AnswerOf<N> extends string ? never : N }[OperationName];

/** Lists that are given page by page, and one line of each. */
export type ListName = { [N in OperationName]: AnswerOf<N> extends Page<unknown> ? N : never }[OperationName];
export type LineOf<N extends ListName> = AnswerOf<N> extends Page<infer T> ? T : never;

type ByMethod<M> = { [N in OperationName]: Op<N>['method'] extends M ? N : never }[OperationName];
export type ReadName = ByMethod<'GET'>;
/** What is asked in a body, without a head. */
export type AskName = 'practiceEffect' | 'signIn' | 'signOut' | 'confirm' | 'changeSecret';
/** What changes something: it carries a head. */
export type WriteName = Exclude<ByMethod<'POST' | 'PUT' | 'DELETE'>, AskName>;
