import { figure } from '../../units/index.ts';
import { readingKind, type CheckBase } from '../kind.ts';
import { pass } from '../looks.ts';

type GrowthCheck = CheckBase;

/** A crimped terminal is longer than its twin by so much at most, share of the twin. Source: numbers, Acceptance. */
const GOOD = 0.01;
const MOST = 0.03;
const GRACE = 1e-9;
const length = { type: 'number', unit: 'mm', from: 0, fromIsAllowed: false, to: 200 } as const;

export const growth = readingKind({
  kind: 'growth',
  fields: {
    crimpedMm: { ...length, words: 'The length of the crimped one' },
    twinMm: { ...length, words: 'The length of an uncrimped one' },
  },
  rule: (_check: GrowthCheck, { crimpedMm, twinMm }) => {
    const share = crimpedMm / twinMm - 1;
    const reads = `${figure(crimpedMm, 2)} mm against ${figure(twinMm, 2)}, ${figure(100 * share, 1)} %`;
    if (share < -GOOD - GRACE)
      return {
        verdict: 'open',
        watch: false,
        cause: `${reads}: a crimp makes no terminal shorter.`,
        next: 'Measure both again, and see that they are of one part.',
      };
    if (share > MOST + GRACE)
      return {
        verdict: 'scrap',
        watch: false,
        cause: `${reads}: over 3 %, over-crimped.`,
        next: 'Change the setting before the next one. Cut it out and make it again.',
      };
    return share > GOOD + GRACE
      ? pass(`${reads}: over 1 %, the die closes far.`, true, 'Open the setting a little before the next one.')
      : pass(`${reads}: within 1 %.`);
  },
  words: ({ crimpedMm, twinMm }) => `${figure(crimpedMm, 2)} mm, uncrimped ${figure(twinMm, 2)}`,
});

/** How much longer a terminal has become, where somebody measures it. */
export const GROWTH_CHECK: GrowthCheck & { readonly kind: 'growth' } = {
  id: 'growth',
  kind: 'growth',
  required: false,
  title: 'Growth',
  how: 'A calliper over the whole terminal, and over an uncrimped one of the same part beside it.',
};
