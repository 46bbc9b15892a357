import { bad, CUT_OUT, good, look, type Check } from '../../prove/index.ts';

/** A soldered joint; whether good solder is shiny or dull hangs on the alloy. */
export const solderLooks = (tinLead: boolean): readonly Check[] => [
  look(
    'solder.face',
    'Solder',
    tinLead
      ? "Strands' outline visible; this alloy is shiny when good."
      : "Strands' outline visible; this alloy is dull when good.",
    [
      good('Wet all round, outline of the strands visible'),
      bad(
        'rework',
        'blob',
        'A blob, or bare copper',
        'Too much solder, or the wire was not hot.',
        'Heat the wire, draw the surplus off and feed again.',
      ),
      bad(
        'rework',
        'grainy',
        'Grainy or cracked',
        'It moved while it set.',
        'Heat it through again and hold it still.',
      ),
      bad(
        'scrap',
        'wicked',
        'Stiff under the jacket',
        'Solder ran under the jacket: it breaks there.',
        `${CUT_OUT} A heat clamp at the jacket keeps it out.`,
      ),
    ],
  ),
];
