import { lazy, Suspense, type ReactNode } from 'react';
import { Working } from './empty.tsx';
import type { Lines } from './lines.ts';

/** Up to this many lines are all on the page at once. */
const ALL_UP_TO = 60;

/** A long list comes with what keeps only the lines on the page that can be seen. */
const SeenLines = lazy(async () => ({ default: (await import('./SeenLines.tsx')).SeenLines })) as <T>(
  lines: Lines<T>,
) => ReactNode;

/** A list of any length: a short one as it is, of a long one what can be seen; the next page comes on the way down. */
export function LongList<T>(of: Lines<T>) {
  const { lines, hasMore, keyOf, children, label } = of;
  if (!hasMore && lines.length <= ALL_UP_TO)
    return (
      <ul aria-label={label} className="border-t border-ink">
        {lines.map((line) => (
          <li key={keyOf(line)} className="border-b border-rule">
            {children(line)}
          </li>
        ))}
      </ul>
    );
  return (
    <Suspense fallback={<Working words="Opening…" />}>
      <SeenLines {...of} />
    </Suspense>
  );
}
