import fc from 'fast-check';
import { describe, expect, it, test } from 'vitest';
import { COLOURS } from '../wire/index.ts';
import { leadsInWords, readLeads, type PigtailLead } from './leads.ts';

const lead = fc.record(
  {
    cavity: fc.stringMatching(/^[A-Z0-9.-]{1,6}$/),
    colour: fc.record(
      { base: fc.constantFrom(...COLOURS), stripe: fc.constantFrom(...COLOURS) },
      { requiredKeys: ['base'] },
    ),
    areaMm2: fc.integer({ min: 5, max: 9500 }).map((hundredths) => hundredths / 100),
    ratedC: fc.integer({ min: 60, max: 250 }),
  },
  { requiredKeys: ['cavity', 'colour', 'areaMm2'] },
);

describe('the wires of a pigtail as they are written', () => {
  it('come back as they were, whatever their cavities are called', () => {
    fc.assert(
      fc.property(fc.uniqueArray(lead, { selector: ({ cavity }) => cavity, maxLength: 12 }), (leads) => {
        expect(readLeads(leadsInWords(leads as PigtailLead[]))).toEqual({ ok: true, leads });
      }),
      { seed: 4 },
    );
  });
  test.each([
    ['lines as well as semicolons, units and a comma', '1 red 2,5mm² 105°C\n2 Black 1', 2],
    ['nothing at all', ' ; \n', 0],
  ])('%s', (_why, text, count) => {
    const read = readLeads(text);
    expect(read.ok && read.leads.length).toBe(count);
  });
  test.each([
    ['1', 'after the cavity comes the colour'],
    ['1 reddish 1', 'after the cavity comes the colour'],
    ['1 red/checkered 1', 'after the cavity comes the colour'],
    ['1 red', 'after the colour comes the copper'],
    ['1 red 0', 'after the colour comes the copper'],
    ['1 red 1 105 thick', 'comes the colour'],
    ['1 red 1 105 2', 'after the copper comes only the rating'],
    ['1 red 1 0', 'after the copper comes only the rating'],
    ['1 red 1; 1 blue 1', 'Cavity 1 is there twice'],
  ])('%s is refused', (text, why) => {
    const read = readLeads(text);
    expect(read.ok ? '' : read.why).toContain(why);
  });
});
