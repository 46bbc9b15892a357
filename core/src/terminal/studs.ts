import { studOf, type TerminalFamily } from '../harness/index.ts';

/** How what goes under a nut or a screw is fastened. */
export const underScrew = (
  family: TerminalFamily,
  what: string,
): { readonly title: string; readonly detail: string; readonly mistake: string } => ({
  title: `Fasten the ${what} under its ${studOf(family) ?? 'screw'}`,
  detail:
    'Bright metal on both faces, barrel in line with the wire’s way, washer where it was, torque as the maker says. Wire tied within 100.',
  mistake: 'Paint or rust under it is a resistor.',
});

/** Good from the wire to a clean stud, mΩ. Source: numbers, current. */
export const ON_STUD_MILLIOHM = 1;
