import { useState } from 'react';
import clsx from 'clsx';
import { liftedAt, WAY_WORDS, type RankedWay } from '@mendum/core/approach';
import { isAtCavity } from '@mendum/core/damage';
import type { FindingPlan } from '@mendum/core/plan';
import { AnswerLink } from '../AnswerLink.tsx';
import { Button } from '../../ui/button.tsx';
import { Figure } from '../../ui/units.tsx';
import { useOpenJob } from '../job.ts';
import { UseInstead } from './UseInstead.tsx';

const STATUS: Record<RankedWay['status'], { readonly word: string; readonly colour: string }> = {
  allowed: { word: '✓ possible', colour: 'text-pass' },
  shelf: { word: '○ to be ordered', colour: 'text-rework' },
  refused: { word: '✕ refused', colour: 'text-scrap' },
};

/** Every way of mending it, in the order in which a master tries them: possible or not, why, and what it costs. */
export function Ways({ finding }: { readonly finding: FindingPlan }) {
  const { locked, findingOf } = useOpenJob();
  const [instead, setInstead] = useState<RankedWay>();
  if (finding.ways.length === 0) return null;
  const found = findingOf(finding.findingId);
  const changeable = isAtCavity(found);
  return (
    <section aria-label="Every way of mending it">
      <h3 className="text-xl font-semibold">Ways of mending it</h3>
      <ol className="mt-1 border-t border-ink">
        {finding.ways.map((way) => {
          const chosen = way.way === finding.approach;
          return (
            <li
              key={way.way}
              className="grid items-center gap-x-4 border-b border-rule py-1.5 sm:grid-cols-[210px_1fr_auto]"
            >
              <div>
                <p className={clsx('font-semibold', way.status === 'refused' && 'text-soft')}>{WAY_WORDS[way.way]}</p>
                <p className={clsx('font-semibold', chosen ? 'text-pass' : STATUS[way.status].colour)}>
                  {chosen ? '✓ chosen' : STATUS[way.status].word}
                </p>
              </div>
              <div>
                <p className={clsx(way.status === 'refused' && 'text-soft')}>
                  {way.because}
                  {way.status === 'refused' && way.allowedIf !== undefined ? (
                    <span className="text-soft">
                      {' '}
                      Possible if {way.allowedIf}. <AnswerLink at={liftedAt(way.ruleId, found)} />
                    </span>
                  ) : null}
                </p>
                <p className="text-soft">
                  <Figure value={String(way.cost.splices)} unit={way.cost.splices === 1 ? 'splice' : 'splices'} /> ·{' '}
                  <Figure value={String(way.cost.minutes)} unit="min" />
                  {way.cost.wireMm > 0 ? (
                    <>
                      {' '}
                      · {chosen ? '' : 'about '}
                      <Figure value={String(way.cost.wireMm)} unit="mm wire" />
                    </>
                  ) : null}
                </p>
              </div>
              {changeable && !locked && !chosen && way.status !== 'refused' ? (
                <Button look="quiet" onClick={() => setInstead(way)}>
                  Use instead
                </Button>
              ) : null}
            </li>
          );
        })}
      </ol>
      {instead ? (
        <UseInstead
          findingId={finding.findingId}
          use={instead.way}
          name={WAY_WORDS[instead.way]}
          because={instead.because}
          onClose={() => setInstead(undefined)}
        />
      ) : null}
    </section>
  );
}
