import type { PigtailWire } from '@mendum/core/mapping';
import { leadAt } from '@mendum/core/sizing';
import type { PigtailPart } from '@mendum/core/stock';
import type { ColourName, WireSize } from '@mendum/core/wire';

/** A pigtail's wire as far as it has been read off it: its size is its own, and never taken from the harness. */
export interface DraftWire {
  readonly cavity: string;
  readonly base?: ColourName | undefined;
  readonly stripe?: ColourName | undefined;
  readonly size?: WireSize | undefined;
  readonly ratedC?: number | undefined;
}

export const draftOf = ({ cavity, colour, size, ratedC }: PigtailWire): DraftWire => ({
  cavity,
  base: colour.base,
  stripe: colour.stripe,
  size,
  ratedC,
});

/** The wire that a draft stands for; none until its colour and its size are said. */
export const wireOf = ({ cavity, base, stripe, size, ratedC }: DraftWire): PigtailWire | undefined =>
  base === undefined || size === undefined
    ? undefined
    : {
        cavity,
        colour: stripe === undefined ? { base } : { base, stripe },
        size,
        ...(ratedC === undefined ? {} : { ratedC }),
      };

/** The draft with one wire changed; taken out where nothing of it is left to say. */
export function withWire(
  wires: readonly DraftWire[],
  cavity: string,
  change: Omit<DraftWire, 'cavity'> | undefined,
): readonly DraftWire[] {
  const others = wires.filter((wire) => wire.cavity !== cavity);
  const before = wires.find((wire) => wire.cavity === cavity);
  return change ? [...others, { ...before, ...change, cavity }] : others;
}

/**
 * All wires of a pigtail of the shelf, as it lists them; of one whose wires are all alike the colours are still to be
 * read.
 */
export function draftFrom(part: PigtailPart, cavities: readonly string[]): readonly DraftWire[] {
  const own = part.leads?.map(({ cavity }) => cavity) ?? cavities;
  return own.flatMap((cavity): DraftWire[] => {
    const lead = leadAt(part, cavity);
    if (!lead) return [];
    return [
      {
        cavity,
        base: lead.colour?.base,
        stripe: lead.colour?.stripe,
        size: { basis: 'metric', areaMm2: lead.areaMm2 },
        ratedC: lead.ratedC ?? part.ratedC,
      },
    ];
  });
}

/** What is still to be read off the pigtail: "cavity 3: its size". */
export const unreadOf = (wires: readonly DraftWire[]): readonly string[] =>
  wires.flatMap(({ cavity, base, size }) => {
    const missing = [base === undefined ? 'its colour' : '', size === undefined ? 'its size' : ''].filter(Boolean);
    return missing.length === 0 ? [] : [`cavity ${cavity}: ${missing.join(' and ')}`];
  });
