import { X } from 'lucide-react';
import { Button } from '../../ui/button.tsx';
import { Figure, useLength } from '../../ui/units.tsx';
import { useSearches } from '../searches/searches.ts';
import { KIND_NAMES } from './kindNames.ts';

/** The search for better layouts of a run while it goes on: how far it is, and the way to end it. */
export function SearchLine({ runId }: { readonly runId: string }) {
  const { now, stop } = useSearches();
  const { plain, unit } = useLength();
  if (now?.runId !== runId) return null;
  return (
    <p role="status" className="flex flex-wrap items-center gap-x-3">
      <progress aria-label="Searches done" value={now.nth - 1} max={now.of} className="h-2 w-24 accent-copper" />
      <span>
        Looking for a better {KIND_NAMES[now.asked.kind]} layout, {now.nth} of {now.of}
        {now.openedMm === undefined ? (
          '…'
        ) : (
          <>
            : opens <Figure value={plain(now.openedMm, 0)} unit={unit} /> so far
          </>
        )}
      </span>
      <Button onClick={stop}>
        <X aria-hidden size={20} />
        Stop with the best so far
      </Button>
    </p>
  );
}
