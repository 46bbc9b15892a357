import clsx from 'clsx';
import { CAVITY_FINDING_KINDS, damageOf, RUN_FINDING_KINDS, type FindingKind } from '@mendum/core';
import { DamagePicture } from '../../draw/DamageMark.tsx';

const GROUPS = [
  ['Along the wire', RUN_FINDING_KINDS],
  ['At a connector', CAVITY_FINDING_KINDS],
] as const;

/** The kinds of damage, along the wire and at a connector, each with its small drawing. */
export function KindPicker({
  kind,
  onPick,
}: {
  readonly kind: FindingKind;
  readonly onPick: (kind: FindingKind) => void;
}) {
  return (
    <div role="radiogroup" aria-label="What is it?" className="grid gap-2">
      {GROUPS.map(([group, kinds]) => (
        <div key={group}>
          <p className="mb-1 text-soft">{group}</p>
          <div className="grid grid-cols-2 gap-2 sm:grid-cols-4">
            {kinds.map((one) => (
              <button
                key={one}
                type="button"
                role="radio"
                aria-checked={one === kind}
                onClick={() => onPick(one)}
                className={clsx(
                  'flex min-h-20 flex-col items-center justify-center gap-1 rounded-sm border px-1 py-1.5 text-center leading-tight',
                  one === kind ? 'border-2 border-copper bg-wash font-semibold' : 'border-rule hover:bg-wash',
                )}
              >
                <DamagePicture kind={one} />
                {damageOf(one).words}
              </button>
            ))}
          </div>
        </div>
      ))}
    </div>
  );
}
