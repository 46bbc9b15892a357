/** Which face of a connector is looked at: the one that wires enter, or the one that meets the mate. */
export const FACE_SIDES = ['wire', 'mating'] as const;
export type FaceSide = (typeof FACE_SIDES)[number];

/** Where the latch (or the key of a round connector) points, as it is held. */
export const LATCH_DIRECTIONS = ['up', 'right', 'down', 'left'] as const;
export type LatchDirection = (typeof LATCH_DIRECTIONS)[number];

/** A place in a grid, counted from 0 at the top left, as seen on the described side as it is held there. */
export interface GridPlace {
  readonly row: number;
  readonly column: number;
}

/**
 * Where the cavities lie, as seen on the described side as it is held there. `rows`: a grid with places that are not
 * there. `round`: rings from the outside in, each with its number of places, the angle of its first one, degrees
 * clockwise from the top, and those that are not there, counted clockwise from 0; a ring of one is a pin in the middle.
 * `free`: any places, in cavity widths from the middle, x to the right and y down.
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
      readonly rings: readonly {
        readonly count: number;
        readonly startDeg?: number | undefined;
        readonly missing?: readonly number[] | undefined;
      }[];
    }
  | { readonly kind: 'free'; readonly places: readonly { readonly x: number; readonly y: number }[] };

/** Whether a place that is not there takes a number all the same. */
export const GAPS = ['skip', 'count'] as const;
export type Gaps = (typeof GAPS)[number];

/** Where counting begins, and whether it passes over what is not there. */
export interface Counting {
  /** Every row, or the first column, begins at the right. */
  readonly fromRight?: boolean | undefined;
  /** The first row, or every column, begins at the bottom. */
  readonly fromBottom?: boolean | undefined;
  /** Rings: against the clock, as seen on the described side. */
  readonly anticlockwise?: boolean | undefined;
  /** Rings: the innermost first. */
  readonly fromInside?: boolean | undefined;
  readonly gaps?: Gaps | undefined;
}

/**
 * How the cavities are numbered, as seen on the described side as it is held there. `rowWise` along each row, then the
 * next; `columnWise` along each column; `snake` row-wise and `columnSnake` column-wise, every second one backwards;
 * `rowFirsts` along each row, or ring, from what is moulded at its start: 1, A or A1; `letters` row-wise A, B, C …
 * without those in `skip` (I, O and Q when absent); `letterRows` a letter for each row and a number along it, A1 … B6,
 * `byColumn` a letter for each column; `named` each by its own name, in the order of reading. Rings count as rows.
 */
export type Numbering = Counting &
  (
    | {
        readonly kind: 'rowWise' | 'columnWise' | 'snake' | 'columnSnake';
        readonly first?: number | undefined;
      }
    | { readonly kind: 'rowFirsts'; readonly firsts: readonly (number | string)[] }
    | { readonly kind: 'letters'; readonly skip?: readonly string[] | undefined }
    | {
        readonly kind: 'letterRows';
        readonly skip?: readonly string[] | undefined;
        readonly first?: number | undefined;
        readonly byColumn?: boolean | undefined;
      }
    | { readonly kind: 'named'; readonly names: readonly string[] }
  );

/** The face of a connector: layout, numbers, and single numbers that differ from the pattern, by their number in it. */
export interface ConnectorFace {
  /** The side on which layout and numbering are described; the mating side when absent. */
  readonly describedFrom?: FaceSide | undefined;
  /** Where the latch (a key, rib or notch) points as it is described, degrees clockwise from the top; 0 when absent. */
  readonly latchDeg?: number | undefined;
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
