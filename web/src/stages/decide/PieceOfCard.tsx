import clsx from 'clsx';
import type { FindingPlan } from '@mendum/core/plan';
import { useOpenJob } from '../job.ts';
import { piecesWords } from './CardList.tsx';

/**
 * The connector that a finding belongs to, where it is replaced whole: one piece of work, and a key for each of its
 * circuits.
 */
export function PieceOfCard({ finding }: { readonly finding: FindingPlan }) {
  const { plan, select, circuitOf } = useOpenJob();
  const piece = plan.pieces.find((one) => one.findingIds.includes(finding.findingId));
  if (!piece) return null;
  const members = plan.findings.filter((one) => piece.findingIds.includes(one.findingId));
  return (
    <section aria-label={`Connector ${piece.nodeName}`} className="mb-4 border-b border-rule pb-3">
      <p className="text-xl font-semibold">
        Connector {piece.nodeName}: {piecesWords(members)}; {members.length}{' '}
        {members.length === 1 ? 'circuit' : 'circuits'}, one piece of work
      </p>
      <ul className="mt-2 flex flex-wrap gap-2">
        {members.map((one) => {
          const on = one.findingId === finding.findingId;
          return (
            <li key={one.findingId}>
              <button
                type="button"
                aria-pressed={on}
                onClick={() => select(one.findingId)}
                className={clsx(
                  'min-h-11 min-w-11 rounded-sm border px-3 text-lg',
                  on ? 'border-copper bg-wash font-semibold' : 'border-rule hover:bg-sheet',
                )}
              >
                <span className="figure">{circuitOf(one.circuitId).number}</span>{' '}
                <span className="text-soft">{circuitOf(one.circuitId).function}</span>
                {one.asks.length === 0 ? null : <span className="text-rework"> ▲</span>}
              </button>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
