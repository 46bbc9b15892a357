import { createBrowserRouter, Navigate } from 'react-router';
import { JobsPlace } from '../places/JobsPlace.tsx';
import { Shell } from './Shell.tsx';
import { Lost } from './Lost.tsx';

const jobPage = async () => ({ Component: (await import('../stages/JobPage.tsx')).JobPage });

export const router = createBrowserRouter([
  {
    path: '/',
    Component: Shell,
    ErrorBoundary: Lost,
    HydrateFallback: () => null,
    children: [
      { index: true, element: <Navigate to="/jobs" replace /> },
      { path: 'jobs', Component: JobsPlace },
      { path: 'jobs/:jobId', lazy: jobPage },
      {
        path: 'jobs/:jobId/mapping/:nodeId',
        lazy: async () => ({ Component: (await import('../cards/MappingPage.tsx')).MappingPage }),
      },
      { path: 'jobs/:jobId/:stage', lazy: jobPage },
      {
        path: 'machines',
        lazy: async () => ({ Component: (await import('../places/machines/MachinesPlace.tsx')).MachinesPlace }),
      },
      {
        path: 'machines/:harnessId',
        lazy: async () => ({ Component: (await import('../places/machines/HarnessPage.tsx')).HarnessPage }),
      },
      {
        path: 'machines/:harnessId/face/:nodeId',
        lazy: async () => ({ Component: (await import('../cards/FaceCard.tsx')).FaceCard }),
      },
      { path: 'shelf', lazy: async () => ({ Component: (await import('../places/shelf/ShelfPlace.tsx')).ShelfPlace }) },
      {
        path: 'practice',
        lazy: async () => ({ Component: (await import('../places/practice/PracticePlace.tsx')).PracticePlace }),
      },
      { path: 'due', lazy: async () => ({ Component: (await import('../places/DuePlace.tsx')).DuePlace }) },
      { path: '*', Component: Lost },
    ],
  },
]);
