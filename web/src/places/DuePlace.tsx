import clsx from 'clsx';
import { differenceInCalendarDays, parseISO } from 'date-fns';
import { Link } from 'react-router';
import type { DueBack } from '@mendum/core/operations';
import { useDueInfiniteQuery } from '../app/api.ts';
import { PagedList } from '../app/PagedList.tsx';
import { usePages } from '../app/usePages.ts';
import { Tabs } from '../ui/tabs.tsx';
import { Place } from './Place.tsx';
import { RecordList, RecordWords } from './RecordList.tsx';

function inDays(until: string): string {
  const days = differenceInCalendarDays(parseISO(until), new Date());
  if (days === 0) return 'today';
  return days < 0 ? `${-days} ${days === -1 ? 'day' : 'days'} overdue` : `in ${days} ${days === 1 ? 'day' : 'days'}`;
}

/** A temporary repair, with the way to its record. */
function DueLine({ due: { jobId, until, overdue, body } }: { readonly due: DueBack }) {
  return (
    <Link
      to={`/jobs/${jobId}/record`}
      className="grid min-h-16 items-center gap-x-5 px-2 py-2.5 hover:bg-sheet sm:grid-cols-[11.25rem_minmax(0,1fr)_minmax(0,1.4fr)]"
    >
      <span className={clsx('text-lg font-semibold', overdue ? 'text-scrap' : 'text-ink')}>
        {overdue ? '▲ ' : ''}
        {inDays(until)}
        <span className="figure block text-base font-normal text-soft">{until}</span>
      </span>
      <RecordWords body={body} />
    </Link>
  );
}

/** Temporary repairs with the day they come back; overdue ones first. */
function DueList() {
  return (
    <PagedList
      label="Due back"
      pages={usePages(useDueInfiniteQuery({}))}
      waiting="Fetching what is due…"
      empty={{
        title: 'Nothing is due back',
        next: 'A finding with a date in “Temporary until” comes here once its job is signed.',
      }}
      keyOf={({ recordId }) => recordId}
    >
      {(due) => <DueLine due={due} />}
    </PagedList>
  );
}

/** Temporary repairs that come back, and every record that was signed. */
export function DuePlace() {
  return (
    <Place title="Due back" about="Temporary repairs with the day each is to be made good, and all records.">
      <Tabs
        label="What is listed"
        tabs={[
          { name: 'due', title: 'Temporary repairs', content: <DueList /> },
          { name: 'records', title: 'All records', content: <RecordList /> },
        ]}
      />
    </Place>
  );
}
