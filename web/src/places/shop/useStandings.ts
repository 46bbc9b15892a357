import { useEffect } from 'react';
import { skipToken } from '@reduxjs/toolkit/query/react';
import { useShopJobsInfiniteQuery } from '../../app/api.ts';
import { usePages } from '../../app/usePages.ts';

/** How all open jobs stand, or those signed this week: page after page, as they are planned. */
export function useStandings(signed: boolean, wanted = true) {
  const pages = usePages(useShopJobsInfiniteQuery(wanted ? (signed ? { signed } : {}) : skipToken));
  const { hasMore, onMore, lines, error } = pages;
  useEffect(() => {
    if (hasMore && error === undefined) onMore();
  }, [hasMore, onMore, lines, error]);
  return {
    jobs: lines ?? [],
    total: pages.total,
    done: lines !== undefined && !hasMore,
    error,
    refetch: pages.refetch,
  };
}
