import { lazy, Suspense } from 'react';
import type { UseInsteadProps } from './UseInsteadDialog.tsx';

/** Comes once it is asked for: most take what is ranked first. */
const UseInsteadDialog = lazy(async () => ({ default: (await import('./UseInsteadDialog.tsx')).UseInsteadDialog }));

/** A choice against the ranking, with its reason. */
export const UseInstead = (asked: UseInsteadProps) => (
  <Suspense fallback={null}>
    <UseInsteadDialog {...asked} />
  </Suspense>
);
