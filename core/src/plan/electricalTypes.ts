/** How a figure stands against its limit. */
export type LimitStanding = 'ok' | 'watch' | 'over';

/** One line of the electrical check: what is held against which limit. */
export interface ElectricalLine {
  readonly id: 'fuse' | 'load' | 'jacket' | 'sleeve' | 'drop' | 'joint' | 'copper';
  readonly standing: LimitStanding;
  readonly words: string;
}

/** The electrical standing of a circuit before and after its repair. */
export interface ElectricalCheck {
  /** Length of the circuit's path through its runs, mm. */
  readonly pathMm: number;
  /** Runs of it that nobody has measured all of, by name: the path, its resistance and its drop are the least. */
  readonly notMeasured?: readonly string[] | undefined;
  /** Conductor temperature that resistances are taken at, °C. */
  readonly conductorC: number;
  readonly before: { readonly milliohm: number; readonly dropV?: number | undefined };
  readonly after: { readonly milliohm: number; readonly dropV?: number | undefined };
  readonly lines: readonly ElectricalLine[];
}
