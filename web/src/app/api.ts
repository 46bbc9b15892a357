import { createApi, fetchBaseQuery, retry, type EndpointBuilder } from '@reduxjs/toolkit/query/react';
import {
  requestOf,
  type AnswerOf,
  type AskName,
  type ArgsOf,
  type ErrorBody,
  type LineOf,
  type ListName,
  type Page,
  type ReadName,
  type SentOf,
  type WriteHead,
  type WriteName,
} from '@mendum/core/operations';
import { takeGiven } from './given.ts';
import { nextTask } from './nextTask.ts';
import { AT_ONCE, ONCE_SAVED, type Shown } from './shown.ts';

type FetchQuery = ReturnType<typeof fetchBaseQuery>;

/** Whether an answer says that nobody is signed in any more. */
const isSignedOut = (error: unknown): boolean =>
  (error as { readonly data?: Partial<ErrorBody> } | undefined)?.data?.error?.code === 'SIGN_IN_NEEDED';

/** The page learns that nobody is signed in: it has somebody sign in, and keeps what was entered. */
const signedOut = () => api.util.upsertQueryData('session', {}, { signsIn: true, mayBegin: false });

/** A dropped network is tried again with the same write id; anything that the server answered is final. */
const baseQuery = retry(
  async (args: Parameters<FetchQuery>[0], api, more): Promise<Awaited<ReturnType<FetchQuery>>> => {
    const given = typeof args === 'string' ? undefined : takeGiven(api.extra, args.url);
    if (given) {
      // Several came: each is taken in a task of its own.
      await nextTask();
      return given;
    }
    const result = await fetchBaseQuery({ baseUrl: `${location.origin}/api` })(args, api, more);
    if (isSignedOut(result.error)) api.dispatch(signedOut());
    if (result.error && result.error.status !== 'FETCH_ERROR') retry.fail(result.error, result.meta);
    return result;
  },
  { maxRetries: 3 },
);

/** What is kept of the server: lists, and things by their id. */
const KEPT = [
  'Jobs',
  'Job',
  'Due',
  'Calendar',
  'Records',
  'People',
  'Accounts',
  'SignIns',
  'Shelf',
  'Harnesses',
  'Harness',
  'Practices',
  'Parcels',
  'Shares',
  'Todos',
  'Searches',
  'FacePhotos',
] as const;
type Kept = (typeof KEPT)[number];
type Tag = Kept | { readonly type: Kept; readonly id: string };
type Build = EndpointBuilder<typeof baseQuery, Kept, 'api'>;

/** The arguments of a write, with its head. */
export type WriteArgs<N extends WriteName> = ArgsOf<N> & WriteHead;

/** What is asked of a list, but where its page begins. */
type ListAsked<N extends ListName> = Omit<SentOf<N>, 'cursor' | 'limit'>;

const reading =
  (build: Build) =>
  <N extends ReadName>(name: N, keptAs: (args: ArgsOf<N>) => readonly Tag[]) =>
    build.query<AnswerOf<N>, ArgsOf<N>>({
      query: (args) => requestOf(name, args),
      providesTags: (_result, _error, args) => keptAs(args),
    });

/** A list, page by page: the next is fetched when somebody comes to it. */
const listing =
  (build: Build) =>
  <N extends ListName>(name: N, keptAs: Kept) =>
    build.infiniteQuery<Page<LineOf<N>>, ListAsked<N>, string | undefined>({
      infiniteQueryOptions: {
        initialPageParam: undefined,
        getNextPageParam: (last) => last.next,
      },
      query: ({ queryArg, pageParam }) => requestOf(name, { ...queryArg, cursor: pageParam } as unknown as ArgsOf<N>),
      providesTags: [keptAs],
    });

/** A question that is sent in a body, and what is read anew after it. */
const asking =
  (build: Build) =>
  <N extends AskName>(name: N, changes: readonly Tag[] = []) =>
    build.mutation<AnswerOf<N>, ArgsOf<N>>({
      query: (args) => requestOf(name, args),
      invalidatesTags: (_result, error) => (error ? [] : changes),
    });

const writing =
  (build: Build) =>
  <N extends WriteName>(name: N, changes: (args: WriteArgs<N>) => readonly Tag[]) =>
    build.mutation<AnswerOf<N>, WriteArgs<N>>({
      query: (args) => requestOf(name, args),
      invalidatesTags: (_result, _error, args) => changes(args),
      async onQueryStarted(args, { dispatch, queryFulfilled }) {
        const show: Shown = {
          job: (jobId, change) => dispatch(api.util.updateQueryData('job', { jobId }, change)),
          shelf: (change) => dispatch(api.util.updateQueryData('shelf', {}, change)),
        };
        // A read that is under way was asked before this: what it brings would take back what shows at once.
        const { jobId } = args as { readonly jobId?: string };
        if (AT_ONCE[name] && jobId !== undefined) dispatch(api.util.getRunningQueryThunk('job', { jobId }))?.abort();
        const early = AT_ONCE[name]?.(show, args) ?? [];
        const done = await queryFulfilled.catch(() => undefined);
        if (done) ONCE_SAVED[name]?.(show, args, done.data);
        else for (const patch of early) patch.undo();
      },
    });

