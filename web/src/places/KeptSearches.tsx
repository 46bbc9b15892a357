import { X } from 'lucide-react';
import { useEffect } from 'react';
import { useSearchesQuery } from '../app/api.ts';
import { useSave } from '../app/change.ts';
import { keep, recall } from '../app/kept.ts';
import { useAppSelector } from '../app/store.ts';
import { Button } from '../ui/button.tsx';

/** Where a device kept searches before the shop did. */
const KEY = 'mendum.searches';

const onDevice = (): readonly string[] => {
  const kept = recall(KEY);
  return Array.isArray(kept) ? kept.filter((one): one is string => typeof one === 'string' && one !== '') : [];
};

/** Searches that the shop keeps: tapped, they are made again. @param words what is looked for now */
export function KeptSearches({ words, onPick }: { readonly words: string; readonly onPick: (words: string) => void }) {
  const { data: kept } = useSearchesQuery({});
  const { save, busy } = useSave();
  const put = (search: string, isKept: boolean) => save('keepSearch', { words: search, kept: isKept });
  // What is written has a name on it: before somebody is at the bench nothing is sent, and nothing is forgotten.
  const person = useAppSelector((state) => state.view.person);
  const isThere = kept !== undefined && person !== null;
  useEffect(() => {
    const own = onDevice();
    if (!isThere || own.length === 0) return;
    keep(KEY, undefined);
    // The oldest first: they stand as they stood.
    for (const search of [...own].reverse()) void put(search, true);
    // eslint-disable-next-line react-hooks/exhaustive-deps -- once, when it is known what the shop keeps, and who is here
  }, [isThere]);
  if (!kept) return null;
  const isNew = words !== '' && !kept.some((one) => one.words.toLowerCase() === words.toLowerCase());
  if (kept.length === 0 && !isNew) return null;
  return (
    <div className="no-print mb-4 flex flex-wrap items-center gap-2">
      {kept.map((one) => (
        <span key={one.words} className="inline-flex items-center rounded-sm border border-rule bg-sheet">
          <button
            type="button"
            title={`Kept by ${one.by}`}
            className="min-h-11 px-3 text-lg hover:bg-wash"
            onClick={() => onPick(one.words)}
          >
            {one.words}
          </button>
          <button
            type="button"
            aria-label={`Forget the search “${one.words}”`}
            className="inline-flex size-11 items-center justify-center hover:bg-wash"
            disabled={busy}
            onClick={() => void put(one.words, false)}
          >
            <X size={18} aria-hidden />
          </button>
        </span>
      ))}
      {isNew ? (
        <Button look="quiet" disabled={busy} onClick={() => void put(words, true)}>
          Keep the search “{words}”
        </Button>
      ) : null}
    </div>
  );
}
