import clsx from 'clsx';
import { Link } from 'react-router';
import { COUNTED_LEAST, type RateLine } from '@mendum/core/comeback';
import { useComebacksQuery } from '../../app/api.ts';
import { percent } from '../comebacks/words.ts';

/** So many lines of each are shown: those that pass least often. */
const MOST = 5;

const OF = { nest: 'Tool and nest', method: 'Method' } as const;

/** The share that passed the first time, and between what; the other side of what was made again. */
function passed({ again: { share } }: RateLine) {
  return share && { share: 1 - share.share, low: 1 - share.high, high: 1 - share.low };
}

const leastFirst = (a: RateLine, b: RateLine): number =>
  Number(b.again.standsOut) - Number(a.again.standsOut) || (b.again.share?.share ?? 0) - (a.again.share?.share ?? 0);

function Lines({ by, from }: { readonly by: keyof typeof OF; readonly from: string | undefined }) {
  const { data } = useComebacksQuery({ by, ...(from === undefined ? {} : { from }) });
  const lines = (data?.lines ?? []).filter(({ again }) => again.share !== undefined).sort(leastFirst);
  const all = `/due?${new URLSearchParams({ show: 'comebacks', by, count: 'again' }).toString()}`;
  return (
    <section className="min-w-0">
      <h3 className="text-lg font-semibold">{OF[by]}</h3>
      {!data ? (
        <p className="text-soft">Counting…</p>
      ) : lines.length === 0 ? (
        <p className="text-soft">
          No {OF[by].toLowerCase()} has {COUNTED_LEAST} signed repairs yet.
        </p>
      ) : (
        <ul className="border-t border-rule">
          {lines.slice(0, MOST).map((line) => {
            const first = passed(line);
            return (
              <li key={line.name} className="flex gap-4 border-b border-rule py-1.5">
                <span
                  className={clsx(
                    'figure w-20 shrink-0 text-right text-lg whitespace-nowrap font-semibold',
                    line.again.standsOut && 'text-scrap',
                  )}
                >
                  {line.again.standsOut ? '▲ ' : ''}
                  {first && percent(first.share)}
                </span>
                <span className="min-w-0">
                  {line.name}
                  <span className="block text-base text-soft">
                    {line.repairs - line.again.count} of {line.repairs} the first time
                    {first ? `, ${Math.round(first.low * 100)}–${Math.round(first.high * 100)} %` : ''}
                  </span>
                </span>
              </li>
            );
          })}
        </ul>
      )}
      <Link to={all} className="inline-flex min-h-11 items-center underline underline-offset-4">
        All, by {OF[by].toLowerCase()}
      </Link>
    </section>
  );
}

/** How often a repair passed the first time, by nest and by method: those that pass least often. */
export function Yield({ from }: { readonly from?: string | undefined }) {
  return (
    <section aria-label="Passed the first time" className="mt-8">
      <h2 className="text-xl font-semibold">Passed the first time</h2>
      <p className="mb-3 text-soft">
        Signed repairs that were not made again; the lowest first, none of fewer than five.
      </p>
      <div className="grid gap-x-10 gap-y-5 md:grid-cols-2">
        <Lines by="nest" from={from} />
        <Lines by="method" from={from} />
      </div>
    </section>
  );
}
