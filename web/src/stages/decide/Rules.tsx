import clsx from 'clsx';
import { liftedAt } from '@mendum/core/approach';
import type { RuleHit } from '@mendum/core/method';
import { AnswerLink } from '../AnswerLink.tsx';
import { useOpenJob } from '../job.ts';

const VERDICT: Record<RuleHit['verdict'], { readonly word: string; readonly colour: string }> = {
  refuse: { word: '✕ refuses', colour: 'text-scrap' },
  shelf: { word: '○ not there', colour: 'text-rework' },
  warn: { word: '▲ warns', colour: 'text-rework' },
  require: { word: '● requires', colour: 'text-ink' },
  prefer: { word: '↑ decides', colour: 'text-pass' },
};

/** What every rule said, with its source and what would lift a refusal. */
export function Rules({ hits, findingId }: { readonly hits: readonly RuleHit[]; readonly findingId: string }) {
  const { findingOf } = useOpenJob();
  const finding = findingOf(findingId);
  if (hits.length === 0) return <p className="py-2 text-soft">No rule speaks against it, and none prefers it.</p>;
  return (
    <ul className="grid gap-2 py-2">
      {hits.map((hit) => (
        <li key={`${hit.ruleId} ${hit.because}`} className="grid gap-x-3 sm:grid-cols-[6.5rem_1fr]">
          <span className={clsx('font-semibold', VERDICT[hit.verdict].colour)}>{VERDICT[hit.verdict].word}</span>
          <span>
            {hit.because}
            {hit.allowedIf === undefined ? null : (
              <span className="text-soft">
                {' '}
                Allowed if {hit.allowedIf}. <AnswerLink at={liftedAt(hit.ruleId, finding)} />
              </span>
            )}
            <span className="block text-sm text-soft">
              Rule {hit.ruleId}: {hit.source}.
            </span>
          </span>
        </li>
      ))}
    </ul>
  );
}
