import type { StageName } from '@mendum/core/operations';
import { Dialog } from '../ui/dialog.tsx';

const EVERYWHERE = [
  ['1 – 6', 'go to a stage'],
  ['n', 'next circuit'],
  ['p', 'previous circuit'],
  ['/', 'find a circuit'],
  ['?', 'these keys'],
] as const;
const OWN: Partial<Record<StageName, readonly (readonly [string, string])[]>> = {
  survey: [['a', 'add a finding']],
  bench: [
    ['Enter', 'step done, next'],
    ['b', 'one step back'],
  ],
};

/** The keys of the screen. */
export function KeysDialog({
  open,
  onClose,
  stage,
}: {
  readonly open: boolean;
  readonly onClose: () => void;
  readonly stage: StageName;
}) {
  return (
    <Dialog open={open} onClose={onClose} title="Keys of this screen">
      <dl className="grid grid-cols-[7rem_1fr] gap-y-3 text-lg">
        {[...EVERYWHERE, ...(OWN[stage] ?? [])].map(([key, does]) => (
          <div key={key} className="contents">
            <dt className="figure font-semibold">{key}</dt>
            <dd>{does}</dd>
          </div>
        ))}
      </dl>
    </Dialog>
  );
}
