import { useMemo, useState } from 'react';
import { seenCavities, type FaceView } from '@mendum/core/connector';
import { seatedCircuits } from '@mendum/core/quick';
import { colourInWords, sizeInWords, type WireColour, type WireSize } from '@mendum/core/wire';
import { FaceDrawing } from '../../connector/FaceDrawing.tsx';
import { WireChip } from '../../shapes/WireLine.tsx';
import { TickBox } from '../../ui/field.tsx';
import { ColourPick } from '../ColourPick.tsx';
import { SizePick } from '../SizePick.tsx';
import { faceOf, seatsOf, tapped, type ConnectorDraft, type Which } from './draft.ts';

/** As it is held: wires towards the eye, latch up. */
const VIEW: FaceView = { side: 'wire', latch: 'up' };

interface SeatsProps {
  readonly draft: ConnectorDraft;
  readonly onChange: (draft: ConnectorDraft) => void;
}

/** One of the two connectors with the wires that were tapped into it. */
function Face({
  draft,
  which,
  onTap,
}: {
  readonly draft: ConnectorDraft;
  readonly which: Which;
  readonly onTap: (cavity: string) => void;
}) {
  const face = useMemo(() => faceOf(draft), [draft]);
  const circuits = useMemo(() => seatedCircuits(seatsOf(draft, which)), [draft, which]);
  return (
    <FaceDrawing
      title={which === 'wires' ? 'As found' : 'The new one'}
      seen={seenCavities(face, VIEW)}
      view={VIEW}
      own
      picked={undefined}
      circuitIn={(cavity) => circuits.find(({ from }) => from.cavity === cavity)}
      onPick={onTap}
    />
  );
}

/** Wires tapped into their cavities in the order in which they are seen; the new connector's beside them. */
export function Seats({ draft, onChange }: SeatsProps) {
  const [colour, setColour] = useState<WireColour>();
  const [size, setSize] = useState<WireSize>();
  const [hasNew, setHasNew] = useState(draft.pigtail.length > 0);
  const [asked, setAsked] = useState(false);
  const tap = (which: Which) => (cavity: string) => {
    if (colour && size) onChange(tapped(draft, which, { cavity, colour, size }));
    else setAsked(true);
  };
  const lacks = colour ? (size ? undefined : 'its size') : size ? 'its colour' : 'colour and size';
  return (
    <section aria-label="Its wires" className="grid gap-3">
      <h2 className="text-xl font-semibold">
        Its wires <span className="text-base font-normal text-soft">pick one as you see it, then tap its cavity</span>
      </h2>
      <ColourPick colour={colour} onPick={setColour} />
      <SizePick size={size} onPick={setSize} />
      <p role="status" className={asked && lacks !== undefined ? 'text-lg text-rework' : 'text-lg'}>
        {colour && size ? (
          <span className="inline-flex flex-wrap items-center gap-2">
            <WireChip colour={colour} width={40} title="" />
            {colourInWords(colour)}, {sizeInWords(size)}: tap every cavity that it is in. The same tap takes it out.
          </span>
        ) : (
          `Pick ${lacks ?? ''} first.`
        )}
      </p>
      <div className="grid gap-4 sm:grid-cols-[repeat(auto-fit,minmax(15rem,1fr))]">
        <Face draft={draft} which="wires" onTap={tap('wires')} />
        {hasNew ? <Face draft={draft} which="pigtail" onTap={tap('pigtail')} /> : null}
      </div>
      <TickBox
        label="A pigtail for it lies here: tap its wires too"
        checked={hasNew}
        onChange={(event) => {
          setHasNew(event.target.checked);
          if (!event.target.checked) onChange({ ...draft, pigtail: [] });
        }}
      />
    </section>
  );
}
