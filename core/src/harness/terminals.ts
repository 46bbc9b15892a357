/** Terminals that sit in a housing: families by male width in mm, round pins by their size. */
export const HOUSING_FAMILIES = ['0.64', '1.5', '2.8', '6.3', 'pin20', 'pin16', 'pin12'] as const;
export type HousingFamily = (typeof HOUSING_FAMILIES)[number];
/** Stud sizes that rings, forks and lugs are made for. */
export const STUDS = ['M3', 'M4', 'M5', 'M6', 'M8', 'M10', 'M12'] as const;
export type Stud = (typeof STUDS)[number];
/** Widths of the tabs that blades are pushed onto, mm. */
export const TABS_MM = [2.8, 4.8, 6.3, 9.5] as const;
export type TabMm = (typeof TABS_MM)[number];

/**
 * Terminals without a housing: rings, forks and lugs by stud, blades by tab width, bullets by diameter, ferrules by
 * length; mm.
 */
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
  'lugM6',
  'lugM8',
  'lugM10',
  'lugM12',
] as const;
export const TERMINAL_FAMILIES = [...HOUSING_FAMILIES, ...LOOSE_FAMILIES] as const;
export type TerminalFamily = (typeof TERMINAL_FAMILIES)[number];

/** What a terminal is: in a housing, or one of the loose forms. */
export const TERMINAL_FORMS = ['housing', 'ring', 'fork', 'blade', 'bullet', 'ferrule', 'lug'] as const;
export type TerminalForm = (typeof TERMINAL_FORMS)[number];

/** What the end of a wire is for: it decides the form of its terminal where nobody has noted one. */
export const END_USES = ['housing', 'stays', 'screwStays', 'parted', 'tab', 'clamp'] as const;
export type EndUse = (typeof END_USES)[number];

/** What a family is: in a housing, or one of the loose forms. */
export const terminalForm = (family: TerminalFamily): TerminalForm =>
  TERMINAL_FORMS.find((form) => family.startsWith(form)) ?? 'housing';

/** Whether a terminal of the family sits in a housing, held by a lance and maybe sealed by a wire seal. */
export const isInHousing = (family: TerminalFamily): boolean => terminalForm(family) === 'housing';

/** What of a family's name is its size: "M6", "6.3", "8". */
const sizeOf = (family: TerminalFamily): string => {
  const form = terminalForm(family);
  return form === 'housing' ? family : family.slice(form.length);
};
/** The stud that a ring, fork or lug goes under; none of what goes under no screw. */
export const studOf = (family: TerminalFamily): Stud | undefined => STUDS.find((stud) => stud === sizeOf(family));
/** The width of the tab that a blade is pushed onto, mm; none of what is no blade. */
export const tabOf = (family: TerminalFamily): TabMm | undefined =>
  terminalForm(family) === 'blade' ? TABS_MM.find((mm) => String(mm) === sizeOf(family)) : undefined;

/** "1.5 mm terminal", "pin size 16", "ring M6", "blade 6.3", "ferrule 8 long": never the bare word "spade". */
export function terminalInWords(family: TerminalFamily): string {
  const form = terminalForm(family);
  if (form === 'housing')
    return family.startsWith('pin') ? `round pin size ${family.slice(3)}` : `${family} mm terminal`;
  return form === 'ferrule' ? `ferrule ${sizeOf(family)} long` : `${form} ${sizeOf(family)}`;
}
