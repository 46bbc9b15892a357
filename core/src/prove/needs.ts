import { isPowerKind, type Circuit } from '../harness/index.ts';
import type { BetweenProbes, ResistanceLimits } from '../wire/index.ts';
import type { Check } from './check.ts';
import type { CheckBase } from './kind.ts';
import { bad, good, look } from './looks.ts';
import { dropCheck } from './kinds/drop.ts';
import { pathCheck, type MeasuredPath } from './kinds/path.ts';
import { HEIGHT_MOST_MM2, heightCheck } from './kinds/height.ts';
import { UNMEASURED_CHECK } from './kinds/unmeasured.ts';

/**
 * What a circuit asks of its joints besides looks and tug: one reading that carries current, or continuity, or both; or
 * what the maker's procedure says, behind the gate, where no reason stands in for a reading.
 */
export type Proving = 'measured' | 'continuity' | 'both' | 'procedure';

/** A known load above this asks for a reading whatever the circuit is, A. Source: numbers, Acceptance. */
const MEASURED_ABOVE_A = 5;

/**
 * What the joints of a circuit have to show: a practice may ask for more, never for less.
 * @param circuit its load in A, where it is known
 * @param every whether the practice has every joint measured
 */
export function provingOf({ kind, loadA }: Pick<Circuit, 'kind' | 'loadA'>, every = false): Proving {
  if (kind === 'airbag' || kind === 'highVoltage') return 'procedure';
  if (isPowerKind(kind) || (loadA ?? 0) > MEASURED_ABOVE_A) return 'measured';
  return every ? 'both' : 'continuity';
}

/** What one of the alternatives is measured on. */
export interface Measurable {
  /** The resistance that a meter with four leads reads. */
  readonly resistance: Extract<Check, { readonly kind: 'resistance' }>;
  readonly limits: ResistanceLimits;
  /** The wire between probes that stand on it beside the joint. */
  readonly between?: BetweenProbes | undefined;
  /** The wire from terminal to terminal that it lies on. */
  readonly path?: MeasuredPath | undefined;
  /** Its load where it is known, A. */
  readonly loadA?: number | undefined;
  /** Its conductor is crimped, so it has a height; its copper, mm². */
  readonly crimpedMm2?: number | undefined;
  /** Its thinner wire's copper, mm². */
  readonly copperMm2?: number | undefined;
}

/** Above this copper the drop is the reading: micro-ohms are nothing for a shop. mm². Source: numbers, Current. */
const MILLIOHM_MOST_MM2 = 6.64;

const inGroup = <C extends CheckBase>(check: C): C => ({ ...check, required: false, anyOf: 'measured' });

const CONTINUITY = look(
  'continuity',
  'Continuity',
  'Beeper from end to end, then to each neighbour: through, and open to all of them.',
  [
    good('Through from end to end, open to every neighbour'),
    bad(
      'scrap',
      'open',
      'Not through',
      'The copper is not held, or it is parted elsewhere.',
      'Find where; a joint that is open is cut out and made again.',
    ),
    bad(
      'rework',
      'short',
      'Through to a neighbour',
      'A strand lies across, or two wires are crossed.',
      'Find the two and part them before anything is powered.',
    ),
  ],
);

/** The readings that prove a joint, as its circuit asks for them. */
export function measuredChecks(proving: Proving, of: Measurable): Check[] {
  const { between, copperMm2 = 0, crimpedMm2, limits, loadA, path } = of;
  const micro = copperMm2 > MILLIOHM_MOST_MM2;
  if (proving === 'continuity') return [CONTINUITY, ...(micro ? [] : [{ ...of.resistance, required: false }])];
  return [
    ...(proving === 'both' ? [CONTINUITY] : []),
    ...(micro ? [] : [inGroup(of.resistance)]),
    inGroup(dropCheck(limits, loadA, between)),
    ...(path ? [inGroup(pathCheck(path, loadA))] : []),
    ...(crimpedMm2 !== undefined && crimpedMm2 <= HEIGHT_MOST_MM2 ? [inGroup(heightCheck(crimpedMm2))] : []),
    ...(proving === 'procedure' ? [] : [inGroup(UNMEASURED_CHECK)]),
  ];
}
