import { figure } from '../../units/index.ts';
import type { BetweenProbes, ResistanceLimits } from '../../wire/index.ts';
import { readingKind, type CheckBase } from '../kind.ts';
import type { Ruling } from '../types.ts';
import { besideMilliohm, PROBES_FIELD, probesWords, ruleMilliohm, type ProbedCheck } from './resistance.ts';

/** A voltage drop over one joint at a stated current. */
interface DropCheck extends CheckBase, ProbedCheck {
  readonly limits: ResistanceLimits;
  readonly loadA?: number | undefined;
}

/** A drop says something from this share of the load on. Source: numbers, Current. */
const ENOUGH_SHARE = 1 / 5;

/** What a current under a fifth of a known load is: it proves nothing. */
export function tooLittle(ampere: number, loadA: number | undefined): Ruling | undefined {
  const least = loadA === undefined ? undefined : loadA * ENOUGH_SHARE;
  if (least === undefined || ampere >= least - 1e-12) return undefined;
  return {
    verdict: 'open',
    watch: false,
    cause: `At ${figure(ampere, 2)} A it proves nothing: the load is ${figure(loadA ?? 0, 2)} A.`,
    next: `Read it again at ${figure(least, 2)} A or more.`,
  };
}

/** What a drop is read as: millivolt at ampere. */
export const DROP_FIELDS = {
  millivolt: { type: 'number', words: 'A drop', unit: 'mV', from: 0, fromIsAllowed: true, to: 100_000 },
  ampere: { type: 'number', words: 'A current', unit: 'A', from: 0, fromIsAllowed: false, to: 5000 },
} as const;

/** mΩ of a drop: mV ÷ A. */
export const dropMilliohm = (millivolt: number, ampere: number): number => millivolt / ampere;

export const drop = readingKind({
  kind: 'drop',
  fields: { ...DROP_FIELDS, probesMm: PROBES_FIELD },
  rule: (check: DropCheck, { millivolt, ampere, probesMm }) =>
    tooLittle(ampere, check.loadA) ??
    ruleMilliohm(
      check.limits,
      dropMilliohm(millivolt, ampere),
      `${figure(millivolt, 2)} mV at ${figure(ampere, 2)} A, `,
      besideMilliohm(check, probesMm),
    ),
  words: ({ millivolt, ampere, probesMm }) =>
    `${figure(millivolt, 2)} mV at ${figure(ampere, 2)} A (${figure(dropMilliohm(millivolt, ampere), 3)} mΩ)${probesWords(probesMm)}`,
});

/** The drop over a joint or a terminal. @param loadA the circuit's load, A, where it is known */
export const dropCheck = (
  limits: ResistanceLimits,
  loadA: number | undefined,
  between?: BetweenProbes,
): DropCheck & { readonly kind: 'drop' } => ({
  id: 'drop',
  kind: 'drop',
  required: false,
  title: 'Voltage drop over the joint',
  how: 'Millivolts across the joint alone while a known current flows: a lamp or the load itself will do.',
  limits,
  ...(loadA === undefined ? {} : { loadA }),
  ...(between ? { between } : {}),
});
