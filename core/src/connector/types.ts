/** Which face of a connector is looked at: the one that wires enter, or the one that meets the mate. */
export const FACE_SIDES = ['wire', 'mating'] as const;
export type FaceSide = (typeof FACE_SIDES)[number];

/** Where the latch (or the key of a round connector) points, as it is held. */
export const LATCH_DIRECTIONS = ['up', 'right', 'down', 'left'] as const;
export type LatchDirection = (typeof LATCH_DIRECTIONS)[number];

/** A place in a grid, counted from 0 at the top left, as seen on the described side with the latch up. */
export interface GridPlace {
  readonly row: number;
  readonly column: number;
}

/**
 * Where the cavities lie, as seen on the described side with the latch up. `rows`: a grid with places that are not
 * there. `round`: rings from the outside in, each with its number of cavities and the angle of its first one, degrees
 * clockwise from the latch or key. `free`: any places, in cavity widths from the middle, x to the right and y down.
 */
export type CavityLayout =
  | {
      readonly kind: 'rows';
      readonly rows: number;
      readonly columns: number;
      readonly missing?: readonly GridPlace[] | undefined;
    }
  | {
      readonly kind: 'round';
      readonly rings: readonly { readonly count: number; readonly startDeg?: number | undefined }[];
    }
  | { readonly kind: 'free'; readonly places: readonly { readonly x: number; readonly y: number }[] };

/**
 * How the cavities are numbered, as seen on the described side with the latch up. `rowWise` left to right, then the
 * next row; `columnWise` top to bottom, then the next column; `snake` row-wise, every second row from the right;
 * `rowFirsts` left to right in each row from the number that is moulded at its start; `letters` row-wise A, B, C …
 * without those in `skip` (I, O and Q when absent). Round and free layouts are numbered in their own order. Places that
 * are not there take no number. `fromRight` begins every row (or the first column) at the right.
 */
export type Numbering =
  | {
      readonly kind: 'rowWise' | 'columnWise' | 'snake';
      readonly first?: number | undefined;
      readonly fromRight?: boolean | undefined;
    }
  | { readonly kind: 'rowFirsts'; readonly firsts: readonly number[]; readonly fromRight?: boolean | undefined }
  | {
      readonly kind: 'letters';
      readonly skip?: readonly string[] | undefined;
      readonly fromRight?: boolean | undefined;
    };

/** The face of a connector: layout, numbers, and single numbers that differ from the pattern, by their number in it. */
export interface ConnectorFace {
  /** The side on which layout and numbering are described, latch up; the mating side when absent. */
  readonly describedFrom?: FaceSide | undefined;
  readonly layout: CavityLayout;
  readonly numbering: Numbering;
  readonly renamed?: Readonly<Record<string, string>> | undefined;
}

/** How a face is held. */
export interface FaceView {
  readonly side: FaceSide;
  readonly latch: LatchDirection;
}

/** A cavity where it is seen: cavity widths from the middle, x to the right and y down. */
export interface SeenCavity {
  readonly cavity: string;
  readonly x: number;
  readonly y: number;
}

export const DIRECTIONS = ['left', 'right', 'above', 'below'] as const;
export type Direction = (typeof DIRECTIONS)[number];
