import { isAtCavity, type Finding } from '../../damage/index.ts';

/** Slack of a wire between its fixed points, the run's ends; mm. */
export interface Slack {
  readonly mm: number;
  readonly known: boolean;
}

/**
 * One amount for all: the least that was measured along the run; what a tail gives at its cavity counts where nothing
 * else was measured.
 */
export function slackOf(findings: readonly Finding[]): Slack {
  const measured = (of: readonly Finding[]): number[] =>
    of.flatMap((one) => (one.slackMm === undefined ? [] : [one.slackMm]));
  const along = measured(findings.filter((one) => !isAtCavity(one)));
  const all = along.length > 0 ? along : measured(findings);
  return all.length > 0 ? { mm: Math.min(...all), known: true } : { mm: 0, known: false };
}
