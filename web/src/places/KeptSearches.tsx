import { useState } from 'react';
import { X } from 'lucide-react';
import { keep, recall } from '../app/kept.ts';
import { Button } from '../ui/button.tsx';

const KEY = 'mendum.searches';
/** So many are kept, the newest first: more is no short list. */
const MOST = 12;

function remembered(): readonly string[] {
  const kept = recall(KEY);
  return Array.isArray(kept) ? kept.filter((one): one is string => typeof one === 'string').slice(0, MOST) : [];
}

/** Searches that this device keeps: tapped, they are made again. @param words what is looked for now */
export function KeptSearches({ words, onPick }: { readonly words: string; readonly onPick: (words: string) => void }) {
  const [kept, setKept] = useState(remembered);
  const put = (next: readonly string[]): void => {
    setKept(next);
    keep(KEY, next.length > 0 ? next : undefined);
  };
  const isNew = words !== '' && !kept.includes(words);
  if (kept.length === 0 && !isNew) return null;
  return (
    <div className="no-print mb-4 flex flex-wrap items-center gap-2">
      {kept.map((one) => (
        <span key={one} className="inline-flex items-center rounded-sm border border-rule bg-sheet">
          <button type="button" className="min-h-11 px-3 text-lg hover:bg-wash" onClick={() => onPick(one)}>
            {one}
          </button>
          <button
            type="button"
            aria-label={`Forget the search “${one}”`}
            className="inline-flex size-11 items-center justify-center hover:bg-wash"
            onClick={() => put(kept.filter((other) => other !== one))}
          >
            <X size={18} aria-hidden />
          </button>
        </span>
      ))}
      {isNew ? (
        <Button look="quiet" onClick={() => put([words, ...kept].slice(0, MOST))}>
          Keep the search “{words}”
        </Button>
      ) : null}
    </div>
  );
}
