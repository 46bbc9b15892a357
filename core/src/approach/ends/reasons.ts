import type { BookEntry } from '../../method/index.ts';
import { END_PREFERENCES } from './order.ts';
import { END_RULES } from './rules.ts';

type Reason = Pick<BookEntry, 'title' | 'because' | 'otherSide'>;

const reason = (title: string, because: string, otherSide = ''): Reason => ({ title, because, otherSide });

/** Why each rule about terminals stands; what is said of splices too stands in their book. */
const REASONS: Readonly<Record<string, Reason>> = {
  'end.use': reason(
    'A terminal for something else',
    'A fork slides off a ground stud, and a ring does not go on a relay tab.',
  ),
  'end.solid': reason('Solid wire where it does not hold', 'It springs back under the crimp and works loose.'),
  'end.amps': reason(
    'More amps than the terminal carries',
    'It heats, its spring goes soft, and it heats more.',
    'A short peak does it no harm.',
  ),
  'end.sealMissing': reason(
    'A terminal in damp or wet without a seal',
    'Water wicks up the strands and eats them under the jacket.',
    'Grease keeps most of it out.',
  ),
  'end.soldered': reason(
    'Solder where the terminal does not take it',
    'Solder stiffens a contact, melts a collar and softens under a screw.',
    'Fed full, it carries more than a crimp.',
  ),
  'end.foldMissing': reason('Thin or solid copper that cannot be doubled', 'The barrel may close short of it.'),
  'end.solidShaking': reason('Solid wire in a shaking run', 'It hardens as it bends, and breaks at the barrel.'),
  'end.open': reason('A contact open to the wet', 'The barrel is sealed, the contact is not.'),
  'end.mateFirst': reason(
    'A size that the other half decides',
    'Two sizes look alike, and one holds by its collar only.',
  ),
  'end.screwShaking': reason('A fork in a shaking run', 'It slides out once its screw works loose.'),
  'end.stack': reason(
    'Too many terminals under one nut',
    'The stack settles, the nut loosens, and every circuit of it goes bad at once.',
    'Some makers stack more.',
  ),
  'end.noGrip': reason('Nothing grips the jacket in a shaking run', 'The strands take all the movement.'),
  'end.madeFor': reason('Terminal made for the use first', 'It goes on, stays on and comes off as the end wants it.'),
  'end.crimped': reason(
    'Crimped before soldered',
    'Nothing wicks, nothing melts.',
    'A soldered end cannot be under-crimped.',
  ),
  'end.builtInSeal': reason(
    'Seal built in first',
    'No sleeve to forget or to slide on too late.',
    'A sleeve is cheaper.',
  ),
  'end.unfolded': reason('Copper as it is before copper doubled', 'A fold is one more thing to get wrong.'),
  'end.lowestLimit': reason('Nearest upper limit first', 'The crimp closes tighter on the copper.'),
  'end.ratchet': reason('Tool with a ratchet first', 'It does not let go before the crimp is closed.'),
  'end.fewerSteps': reason('Fewer steps first', 'Each step is a place for a mistake.'),
  'end.shorterStrip': reason(
    'Shorter strip first',
    'It goes home in a shallow clamp too.',
    'A deep clamp wants the long one.',
  ),
  'end.moreInStock': reason('More on the shelf first', 'The last one of its sort stays for the next job.'),
};

/** The rules about terminals and the order of the allowed, as a shop reads them. None is switched off by itself. */
export const endBook = (): BookEntry[] => [
  ...END_RULES.flatMap(({ id, subject, verdict, source, allowedIf }): BookEntry[] => {
    const why = REASONS[id];
    return why ? [{ id, subject, verdict, source, allowedIf, switchable: false, ...why }] : [];
  }),
  ...END_PREFERENCES.flatMap(({ id, subject, source }): BookEntry[] => {
    const why = REASONS[id];
    return why ? [{ id, subject, verdict: 'prefer', source, switchable: false, ...why }] : [];
  }),
];
