/** Terminals that sit in a housing: families by male width in mm, round pins by their size. */
export const HOUSING_FAMILIES = ['0.64', '1.5', '2.8', '6.3', 'pin20', 'pin16', 'pin12'] as const;
/** Terminals without a housing: rings and forks by stud, blades by tab width, bullets by diameter, ferrules by length; mm. */
export const LOOSE_FAMILIES = [
  'ringM3',
  'ringM4',
  'ringM5',
  'ringM6',
  'ringM8',
  'ringM10',
  'forkM3',
  'forkM4',
  'forkM5',
  'forkM6',
  'blade2.8',
  'blade4.8',
  'blade6.3',
  'blade9.5',
  'bullet4',
  'bullet5',
  'ferrule8',
  'ferrule10',
] as const;
export const TERMINAL_FAMILIES = [...HOUSING_FAMILIES, ...LOOSE_FAMILIES] as const;
export type TerminalFamily = (typeof TERMINAL_FAMILIES)[number];

export type TerminalForm = 'housing' | 'ring' | 'fork' | 'blade' | 'bullet' | 'ferrule';

const FORMS = ['ring', 'fork', 'blade', 'bullet', 'ferrule'] as const;

/** What a family is: in a housing, or one of the loose forms. */
export const terminalForm = (family: TerminalFamily): TerminalForm =>
  FORMS.find((form) => family.startsWith(form)) ?? 'housing';

/** Whether a terminal of the family sits in a housing, held by a lance and maybe sealed by a wire seal. */
export const isInHousing = (family: TerminalFamily): boolean => terminalForm(family) === 'housing';

/** "1.5 mm terminal", "pin size 16", "ring M6", "blade 6.3", "ferrule 8 long": never the bare word "spade". */
export function terminalInWords(family: TerminalFamily): string {
  const form = terminalForm(family);
  if (form === 'housing')
    return family.startsWith('pin') ? `round pin size ${family.slice(3)}` : `${family} mm terminal`;
  const size = family.slice(form.length);
  return form === 'ferrule' ? `ferrule ${size} long` : `${form} ${size}`;
}
