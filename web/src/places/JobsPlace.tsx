import clsx from 'clsx';
import { lazy, Suspense, useState } from 'react';
import { Link } from 'react-router';
import type { JobSummary } from '@mendum/core/operations';
import { pageAhead } from '../app/ahead.ts';
import { useJobsInfiniteQuery } from '../app/api.ts';
import { errorOf } from '../app/errors.ts';
import { useNamed } from '../app/useNamed.tsx';
import { usePages } from '../app/usePages.ts';
import { STAGES } from '../stages/stages.ts';
import { Only } from '../people/Only.tsx';
import { Button } from '../ui/button.tsx';
import { Empty, Failed, Working } from '../ui/empty.tsx';
import { TextField } from '../ui/field.tsx';
import { LongList } from '../ui/LongList.tsx';
import { useSettled } from '../ui/useSettled.ts';
import { ago } from '../ui/when.ts';
import { Place } from './Place.tsx';

const NewJob = lazy(async () => ({ default: (await import('./NewJob.tsx')).NewJob }));
const StaleBackup = lazy(async () => ({ default: (await import('./StaleBackup.tsx')).StaleBackup }));
const Beginning = lazy(async () => ({ default: (await import('../begin/Beginning.tsx')).Beginning }));
const Tabs = lazy(async () => ({ default: (await import('../ui/tabs.tsx')).Tabs }));
const ImportJob = lazy(async () => ({ default: (await import('./ImportJob.tsx')).ImportJob }));

const BUTTON_LINK =
  'inline-flex min-h-11 items-center rounded-sm border border-copper bg-copper px-4 text-lg font-semibold text-oncopper hover:brightness-110';

/** How far along its six stages a job is, as a short stretch of wire. */
function Progress({ job }: { readonly job: JobSummary }) {
  const at = STAGES.findIndex((stage) => stage.name === job.stage);
  const title = STAGES[at]?.title ?? '';
  return (
    <span className="flex items-center gap-3">
      <svg viewBox="0 0 108 14" className="h-3.5 w-27 shrink-0" aria-hidden>
        <path d={`M6 7H${6 + at * 19}`} stroke="var(--copper)" strokeWidth="3" />
        <path d={`M${6 + at * 19} 7H101`} stroke="var(--rule)" strokeWidth="3" />
        {STAGES.map((stage, index) => (
          <circle
            key={stage.name}
            cx={6 + index * 19}
            cy={7}
            r={4.6}
            fill={index < at || job.status === 'signed' ? 'var(--copper)' : 'var(--sheet)'}
            stroke={index <= at ? 'var(--copper)' : 'var(--soft)'}
            strokeWidth="2"
          />
        ))}
      </svg>
      <span className={job.status === 'signed' ? 'text-pass' : ''}>{job.status === 'signed' ? '✓ Signed' : title}</span>
    </span>
  );
}

/** One job, with the way to where it stands. */
function JobLine({ job }: { readonly job: JobSummary }) {
  const stage = job.status === 'signed' ? 'record' : job.stage;
  const ahead = (): void => void pageAhead(stage);
  return (
    <Link
      to={`/jobs/${job.id}/${stage}`}
      onPointerEnter={ahead}
      onFocus={ahead}
      className={clsx(
        'grid min-h-16 items-center gap-x-5 px-2 py-2.5 hover:bg-sheet',
        'md:grid-cols-[3.5rem_minmax(9rem,1fr)_minmax(0,8rem)_12rem_5rem]',
        'lg:grid-cols-[4rem_minmax(0,1fr)_minmax(0,12rem)_12.5rem_8.125rem]',
      )}
    >
      <span className="figure text-lg text-soft">{job.number}</span>
      <span className="line-clamp-2 text-xl font-semibold">{job.title}</span>
      <span className="min-w-0">
        <span className="block truncate">{job.machine}</span>
        <span className="text-soft">
          {job.findings} {job.findings === 1 ? 'finding' : 'findings'}
        </span>
      </span>
      <Progress job={job} />
      <span className="text-soft md:text-right">{ago(job.updatedAt)}</span>
    </Link>
  );
}

/** The open or the signed jobs in which all words are. */
const useJobs = (status: 'open' | 'signed', search: string) =>
  usePages(useJobsInfiniteQuery({ status, ...(search === '' ? {} : { search }) }));

