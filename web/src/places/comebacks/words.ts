import type { Compared, Counted, RateLine } from '@mendum/core/comeback';
import { failureInWords } from '@mendum/core/damage';

/** What is counted of repairs. */
export const MEASURES = { back: 'Came back', again: 'Made again before signing', repairs: 'Repairs' } as const;
export type Measure = keyof typeof MEASURES;

/** Of places the question is where repairs gather; of all else, what comes back. */
export const usualMeasure = (by: Compared): Measure => (by === 'place' ? 'repairs' : 'back');

export const percent = (share: number): string => `${Math.round(share * 100)} %`;

/** "42 % (26–59)"; nothing of too few. */
export const shareWords = ({ share }: Counted): string | undefined =>
  share && `${percent(share.share)} (${Math.round(share.low * 100)}–${Math.round(share.high * 100)})`;

/** Why they failed, the most frequent first: "it cracked 11, water got in 2". */
export const whyWords = ({ whys }: Pick<RateLine, 'whys'>): string =>
  whys.map(({ why, count }) => `${failureInWords(why === 'unknown' ? undefined : why)} ${count}`).join(', ');

/** Where the records of a line are listed: of a place those of its harness and run. */
export function recordsOf(name: string, by: Compared): string {
  const words = by === 'place' ? name.split(', ').slice(1).join(' ') : name;
  const search = words
    .replace(/[,():;]/g, ' ')
    .replace(/\s+/g, ' ')
    .trim();
  return `/due?${new URLSearchParams({ show: 'records', search }).toString()}`;
}
