import { useState, type ReactNode } from 'react';
import { capital } from '@mendum/core/units';
import { useMay } from '../app/session.ts';
import { Button } from '../ui/button.tsx';
import { Choices, pickLook } from '../ui/choices.tsx';

export type How = 'provedDead' | 'batteryOff';

/** Where a begun repair goes on: the address within its job, and what is said of it. */
export interface Then {
  readonly to: string;
  readonly words: string;
}

/** Step by step, or, where it is made already, with its proof or its record. */
export const THENS: readonly Then[] = [
  { to: 'bench', words: 'guide me' },
  { to: 'prove', words: 'prove it' },
  { to: 'record', words: 'write it down' },
];

interface BeginProps {
  /** What is marked with tape first. */
  readonly children: ReactNode;
  readonly thens: readonly Then[];
  /** What still has to be said before it can be written down. */
  readonly missing?: string | undefined;
  readonly isWaiting: boolean;
  readonly onBegin: (how: How, to: string) => void;
}

/** The way from an answer to a job: made safe first, measured from marks of tape, then guided, proved or written down. */
export function Begin({ children, thens, missing, isWaiting, onBegin }: BeginProps) {
  const [to, setTo] = useState(thens[0]?.to ?? '');
  const then = thens.find((one) => one.to === to);
  const disabled = isWaiting || missing !== undefined;
  const may = useMay('beginQuick');
  if (!may) return <p className="border-t border-rule pt-3 text-lg text-soft">A technician makes a job of it.</p>;
  return (
    <div className="border-t border-rule pt-3">
      <p className="text-xl font-semibold">Make it safe, then begin</p>
      <p className="mb-3 text-lg">
        Engine off and cold, work supported. The maker’s manual and local codes come first.
      </p>
      <p className="mb-3 text-lg">{children}</p>
      {missing === undefined ? null : <p className="mb-2 text-lg text-rework">▲ {missing}</p>}
      <Choices
        label="What next"
        picked={to}
        onPick={(next) => next && setTo(next)}
        className="mb-3 flex flex-wrap gap-1.5"
        look={pickLook}
        choices={thens.map(({ to: value, words }) => ({ value, shown: () => capital(words) }))}
      />
      <div className="flex flex-wrap gap-3">
        <Button look="copper" disabled={disabled} onClick={() => onBegin('provedDead', to)}>
          Proved dead: {then?.words}
        </Button>
        <Button disabled={disabled} onClick={() => onBegin('batteryOff', to)}>
          Battery off: {then?.words}
        </Button>
      </div>
    </div>
  );
}
