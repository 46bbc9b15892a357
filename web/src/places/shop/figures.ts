import { shortAcross, type JobStanding, type Short } from '@mendum/core/shop';
import type { ShopState } from '@mendum/core/operations';

/** What is counted of the shop, each with its list. */
export const SHOWN = {
  doubt: 'In doubt',
  parts: 'Waiting for parts',
  look: 'Waiting for a look',
  open: 'Open jobs',
  short: 'Short on the shelf',
  signed: 'Signed this week',
} as const;
export type Shown = keyof typeof SHOWN;
export const SHOWN_NAMES = Object.keys(SHOWN) as readonly Shown[];

/** What each figure means. */
export const MEANS: { readonly [S in Shown]: string } = {
  doubt: 'A question without an answer, or a reading that did not pass.',
  parts: 'The shelf has too little for it.',
  look: 'Everything is proved: look at it and sign.',
  open: 'Everything that is not signed.',
  short: 'The open jobs together take more than is there.',
  signed: 'Since Monday.',
};

/** Jobs by what they wait for, as far as they were looked at. */
export interface Waiting {
  readonly doubt: readonly JobStanding[];
  readonly parts: readonly JobStanding[];
  readonly look: readonly JobStanding[];
  readonly open: readonly JobStanding[];
  readonly short: readonly Short[];
}
export const waitingOf = (jobs: readonly JobStanding[]): Waiting => ({
  doubt: jobs.filter(({ doubts }) => doubts.length > 0),
  parts: jobs.filter(({ missing }) => missing.length > 0),
  look: jobs.filter(({ toSign }) => toSign),
  open: jobs,
  short: shortAcross(jobs),
});

export const countOf = (
  shown: Shown,
  waiting: Waiting,
  { open, signed }: Pick<ShopState, 'open' | 'signed'>,
): number => (shown === 'open' ? open : shown === 'signed' ? signed : waiting[shown].length);

/** Minutes as hours: "6.5 h"; less than one in minutes. */
export const hours = (minutes: number): string =>
  minutes < 60 ? `${Math.round(minutes)} min` : `${Math.round(minutes / 6) / 10} h`;

/** Hours of jobs of which something was ticked or read at two times at least, against what they are planned to take. */
export function hoursOf(jobs: readonly JobStanding[]): { readonly words: string; readonly left: number } | undefined {
  const timed = jobs.filter(({ workedMin }) => workedMin > 0);
  if (timed.length === 0) return undefined;
  const sum = (of: (job: JobStanding) => number): string => hours(timed.reduce((all, job) => all + of(job), 0));
  return {
    words: `${sum(({ workedMin }) => workedMin)} at them, ${sum(({ plannedMin }) => plannedMin)} planned`,
    left: jobs.length - timed.length,
  };
}
