/** Where what a rule says, and the figure in it, comes from. */
export const ORIGINS = [
  /** What practitioners agree on, whatever their school. */
  'trade practice',
  /** What they differ on: the shop takes a side in Practice. */
  'the shop’s school',
  /** A figure that a shop may set in Practice. */
  'practice figure',
  /** What stands on the part; the usual figure of its kind where nobody entered it. */
  'stamped on the part, else usual',
  'counted on the shelf',
  'the tool’s own record',
  /** Worked out from what the harness is said to be: places, lengths, bores. */
  'geometry of the harness',
  /** Worked out: resistance, heat, area. */
  'physics of copper',
  /** Ours, where the trade gives none. */
  'our own figure',
] as const;
type Origin = (typeof ORIGINS)[number];

/** An origin, and which of its figures: "practice figure: untwisted at most". Never the rule once more. */
export type Source = Origin | `${Origin}: ${string}` | `${Origin}; ${Origin}` | `${Origin}; ${Origin}: ${string}`;
