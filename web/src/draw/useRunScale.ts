import { useMemo } from 'react';
import { scaleLinear, type ScaleLinear } from 'd3-scale';
import type { Shown } from './shown.ts';

/** Under this width names are shortened and margins narrower, px. */
const NARROW_PX = 760;

export interface RunScale {
  readonly narrow: boolean;
  readonly plot: { readonly left: number; readonly right: number };
  readonly x: ScaleLinear<number, number>;
}

/**
 * Millimetres along the run to pixels, with room for names at the left and sizes at the right. Stays the same object
 * while nothing changes.
 */
export function useRunScale(width: number, { fromMm, toMm }: Shown): RunScale {
  return useMemo(() => {
    const narrow = width < NARROW_PX;
    const plot = { left: narrow ? 142 : 196, right: width - (narrow ? 66 : 104) };
    return { narrow, plot, x: scaleLinear([fromMm, toMm], [plot.left, plot.right]) };
  }, [width, fromMm, toMm]);
}
