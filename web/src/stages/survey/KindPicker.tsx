import clsx from 'clsx';
import { FINDING_KINDS, FINDING_WORDS, type FindingKind } from '@mendum/core';
import { DamagePicture } from '../../draw/DamageMark.tsx';

/** The kinds of damage, each with its small drawing. */
export function KindPicker({ kind, onPick }: { readonly kind: FindingKind; readonly onPick: (kind: FindingKind) => void }) {
  return (
    <div role="radiogroup" aria-label="What is it?" className="grid grid-cols-2 gap-2 sm:grid-cols-3">
      {FINDING_KINDS.map((one) => (
        <button key={one} type="button" role="radio" aria-checked={one === kind} onClick={() => onPick(one)}
          className={clsx('flex min-h-20 flex-col items-center justify-center gap-1 rounded-sm border px-2 py-2 text-center leading-tight', one === kind ? 'border-2 border-copper bg-wash font-semibold' : 'border-rule hover:bg-wash')}>
          <DamagePicture kind={one} />
          {FINDING_WORDS[one]}
        </button>
      ))}
    </div>
  );
}
