import { useEffect, useRef, useState } from 'react';
import { proxy, wrap } from 'comlink';
import type { LaidOut, RunToLayOut } from '@mendum/core/layout';
import type { LayoutSearcher } from '../../workers/layout.worker.ts';

/** A search for the best layout that is under way: since when, and the best so far. */
export interface Searching {
  readonly best: LaidOut | undefined;
}

/** A search in a worker of its own; stopping it ends the worker and gives the best so far. */
export function useSearch(onFound: (layout: LaidOut) => void) {
  const [searching, setSearching] = useState<Searching>();
  const worker = useRef<Worker>(undefined);
  const best = useRef<LaidOut>(undefined);
  const end = (found: LaidOut | undefined): void => {
    worker.current?.terminate();
    worker.current = undefined;
    setSearching(undefined);
    if (found) onFound(found);
  };
  useEffect(() => () => worker.current?.terminate(), []);
  const start = (run: RunToLayOut): void => {
    worker.current?.terminate();
    const mine = new Worker(new URL('../../workers/layout.worker.ts', import.meta.url), { type: 'module' });
    worker.current = mine;
    best.current = undefined;
    setSearching({ best: undefined });
    const better = (layout: LaidOut): void => {
      if (worker.current !== mine) return;
      best.current = layout;
      setSearching({ best: layout });
    };
    void wrap<LayoutSearcher>(mine)
      .search(run, proxy(better))
      .then((found) => {
        if (worker.current === mine) end(found);
      });
  };
  return { searching, start, stop: () => end(best.current) };
}
