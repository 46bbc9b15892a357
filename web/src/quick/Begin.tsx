import { useState } from 'react';
import { capital, type QuickRepair } from '@mendum/core';
import { Button } from '../ui/button.tsx';
import { Choices, pickLook } from '../ui/choices.tsx';
import { Length } from '../ui/units.tsx';

export type How = 'provedDead' | 'batteryOff';

/** Where a begun repair goes on: step by step, or, where it is made already, with its proof or its record. */
const THENS = ['bench', 'prove', 'record'] as const;
export type Then = (typeof THENS)[number];
const THEN_WORDS: Record<Then, string> = { bench: 'guide me', prove: 'prove it', record: 'write it down' };

interface BeginProps {
  readonly repair: QuickRepair;
  readonly isColourless: boolean;
  readonly isWaiting: boolean;
  readonly onBegin: (how: How, then: Then) => void;
}

/** The way from an answer to a job: made safe first, measured from marks of tape, then guided, proved or written down. */
export function Begin({ repair, isColourless, isWaiting, onBegin }: BeginProps) {
  const [then, setThen] = useState<Then>('bench');
  const disabled = isWaiting || isColourless;
  return (
    <div className="border-t border-rule pt-3">
      <p className="text-xl font-semibold">Make it safe, then begin</p>
      <p className="mb-3 text-lg">
        Engine off and cold, work supported. The maker’s manual and local codes come first.
      </p>
      <p className="mb-3 text-lg">
        Tape mark A <Length mm={repair.openMm} digits={0} /> to the left of the middle of the damage, mark B as far to
        the right: all places are measured from mark A.
      </p>
      {isColourless ? (
        <p className="mb-2 text-lg text-rework">▲ Tap the colour first: the record names the wire by it.</p>
      ) : null}
      <Choices
        label="What next"
        picked={then}
        onPick={(next) => next && setThen(next)}
        className="mb-3 flex flex-wrap gap-1.5"
        look={pickLook}
        choices={THENS.map((value) => ({ value, shown: () => capital(THEN_WORDS[value]) }))}
      />
      <div className="flex flex-wrap gap-3">
        <Button look="copper" disabled={disabled} onClick={() => onBegin('provedDead', then)}>
          Proved dead: {THEN_WORDS[then]}
        </Button>
        <Button disabled={disabled} onClick={() => onBegin('batteryOff', then)}>
          Battery off: {THEN_WORDS[then]}
        </Button>
      </div>
    </div>
  );
}
