import { useCallback, useMemo } from 'react';
import type { Page } from '@mendum/core/operations';

/** What an endpoint that comes page by page gives. */
interface Paged<T> {
  readonly data?: { readonly pages: readonly Page<T>[] } | undefined;
  readonly error?: unknown;
  readonly hasNextPage: boolean;
  readonly isFetchingNextPage: boolean;
  readonly fetchNextPage: () => unknown;
  readonly refetch: () => unknown;
}

/** The lines of a list as far as they were fetched, and the way to the next ones. */
export function usePages<T>({ data, error, hasNextPage, isFetchingNextPage, fetchNextPage, refetch }: Paged<T>) {
  const lines = useMemo(() => data?.pages.flatMap(({ items }) => items), [data]);
  const onMore = useCallback(() => {
    if (!isFetchingNextPage) fetchNextPage();
  }, [isFetchingNextPage, fetchNextPage]);
  return { lines, total: data?.pages[0]?.total ?? 0, hasMore: hasNextPage, onMore, error, refetch };
}
