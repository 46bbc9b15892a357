import { figure } from '../units/index.ts';
import { judgeCompression } from './compression.ts';
import { judgeSamples } from './pull.ts';
import type { Check, Reading, ReadingValue, Ruling, Standing } from './types.ts';

/** A tug under this share of its target proves nothing. */
const ENOUGH_SHARE = 0.8;

const pass = (cause: string, watch = false, next = ''): Ruling => ({ verdict: 'pass', watch, cause, next });

function ruleTug(check: Extract<Check, { kind: 'tug' }>, value: Extract<ReadingValue, { kind: 'tug' }>): Ruling {
  const target = figure(check.targetN, 0);
  if (!value.held) {
    return {
      verdict: 'scrap',
      watch: false,
      cause: `It let go at ${figure(value.newtons, 0)} N; it must hold ${target} and ${check.minimumN} on a sample.`,
      next: 'Check die and strip, cut it out and make it again.',
    };
  }
  if (value.newtons < ENOUGH_SHARE * check.targetN) {
    return {
      verdict: 'open',
      watch: false,
      cause: `${figure(value.newtons, 0)} N proves nothing yet.`,
      next: `Pull to ${target} N.`,
    };
  }
  if (value.newtons > check.targetN * 1.05) {
    return pass(
      `Held ${figure(value.newtons, 0)} N, more than the ${target} that a joint in service should see.`,
      true,
      'Look at the crimp again.',
    );
  }
  return pass(`Held ${figure(value.newtons, 0)} N of ${target}.`);
}

function ruleResistance(check: Extract<Check, { kind: 'resistance' }>, milliohm: number): Ruling {
  const { goodMilliohm, alarmMilliohm, alarmFrom } = check.limits;
  const reads = `${figure(milliohm, 3)} mΩ`;
  const alarmed = alarmFrom === 'twice the wire' ? milliohm >= alarmMilliohm - 1e-12 : milliohm > alarmMilliohm + 1e-12;
  if (alarmed) {
    return {
      verdict: 'scrap',
      watch: false,
      cause: `${reads}: alarm ${alarmFrom === 'twice the wire' ? 'at' : 'above'} ${figure(alarmMilliohm, 3)} (${alarmFrom}). It runs hot and melts its neighbours.`,
      next: 'Measure once more with clean clips; if it stays, cut it out.',
    };
  }
  if (milliohm <= goodMilliohm + 1e-12)
    return pass(`${reads}, no more than the same length of wire (${figure(goodMilliohm, 3)}).`);
  return pass(
    `${reads}: above the wire's own ${figure(goodMilliohm, 3)}, under the alarm at ${figure(alarmMilliohm, 3)}.`,
    true,
    'Measure again when it is closed.',
  );
}

/**
 * The ruling on one reading: pass, rework or scrap with cause and next action, or `open` when it proves nothing yet.
 * @throws RangeError when the reading is of another kind than the check, names no answer, or is out of range
 */
export function rule(check: Check, value: ReadingValue): Ruling {
  if (check.kind !== value.kind)
    throw new RangeError(`${check.title} wants a ${check.kind} reading, not ${value.kind}.`);
  switch (value.kind) {
    case 'look': {
      const answers = check.kind === 'look' ? check.answers : [];
      const answer = answers.find((one) => one.value === value.answer);
      if (!answer)
        throw new RangeError(
          `${check.title} has no answer "${value.answer}": use ${answers.map((one) => one.value).join(', ')}.`,
        );
      return { verdict: answer.verdict, watch: answer.watch, cause: answer.cause, next: answer.next };
    }
    case 'tug':
      if (!(value.newtons >= 0)) throw new RangeError(`A tug of ${value.newtons} N cannot be: give 0 or more.`);
      return ruleTug(check as Extract<Check, { kind: 'tug' }>, value);
    case 'resistance':
      if (!(value.milliohm >= 0))
        throw new RangeError(`A resistance of ${value.milliohm} mΩ cannot be: give 0 or more.`);
      return ruleResistance(check as Extract<Check, { kind: 'resistance' }>, value.milliohm);
    case 'compression':
      if (!(value.share > 0 && value.share <= 1.5))
        throw new RangeError(`An area share of ${value.share} cannot be: it lies above 0 and up to 1.5.`);
      return judgeCompression(value.share);
    case 'samples': {
      const { verdict, watch, cause, next } = judgeSamples(
        value.newtons,
        (check as Extract<Check, { kind: 'samples' }>).minimumN,
      );
      return { verdict, watch, cause, next };
    }
  }
}

/** The last reading of each check decides: any rework or scrap fails the joint; all required ones passed proves it. */
export function standingOf(
  checks: readonly Check[],
  readings: readonly Reading[],
): { readonly standing: Standing; readonly rulings: ReadonlyMap<string, Ruling> } {
  const rulings = new Map<string, Ruling>();
  for (const check of checks) {
    const last = readings.filter((reading) => reading.checkId === check.id).at(-1);
    if (last && last.value.kind === check.kind) rulings.set(check.id, rule(check, last.value));
  }
  const failed = [...rulings.values()].some((ruling) => ruling.verdict === 'rework' || ruling.verdict === 'scrap');
  const proved = checks.every((check) => !check.required || rulings.get(check.id)?.verdict === 'pass');
  return { standing: failed ? 'failed' : proved ? 'passed' : 'unproved', rulings };
}
