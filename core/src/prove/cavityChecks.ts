import { bad, CUT_OUT, good, look } from './looks.ts';
import type { BetweenProbes, ResistanceLimits } from '../wire/index.ts';
import type { Check } from './check.ts';
import type { MeasuredPath } from './kinds/path.ts';
import { measuredChecks, type Proving } from './needs.ts';
import type { SealKind } from './proof.ts';
import { HAND_LOOK } from './handLook.ts';
import { SEAL_LOOKS } from './sealLooks.ts';
import { contactCheck, resistanceCheck } from './kinds/resistance.ts';
import { samplesCheck } from './kinds/samples.ts';
import { tugCheck } from './kinds/tug.ts';

/** What is looked at and measured on work at a cavity. */
export interface ProvableAtCavity {
  /** A terminal goes onto the wire: how it is held, what is looked at, and what it may read. */
  readonly terminal?:
    | {
        readonly attach: 'crimp' | 'solder';
        readonly looks: readonly Check[];
        /** A hand says something: heavy dies are judged by their own mark. */
        readonly isTugged: boolean;
        /** It is crimped by a tool without a ratchet. */
        readonly byHand: boolean;
        /** A wire seal in its cavity, or glue and tape round its barrel. */
        readonly seal: 'wireSeal' | SealKind;
        /** From the wire to its own body; and to the mating contact, where that can be measured. */
        readonly limits: ResistanceLimits;
        readonly contact?: ResistanceLimits | undefined;
        /** The wire between probes beside it. */
        readonly between?: BetweenProbes | undefined;
      }
    | undefined;
  readonly inHousing: boolean;
  /** A wire seal is put back, with no terminal crimped. */
  readonly wireSeal: boolean;
  readonly seats: boolean;
  readonly soldered: boolean;
  /** The end of a cable is closed with it. */
  readonly endsCable?: boolean;
  readonly pullMinimumN: number;
  /** What its circuit asks for; a feed's, where nothing is said. */
  readonly proving?: Proving | undefined;
  /** Its load where it is known, A; and its copper, mm². */
  readonly loadA?: number | undefined;
  readonly copperMm2?: number | undefined;
  /** The wire from terminal to terminal that it ends. */
  readonly path?: MeasuredPath | undefined;
}

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
    'Free it and move it before anything is powered.',
  ),
]);
const BOOT_LOOK = look('cavity.boot', 'Cable’s end', 'Sleeve or boot over jacket and back cap; then pull the cable.', [
  good('Jacket and cap both held, glue or lip all round, the terminals do not move when the cable is pulled'),
  bad(
    'rework',
    'short',
    'Off the jacket, or off the cap',
    'Slid while it shrank, or cut too short.',
    'New sleeve, centred on the gap.',
  ),
  bad(
    'rework',
    'open',
    'No glue at an end',
    'Too cold there, or too wide for it.',
    'Warm that end again; still open: the next size.',
  ),
]);
const SEAL_LOOK = look('cavity.seal', 'Wire seal', 'At the back of the connector.', [
  good('In its cavity all round, neck under the jacket crimp'),
  bad('rework', 'rolled', 'Rolled, cut or missing', 'Slid over a sharp edge.', 'New seal, which means a new terminal.'),
]);
const SOLDERED_LOOK = look('terminal.solder', 'Soldered terminal', 'Before it is sealed.', [
  good('Wet all round, strands seen in outline, jacket clear of the solder'),
  bad('scrap', 'cold', 'Grainy, cracked, or a blob', 'It moved, or was not hot enough.', CUT_OUT),
  bad('scrap', 'wicked', 'Solder under the jacket', 'Too long under the iron.', CUT_OUT),
]);
const SOLDER_LOOK = look('pin.solder', 'Solder and potting', 'Before and after potting.', [
  good('Wet 2–3 mm, outline of strands visible; the back held fast and potted, nothing moves'),
  bad('scrap', 'thick', 'Too thick for its cavity', 'Wetted too far.', 'New pin: draw the solder off and wet 2–3 mm.'),
  bad('rework', 'moves', 'Something moves', 'Not held before potting.', 'Tie the wire back and pot again.'),
]);
/** The look that speaks for every function of a connector at once. */
export const EVERY_FUNCTION = 'cavity.function';
const functionLook = (inHousing: boolean) =>
  look(
    EVERY_FUNCTION,
    inHousing ? 'Every function of the connector' : 'Every function at this end',
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
  const { terminal, pullMinimumN } = subject;
  if (terminal) {
    checks.push(...(terminal.attach === 'solder' ? [SOLDERED_LOOK] : terminal.looks));
    if (terminal.isTugged) checks.push(tugCheck(pullMinimumN));
    if (terminal.byHand) checks.push(HAND_LOOK);
    checks.push(
      ...measuredChecks(subject.proving ?? 'measured', {
        resistance: resistanceCheck(
          terminal.limits,
          'Resistance of the crimp',
          'Four leads, from the wire to the terminal’s own body beside the crimp. A beeper says only "joined".',
          terminal.between,
        ),
        limits: terminal.limits,
        between: terminal.between,
        path: subject.path,
        copperMm2: subject.copperMm2,
        loadA: subject.loadA,
        crimpedMm2: terminal.attach === 'crimp' ? subject.copperMm2 : undefined,
      }),
    );
    if (terminal.contact) checks.push(contactCheck(terminal.contact, terminal.between));
    if (terminal.seal !== 'wireSeal') checks.push(...SEAL_LOOKS[terminal.seal]);
    checks.push(samplesCheck(pullMinimumN));
  }
  if (subject.wireSeal || terminal?.seal === 'wireSeal') checks.push(SEAL_LOOK);
  if (subject.soldered) checks.push(SOLDER_LOOK);
  if (subject.seats && subject.inHousing) checks.push(SEAT_LOOK);
  if (subject.endsCable) checks.push(BOOT_LOOK);
  checks.push(functionLook(subject.inHousing));
  return checks;
}
