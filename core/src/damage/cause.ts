/** What did the damage, as far as it is known: repairs fail where it stays. */
export const CAUSES = {
  rubbed: 'Rubbed',
  pulled: 'Pulled or bent',
  pinched: 'Pinched',
  shaken: 'Shaken',
  water: 'Water or salt',
  heat: 'Heat',
  overload: 'Too much current',
  animal: 'An animal',
  work: 'Work on the machine',
  repair: 'An earlier repair',
  unknown: 'Not known',
} as const;