type Jobs = ReturnType<typeof useJobs>;

function JobList({
  title,
  jobs: { lines = [], total, hasMore, onMore },
}: {
  readonly title: string;
  readonly jobs: Jobs;
}) {
  return (
    <LongList
      label={`${title} jobs`}
      lines={lines}
      total={total}
      hasMore={hasMore}
      onMore={onMore}
      keyOf={({ id }) => id}
    >
      {(job) => <JobLine job={job} />}
    </LongList>
  );
}

/** Open and signed jobs below each other; where there are many, one of the two at a time, so that each can be reached. */
function JobLists({ open, signed }: { readonly open: Jobs; readonly signed: Jobs }) {
  const all = [
    { title: 'Open', jobs: open },
    { title: 'Signed', jobs: signed },
  ].filter(({ jobs }) => jobs.total > 0);
  if (!open.hasMore && !signed.hasMore)
    return all.map(({ title, jobs }) => (
      <section key={title} aria-label={title} className="mb-8">
        <h2 className="mb-1 text-xl font-semibold">{title}</h2>
        <JobList title={title} jobs={jobs} />
      </section>
    ));
  return (
    <Suspense fallback={<Working words="Opening…" />}>
      <Tabs
        label="Which jobs"
        tabs={all.map(({ title, jobs }) => ({
          name: title,
          title: `${title} ${jobs.total.toLocaleString('en-GB')}`,
          content: <JobList title={title} jobs={jobs} />,
        }))}
      />
    </Suspense>
  );
}

/** Every job, the open ones first; found by words on the server. */
export function JobsPlace() {
  const [words, setWords] = useState('');
  const search = useSettled(words.trim());
  const [open, signed] = [useJobs('open', search), useJobs('signed', search)];
  const { named, question } = useNamed();
  const [asking, setAsking] = useState<'new' | 'import'>();
  const error = open.error ?? signed.error;
  const failed = error === undefined ? undefined : errorOf(error);
  const isEmpty = open.total + signed.total === 0;
  return (
    <Place
      title="Jobs"
      about="Damaged harnesses, from finding to record."
      actions={
        <div className="flex flex-wrap items-center gap-3">
          <Link to="/shop" className="mr-2 inline-flex min-h-11 items-center text-lg underline underline-offset-4">
            The shop today
          </Link>
          <Only may="openJob">
            <Button onClick={() => named(() => setAsking('import'))}>Import a job file</Button>
            <Button onClick={() => named(() => setAsking('new'))}>New job</Button>
            <Link to="/quick" className={BUTTON_LINK}>
              Quick repair
            </Link>
          </Only>
        </div>
      }
    >
      <Suspense fallback={null}>
        <StaleBackup />
      </Suspense>
      {failed ? (
        <Failed
          message={failed.message}
          hint={failed.hint}
          onRetry={() => {
            open.refetch();
            signed.refetch();
          }}
        />
      ) : !open.lines || !signed.lines ? (
        <Working words="Fetching the jobs…" />
      ) : isEmpty && search === '' && words === '' ? (
        <>
          <Empty title="No jobs yet">
            “Quick repair” begins with a wire in the hand. “New job” begins on a harness that is described in Machines.
          </Empty>
          <Suspense fallback={null}>
            <Beginning />
          </Suspense>
        </>
      ) : (
        <>
          <div className="mb-5 max-w-md">
            <TextField
              label="Find a job"
              type="search"
              value={words}
              placeholder="number, title, machine"
              onChange={(event) => setWords(event.target.value)}
            />
          </div>
          {isEmpty ? (
            <Empty title={`No job matches “${search}”`}>Try part of its number, title or machine.</Empty>
          ) : null}
          <JobLists open={open} signed={signed} />
        </>
      )}
      <p className="mt-2">
        <Link to="/data" className="inline-flex min-h-11 items-center text-soft underline">
          Data and backups
        </Link>{' '}
        <Link to="/people" className="ml-5 inline-flex min-h-11 items-center text-soft underline">
          People
        </Link>
      </p>
      {question}
      <Suspense fallback={null}>
        {asking === 'new' ? <NewJob onClose={() => setAsking(undefined)} /> : null}
        {asking === 'import' ? <ImportJob onClose={() => setAsking(undefined)} /> : null}
      </Suspense>
    </Place>
  );
}
