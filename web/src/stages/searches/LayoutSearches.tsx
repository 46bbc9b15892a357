import type { ReactNode } from 'react';
import { useOpenJob } from '../job.ts';
import { SearchesContext } from './searches.ts';
import { useLayoutSearches } from './useLayoutSearches.ts';

/** Betters the layouts of the open job in the background, on whichever of its pages somebody is. */
export function LayoutSearches({ children }: { readonly children: ReactNode }) {
  return <SearchesContext value={useLayoutSearches(useOpenJob())}>{children}</SearchesContext>;
}
