import { createApi, fetchBaseQuery, retry } from '@reduxjs/toolkit/query/react';
import { editCatalogue, type Catalogue, type CatalogueEdit, type Practice } from '@mendum/core';
import { asSaved } from './asSaved.ts';
import type {
  DueBack,
  HarnessView,
  JobEffect,
  JobSummary,
  JobView,
  PracticeView,
  Tick,
} from '@mendum/core/interchange';

/** A write: who does it and under which id, so that it can be sent again without being done twice. */
export interface Write {
  readonly method: 'POST' | 'PUT' | 'DELETE';
  /** Below /api. */
  readonly path: string;
  readonly body: Readonly<Record<string, unknown>> & { readonly writeId: string; readonly by: string };
  readonly jobId?: string | undefined;
}

interface TickWrite {
  readonly jobId: string;
  readonly body: {
    readonly writeId: string;
    readonly by: string;
    readonly steps: readonly { readonly stepId: string; readonly spliceId: string }[];
    readonly done: boolean;
  };
}

/** A dropped network is tried again with the same write id; anything that the server answered is final. */
const baseQuery = retry(
  async (args: Parameters<ReturnType<typeof fetchBaseQuery>>[0], api, more) => {
    const result = await fetchBaseQuery({ baseUrl: `${location.origin}/api` })(args, api, more);
    if (result.error && result.error.status !== 'FETCH_ERROR') retry.fail(result.error, result.meta);
    return result;
  },
  { maxRetries: 3 },
);

const asTicks = (write: TickWrite['body'], at: string): Tick[] =>
  write.steps.map(({ stepId, spliceId }) => ({ stepId, spliceId, done: write.done, by: write.by, at }));

export const api = createApi({
  reducerPath: 'api',
  baseQuery,
  tagTypes: ['Jobs', 'Job', 'Due', 'People', 'Shelf', 'Harnesses', 'Practices'],
  endpoints: (build) => ({
    jobs: build.query<JobSummary[], void>({ query: () => '/jobs', providesTags: ['Jobs'] }),
    job: build.query<JobView, string>({
      query: (id) => `/jobs/${id}`,
      providesTags: (_result, _error, id) => [{ type: 'Job', id }],
    }),
    due: build.query<DueBack[], void>({ query: () => '/due', providesTags: ['Due'] }),
    people: build.query<{ name: string; since: string }[], void>({ query: () => '/people', providesTags: ['People'] }),
    shelf: build.query<Catalogue, void>({ query: () => '/shelf', providesTags: ['Shelf'] }),
    practices: build.query<PracticeView[], void>({ query: () => '/practices', providesTags: ['Practices'] }),
    harnesses: build.query<HarnessView[], void>({ query: () => '/harnesses', providesTags: ['Harnesses'] }),
    /** What a changed practice would alter in open jobs; nothing is saved. */
    effect: build.mutation<JobEffect[], Practice>({
      query: (practice) => ({ url: '/practices/effect', method: 'POST', body: { practice } }),
    }),
    write: build.mutation<Record<string, unknown>, Write>({
      query: ({ method, path, body }) => ({ url: path, method, body }),
      // The new version counts at once, so that the next press is not stale against one's own; what was saved goes with it, so that
      // nothing is planned, counted on or edited from the old state under the new number.
      async onQueryStarted({ jobId, path, body }, { dispatch, queryFulfilled }) {
        const done = await queryFulfilled.catch(() => undefined);
        const shelfVersion = done?.data.shelfVersion;
        const edits = body.edits as readonly CatalogueEdit[] | undefined;
        if (typeof shelfVersion === 'number' && edits)
          dispatch(
            api.util.updateQueryData('shelf', undefined, (draft) => ({
              ...editCatalogue(draft, edits),
              version: shelfVersion,
            })),
          );
        const version = done?.data.version;
        if (jobId === undefined || typeof version !== 'number') return;
        dispatch(api.util.updateQueryData('job', jobId, (draft) => asSaved(draft, { path, body }, version)));
      },
      invalidatesTags: (_result, _error, { jobId, path }) => [
        'Jobs',
        ...(jobId === undefined ? [] : [{ type: 'Job' as const, id: jobId }]),
        ...(path.startsWith('/people') ? ['People' as const] : []),
        ...(/sign|correction/.test(path) ? ['Due' as const] : []),
        ...(/import|^\/harnesses/.test(path) ? ['Harnesses' as const] : []),
        ...(path.startsWith('/harnesses/') ? ['Job' as const] : []),
        ...(path.startsWith('/shelf') ? ['Shelf' as const, 'Job' as const] : []),
        ...(path.startsWith('/practices')
          ? ['Practices' as const, 'Job' as const]
          : path.endsWith('/practice')
            ? ['Practices' as const]
            : []),
      ],
    }),
    tick: build.mutation<unknown, TickWrite>({
      query: ({ jobId, body }) => ({ url: `/jobs/${jobId}/ticks`, method: 'PUT', body }),
      invalidatesTags: (_result, _error, { jobId }) => ['Jobs', { type: 'Job', id: jobId }],
      // A tick shows at once; it is taken back when the server refuses it.
      async onQueryStarted({ jobId, body }, { dispatch, queryFulfilled }) {
        const patch = dispatch(
          api.util.updateQueryData('job', jobId, (draft) => {
            const changed = new Set(body.steps.map((step) => step.stepId));
            return {
              ...draft,
              ticks: [
                ...draft.ticks.filter((tick) => !changed.has(tick.stepId)),
                ...asTicks(body, new Date().toISOString()),
              ],
            };
          }),
        );
        await queryFulfilled.catch(() => patch.undo());
      },
    }),
  }),
});

export const {
  useJobsQuery,
  useJobQuery,
  useDueQuery,
  usePeopleQuery,
  useShelfQuery,
  useHarnessesQuery,
  usePracticesQuery,
  useEffectMutation,
  useWriteMutation,
  useTickMutation,
} = api;
