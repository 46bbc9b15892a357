import type { CoverId, Way } from '@mendum/core/approach';
import { isAtCavity } from '@mendum/core/damage';
import type { MethodId } from '@mendum/core/family';
import type { FindingPlan } from '@mendum/core/plan';
import { AppError } from '../errors.ts';
import type { StoredJob } from '../jobs/store.ts';

/** What somebody wants to take for a finding against the ranking; null for what the ranking says. */
export interface Asked {
  readonly findingId: string;
  readonly use: MethodId | CoverId | Way | null;
  readonly terminal?: string | undefined;
}

/** Another terminal is taken for the way that stands, and only one that no rule refuses. */
export function checkTerminal(finding: FindingPlan, use: string | null, terminal: string): void {
  const ranked = finding.cavity?.work.terminals.find(({ id: one }) => one === terminal);
  if (use !== finding.approach || !ranked?.part)
    throw new AppError('BAD_INPUT', `"${terminal}" is not a terminal of this end.`, {
      field: '/terminal',
      hint: 'Take one of its ranking.',
    });
  if (ranked.status === 'refused')
    throw new AppError(
      'BAD_INPUT',
      `"${ranked.name}" cannot be used here, with or without a reason: ${ranked.because}`,
      { field: '/terminal', hint: 'Change what the rule looks at, or take another terminal.' },
    );
}

/** A method, cover or way is taken only from the ranking of its finding, and only one that a reason may take. */
export function checkUse(stored: StoredJob, finding: FindingPlan, use: MethodId | CoverId | Way): void {
  const method = finding.ranked.find((one) => one.methodId === use);
  const cover = finding.covers.find((one) => one.coverId === use);
  const source = stored.job.findings.find((one) => one.id === finding.findingId);
  const way = source && isAtCavity(source) ? finding.ways.find((one) => one.way === use) : undefined;
  const allowed =
    way && !method && !cover
      ? way.status !== 'refused'
      : method
        ? method.status === 'allowed' || method.usableWithReason
        : cover !== undefined && cover.status !== 'refused';
  if (allowed) return;
  const because = method?.because ?? cover?.because ?? way?.because ?? 'It is not in the ranking of this finding.';
  throw new AppError(
    'BAD_INPUT',
    `"${method?.name ?? cover?.name ?? use}" cannot be used here, with or without a reason: ${because}`,
    { field: '/use', hint: 'Change what the rule looks at, or choose another method.' },
  );
}
