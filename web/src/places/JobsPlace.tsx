import { lazy, Suspense, useMemo, useState } from 'react';
import { Link } from 'react-router';
import type { JobSummary } from '@mendum/core/interchange';
import { useJobsQuery } from '../app/api.ts';
import { errorOf } from '../app/change.ts';
import { STAGES } from '../stages/stages.ts';
import { Button } from '../ui/button.tsx';
import { Empty, Failed, Working } from '../ui/empty.tsx';
import { TextField } from '../ui/field.tsx';
import { ago } from '../ui/when.ts';
import { Place } from './Place.tsx';

/** The page of a job is fetched while somebody reaches for it. */
const fetchJobPage = (): void => void import('../stages/JobPage.tsx');
const NewJob = lazy(async () => ({ default: (await import('./NewJob.tsx')).NewJob }));
const ImportJob = lazy(async () => ({ default: (await import('./ImportJob.tsx')).ImportJob }));

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

function JobsTable({ jobs }: { readonly jobs: readonly JobSummary[] }) {
  return (
    <ul className="border-t border-ink">
      {jobs.map((job) => (
        <li key={job.id} className="border-b border-rule">
          <Link
            to={`/jobs/${job.id}${job.status === 'signed' ? '/record' : `/${job.stage}`}`}
            onPointerEnter={fetchJobPage}
            onFocus={fetchJobPage}
            className="grid min-h-16 items-center gap-x-5 px-2 py-2.5 hover:bg-sheet md:grid-cols-[3.5rem_minmax(9rem,1fr)_minmax(0,8rem)_12rem_5rem] lg:grid-cols-[4rem_minmax(0,1fr)_minmax(0,12rem)_12.5rem_8.125rem]"
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
        </li>
      ))}
    </ul>
  );
}

/** Every job, the open ones first. */
export function JobsPlace() {
  const { data: jobs, error, refetch } = useJobsQuery();
  const [words, setWords] = useState('');
  const [asking, setAsking] = useState<'new' | 'import'>();
  const shown = useMemo(() => {
    const wanted = words
      .toLowerCase()
      .split(/\s+/)
      .filter((word) => word !== '');
    return (jobs ?? []).filter((job) =>
      wanted.every((word) => `${job.number} ${job.title} ${job.machine} ${job.harness}`.toLowerCase().includes(word)),
    );
  }, [jobs, words]);
  const open = shown.filter((job) => job.status === 'open');
  const signed = shown.filter((job) => job.status === 'signed');
  const failed = error && errorOf(error);
  return (
    <Place
      title="Jobs"
      about="Damaged harnesses, from finding to record."
      actions={
        <div className="flex gap-3">
          <Button onClick={() => setAsking('import')}>Import a job file</Button>
          <Button look="copper" onClick={() => setAsking('new')}>
            New job
          </Button>
        </div>
      }
    >
      {failed ? (
        <Failed message={failed.message} hint={failed.hint} onRetry={() => void refetch()} />
      ) : !jobs ? (
        <Working words="Fetching the jobs…" />
      ) : jobs.length === 0 ? (
        <Empty title="No jobs yet">Press “New job” to begin with a harness that is known, or import a job file.</Empty>
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
          {shown.length === 0 ? (
            <Empty title={`No job matches “${words}”`}>Try part of its number, title or machine.</Empty>
          ) : null}
          {open.length > 0 ? (
            <section aria-label="Open">
              <h2 className="mb-1 text-xl font-semibold">Open</h2>
              <JobsTable jobs={open} />
            </section>
          ) : null}
          {signed.length > 0 ? (
            <section aria-label="Signed" className="mt-8">
              <h2 className="mb-1 text-xl font-semibold">Signed</h2>
              <JobsTable jobs={signed} />
            </section>
          ) : null}
        </>
      )}
      <Suspense fallback={null}>
        {asking === 'new' ? <NewJob onClose={() => setAsking(undefined)} /> : null}
        {asking === 'import' ? <ImportJob onClose={() => setAsking(undefined)} /> : null}
      </Suspense>
    </Place>
  );
}
