import { useState } from 'react';
import { leadsInWords, readLeads, type PigtailLead } from '@mendum/core';
import { WireChip } from '../../shapes/WireLine.tsx';
import { TextArea } from '../../ui/field.tsx';

interface LeadsFieldProps {
  readonly label: string;
  readonly leads: readonly PigtailLead[];
  readonly wrong: string | undefined;
  readonly onRead: (leads: readonly PigtailLead[]) => void;
  /** What cannot be read, or nothing once it can. */
  readonly onUnread: (why: string | undefined) => void;
}

/** The wires of a pigtail, one a line as they are read off it, with what was understood drawn beside them. */
export function LeadsField({ label, leads, wrong, onRead, onUnread }: LeadsFieldProps) {
  const [text, setText] = useState(() => leadsInWords(leads).replaceAll('; ', '\n'));
  const read = readLeads(text);
  return (
    <div className="col-span-full grid gap-2 sm:grid-cols-2">
      <TextArea
        label={label}
        rows={Math.max(3, text.split('\n').length)}
        hint="One a line: cavity, colour, mm², and its rating in °C where you know it. “1 red/white 2.5 105”"
        value={text}
        wrong={wrong ?? (read.ok ? undefined : read.why)}
        onChange={(event) => {
          setText(event.target.value);
          const now = readLeads(event.target.value);
          onUnread(now.ok ? undefined : now.why);
          if (now.ok) onRead(now.leads);
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
