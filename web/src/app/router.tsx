import {
  createBrowserRouter,
  Navigate,
  type LazyRouteFunction,
  type LoaderFunction,
  type RouteObject,
  type ShouldRevalidateFunctionArgs,
} from 'react-router';
import { JobsPlace } from '../places/JobsPlace.tsx';
import { Coming } from './Coming.tsx';
import { Shell } from './Shell.tsx';
import { Lost } from './Lost.tsx';
import { jobAhead } from './ahead.ts';
import type { Store } from './store.ts';

const jobPage = async () => ({ Component: (await import('../stages/JobPage.tsx')).JobPage });

const comes = (lazy: LazyRouteFunction<RouteObject>) => ({ HydrateFallback: Coming, lazy });

/**
 * The places and their addresses.
 * @param drawn whether the page came drawn: it stands until all that it needs is there
 */
export function makeRouter({ dispatch }: Store, drawn = false) {
  let isFirst = drawn;
  const ahead: LoaderFunction = async ({ params: { jobId = '', stage } }) => {
    const coming = jobAhead(dispatch, jobId, stage);
    if (isFirst) await coming;
    isFirst = false;
    return null;
  };
  // Within a job nothing is fetched ahead: picking a finding changes the address and must not wait.
  const aheadOf = {
    loader: ahead,
    shouldRevalidate: ({ currentParams, nextParams }: ShouldRevalidateFunctionArgs) =>
      currentParams.jobId !== nextParams.jobId,
  };
  return createBrowserRouter([
    // Whoever is given a link to one repair sees that and nothing else: no rail, no question who is at the bench.
    { path: '/s', ...comes(async () => ({ Component: (await import('../places/repair/SharedPage.tsx')).SharedPage })) },
    {
      path: '/',
      Component: Shell,
      ErrorBoundary: Lost,
      children: [
        { index: true, element: <Navigate to="/jobs" replace /> },
        { path: 'jobs', Component: JobsPlace },
        { path: 'quick', ...comes(async () => ({ Component: (await import('../quick/QuickPage.tsx')).QuickPage })) },
        {
          path: 'quick/connector',
          ...comes(async () => ({
            Component: (await import('../quick/connector/ConnectorPage.tsx')).ConnectorPage,
          })),
        },
        { path: 'jobs/:jobId', ...aheadOf, ...comes(jobPage) },
        {
          path: 'jobs/:jobId/mapping/:nodeId',
          ...comes(async () => ({ Component: (await import('../cards/MappingPage.tsx')).MappingPage })),
        },
        { path: 'jobs/:jobId/:stage', ...aheadOf, ...comes(jobPage) },
        {
          path: 'machines',
          ...comes(async () => ({ Component: (await import('../places/machines/MachinesPlace.tsx')).MachinesPlace })),
        },
        {
          path: 'machines/:harnessId',
          ...comes(async () => ({ Component: (await import('../places/machines/HarnessPage.tsx')).HarnessPage })),
        },
        {
          path: 'machines/:harnessId/history',
          ...comes(async () => ({ Component: (await import('../places/history/HistoryPage.tsx')).HistoryPage })),
        },
        {
          path: 'machines/:harnessId/face/:nodeId',
          ...comes(async () => ({ Component: (await import('../cards/FaceCard.tsx')).FaceCard })),
        },
        {
          path: 'shelf',
          ...comes(async () => ({ Component: (await import('../places/shelf/ShelfPlace.tsx')).ShelfPlace })),
        },
        {
          path: 'practice',
          ...comes(async () => ({ Component: (await import('../places/practice/PracticePlace.tsx')).PracticePlace })),
        },
        {
          path: 'people',
          ...comes(async () => ({ Component: (await import('../people/PeoplePlace.tsx')).PeoplePlace })),
        },
        {
          path: 'shop',
          ...comes(async () => ({ Component: (await import('../places/shop/ShopPlace.tsx')).ShopPlace })),
        },
        { path: 'data', ...comes(async () => ({ Component: (await import('../places/DataPlace.tsx')).DataPlace })) },
        {
          path: 'r/:recordId',
          ...comes(async () => ({ Component: (await import('../places/repair/RepairPage.tsx')).RepairPage })),
        },
        { path: 'due', ...comes(async () => ({ Component: (await import('../places/DuePlace.tsx')).DuePlace })) },
        { path: '*', Component: Lost },
      ],
    },
  ]);
}
