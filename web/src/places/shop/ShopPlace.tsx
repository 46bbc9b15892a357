import clsx from 'clsx';
import { Link, useSearchParams } from 'react-router';
import type { ShopState } from '@mendum/core/operations';
import { useShopQuery } from '../../app/api.ts';
import { errorOf } from '../../app/errors.ts';
import { Empty, Failed, Working } from '../../ui/empty.tsx';
import { Place } from '../Place.tsx';
import { countOf, hoursOf, MEANS, SHOWN, SHOWN_NAMES, waitingOf, type Shown, type Waiting } from './figures.ts';
import { JobLines } from './JobLines.tsx';
import { ShortLines } from './ShortLines.tsx';
import { useStandings } from './useStandings.ts';
import { Yield } from './Yield.tsx';

const TILE = 'flex min-h-24 flex-col justify-between border-l-4 bg-sheet px-3 py-2 text-left hover:bg-wash';

/** What is counted once all jobs are looked at; before, it is so far. */
const BY_PLAN: readonly Shown[] = ['doubt', 'parts', 'look', 'short'];

function Figure({ count, soFar, warns }: { readonly count: number; readonly soFar: boolean; readonly warns: boolean }) {
  return (
    <span className={clsx('figure text-[2rem] leading-tight font-semibold', warns && count > 0 && 'text-rework')}>
      {count}
      {soFar ? <span className="ml-2 text-base font-normal text-soft">so far</span> : null}
    </span>
  );
}

function Tiles({
  state,
  waiting,
  done,
  shown,
  onShow,
}: {
  readonly state: ShopState;
  readonly waiting: Waiting;
  readonly done: boolean;
  readonly shown: Shown;
  readonly onShow: (shown: Shown) => void;
}) {
  return (
    <div className="mb-6 grid grid-cols-2 gap-3 sm:grid-cols-3 lg:grid-cols-7">
      {SHOWN_NAMES.map((name) => (
        <button
          key={name}
          type="button"
          aria-pressed={shown === name}
          onClick={() => onShow(name)}
          className={clsx(TILE, shown === name ? 'border-copper bg-wash' : 'border-rule')}
        >
          <Figure
            count={countOf(name, waiting, state)}
            soFar={!done && BY_PLAN.includes(name)}
            warns={name === 'doubt' || name === 'parts' || name === 'short'}
          />
          <span className="text-lg leading-tight">{SHOWN[name]}</span>
        </button>
      ))}
      <Link to="/due" className={clsx(TILE, 'border-rule')}>
        <span className={clsx('figure text-[2rem] leading-tight font-semibold', state.overdue > 0 && 'text-scrap')}>
          {state.overdue}
        </span>
        <span className="text-lg leading-tight">Overdue repairs</span>
      </Link>
    </div>
  );
}

/** The list behind the figure that was picked. */
function Listed({
  shown,
  waiting,
  done,
}: {
  readonly shown: Shown;
  readonly waiting: Waiting;
  readonly done: boolean;
}) {
  const signed = useStandings(true, shown === 'signed');
  const jobs = shown === 'signed' ? signed.jobs : shown === 'short' ? [] : waiting[shown];
  const whole = shown === 'signed' ? signed.done : done;
  const time = shown === 'signed' || shown === 'open' ? hoursOf(jobs) : undefined;
  const count = shown === 'short' ? waiting.short.length : jobs.length;
  return (
    <section aria-label={SHOWN[shown]}>
      <h2 className="text-xl font-semibold">{SHOWN[shown]}</h2>
      <p className="mb-2 text-lg text-soft">
        {MEANS[shown]}
        {time
          ? ` ${time.words}, by the times of ticks and readings; pauses over half an hour are left out.${time.left > 0 ? ` ${time.left} without such times.` : ''}`
          : ''}
      </p>
      {count === 0 ? (
        whole ? (
          <p className="border-y border-rule px-2 py-6 text-lg">None.</p>
        ) : (
          <Working words="Looking at the jobs…" />
        )
      ) : shown === 'short' ? (
        <ShortLines lines={waiting.short} />
      ) : (
        <JobLines jobs={jobs} shown={shown} />
      )}
    </section>
  );
}

/** What wants doing first: what is in doubt, then what waits for parts, then what waits for a look. */
const firstOf = (waiting: Waiting): Shown =>
  (['doubt', 'parts', 'look'] as const).find((name) => waiting[name].length > 0) ?? 'open';

/** The shop today, for whoever leads it: what waits, what is in doubt, what is short; each figure with its list. */
export function ShopPlace() {
  const [search, setSearch] = useSearchParams();
  const { data: state, error, refetch } = useShopQuery({});
  const { jobs, total, done, error: stopped, refetch: again } = useStandings(false);
  const waiting = waitingOf(jobs);
  const asked = search.get('show');
  const shown = SHOWN_NAMES.find((name) => name === asked) ?? (done ? firstOf(waiting) : 'open');
  const failed = error ?? stopped;
  const refused = failed === undefined ? undefined : errorOf(failed);
  return (
    <Place
      title="The shop today"
      about="What waits, what is in doubt and what is short, by the plans of all open jobs."
    >
      {refused ? (
        <Failed
          message={refused.message}
          hint={refused.hint}
          onRetry={() => {
            void refetch();
            again();
          }}
        />
      ) : !state ? (
        <Working words="Counting…" />
      ) : (
        <>
          {state.open + state.signed === 0 ? (
            <Empty title="No open job, and nothing signed this week">
              <Link to="/jobs" className="underline">
                Begin one in Jobs
              </Link>
              .
            </Empty>
          ) : (
            <>
              <Tiles
                state={state}
                waiting={waiting}
                done={done}
                shown={shown}
                onShow={(show) => setSearch({ show }, { replace: true })}
              />
              <p role="status" className="mb-2 text-soft">
                {done ? '' : `Planning each open job: ${jobs.length} of ${Math.max(total, state.open)} looked at.`}
              </p>
              <Listed shown={shown} waiting={waiting} done={done} />
            </>
          )}
          <Yield />
        </>
      )}
    </Place>
  );
}
