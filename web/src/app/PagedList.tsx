import type { ReactNode } from 'react';
import { Empty, Failed, Working } from '../ui/empty.tsx';
import type { Lines } from '../ui/lines.ts';
import { LongList } from '../ui/LongList.tsx';
import { errorOf } from './errors.ts';
import type { usePages } from './usePages.ts';

type Pages<T> = ReturnType<typeof usePages<T>>;

interface PagedListProps<T> extends Pick<Lines<T>, 'label' | 'keyOf' | 'children'> {
  readonly pages: Pages<T>;
  /** What is said until the first page is there. */
  readonly waiting: string;
  /** What is said when nothing is listed, and what to do then. */
  readonly empty: { readonly title: string; readonly next: ReactNode };
}

/** A list that comes page by page: until it is there, when it cannot be had, and when nothing is in it. */
export function PagedList<T>({ pages, waiting, empty, ...list }: PagedListProps<T>) {
  const { lines, total, hasMore, onMore, error, refetch } = pages;
  if (error !== undefined) {
    const { message, hint } = errorOf(error);
    return <Failed message={message} hint={hint} onRetry={() => void refetch()} />;
  }
  if (!lines) return <Working words={waiting} />;
  if (lines.length === 0) return <Empty title={empty.title}>{empty.next}</Empty>;
  return <LongList {...list} lines={lines} total={total} hasMore={hasMore} onMore={onMore} />;
}
