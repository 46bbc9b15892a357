import clsx from 'clsx';
import { Link } from 'react-router';
import { COMPARED, COUNTED_LEAST, type Compared, type Counted, type RateLine } from '@mendum/core/comeback';
import { Scroller } from '../../ui/scroller.tsx';
import { recordsOf, shareWords, whyWords } from './words.ts';

/** How many of them, and what share that is. */
function CountedCell({ counted, of }: { readonly counted: Counted; readonly of: number }) {
  const share = shareWords(counted);
  return (
    <td className={clsx('pr-4', counted.standsOut && 'font-semibold text-scrap')}>
      <span className="figure">
        {counted.standsOut ? '▲ ' : ''}
        {counted.count} of {of}
      </span>
      <span className={clsx('block text-base', counted.standsOut ? '' : 'text-soft')}>
        {share ?? `fewer than ${COUNTED_LEAST}: no share`}
      </span>
    </td>
  );
}

/** The same in figures, each line with the way to its records. */
export function RateTable({ lines, by }: { readonly lines: readonly RateLine[]; readonly by: Compared }) {
  return (
    <Scroller label="What comes back, in figures">
      <table className="w-full border-t border-ink text-left">
        <thead className="text-soft">
          <tr>
            <th className="py-2 pr-4 font-normal">{COMPARED[by]}</th>
            <th className="pr-4 font-normal">Repairs</th>
            <th className="pr-4 font-normal">Came back</th>
            <th className="pr-4 font-normal">After</th>
            <th className="pr-4 font-normal">Made again before signing</th>
          </tr>
        </thead>
        <tbody>
          {lines.map((line) => (
            <tr key={line.name} className="border-t border-rule align-top">
              <td className="max-w-md py-1.5 pr-4">
                <Link
                  to={recordsOf(line.name, by)}
                  className="inline-flex min-h-11 items-center font-semibold underline underline-offset-4"
                >
                  {line.name}
                </Link>
                {line.whys.length > 0 ? <span className="block text-soft">Failed: {whyWords(line)}</span> : null}
              </td>
              <td className="pr-4">
                <span className="figure">{line.repairs}</span>
                <span className="block text-base text-soft">
                  on {line.machines === 1 ? '1 machine' : `${line.machines} machines`}
                </span>
              </td>
              <CountedCell counted={line.back} of={line.repairs} />
              <td className="pr-4">
                {line.backAfterDays === undefined ? '' : <span className="figure">{line.backAfterDays} days</span>}
              </td>
              <CountedCell counted={line.again} of={line.repairs} />
            </tr>
          ))}
        </tbody>
      </table>
    </Scroller>
  );
}
