import { Link } from 'react-router';
import type { JobStanding } from '@mendum/core/shop';
import { linkWords, pathOf } from '../../answer/path.ts';
import { hours, type Shown } from './figures.ts';

/** More than this of one job are not listed; the job says the rest. */
const MOST = 6;
const FIELD = 'inline-flex min-h-11 items-center underline underline-offset-4';

/** Where one goes on with a job, by what it waits for. */
const STAGE: { readonly [S in Shown]: string } = {
  doubt: 'decide',
  parts: 'bench',
  look: 'record',
  open: 'survey',
  short: 'bench',
  signed: 'record',
};

const More = ({ count }: { readonly count: number }) =>
  count > 0 ? <li className="text-soft">{count} more in the job</li> : null;

/** What somebody has to say or decide, each with the field that answers it. */
function Doubts({ job }: { readonly job: JobStanding }) {
  return (
    <ul>
      {job.doubts.slice(0, MOST).map(({ circuit, words, at }, index) => (
        <li key={`${circuit} ${words} ${index}`}>
          {circuit === '' ? null : <b className="figure">{circuit} </b>}
          {words}{' '}
          {at ? (
            <Link to={pathOf(at, job)} className={FIELD}>
              {linkWords(at)}
            </Link>
          ) : circuit === '' ? null : (
            <Link to={`/jobs/${job.jobId}/prove`} className={FIELD}>
              To its readings
            </Link>
          )}
        </li>
      ))}
      <More count={job.doubts.length - MOST} />
    </ul>
  );
}

function Missing({ job: { missing } }: { readonly job: JobStanding }) {
  return (
    <ul>
      {missing.slice(0, MOST).map((words) => (
        <li key={words}>{words}</li>
      ))}
      <More count={missing.length - MOST} />
    </ul>
  );
}

/** How far a job is, and how long it took so far against what is planned. */
function Far({ job: { makes, proved, workedMin, plannedMin, uncounted } }: { readonly job: JobStanding }) {
  return (
    <p>
      {makes === 0 ? 'Nothing to make yet' : `${proved} of ${makes} proved`}
      {plannedMin > 0 ? `; ${workedMin > 0 ? `${hours(workedMin)} at it of ` : ''}${hours(plannedMin)} planned` : ''}
      {uncounted ? <span className="block text-soft">Nobody has counted its shelf: parts are not known.</span> : null}
    </p>
  );
}

/** Jobs by what they wait for, each with the way to where it is answered. */
export function JobLines({ jobs, shown }: { readonly jobs: readonly JobStanding[]; readonly shown: Shown }) {
  return (
    <ul className="border-t border-ink">
      {jobs.map((job) => (
        <li
          key={job.jobId}
          className="grid gap-x-6 gap-y-1 border-b border-rule px-2 py-2.5 text-lg md:grid-cols-[minmax(14rem,1fr)_minmax(0,2fr)]"
        >
          <Link to={`/jobs/${job.jobId}/${STAGE[shown]}`} className="block min-h-11 hover:bg-sheet">
            <span className="figure text-soft">{job.number}</span>{' '}
            <b className="underline underline-offset-4">{job.title}</b>
            <span className="block text-base text-soft">{job.machine}</span>
          </Link>
          {shown === 'doubt' ? <Doubts job={job} /> : shown === 'parts' ? <Missing job={job} /> : <Far job={job} />}
        </li>
      ))}
    </ul>
  );
}
