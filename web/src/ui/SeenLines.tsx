import { useEffect, useRef, useState } from 'react';
import { useWindowVirtualizer } from '@tanstack/react-virtual';
import type { Lines } from './lines.ts';

/** About how tall a line is before it is measured, px. */
const LINE_PX = 68;
/** Lines before the end at which the next page is fetched. */
const AHEAD = 10;
/** The window that is taken where there is none: the first page is drawn on the server. */
const DRAWN = { width: 1280, height: 800 } as const;

/** A list of which only the lines that can be seen are on the page. */
export function SeenLines<T>({ lines, total, hasMore, onMore, keyOf, children, label }: Lines<T>) {
  const list = useRef<HTMLUListElement>(null);
  const [top, setTop] = useState(0);
  // What stands above it may grow: it is measured again whenever the page does.
  useEffect(() => {
    const watch = new ResizeObserver(() => setTop((list.current?.getBoundingClientRect().top ?? 0) + window.scrollY));
    watch.observe(document.body);
    return () => watch.disconnect();
  }, []);
  const virtual = useWindowVirtualizer({
    count: lines.length,
    initialRect: DRAWN,
    estimateSize: () => LINE_PX,
    overscan: 8,
    scrollMargin: top,
    getItemKey: (index) => {
      const line = lines[index];
      return line === undefined ? index : keyOf(line);
    },
  });
  const items = virtual.getVirtualItems();
  const last = items.at(-1)?.index ?? 0;
  useEffect(() => {
    if (hasMore && last >= lines.length - AHEAD) onMore();
  }, [hasMore, last, lines.length, onMore]);
  return (
    <ul
      ref={list}
      aria-label={label}
      className="relative border-t border-ink"
      style={{ height: virtual.getTotalSize() }}
    >
      {items.map(({ index, key, start }) => {
        const line = lines[index];
        return line === undefined ? null : (
          <li
            key={key}
            ref={virtual.measureElement}
            data-index={index}
            aria-setsize={total}
            aria-posinset={index + 1}
            className="absolute inset-x-0 top-0 border-b border-rule"
            style={{ transform: `translateY(${start - top}px)` }}
          >
            {children(line)}
          </li>
        );
      })}
    </ul>
  );
}
