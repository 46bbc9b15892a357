import { lazy, Suspense, useState } from 'react';
import clsx from 'clsx';
import { Ruler } from 'lucide-react';
import { figure } from '@mendum/core/units';
import { areaMm2, awgLabel, type WireSize } from '@mendum/core/wire';
import { Button } from '../ui/button.tsx';
import { Choices } from '../ui/choices.tsx';
import { ROWS } from './sizes.ts';

const WireGauge = lazy(async () => ({ default: (await import('./WireGauge.tsx')).WireGauge }));

type Basis = WireSize['basis'];
const BASES: readonly { readonly value: Basis; readonly words: string }[] = [
  { value: 'metric', words: 'mm²' },
  { value: 'trade', words: 'Number printed on it' },
  { value: 'awg', words: 'AWG, measured' },
];

const keyOf = (size: WireSize): string => String(size.basis === 'metric' ? size.areaMm2 : size.awg);
const label = (size: WireSize): string => (size.basis === 'metric' ? figure(size.areaMm2, 2) : awgLabel(size.awg));

/** The size by one tap, as it was found out; or by holding the wire against the screen. */
export function SizePick({
  size,
  onPick,
}: {
  readonly size: WireSize | undefined;
  readonly onPick: (size: WireSize) => void;
}) {
  const [basis, setBasis] = useState<Basis>(size?.basis ?? 'metric');
  const [isHeld, setHeld] = useState(false);
  return (
    <div>
      <div className="mb-1 flex flex-wrap items-center gap-x-3">
        <p className="font-medium" aria-hidden>
          Size
        </p>
        <Choices
          label="Size known as"
          picked={basis}
          onPick={(next) => next && setBasis(next)}
          className="flex flex-wrap"
          look={(isPicked) =>
            clsx(
              'min-h-11 px-3',
              isPicked ? 'font-semibold underline decoration-copper decoration-2 underline-offset-8' : 'text-soft',
            )
          }
          choices={BASES.map(({ value, words }) => ({ value, shown: () => words }))}
        />
      </div>
      <Choices
        label="Size"
        picked={size?.basis === basis ? keyOf(size) : undefined}
        onPick={(key) => {
          const found = ROWS[basis].find((one) => keyOf(one) === key);
          if (found) onPick(found);
        }}
        className="flex flex-wrap gap-1"
        look={(isPicked) =>
          clsx(
            'min-h-12 min-w-12 rounded-sm border-2 px-1',
            isPicked ? 'border-copper bg-wash font-semibold' : 'border-rule hover:bg-wash',
          )
        }
        choices={ROWS[basis].map((one) => ({
          value: keyOf(one),
          shown: () => (
            <>
              <span className="figure text-lg">{label(one)}</span>
              {basis === 'metric' ? null : (
                <span className="block text-sm leading-tight text-soft">{figure(areaMm2(one), 2)} mm²</span>
              )}
            </>
          ),
        }))}
      />
      <Button look="quiet" className="-ml-4" onClick={() => setHeld(true)}>
        <Ruler aria-hidden size={20} /> Hold the wire against the screen
      </Button>
      {isHeld ? (
        <Suspense fallback={null}>
          <WireGauge
            onClose={() => setHeld(false)}
            onPick={(one) => {
              setBasis(one.basis);
              onPick(one);
              setHeld(false);
            }}
          />
        </Suspense>
      ) : null}
    </div>
  );
}
