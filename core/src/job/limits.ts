import type { JobProblem } from './problem.ts';
import type { Job } from './types.ts';

/** The most that a job may hold of something, and why not more. */
interface Limit {
  readonly most: number;
  readonly words: string;
  readonly because: string;
  readonly hint: string;
}
const limit = (most: number, words: string, because: string, hint: string): Limit => ({ most, words, because, hint });

/**
 * How large a job may be, in one place. Source: our own runs on two cores; 2,000 findings are planned in some 8 s, a
 * job of 5,000 circuits is read in about one.
 */
export const LIMITS = {
  circuits: limit(5000, 'circuits', 'a harness with more is several', 'Describe it as several harnesses.'),
  nodes: limit(5000, 'connectors and ends', 'a harness with more is several', 'Describe it as several harnesses.'),
  runs: limit(500, 'runs', 'nobody finds a place on a drawing of more', 'Describe it as several harnesses.'),
  findings: limit(
    2000,
    'findings',
    'more would keep whoever plans them waiting for longer than a few seconds',
    'Split the job, the circuits of one connector together.',
  ),
} as const;

const grouped = (value: number): string => value.toLocaleString('en-GB');

/** What of a job is beyond what may be planned; lengths are held to their limit field by field. */
export function checkLimits({ harness, findings }: Pick<Job, 'harness' | 'findings'>): JobProblem[] {
  const { circuits, nodes, runs } = harness;
  const counted = [
    [LIMITS.circuits, circuits, '/harness/circuits'],
    [LIMITS.nodes, nodes, '/harness/nodes'],
    [LIMITS.runs, runs, '/harness/runs'],
    [LIMITS.findings, findings, '/findings'],
  ] as const;
  return counted.flatMap(([{ most, words, because, hint }, list, pointer]) =>
    list.length <= most
      ? []
      : [
          {
            code: 'TOO_MANY',
            pointer,
            message: `${grouped(list.length)} ${words}: ${grouped(most)} at most, since ${because}.`,
            hint,
          },
        ],
  );
}
