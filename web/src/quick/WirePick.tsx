import { useState } from 'react';
import clsx from 'clsx';
import { Plus, Trash2 } from 'lucide-react';
import { colourInWords, COLOURS, QUICK_WIRES_MOST, type ColourName, type WireColour } from '@mendum/core';
import { WIRE_HEX } from '../shapes/colours.ts';
import { Button } from '../ui/button.tsx';
import { Choices } from '../ui/choices.tsx';
import { withOneMore, withoutWire, withWire, type QuickDraft } from './draft.ts';
import { SizePick } from './SizePick.tsx';
import { WireChips } from './WireChips.tsx';

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
function ColourPick({
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

/** The damaged wires, and colour, stripe and size of the one that is picked. */
export function WirePick({
  draft,
  onChange,
}: {
  readonly draft: QuickDraft;
  readonly onChange: (draft: QuickDraft) => void;
}) {
  const [picked, setPicked] = useState(0);
  const at = Math.min(picked, draft.wires.length - 1);
  const wire = draft.wires[at] ?? {};
  return (
    <section aria-label="The wire" className="grid gap-3">
      <h2 className="text-xl font-semibold">The wire</h2>
      <ColourPick key={at} colour={wire.colour} onPick={(colour) => onChange(withWire(draft, at, { colour }))} />
      <SizePick size={wire.size} onPick={(size) => onChange(withWire(draft, at, { size }))} />
      <div className="flex flex-wrap items-center gap-2">
        <WireChips wires={draft.wires} at={at} onPick={setPicked} />
        {draft.wires.length < QUICK_WIRES_MOST ? (
          <Button
            look="quiet"
            onClick={() => {
              onChange(withOneMore(draft));
              setPicked(draft.wires.length);
            }}
          >
            <Plus aria-hidden size={20} /> Another wire at this place
          </Button>
        ) : null}
        {draft.wires.length > 1 ? (
          <Button look="quiet" onClick={() => onChange(withoutWire(draft, at))}>
            <Trash2 aria-hidden size={20} /> Without wire {at + 1}
          </Button>
        ) : null}
      </div>
    </section>
  );
}
