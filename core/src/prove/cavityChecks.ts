import { bad, CUT_OUT, good, look } from './looks.ts';
import type { ResistanceLimits } from '../wire/index.ts';
import type { Check } from './check.ts';
import { resistanceCheck } from './kinds/resistance.ts';
import { samplesCheck } from './kinds/samples.ts';
import { tugCheck } from './kinds/tug.ts';

/** What is looked at and measured on work at a cavity. */
export interface ProvableAtCavity {
  readonly crimpsTerminal: boolean;
  readonly inHousing: boolean;
  readonly wireSeal: boolean;
  readonly seats: boolean;
  readonly soldered: boolean;
  readonly pullMinimumN: number;
  readonly limits?: ResistanceLimits | undefined;
}

const TERMINAL_LOOK = look('terminal.crimp', 'Terminal crimp', 'From the side and from above, a magnifier helps.', [
  good('Brush seen, jacket edge between the crimps, flared mouth, no metal beside the die'),
  bad(
    'scrap',
    'flash',
    'Metal squeezed out beside or below',
    'Die too small or closed too far.',
    `Change the setting before the next one. ${CUT_OUT}`,
  ),
  bad(
    'scrap',
    'long',
    'Longer than an uncrimped one',
    'Over-crimped.',
    `Change the setting before the next one. ${CUT_OUT}`,
  ),
  bad(
    'scrap',
    'jacketIn',
    'Jacket in the conductor crimp, or strands outside',
    'Stripped too short, or a strand astray.',
    `${CUT_OUT} Strip to the terminal’s own length.`,
  ),
]);
const SEAT_LOOK = look('cavity.seated', 'Seated', 'Click heard, pulled back, lock piece closed.', [
  good('Clicked, held the pull, lock piece closed'),
  bad(
    'rework',
    'back',
    'Comes back, or the lock piece does not close',
    'Lance flat, or not home.',
    'Free it, lift the lance, and seat it again; bent means a new terminal.',
  ),
  bad(
    'rework',
    'wrong',
    'In another cavity than the pinout says',
    'Read from the other side of the connector.',
    'Free it and move it: nothing is powered before.',
  ),
]);
const SEAL_LOOK = look('cavity.seal', 'Wire seal', 'At the back of the connector.', [
  good('In its cavity all round, neck under the jacket crimp'),
  bad('rework', 'rolled', 'Rolled, cut or missing', 'Slid over a sharp edge.', 'New seal, which means a new terminal.'),
]);
const SOLDER_LOOK = look('pin.solder', 'Solder and potting', 'Before and after potting.', [
  good('Wet 2–3 mm, outline of strands visible; the back held fast and potted, nothing moves'),
  bad('scrap', 'thick', 'Too thick for its cavity', 'Wetted too far.', 'New pin: draw the solder off and wet 2–3 mm.'),
  bad('rework', 'moves', 'Something moves', 'Not held before potting.', 'Tie the wire back and pot again.'),
]);
const FUNCTION_LOOK = look(
  'cavity.function',
  'Every function of the connector',
  'Switched and watched, not only the one that was mended.',
  [
    good('All of them work'),
    bad(
      'rework',
      'wrong',
      'Something else answers, or nothing does',
      'Two wires are crossed.',
      'Prove the mapping again, cavity by cavity.',
    ),
  ],
);

/** The checks of work at a cavity, in the order in which they are made. */
export function checksAtCavity(subject: ProvableAtCavity): Check[] {
  const checks: Check[] = [];
  if (subject.crimpsTerminal) {
    checks.push(TERMINAL_LOOK, tugCheck(subject.pullMinimumN));
    if (subject.limits)
      checks.push(
        resistanceCheck(
          subject.limits,
          'Resistance over the terminal',
          'Four leads, from the wire to the mating contact. A beeper says only "joined".',
        ),
      );
    checks.push(samplesCheck(subject.pullMinimumN));
  }
  if (subject.wireSeal) checks.push(SEAL_LOOK);
  if (subject.soldered) checks.push(SOLDER_LOOK);
  if (subject.seats && subject.inHousing) checks.push(SEAT_LOOK);
  checks.push(FUNCTION_LOOK);
  return checks;
}
