import clsx from 'clsx';
import { differenceInCalendarDays, parseISO } from 'date-fns';
import { Link } from 'react-router';
import { useDueQuery } from '../app/api.ts';
import { errorOf } from '../app/change.ts';
import { Empty, Failed, Working } from '../ui/empty.tsx';
import { Length } from '../ui/units.tsx';
import { Place } from './Place.tsx';

function inDays(until: string): string {
  const days = differenceInCalendarDays(parseISO(until), new Date());
  if (days === 0) return 'today';
  return days < 0 ? `${-days} ${days === -1 ? 'day' : 'days'} overdue` : `in ${days} ${days === 1 ? 'day' : 'days'}`;
}

/** Temporary repairs with the day they come back; overdue ones first. */
export function DuePlace() {
  const { data, error, refetch } = useDueQuery();
  const failed = error && errorOf(error);
  return (
    <Place title="Due back" about="Temporary repairs, and the day each is to be made good.">
      {failed ? (
        <Failed message={failed.message} hint={failed.hint} onRetry={() => void refetch()} />
      ) : !data ? (
        <Working words="Fetching what is due…" />
      ) : data.length === 0 ? (
        <Empty title="Nothing is due back">
          A finding with a date in “Temporary until” comes here once its job is signed.
        </Empty>
      ) : (
        <ul className="border-t border-ink">
          {data.map((one) => (
            <li key={one.recordId} className="border-b border-rule">
              <Link
                to={`/jobs/${one.jobId}/record`}
                className="grid min-h-16 items-center gap-x-5 px-2 py-2.5 hover:bg-sheet sm:grid-cols-[11.25rem_minmax(0,1fr)_minmax(0,1.4fr)]"
              >
                <span className={clsx('text-lg font-semibold', one.overdue ? 'text-scrap' : 'text-ink')}>
                  {one.overdue ? '▲ ' : ''}
                  {inDays(one.until)}
                  <span className="figure block text-base font-normal text-soft">{one.until}</span>
                </span>
                <span>
                  <b>{one.body.machine}</b>
                  <span className="block text-soft">
                    job <span className="figure">{one.body.jobNumber}</span>
                  </span>
                </span>
                <span>
                  <b>
                    <span className="figure">{one.body.circuitNumber}</span> {one.body.circuitFunction}
                  </b>
                  , {one.body.method}
                  <span className="block text-soft">
                    <Length mm={one.body.atMm} digits={0} /> from {one.body.fromName}; {one.body.signedBy}
                  </span>
                </span>
              </Link>
            </li>
          ))}
        </ul>
      )}
    </Place>
  );
}
