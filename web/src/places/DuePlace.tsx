import clsx from 'clsx';
import { differenceInCalendarDays, parseISO } from 'date-fns';
import { lazy, Suspense } from 'react';
import { Link, useSearchParams } from 'react-router';
import type { DueBack } from '@mendum/core/operations';
import { useDueInfiniteQuery } from '../app/api.ts';
import { PagedList } from '../app/PagedList.tsx';
import { usePages } from '../app/usePages.ts';
import { Working } from '../ui/empty.tsx';
import { Button } from '../ui/button.tsx';
import { Tabs } from '../ui/tabs.tsx';
import { CalendarLine } from './CalendarLine.tsx';
import { Place } from './Place.tsx';
import { DueActions } from './DueActions.tsx';
import { RecordList, RecordWords } from './RecordList.tsx';
import { TodoList } from './todo/TodoList.tsx';

const OtherShops = lazy(async () => ({ default: (await import('./parcels/OtherShops.tsx')).OtherShops }));
/** It brings its charts with it: only when it is opened. */
const Comebacks = lazy(async () => ({ default: (await import('./comebacks/Comebacks.tsx')).Comebacks }));

function inDays(until: string): string {
  const days = differenceInCalendarDays(parseISO(until), new Date());
  if (days === 0) return 'today';
  return days < 0 ? `${-days} ${days === -1 ? 'day' : 'days'} overdue` : `in ${days} ${days === 1 ? 'day' : 'days'}`;
}

/** A temporary repair, with the way to its record, and what is done about it. */
function DueLine({ due }: { readonly due: DueBack }) {
  const { jobId, until, overdue, body, also } = due;
  const { putOff = 0 } = body;
  return (
    <div className="flex flex-wrap items-center gap-x-5 gap-y-2 px-2 py-2.5 hover:bg-sheet">
      <Link
        to={`/jobs/${jobId}/record`}
        className="grid min-h-16 min-w-0 grow basis-[34rem] items-center gap-x-5 sm:grid-cols-[11.25rem_minmax(0,1fr)_minmax(0,1.4fr)]"
      >
        <span className={clsx('text-lg font-semibold', overdue ? 'text-scrap' : 'text-ink')}>
          {overdue ? '▲ ' : ''}
          {inDays(until)}
          <span className="figure block text-base font-normal text-soft">
            {until}
            {putOff > 0 ? `, put off ${putOff === 1 ? 'once' : `${putOff} times`}` : ''}
          </span>
        </span>
        <RecordWords body={body} also={also} />
      </Link>
      <DueActions due={due} />
    </div>
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
  const [search, setSearch] = useSearchParams();
  return (
    <Place
      title="Due back"
      about="Temporary repairs with their days, what is to do without a day, all records, and what comes back."
      actions={
        <Button className="no-print max-sm:hidden" onClick={() => window.print()}>
          Print
        </Button>
      }
    >
      <Tabs
        label="What is listed"
        shown={search.get('show') ?? 'due'}
        onShow={(show) => setSearch({ show }, { replace: true })}
        tabs={[
          {
            name: 'due',
            title: 'Temporary repairs',
            content: (
              <>
                <DueList />
                <CalendarLine />
              </>
            ),
          },
          { name: 'todo', title: 'To do', content: <TodoList /> },
          { name: 'records', title: 'All records', content: <RecordList begin={search.get('search') ?? ''} /> },
          {
            name: 'others',
            title: 'Other shops',
            content: (
              <Suspense fallback={<Working words="Opening…" />}>
                <OtherShops />
              </Suspense>
            ),
          },
          {
            name: 'comebacks',
            title: 'What comes back',
            content: (
              <Suspense fallback={<Working words="Counting what came back…" />}>
                <Comebacks />
              </Suspense>
            ),
          },
        ]}
      />
    </Place>
  );
}
