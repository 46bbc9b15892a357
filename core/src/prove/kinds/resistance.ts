import { figure } from '../../units/index.ts';
import { LEAST_TRUE_SHARE, outsideMilliohm, type BetweenProbes, type ResistanceLimits } from '../../wire/index.ts';
import { readingKind, type CheckBase } from '../kind.ts';
import { pass } from '../looks.ts';
import type { Ruling } from '../types.ts';

/** A resistance over a joint, measured with four leads. */
interface ResistanceCheck extends CheckBase, ProbedCheck {
  readonly limits: ResistanceLimits;
}

/** A joint that is read between two probes, which may stand on the wire beside it. */
export interface ProbedCheck {
  readonly between?: BetweenProbes | undefined;
}

/** How far apart the probes stood, where they did not stand beside the joint. */
export const PROBES_FIELD = {
  type: 'number',
  words: 'A distance between the probes',
  unit: 'mm',
  from: 0,
  fromIsAllowed: false,
  to: 20_000,
  isOptional: true,
} as const;

/** What the bare wire between the probes has besides the joint, mΩ. */
export const besideMilliohm = ({ between }: ProbedCheck, probesMm: number | undefined): number =>
  between === undefined || probesMm === undefined ? 0 : outsideMilliohm(between, probesMm);

/** How far apart the probes stood, as it is written behind a figure. */
export const probesWords = (probesMm: number | undefined): string =>
  probesMm === undefined ? '' : `, probes ${figure(probesMm, 0)} mm apart`;

/** Twice the wire is an alarm itself, and so is what stands in for it; the other limits are passed before they are. */
const isAtLimit = (from: ResistanceLimits['alarmFrom']): boolean =>
  from === 'twice the wire' || from === 'twice the good contact' || from === 'the least that a shop meter shows';

/**
 * What is too low to be true: nothing at all, or less than the bare wire between the probes alone must have. Leads
 * shorted, wrong range, wrong place.
 * @param wireMilliohm what that wire has at 20 °C, mΩ
 */
export function tooLow(reads: string, milliohm: number, wireMilliohm: number): Ruling | undefined {
  if (milliohm > 0 && milliohm >= LEAST_TRUE_SHARE * wireMilliohm - 1e-12) return undefined;
  const why =
    milliohm > 0 ? `, the wire between the probes alone has ${figure(wireMilliohm, wireMilliohm < 1 ? 3 : 1)} mΩ` : '';
  return {
    verdict: 'open',
    watch: false,
    cause: `${reads}: too low to be true${why}.`,
    next: 'Part the leads, check the range and the place, and read it again.',
  };
}

/**
 * The ruling on a resistance over a joint, mΩ, however it was found out.
 * @param said how it was found, put before the figure
 * @param wireMilliohm what the bare wire between the probes has besides the joint, which is taken off; mΩ
 */
export function ruleMilliohm(limits: ResistanceLimits, readMilliohm: number, said = '', wireMilliohm = 0): Ruling {
  const { goodMilliohm, alarmMilliohm, alarmFrom } = limits;
  const milliohm = Math.max(0, readMilliohm - wireMilliohm);
  const reads =
    wireMilliohm > 0
      ? `${said}${figure(readMilliohm, 3)} mΩ, ${figure(milliohm, 3)} without the wire beside it`
      : `${said}${figure(readMilliohm, 3)} mΩ`;
  const low = tooLow(reads, readMilliohm, wireMilliohm);
  if (low) return low;
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
    probesMm: PROBES_FIELD,
  },
  rule: (check: ResistanceCheck, { milliohm, probesMm }) =>
    ruleMilliohm(check.limits, milliohm, '', besideMilliohm(check, probesMm)),
  words: ({ milliohm, probesMm }) => `${figure(milliohm, 3)} mΩ${probesWords(probesMm)}`,
});

/** The resistance over a joint or a terminal. */
export const resistanceCheck = (
  limits: ResistanceLimits,
  title: string,
  how: string,
  between?: BetweenProbes,
): ResistanceCheck & { readonly kind: 'resistance' } => ({
  id: 'resistance',
  kind: 'resistance',
  required: true,
  title,
  how,
  limits,
  ...(between ? { between } : {}),
});

/**
 * The resistance from a wire to the mating contact, which holds a contact as well as a crimp: two readings that must
 * not be mixed up.
 */
export const contactCheck = (
  limits: ResistanceLimits,
  between?: BetweenProbes,
): ResistanceCheck & { readonly kind: 'resistance' } => ({
  id: 'contact',
  kind: 'resistance',
  required: false,
  title: 'Resistance through the contact',
  how: 'Four leads, plugged or fastened, from the wire to the mating contact or the stud.',
  limits,
  ...(between ? { between } : {}),
});
