import type { JobStanding } from './types.ts';

/** A thing of which the open jobs together take more than there is. */
export interface Short {
  readonly id: string;
  readonly name: string;
  readonly unit: string;
  readonly need: number;
  readonly have: number;
  /** One job alone takes more than there is; of wire, it has no piece that is long enough. */
  readonly short: boolean;
  /** The jobs that take it. */
  readonly jobs: readonly { readonly jobId: string; readonly number: string; readonly need: number }[];
}

/** One of these does for many jobs: they are not counted together. */
const SHARED_UNITS: readonly string[] = ['roll', 'reel'];

/**
 * What is short when all jobs are counted together: each may find the last stick for itself, and there is one stick.
 * The largest lack goes first, as a share of what is needed.
 */
export function shortAcross(jobs: readonly Pick<JobStanding, 'jobId' | 'number' | 'needs'>[]): Short[] {
  const all = new Map<string, Short>();
  for (const { jobId, number, needs } of jobs) {
    for (const { id, name, unit, need, have, short } of needs) {
      const known = all.get(id) ?? { id, name, unit, need: 0, have, short, jobs: [] };
      all.set(id, {
        ...known,
        need: SHARED_UNITS.includes(unit) ? Math.max(known.need, need) : known.need + need,
        short: known.short || short,
        // Read one after the other, the shelf may have changed in between: the less counts.
        have: Math.min(known.have, have),
        jobs: [...known.jobs, { jobId, number, need }],
      });
    }
  }
  const lack = ({ need, have }: Short): number => Math.max(0, need - have) / need;
  return [...all.values()]
    .filter(({ need, have, short }) => short || need > have)
    .sort((a, b) => lack(b) - lack(a) || (a.name < b.name ? -1 : 1));
}
