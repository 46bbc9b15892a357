/** The part of a run that is shown; mm. */
export interface Shown {
  readonly fromMm: number;
  readonly toMm: number;
}

/** Nobody looks closer than this, mm. */
export const LEAST_MM = 60;

/** Whether all of a run is shown. */
export const isWhole = ({ fromMm, toMm }: Shown, wholeMm: number): boolean => toMm - fromMm >= wholeMm - 0.5;

/**
 * The shown part, narrowed or widened by a factor, within the run: one place stays where it is, the middle unless it is
 * said.
 */
export function zoomed({ fromMm, toMm }: Shown, factor: number, wholeMm: number, atMm = (fromMm + toMm) / 2): Shown {
  const wide = Math.min(wholeMm, Math.max(Math.min(LEAST_MM, wholeMm), (toMm - fromMm) * factor));
  const share = (atMm - fromMm) / (toMm - fromMm);
  const start = Math.min(wholeMm - wide, Math.max(0, atMm - share * wide));
  return { fromMm: start, toMm: start + wide };
}

/** The shown part moved by a share of its width, within the run. */
export function panned({ fromMm, toMm }: Shown, share: number, wholeMm: number): Shown {
  const wide = toMm - fromMm;
  const start = Math.min(wholeMm - wide, Math.max(0, fromMm + share * wide));
  return { fromMm: start, toMm: start + wide };
}
