import type { ReactNode } from 'react';
import type { Make } from '@mendum/core/plan';
import clsx from 'clsx';
import { useLength } from '../ui/units.tsx';
import { useOpenJob } from './job.ts';
import { atOf, cavityOf, isElsewhere, runOf } from './where.ts';

interface MakePickerProps {
  readonly makes: readonly Make[];
  readonly label: string;
  /** What stands before the splices. */
  readonly first?: { readonly id: string; readonly name: string } | undefined;
  /** How far a splice is, in a word. */
  readonly standing: (make: Make) => ReactNode;
  readonly className?: string;
  readonly at: string;
  readonly onPick: (id: string) => void;
}

/** Every splice in a row, with how far each is. */
export function MakePicker({ makes, label, first, standing, className, at, onPick }: MakePickerProps) {
  const { plan, view, circuitOf, nodeName } = useOpenJob();
  const { plain } = useLength();
  const circuitNumber = (make: Make): string => {
    const finding = plan.findings.find((one) => one.findingId === make.findingId);
    return finding ? circuitOf(finding.circuitId).number : '';
  };
  const look = (on: boolean): string =>
    clsx(
      'flex min-h-14 min-w-20 shrink-0 flex-col items-center justify-center border-b-4 px-3',
      on ? 'border-copper bg-wash font-semibold' : 'border-transparent hover:bg-wash',
    );
  return (
    <nav
      aria-label={label}
      className={clsx(
        'no-print relative -mx-6 -mt-5 mb-5 flex overflow-x-auto border-b border-rule px-6 max-sm:-mx-4 max-sm:-mt-3 max-sm:px-4',
        className,
      )}
    >
      {first ? (
        <button
          type="button"
          aria-pressed={at === first.id}
          className={look(at === first.id)}
          onClick={() => onPick(first.id)}
        >
          {first.name}
        </button>
      ) : null}
      {makes.map((make) => (
        <button
          key={make.id}
          type="button"
          aria-pressed={make.id === at}
          className={look(make.id === at)}
          onClick={() => onPick(make.id)}
          title={`Circuit ${circuitNumber(make)}`}
        >
          <span className="whitespace-nowrap">
            {circuitNumber(make)} <span className="font-normal text-soft">at</span>{' '}
            {cavityOf(make) ?? <span className="figure">{plain(atOf(make), 0)}</span>}
            {isElsewhere(make, plan) ? (
              <span className="font-normal text-soft">
                {' '}
                from {nodeName(runOf(make, plan, view.job.harness.runs)?.fromNodeId ?? '')}
              </span>
            ) : null}
          </span>
          <span className="text-sm">{standing(make)}</span>
        </button>
      ))}
    </nav>
  );
}
