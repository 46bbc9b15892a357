import { useState } from 'react';
import { leadsInWords, readLeads, type PigtailLead } from '@mendum/core/stock';
import { WireChip } from '../../shapes/WireLine.tsx';
import { TextArea } from '../../ui/field.tsx';

interface LeadsFieldProps {
  readonly label: string;
  readonly leads: readonly PigtailLead[];
  readonly wrong: string | undefined;
  /** The wires; what was typed, as long as it cannot be read; nothing where nothing is typed. */
  readonly onTyped: (typed: readonly PigtailLead[] | string | undefined) => void;
}

/** The wires of a pigtail, one a line as they are read off it, with what was understood drawn beside them. */
export function LeadsField({ label, leads, wrong, onTyped }: LeadsFieldProps) {
  const [text, setText] = useState(() => leadsInWords(leads).replaceAll('; ', '\n'));
  const read = readLeads(text);
  return (
    <div className="col-span-full grid gap-2 sm:grid-cols-2">
      <TextArea
        label={label}
        rows={Math.max(3, text.split('\n').length)}
        hint="One a line: cavity, colour, mm², and its rating in °C where you know it. “1 red/white 2.5 105”"
        value={text}
        wrong={read.ok ? wrong : read.why}
        onChange={(event) => {
          setText(event.target.value);
          const now = readLeads(event.target.value);
          onTyped(!now.ok ? event.target.value : now.leads.length === 0 ? undefined : now.leads);
        }}
      />
      <ul aria-label="Wires as they are understood" className="grid content-start gap-1 pt-7">
        {leads.map(({ cavity, colour, areaMm2, ratedC }) => (
          <li key={cavity} className="flex items-center gap-3 text-lg">
            <b className="figure">{cavity}</b>
            <WireChip thick={14} colour={colour} title="" />
            {areaMm2} mm²{ratedC === undefined ? '' : `, ${ratedC} °C`}
          </li>
        ))}
      </ul>
    </div>
  );
}
