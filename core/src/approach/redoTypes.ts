import type { MishapKind } from '../step/index.ts';

/** What a mishap used up, beyond the old wire. Lengths in mm. */
export interface Spent {
  /** One of each, as often as it is named. */
  readonly partIds: readonly string[];
  readonly sleeveCuts: readonly { readonly partId: string; readonly cutMm: number }[];
  /** New wire that was cut and cannot be used. */
  readonly wireMm?: number | undefined;
}

/** What went wrong at the bench, and what it cost. Lengths in mm. */
export interface Mishap {
  readonly kind: MishapKind;
  readonly leftMm: number;
  readonly rightMm: number;
  /** What it took of the tail at a cavity. */
  readonly tailMm?: number | undefined;
  readonly spent: Spent;
}

/**
 * Work that was begun again after a mishap: what is lost on this wire since, in place of the finding's own stretch.
 */
export interface Redo {
  readonly id: string;
  readonly findingId: string;
  readonly lostFromMm: number;
  readonly lostToMm: number;
  /** Absent where a job was written down before mishaps were told apart: a joint was cut out. */
  readonly mishap?: Mishap | undefined;
  readonly because: string;
  readonly by: string;
  readonly at: string;
}
