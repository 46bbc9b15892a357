/** Copper areas in mm² that a barrel end holds, as stamped. */
export interface Range {
  readonly minMm2: number;
  readonly maxMm2: number;
}

/** Colours that insulated parts are made in: a convention only, never an input to any choice. */
export const PART_COLOURS = ['clear', 'red', 'blue', 'yellow'] as const;
export type PartColour = (typeof PART_COLOURS)[number];

export interface Stocked {
  readonly id: string;
  readonly name: string;
  /** Pieces, rolls or sticks on the shelf. */
  readonly quantity: number;
  /** Highest temperature the part may see, °C. */
  readonly ratedC: number;
  /** Whether the figures are the part's own, as its maker prints them, or the usual ones for its kind. */
  readonly figuresFrom: 'stamped' | 'usual';
  /** Where it lies: drawer, bin, van. */
  readonly place?: string | undefined;
  /** The maker's lot of what is in use, as printed on its bag: a record says of which lot a part was. */
  readonly lot?: string | undefined;
  /** What one costs, a piece, a stick or a roll, in the shop's own money. */
  readonly price?: number | undefined;
  /** Colour of an insulated part, as it is; held against the stamped range, and never decided by. */
  readonly colour?: PartColour | undefined;
}
