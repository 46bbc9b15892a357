import type { Choice } from '../approach/index.ts';
import type { Catalogue, CatalogueEdit } from '../catalogue/index.ts';
import type { Finding } from '../damage/index.ts';
import type { Harness } from '../harness/index.ts';
import type { Machine, NamedHarness } from '../job/index.ts';
import type { LayoutWishes } from '../layout/index.ts';
import type { MappingCard } from '../mapping/index.ts';
import type { MishapCost, MishapSaid } from '../mishap/index.ts';
import type { Plan } from '../plan/index.ts';
import type { Practice } from '../practice/index.ts';
import type { QuickConnector, QuickRepair } from '../quick/index.ts';
import type { FunctionSeen, Reading } from '../prove/index.ts';
import type { HarnessEdit, JoinPlace, SameCircuit } from '../survey/index.ts';
import type { Account, Role, Session, SignIn } from './people.ts';
import { adds, asks, changes, reads, removes, type ParamsOf } from './operation.ts';
import type {
  Backups,
  ChainState,
  DuePage,
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

/** The version that a change was made from, or that came of it. */
interface Versioned {
  readonly version: number;
}
/** The version that a job has once this is saved, where the answer's own version is of something else or of nothing. */
interface JobAfter {
  readonly jobVersion: number;
}
/** The version of the job that was seen, where `version` is that of something else. */
interface JobSeen {
  readonly jobVersion: number;
}
/** What is signed with a job: what else it is planned by, as its author saw it. */
interface SignSent extends Versioned {
  readonly note?: string | undefined;
  readonly harnessVersion: number;
  readonly practiceVersion: number;
  readonly shelfVersion: number;
}
/** The version that is wanted: where there is another one by now, that is said instead. */
interface AtVersion {
  readonly version?: number | undefined;
}
interface WithId {
  readonly id: string;
}
/** What a gate entry says: how it was made safe, by whose procedure, or what was read. */
interface GateSaid extends Versioned {
  readonly how?: 'provedDead' | 'batteryOff' | undefined;
  readonly procedure?: string | undefined;
  readonly reading?: string | undefined;
}
interface TicksSent extends Versioned {
  readonly steps: readonly { readonly stepId: string; readonly spliceId: string }[];
  readonly done: boolean;
}
interface ReadingsSent {
  readonly readings: readonly Omit<Reading, 'id' | 'by' | 'at'>[];
}
interface FunctionsSent {
  readonly functions: readonly Omit<FunctionSeen, 'by' | 'at'>[];
}
interface ChoiceSent extends Versioned {
  readonly findingId: string;
  /** Null takes a choice back. */
  readonly use: Choice['use'] | null;
  readonly terminal?: string | undefined;
  readonly reason?: string | undefined;
}

/** Everything that the server does, by name. Addresses stand here and nowhere else. */
export const OPERATIONS = {
  health: reads<{ readonly ok: true }>()('/health', 'Says that the server is there.'),
  description: reads<object>()('/openapi.json', 'Describes this interface (OpenAPI 3.1).'),
  docs: reads<string>()('/docs', 'Shows the description of this interface.', { gives: 'text/html' }),

  backups: reads<Backups>()('/backups', 'Says when the data was backed up last, and which daily backups are kept.'),

  session: reads<Session>()('/session', 'Says who is signed in, and whether people sign in at all.'),
  signIn: asks<Session, { readonly name: string; readonly secret: string; readonly shared: boolean }>()(
    '/session',
    'Signs somebody in by name and PIN or passphrase, with a cookie.',
    { asks: true },
  ),
  signOut: asks<Session>()('/session/end', 'Signs out.', { asks: true }),
  confirm: asks<{ readonly ok: true }, { readonly secret: string; readonly writeId: string }>()(
    '/session/confirm',
    'Takes the PIN or passphrase once more, for one write.',
    { asks: true },
  ),
  changeSecret: asks<{ readonly ok: true }, { readonly secret: string; readonly next: string }>()(
    '/session/secret',
    'Changes one’s own PIN or passphrase; other sign-ins of that name end.',
    { asks: true },
  ),
  signIns: reads<readonly SignIn[]>()('/sign-ins', 'Lists one’s own sign-ins; an admin sees all.'),
  endSignIn: removes<WithId>()('/sign-ins/:signInId', 'Ends a sign-in.'),
  accounts: reads<readonly Account[]>()('/accounts', 'Lists who may sign in.'),
  addAccount: adds<WithId, { readonly name: string; readonly role: Role; readonly secret: string }>()(
    '/accounts',
    'Lets somebody sign in. The first one is an admin, made on the server’s own machine.',
  ),
  changeAccount: changes<
    WithId,
    { readonly role?: Role | undefined; readonly active?: boolean | undefined; readonly secret?: string | undefined }
  >()('/accounts/:accountId', 'Changes what somebody may, or their PIN or passphrase; their sign-ins end.'),

  people: reads<readonly Person[]>()('/people', 'Lists who has been at the bench.'),
  addPerson: adds<{ readonly name: string }>()('/people', 'Puts whoever sends it on the list of people.'),

  jobs: reads<Page<JobSummary>, JobsAsked>()('/jobs', 'Lists the jobs, the last changed first.'),
  job: reads<JobState>()('/jobs/:jobId', 'Gives a job with what people have done on it.'),
  jobShelf: reads<Catalogue, AtVersion>()('/jobs/:jobId/shelf', 'Gives the shelf that a job is planned from.'),
  plan: reads<Plan>()('/jobs/:jobId/plan', 'Gives the plan of a job, as docs/formats/plan.md describes it.'),
  jobFile: reads<object>()('/jobs/:jobId/file', 'Gives a job as a file, with its practice and its shelf.'),
  openJob: adds<
    { readonly id: string; readonly number: string },
    { readonly title: string; readonly harnessId: string }
  >()('/jobs', 'Opens a job on a harness.'),
  beginQuick: adds<
    { readonly id: string; readonly number: string },
    { readonly quick: QuickRepair; readonly how: 'provedDead' | 'batteryOff' }
  >()('/jobs/quick', 'Opens a job from a wire in the hand, on a harness of its own.'),
  beginConnector: adds<
    { readonly id: string; readonly number: string },
    { readonly connector: QuickConnector; readonly how: 'provedDead' | 'batteryOff' }
  >()('/jobs/connector', 'Opens a job from a connector in the hand, on a harness of its own.'),
  importJob: adds<{ readonly id: string; readonly number: string }, { readonly text: string }>()(
    '/jobs/import',
    'Opens a job from a job file.',
  ),

  sayGate: changes<Versioned, GateSaid>()('/jobs/:jobId/gate/:entry', 'Says how the machine was made safe.'),
  withdrawGate: removes<Versioned, Versioned>()('/jobs/:jobId/gate/:entry', 'Takes an entry of the gate back.'),
  setPractice: changes<Versioned, Versioned & { readonly practiceId: string }>()(
    '/jobs/:jobId/practice',
    'Plans a job by another practice.',
  ),
  addFinding: adds<Versioned & JobAfter, { readonly finding: Finding }>()('/jobs/:jobId/findings', 'Adds a finding.'),
  changeFinding: changes<Versioned & JobAfter, Versioned & { readonly finding: Finding }>()(
    '/jobs/:jobId/findings/:findingId',
    'Changes a finding.',
  ),
  removeFinding: removes<{ readonly removed: string } & JobAfter, Versioned & JobSeen>()(
    '/jobs/:jobId/findings/:findingId',
    'Removes a finding.',
  ),
  saveMapping: changes<Versioned, Versioned & { readonly card: MappingCard }>()(
    '/jobs/:jobId/mappings/:nodeId',
    'Keeps the mapping card of a connector.',
  ),
  readContinuity: adds<
    Versioned,
    { readonly cavity: string; readonly soundsAt: string | null; readonly neighbourSounds: boolean }
  >()('/jobs/:jobId/mappings/:nodeId/readings', 'Adds a continuity reading to a mapping card.'),
  setLayout: changes<Versioned, Versioned & { readonly layout: LayoutWishes }>()(
    '/jobs/:jobId/layout',
    'Says where splices are wanted.',
  ),
  choose: adds<{ readonly use: string | null } & JobAfter, ChoiceSent>()(
    '/jobs/:jobId/choices',
    'Chooses against the ranking, or takes such a choice back.',
  ),

  tick: changes<{ readonly ticked: number } & JobAfter, TicksSent>()(
    '/jobs/:jobId/ticks',
    'Ticks steps, or takes ticks back.',
  ),
  addReadings: adds<{ readonly rulings: readonly RulingOf[] } & JobAfter, ReadingsSent>()(
    '/jobs/:jobId/readings',
    'Adds readings, and rules on them.',
  ),
  seeFunctions: adds<{ readonly seen: number } & JobAfter, FunctionsSent>()(
    '/jobs/:jobId/functions',
    'Says what functions do, before the repair and after it.',
  ),
  makeAgain: adds<
    MishapCost & JobAfter,
    MishapSaid & Versioned & { readonly spliceId: string; readonly make: number; readonly because: string }
  >()('/jobs/:jobId/redos', 'Says what went wrong with a piece of work: it is begun again.'),

  sign: adds<Versioned & { readonly records: number }, SignSent>()(
    '/jobs/:jobId/sign',
    'Signs a job: its records are made.',
  ),
  correctRecord: adds<WithId, { readonly text: string }>()(
    '/records/:recordId/corrections',
    'Adds a correction to a record.',
  ),
  recordSheet: reads<string>()('/jobs/:jobId/record.pdf', 'Gives the sheet of a job.', { gives: 'application/pdf' }),
  recordTable: reads<string>()('/jobs/:jobId/record.csv', 'Gives the records of a job as a table.', {
    gives: 'text/csv',
  }),
  records: reads<RecordBundle>()(
    '/jobs/:jobId/record.json',
    'Gives the records of a job, with their places in the chain.',
  ),
  chain: reads<ChainState>()('/chain', 'Walks the chain of records and audit lines, and says how far it holds.'),
  allRecords: reads<Page<RecordLine>, PageAsked>()('/records', 'Lists the records of all jobs, the newest first.'),
  due: reads<DuePage, PageAsked>()('/due', 'Lists temporary repairs by the day they come back.'),
  templateSheets: reads<string>()('/jobs/:jobId/template/:runId.pdf', 'Gives a run at true size, to print.', {
    gives: 'application/pdf',
  }),
  templateDrawing: reads<string>()('/jobs/:jobId/template/:runId.svg', 'Gives a run at true size as a drawing.', {
    gives: 'image/svg+xml',
  }),

  addPhoto: adds<WithId & JobAfter, { readonly name?: string | undefined }>()(
    '/jobs/:jobId/findings/:findingId/photos',
    'Attaches a photo to a finding; its head stands in the query.',
    { takes: ['image/jpeg', 'image/png', 'image/webp'] },
  ),
  keepPhoto: changes<{ readonly removed: boolean } & JobAfter, { readonly removed: boolean }>()(
    '/jobs/:jobId/photos/:photoId',
    'Takes a photo away, or brings it back.',
  ),
  photo: reads<string>()('/photos/:photoId', 'Gives a photo.', { gives: 'image/*' }),
  smallPhoto: reads<string>()('/photos/:photoId/small', 'Gives a photo small.', { gives: 'image/webp' }),

  shelf: reads<Catalogue>()('/shelf', 'Gives the shelf of the shop.'),
  shelfFile: reads<string>()('/shelf/file', 'Gives the shelf as a table.', { gives: 'text/csv' }),
  changeShelf: changes<{ readonly shelfVersion: number }, Versioned & { readonly edits: readonly CatalogueEdit[] }>()(
    '/shelf',
    'Changes the shelf, all or nothing.',
  ),
  importShelf: asks<{ readonly shelfVersion: number; readonly lines: number }, Versioned & { readonly text: string }>()(
    '/shelf/import',
    'Takes a table of parts over into the shelf, all or nothing.',
  ),

  practice: reads<Practice, AtVersion>()('/practices/:practiceId', 'Gives a practice, also one that is only kept.'),
  practices: reads<readonly PracticeView[]>()('/practices', 'Lists ready practices and the shop’s own.'),
  practiceEffect: asks<readonly JobEffect[], { readonly practice: Practice }>()(
    '/practices/effect',
    'Says what a changed practice would alter in open jobs. Nothing is saved.',
    { asks: true },
  ),
  addPractice: adds<{ readonly id: string; readonly practiceVersion: number }, { readonly practice: Practice }>()(
    '/practices',
    'Adds a practice of the shop’s own.',
  ),
  changePractice: changes<{ readonly id: string; readonly practiceVersion: number }, { readonly practice: Practice }>()(
    '/practices/:practiceId',
    'Changes a practice of the shop’s own.',
  ),
  setUsualPractice: changes<WithId>()(
    '/practices/:practiceId/usual',
    'Says which practice new jobs of the shop begin with.',
  ),
  removePractice: removes<WithId>()('/practices/:practiceId', 'Takes a practice of the shop’s own away.'),

  harnesses: reads<Page<HarnessSummary>, PageAsked>()('/harnesses', 'Lists the harnesses by machine.'),
  harness: reads<HarnessView, AtVersion>()('/harnesses/:harnessId', 'Gives a harness whole.'),
  find: reads<readonly FoundCircuit[], { readonly words: string }>()(
    '/find',
    'Finds circuits of any harness by words.',
  ),
  addHarness: adds<WithId, { readonly machine: Machine; readonly harness: Harness }>()(
    '/harnesses',
    'Describes a harness with its machine.',
  ),
  changeHarness: changes<{ readonly harnessVersion: number }, Versioned & { readonly edits: readonly HarnessEdit[] }>()(
    '/harnesses/:harnessId',
    'Edits a harness, all or nothing.',
  ),
  joinHarness: changes<
    { readonly harnessVersion: number; readonly jobs: number },
    Versioned & {
      readonly otherId: string;
      readonly otherVersion: number;
      readonly at: JoinPlace;
      readonly same: readonly SameCircuit[];
    }
  >()('/harnesses/:harnessId/join', 'Makes two harnesses one, which meet in a node; jobs of the other come along.'),
  nameHarness: changes<{ readonly harnessVersion: number; readonly corrected: number }, Versioned & NamedHarness>()(
    '/harnesses/:harnessId/name',
    'Says what a harness is called, and of which machine it is. Records of it are corrected.',
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
