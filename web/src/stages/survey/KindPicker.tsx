import clsx from 'clsx';
import { CAVITY_FINDING_KINDS, damageOf, RUN_FINDING_KINDS, type FindingKind } from '@mendum/core/damage';
import { Choices } from '../../ui/choices.tsx';
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
    <div className="grid gap-2">
      {GROUPS.map(([group, kinds]) => (
        <div key={group}>
          <p className="mb-1 text-soft">{group}</p>
          <Choices
            label={`What is it? ${group}`}
            picked={kind}
            onPick={(one) => one && onPick(one)}
            className="grid grid-cols-2 gap-2 sm:grid-cols-4"
            look={(isPicked) =>
              clsx(
                'flex min-h-20 flex-col items-center justify-center gap-1 rounded-sm border px-1 py-1.5 text-center leading-tight',
                isPicked ? 'border-2 border-copper bg-wash font-semibold' : 'border-rule hover:bg-wash',
              )
            }
            choices={kinds.map((value: FindingKind) => ({
              value,
              shown: () => (
                <>
                  <DamagePicture kind={value} />
                  {damageOf(value).words}
                </>
              ),
            }))}
          />
        </div>
      ))}
    </div>
  );
}