/** A job, and its line in the list. */
const ofJob = ({ jobId }: { readonly jobId: string }): readonly Tag[] => ['Jobs', { type: 'Job', id: jobId }];
/** A harness, and all jobs that are shown with it. */
const ofHarness = ({ harnessId }: { readonly harnessId: string }): readonly Tag[] => [
  'Harnesses',
  { type: 'Harness', id: harnessId },
  'Job',
  'Jobs',
];
/** What is read by its version is kept for good; without one it is the newest, which is read again. */
const newest =
  <A extends { readonly version?: number | undefined }>(tag: (args: A) => Tag) =>
  (args: A): readonly Tag[] =>
    args.version === undefined ? [tag(args)] : [];

/** What is sent as it lies on a disk: a photo, a parcel. */
type FileName = 'addPhoto' | 'addFacePhoto' | 'readParcel';
type FileArgs<N extends FileName> = WriteArgs<N> & { readonly file: File };

/** The file is the body itself: what else is sent stands in the query. */
const sendingFile =
  (build: Build) =>
  <N extends FileName>(name: N, changes: (args: FileArgs<N>) => readonly Tag[]) =>
    build.mutation<AnswerOf<N>, FileArgs<N>>({
      query: ({ file, ...args }) => {
        const { url, method, body = {} } = requestOf(name, args as unknown as ArgsOf<N>);
        return {
          url: `${url}?${new URLSearchParams(body as Record<string, string>).toString()}`,
          method,
          body: file,
          headers: { 'content-type': file.type === '' ? 'application/octet-stream' : file.type },
        };
      },
      invalidatesTags: (_result, _error, args) => changes(args),
    });

