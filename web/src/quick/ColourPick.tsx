import { useState } from 'react';
import clsx from 'clsx';
import { colourInWords, COLOURS, type ColourName, type WireColour } from '@mendum/core/wire';
import { WIRE_HEX } from '../shapes/colours.ts';
import { Button } from '../ui/button.tsx';
import { Choices } from '../ui/choices.tsx';

/** The colours that most wires have; the others come on a tap. */
const USUAL: readonly ColourName[] = COLOURS.slice(0, 11);

/** A row of colours to tap. */
function Swatches({
  label,
  picked,
  mayBeNone = false,
  onPick,
}: {
  readonly label: string;
  readonly picked: ColourName | undefined;
  readonly mayBeNone?: boolean;
  readonly onPick: (colour: ColourName | undefined) => void;
}) {
  const [isLong, setLong] = useState(false);
  const isWhole = isLong || (picked !== undefined && !USUAL.includes(picked));
  return (
    <div className="flex flex-wrap items-center">
      <Choices
        label={label}
        picked={picked}
        mayBeNone={mayBeNone}
        onPick={onPick}
        className="flex flex-wrap"
        look={(isPicked) =>
          clsx(
            'flex size-11 items-center justify-center rounded-sm border-2',
            isPicked ? 'border-copper bg-wash' : 'border-transparent hover:bg-wash',
          )
        }
        choices={(isWhole ? COLOURS : USUAL).map((value) => ({
          value,
          shown: () => (
            <>
              <span
                className="size-8 rounded-full border border-ink/70"
                style={{ background: WIRE_HEX[value] }}
                aria-hidden
              />
              <span className="sr-only">{value}</span>
            </>
          ),
        }))}
      />
      {isWhole ? null : (
        <Button look="quiet" onClick={() => setLong(true)}>
          More<span className="sr-only"> colours: {label}</span>
        </Button>
      )}
    </div>
  );
}

/** Base colour, and a stripe where the wire has one; each by one tap. */
export function ColourPick({
  colour,
  onPick,
}: {
  readonly colour: WireColour | undefined;
  readonly onPick: (colour: WireColour) => void;
}) {
  const [isStriped, setStriped] = useState(false);
  const { base, stripe } = colour ?? {};
  return (
    <div>
      <p className="font-medium">
        Colour <span className="font-normal text-soft">{colour ? colourInWords(colour) : 'tap it as you see it'}</span>
      </p>
      <Swatches
        label="Colour"
        picked={base}
        onPick={(next) => next && onPick(stripe === undefined ? { base: next } : { base: next, stripe })}
      />
      {base === undefined ? null : isStriped || stripe !== undefined ? (
        <>
          <p className="font-medium">
            Stripe <span className="font-normal text-soft">{stripe ?? 'none'}</span>
          </p>
          <Swatches
            label="Stripe"
            picked={stripe}
            mayBeNone
            onPick={(next) => onPick(next === undefined ? { base } : { base, stripe: next })}
          />
        </>
      ) : (
        <Button look="quiet" className="-ml-4" onClick={() => setStriped(true)}>
          It has a stripe
        </Button>
      )}
    </div>
  );
}
