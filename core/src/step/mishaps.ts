/** What goes wrong at the bench. What each costs stands in the mishap room. */
export const MISHAPS = [
  'strandNicked',
  'stripTooLong',
  'crimpOnRim',
  'wrongNest',
  'pinFolded',
  'sleeveForgotten',
  'jacketBurnt',
  'jointFailed',
  'other',
] as const;
export type MishapKind = (typeof MISHAPS)[number];
