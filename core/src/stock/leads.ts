import { isColour, type WireColour } from '../wire/index.ts';

/** One wire of a pigtail: the cavity that it comes out of, its colour, copper and heat class. */
export interface PigtailLead {
  readonly cavity: string;
  readonly colour: WireColour;
  readonly areaMm2: number;
  /** What its jacket stands, °C; what the pigtail stands, where it does not say. */
  readonly ratedC?: number | undefined;
}

/** "1 red/white 2.5 105; 2 black 1": a pigtail's wires as they are written in a table. */
export const leadsInWords = (leads: readonly PigtailLead[]): string =>
  leads
    .map(({ cavity, colour, areaMm2, ratedC }) =>
      [cavity, colour.stripe === undefined ? colour.base : `${colour.base}/${colour.stripe}`, areaMm2, ratedC]
        .filter((word) => word !== undefined)
        .join(' '),
    )
    .join('; ');

/** Leads as they were read, or what is wrong with the first that cannot be read. */
export type LeadsReading =
  { readonly ok: true; readonly leads: readonly PigtailLead[] } | { readonly ok: false; readonly why: string };

const numberOf = (word: string): number => Number(word.replace(',', '.').replace(/(mm²|mm2|°C|C)$/i, ''));

/** What is wrong with a line, as an example of a right one. */
const wrong = (line: string, why: string): string => `“${line}”: ${why}, as in “1 red/white 1.5 105”.`;

function readLead(line: string): PigtailLead | string {
  const [cavity = '', ...rest] = line.split(/\s+/);
  const words = rest.filter((word) => Number.isNaN(numberOf(word)));
  const [areaMm2, ratedC, ...more] = rest.slice(words.length).map(numberOf);
  const [base = '', stripe] = words
    .join(' ')
    .toLowerCase()
    .split(/\s*\/\s*/);
  if (!isColour(base) || (stripe !== undefined && !isColour(stripe)))
    return wrong(line, 'after the cavity comes the colour');
  if (areaMm2 === undefined || !(areaMm2 > 0)) return wrong(line, 'after the colour comes the copper in mm²');
  if (more.length > 0 || (ratedC !== undefined && !(ratedC > 0)))
    return wrong(line, 'after the copper comes only the rating of the jacket in °C');
  return {
    cavity,
    colour: stripe === undefined ? { base } : { base, stripe },
    areaMm2,
    ...(ratedC === undefined ? {} : { ratedC }),
  };
}

/** Reads a pigtail's wires, parted by semicolons or lines: cavity, colour, copper in mm² and, where it is known, °C. */
export function readLeads(text: string): LeadsReading {
  const made: PigtailLead[] = [];
  for (const line of text.split(/[;\n]/).map((one) => one.trim())) {
    if (line === '') continue;
    const lead = readLead(line);
    if (typeof lead === 'string') return { ok: false, why: lead };
    if (made.some(({ cavity }) => cavity === lead.cavity))
      return { ok: false, why: `Cavity ${lead.cavity} is there twice: one wire comes out of a cavity.` };
    made.push(lead);
  }
  return { ok: true, leads: made };
}