/** Everything that the server does which the interface asks of it, an endpoint each. */
export const api = createApi({
  reducerPath: 'api',
  baseQuery,
  tagTypes: KEPT,
  endpoints: (build) => {
    const [read, list, write, ask] = [reading(build), listing(build), writing(build), asking(build)];
    return {
      jobs: list('jobs', 'Jobs'),
      job: read('job', ({ jobId }) => [{ type: 'Job', id: jobId }]),
      jobShelf: read('jobShelf', () => []),
      session: read('session', () => []),
      signIn: ask('signIn', KEPT),
      signOut: ask('signOut'),
      confirm: ask('confirm'),
      changeSecret: ask('changeSecret', KEPT),
      signIns: read('signIns', () => ['SignIns']),
      endSignIn: write('endSignIn', () => ['SignIns']),
      accounts: read('accounts', () => ['Accounts']),
      addAccount: write('addAccount', () => ['Accounts']),
      changeAccount: write('changeAccount', () => ['Accounts', 'SignIns']),
      people: read('people', () => ['People']),
      backups: read('backups', () => []),
      chain: read('chain', () => []),
      due: list('due', 'Due'),
      dueCount: build.query<number, void>({
        query: () => requestOf('due', { limit: 1 }),
        transformResponse: ({ overdue }: AnswerOf<'due'>) => overdue,
        providesTags: ['Due'],
      }),
      calendarAddress: read('calendarAddress', () => ['Calendar']),
      setCalendar: write('setCalendar', () => ['Calendar']),
      allRecords: list('allRecords', 'Records'),
      shop: read('shop', () => ['Jobs', 'Due']),
      shopJobs: list('shopJobs', 'Jobs'),
      searches: read('searches', () => ['Searches']),
      keepSearch: write('keepSearch', () => ['Searches']),
      comebacks: read('comebacks', () => ['Records']),
      record: read('record', () => ['Records']),
      labelPrinter: read('labelPrinter', () => []),
      printLabel: write('printLabel', () => []),
      harnessHistory: read('harnessHistory', () => ['Records']),
      shelf: read('shelf', () => ['Shelf']),
      practices: read('practices', () => ['Practices']),
      practice: read(
        'practice',
        newest(() => 'Practices'),
      ),
      harnesses: list('harnesses', 'Harnesses'),
      harness: read(
        'harness',
        newest(({ harnessId }) => ({ type: 'Harness', id: harnessId })),
      ),
      find: read('find', () => ['Harnesses', 'Harness']),
      /** What a changed practice would alter in open jobs; nothing is saved. */
      practiceEffect: ask('practiceEffect'),

      addPerson: write('addPerson', () => ['People']),
      openJob: write('openJob', () => ['Jobs']),
      beginQuick: write('beginQuick', () => ['Jobs', 'Harnesses', 'Practices']),
      beginConnector: write('beginConnector', () => ['Jobs', 'Harnesses', 'Practices']),
      importJob: write('importJob', () => ['Jobs', 'Harnesses', 'Practices']),
      sayGate: write('sayGate', ofJob),
      withdrawGate: write('withdrawGate', ofJob),
      setPractice: write('setPractice', (args) => [...ofJob(args), 'Practices']),
      addFinding: write('addFinding', (args) => (args.todoId === undefined ? ofJob(args) : [...ofJob(args), 'Todos'])),
      changeFinding: write('changeFinding', ofJob),
      removeFinding: write('removeFinding', (args) => [...ofJob(args), 'Todos']),
      leaveFinding: write('leaveFinding', (args) => [...ofJob(args), 'Todos']),
      todos: list('todos', 'Todos'),
      addTodo: write('addTodo', () => ['Todos']),
      doTodo: write('doTodo', () => ['Todos', 'Jobs']),
      endTodo: write('endTodo', () => ['Todos']),
      saveMapping: write('saveMapping', ofJob),
      readContinuity: write('readContinuity', ofJob),
      setLayout: write('setLayout', ofJob),
      keepLayout: write('keepLayout', ofJob),
      choose: write('choose', ofJob),
      tick: write('tick', ofJob),
      addReadings: write('addReadings', ofJob),
      makeAgain: write('makeAgain', ofJob),
      seeFunctions: write('seeFunctions', ofJob),
      keepPhoto: write('keepPhoto', ofJob),
      addPhoto: sendingFile(build)('addPhoto', ofJob),
      facePhotos: read('facePhotos', () => ['FacePhotos']),
      addFacePhoto: sendingFile(build)('addFacePhoto', () => ['FacePhotos']),
      setFacePhoto: write('setFacePhoto', () => ['FacePhotos']),
      readParcel: sendingFile(build)('readParcel', () => ['Parcels']),
      parcels: read('parcels', () => ['Parcels']),
      parcelRecords: list('parcelRecords', 'Parcels'),
      shares: read('shares', () => ['Shares']),
      shareRecord: write('shareRecord', () => ['Shares']),
      endShare: write('endShare', () => ['Shares']),
      sharedRecord: read('sharedRecord', () => []),
      sign: write('sign', (args) => [...ofJob(args), 'Due', 'Records', 'Todos']),
      makeGood: write('makeGood', () => ['Jobs', 'Due']),
      setDue: write('setDue', () => ['Job', 'Due', 'Records']),
      correctRecord: write('correctRecord', () => ['Job', 'Due', 'Records']),
      changeShelf: write('changeShelf', () => ['Shelf', 'Job']),
      importShelf: write('importShelf', () => ['Shelf', 'Job']),
      addPractice: write('addPractice', () => ['Practices']),
      changePractice: write('changePractice', () => ['Practices', 'Job']),
      setUsualPractice: write('setUsualPractice', () => ['Practices']),
      removePractice: write('removePractice', () => ['Practices']),
      addHarness: write('addHarness', () => ['Harnesses']),
      changeHarness: write('changeHarness', ofHarness),
      joinHarness: write('joinHarness', ofHarness),
      nameHarness: write('nameHarness', (args) => [...ofHarness(args), 'Due', 'Records']),
    };
  },
});

export const {
  useJobsInfiniteQuery,
  useJobQuery,
  useJobShelfQuery,
  useDueInfiniteQuery,
  useDueCountQuery,
  useSearchesQuery,
  useTodosInfiniteQuery,
  useAllRecordsInfiniteQuery,
  useComebacksQuery,
  useParcelRecordsInfiniteQuery,
  useParcelsQuery,
  useReadParcelMutation,
  useSharedRecordQuery,
  useSharesQuery,
  useShopQuery,
  useShopJobsInfiniteQuery,
  useRecordQuery,
  useLabelPrinterQuery,
  useHarnessHistoryQuery,
  useCalendarAddressQuery,
  useBackupsQuery,
  useChainQuery,
  usePeopleQuery,
  useSessionQuery,
  useSignInMutation,
  useSignOutMutation,
  useConfirmMutation,
  useChangeSecretMutation,
  useSignInsQuery,
  useAccountsQuery,
  useShelfQuery,
  useHarnessesInfiniteQuery,
  useHarnessQuery,
  useFindQuery,
  usePracticesQuery,
  usePracticeQuery,
  usePracticeEffectMutation,
  useAddPhotoMutation,
  useFacePhotosQuery,
  useAddFacePhotoMutation,
} = api;
