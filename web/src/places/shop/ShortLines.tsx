import { Link } from 'react-router';
import type { Short } from '@mendum/core/shop';

const amount = (count: number, unit: string): string =>
  unit === 'mm' ? `${Math.round(count)} mm` : `${count} ${unit}${count === 1 ? '' : 's'}`;

/** How much of it is lacking; of wire there may be enough, and no piece that is long enough. */
const lackWords = ({ need, have, unit }: Short): string =>
  need > have ? `${amount(need - have, unit)} short` : 'no piece long enough';

/** What the open jobs together lack, with the jobs that take it, and the way to the shelf. */
export function ShortLines({ lines }: { readonly lines: readonly Short[] }) {
  return (
    <ul className="border-t border-ink">
      {lines.map((line) => (
        <li
          key={line.id}
          className="grid gap-x-6 gap-y-1 border-b border-rule px-2 py-2.5 text-lg md:grid-cols-[12rem_minmax(0,1.4fr)_minmax(0,1fr)]"
        >
          <b className="text-rework">▲ {lackWords(line)}</b>
          <span>
            <Link
              to={line.unit === 'mm' ? '/shelf' : `/shelf?${new URLSearchParams({ find: line.name }).toString()}`}
              className="inline-flex min-h-11 items-center font-semibold underline underline-offset-4"
            >
              {line.name}
            </Link>
            <span className="block text-base text-soft">
              {amount(line.need, line.unit)} needed, {amount(line.have, line.unit)} there
            </span>
          </span>
          <span>
            for job{line.jobs.length === 1 ? '' : 's'}{' '}
            {line.jobs.map(({ jobId, number, need }) => (
              <Link
                key={jobId}
                to={`/jobs/${jobId}/bench`}
                className="figure mr-3 inline-flex min-h-11 items-center underline"
              >
                {number} ({amount(need, line.unit)})
              </Link>
            ))}
          </span>
        </li>
      ))}
    </ul>
  );
}
