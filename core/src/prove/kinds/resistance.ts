import { figure } from '../../units/index.ts';
import type { ResistanceLimits } from '../../wire/index.ts';
import { readingKind, type CheckBase } from '../kind.ts';
import { pass } from '../looks.ts';
import type { Ruling } from '../types.ts';

/** A resistance over a joint, measured with four leads. */
interface ResistanceCheck extends CheckBase {
  readonly limits: ResistanceLimits;
}

/** Twice the wire is an alarm itself, and so is what stands in for it; the other limits are passed before they are. */
const isAtLimit = (from: ResistanceLimits['alarmFrom']): boolean =>
  from === 'twice the wire' || from === 'twice the good contact' || from === 'the least that a shop meter shows';

/**
 * The ruling on a resistance over a joint, mΩ, however it was found out. Nothing at all is no reading: leads shorted,
 * wrong range, wrong place.
 * @param said how it was found, put before the figure
 */
export function ruleMilliohm(limits: ResistanceLimits, milliohm: number, said = ''): Ruling {
  const { goodMilliohm, alarmMilliohm, alarmFrom } = limits;
  const reads = `${said}${figure(milliohm, 3)} mΩ`;
  if (milliohm <= 0)
    return {
      verdict: 'open',
      watch: false,
      cause: `${reads}: too low to be true.`,
      next: 'Part the leads, check the range and the place, and read it again.',
    };
  const alarmed = isAtLimit(alarmFrom) ? milliohm >= alarmMilliohm - 1e-12 : milliohm > alarmMilliohm + 1e-12;
  if (alarmed)
    return {
      verdict: 'scrap',
      watch: false,
      cause: `${reads}: alarm ${isAtLimit(alarmFrom) ? 'at' : 'above'} ${figure(alarmMilliohm, 3)} (${alarmFrom}). It runs hot and melts its neighbours.`,
      next: 'Measure once more with clean clips; if it stays, cut it out.',
    };
  if (milliohm <= goodMilliohm + 1e-12) return pass(`${reads}: good up to ${figure(goodMilliohm, 3)}.`);
  return pass(
    `${reads}: above the good ${figure(goodMilliohm, 3)}, under the alarm at ${figure(alarmMilliohm, 3)}.`,
    true,
    'Measure again when it is closed.',
  );
}

export const resistance = readingKind({
  kind: 'resistance',
  fields: {
    milliohm: { type: 'number', words: 'A resistance', unit: 'mΩ', from: 0, fromIsAllowed: true, to: 1e6 },
  },
  rule: (check: ResistanceCheck, { milliohm }) => ruleMilliohm(check.limits, milliohm),
  words: ({ milliohm }) => `${figure(milliohm, 3)} mΩ`,
});

/** The resistance over a joint or a terminal. */
export const resistanceCheck = (
  limits: ResistanceLimits,
  title: string,
  how: string,
): ResistanceCheck & { readonly kind: 'resistance' } => ({
  id: 'resistance',
  kind: 'resistance',
  required: true,
  title,
  how,
  limits,
});

/**
 * The resistance from a wire to the mating contact, which holds a contact as well as a crimp: two readings that must
 * not be mixed up.
 */
export const contactCheck = (limits: ResistanceLimits): ResistanceCheck & { readonly kind: 'resistance' } => ({
  id: 'contact',
  kind: 'resistance',
  required: false,
  title: 'Resistance through the contact',
  how: 'Four leads, plugged or fastened, from the wire to the mating contact or the stud.',
  limits,
});
