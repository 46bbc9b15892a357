import { figure } from '../../units/index.ts';
import { readingKind, type CheckBase } from '../kind.ts';
import type { Ruling } from '../types.ts';

/**
 * Rules on a conductor crimp by copper area after ÷ before: 0.80–0.90 good; 0.75–0.80 and 0.90–0.95 warning; above 0.95
 * loose: cut off; below 0.75 over-crimped: scrap. A limit belongs to the better class.
 * @param share > 0
 */
export function judgeCompression(share: number): Ruling {
  const words = `copper pressed to ${figure(share)} of its area`;
  if (share < 0.75)
    return {
      verdict: 'scrap',
      watch: false,
      cause: `Over-crimped: ${words}, under 0.75.`,
      next: 'Cut it out; open the setting before the next one.',
    };
  if (share > 0.95)
    return {
      verdict: 'scrap',
      watch: false,
      cause: `Loose: ${words}, over 0.95.`,
      next: 'Cut it off; take the right die or close the setting.',
    };
  if (share >= 0.8 && share <= 0.9) return { verdict: 'pass', watch: false, cause: `Good: ${words}.`, next: '' };
  return {
    verdict: 'pass',
    watch: true,
    cause: `Near a limit: ${words}; 0.80 to 0.90 is good.`,
    next: 'Check the setting before the next one.',
  };
}

export const compression = readingKind({
  kind: 'compression',
  fields: { share: { type: 'number', words: 'An area share', unit: '', from: 0, fromIsAllowed: false, to: 1.5 } },
  rule: (_check: CheckBase, { share }) => judgeCompression(share),
  words: ({ share }) => figure(share),
});

/** Copper area after crimping, share of before, where somebody cuts a sample. */
export const COMPRESSION_CHECK: CheckBase & { readonly kind: 'compression' } = {
  id: 'compression',
  kind: 'compression',
  required: false,
  title: 'Copper area after crimping, share of before',
  how: 'From a cut sample under the magnifier.',
};
