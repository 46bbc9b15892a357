import { lazy, Suspense, useState } from 'react';
import clsx from 'clsx';
import type { CoverId } from '@mendum/core/approach';
import type { MethodId } from '@mendum/core/family';
import { failedBefore } from '@mendum/core/damage';
import type { MethodStatus, RuleHit } from '@mendum/core/method';
import type { FindingPlan } from '@mendum/core/plan';
import { Button } from '../../ui/button.tsx';
import { useOpenJob } from '../job.ts';
import { Rules } from './Rules.tsx';
import { UseInstead } from './UseInstead.tsx';

/** Two side by side: only once that is asked for. */
const Compare = lazy(async () => ({ default: (await import('./Compare.tsx')).Compare }));

/** One line of the ranking, whether a method or a cover. */
interface Line {
  readonly id: MethodId | CoverId;
  readonly name: string;
  readonly status: MethodStatus;
  readonly because: string;
  readonly hits: readonly RuleHit[];
  readonly usable: boolean;
  readonly splices?: number;
}

const linesOf = (finding: FindingPlan): Line[] => [
  ...finding.covers.map((cover) => ({
    id: cover.coverId,
    name: cover.name,
    status: cover.status,
    because: cover.because,
    hits: cover.hits,
    usable: cover.status !== 'refused',
  })),
  ...finding.ranked.map((method) => ({
    id: method.methodId,
    name: method.name,
    status: method.status,
    because: method.because,
    hits: method.hits,
    usable: method.status === 'allowed' || method.usableWithReason,
    splices: method.splices,
  })),
];

/** Refused methods are folded away beyond this many lines. */
const SHOWN_AT_FIRST = 6;

/**
 * Every method, ranked, the refused ones too: why it stands where it stands, the rules that spoke, and "use this
 * instead".
 */
export function Ranking({ finding }: { readonly finding: FindingPlan }) {
  const { locked, findingOf, view } = useOpenJob();
  const failed = new Set(failedBefore(findingOf(finding.findingId), view.job).map(({ repair }) => repair.method));
  const [open, setOpen] = useState<string>();
  const [instead, setInstead] = useState<Line>();
  const [against, setAgainst] = useState<MethodId>();
  const [all, setAll] = useState(false);
  const lines = linesOf(finding);
  if (lines.length === 0) return null;
  const allowed = lines.filter((line) => line.status === 'allowed');
  const shown = all
    ? lines
    : lines.filter((line, index) => line.status !== 'refused' || line.id === finding.chosen || index < SHOWN_AT_FIRST);
  const first = finding.ranked.find((method) => method.methodId === finding.chosen) ?? finding.ranked[0];
  return (
    <section aria-label="Every method, ranked">
      <h3 className="text-xl font-semibold">Methods, ranked</h3>
      <ol className="mt-1 border-t border-ink">
        {shown.map((line) => {
          const chosen = line.id === finding.chosen;
          const place = allowed.indexOf(line);
          return (
            <li key={line.id} className="border-b border-rule py-1.5">
              <div className="grid items-center gap-x-4 sm:grid-cols-[210px_1fr_auto]">
                <div className={clsx(line.status === 'refused' && !chosen && 'text-soft')}>
                  <p className="font-semibold">{line.name}</p>
                  {chosen ? (
                    <p className="font-semibold text-pass">✓ chosen{finding.chosenBy ? ' by hand' : ''}</p>
                  ) : line.status === 'refused' ? (
                    <p className="text-scrap">✕ refused</p>
                  ) : line.status === 'shelf' ? (
                    <p className="text-rework">○ not on the shelf</p>
                  ) : (
                    <span
                      aria-hidden
                      className="mt-1 block h-1.5 rounded-sm bg-copper/60"
                      style={{ width: `${Math.max(20, 80 - place * 15)}%` }}
                    />
                  )}
                </div>
                <p className={clsx(line.status === 'refused' && 'text-soft')}>
                  {failed.has(line.name) ? <b className="text-rework">▲ Failed here before. </b> : null}
                  {line.because === '' ? 'Allowed.' : line.because}
                </p>
                <div className="flex items-center">
                  <Button
                    look="quiet"
                    aria-expanded={open === line.id}
                    onClick={() => setOpen(open === line.id ? undefined : line.id)}
                  >
                    Rules
                  </Button>
                  {line.splices !== undefined && first && line.id !== first.methodId ? (
                    <Button look="quiet" onClick={() => setAgainst(line.id as MethodId)}>
                      Compare
                    </Button>
                  ) : null}
                  {!locked && !chosen && line.usable ? (
                    <Button look="quiet" onClick={() => setInstead(line)}>
                      Use instead
                    </Button>
                  ) : null}
                </div>
              </div>
              {open === line.id ? <Rules hits={line.hits} findingId={finding.findingId} /> : null}
            </li>
          );
        })}
      </ol>
      {shown.length < lines.length ? (
        <Button look="quiet" onClick={() => setAll(true)}>
          Show {lines.length - shown.length} more that are refused
        </Button>
      ) : null}
      {against !== undefined && first ? (
        <Suspense fallback={null}>
          <Compare finding={finding} a={first.methodId} b={against} onClose={() => setAgainst(undefined)} />
        </Suspense>
      ) : null}
      {instead ? (
        <UseInstead
          findingId={finding.findingId}
          use={instead.id}
          name={instead.name}
          because={instead.because}
          onClose={() => setInstead(undefined)}
        />
      ) : null}
    </section>
  );
}
