/** What a sweep keeps to. */
export interface SweepLimits {
  /** Most bodies over one cross-section. */
  readonly over: number;
  /** Clear distance between bodies that do not overlap, mm. */
  readonly gapMm: number;
  readonly pairsAtMost?: number | undefined;
  readonly bodiesAtMost?: number | undefined;
  /** Thickest that the bundle may become, mm. */
  readonly diameterAtMost?: number | undefined;
  /** Thickest that the bundle may become where two bodies lie over one place, mm. */
  readonly twoAtMostMm?: number | undefined;
  /** Where the first body may begin at the earliest. */
  readonly fromMm?: number | undefined;
  /**
   * Of all that keep to these limits the one that ends first is wanted, not the one with the fewest pairs and bodies.
   */
  readonly earliestEnd?: boolean | undefined;
  /** Where all have to end: what cannot is not looked at. Together with the earliest end. */
  readonly endAtMostMm?: number | undefined;
  /** Labels kept in one layer; more are cut, and the sweep is then no proof. */
  readonly beam: number;
}
