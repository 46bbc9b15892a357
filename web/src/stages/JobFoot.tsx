import { openedMmOf } from '@mendum/core/layout';
import { allMakes } from '@mendum/core/plan';
import { maySign } from '@mendum/core/prove';
import clsx from 'clsx';
import { Figure, Length } from '../ui/units.tsx';
import { useOpenJob } from './job.ts';
import { standingOfMake } from './standing.ts';

/** The strip at the foot of a job: how much is done, opened length, slack left, kit, gate. */
export function JobFoot({ onKeys }: { readonly onKeys: () => void }) {
  const { plan, view } = useOpenJob();
  const makes = allMakes(plan);
  const standings = plan.findings.map(({ findingId }) =>
    makes.filter((make) => make.findingId === findingId).map((make) => standingOfMake(view, make).standing),
  );
  const signable = standings.filter((own) => own.length > 0 && own.every(maySign));
  const proved = signable.filter((own) => own.every((standing) => standing === 'passed')).length;
  const looked = signable.length - proved;
  const short = plan.kit.lines.filter((line) => line.state === 'short').length;
  const unanswered = plan.kit.unanswered.length;
  const { totals, gate } = plan;
  const openedMm = plan.runs.reduce((sum, { openedParts }) => sum + openedMmOf(openedParts), 0);
  return (
    <footer className="no-print sticky short:static bottom-[calc(var(--notice,0px)+var(--bar))] z-10 flex min-h-12 flex-wrap items-center gap-x-6 gap-y-1 border-t max-xl:gap-x-4 border-rule bg-sheet px-6 py-1.5 max-sm:px-4">
      <span>
        Proved <Figure value={`${proved} of ${plan.findings.length}`} />
        {looked > 0 ? (
          <>
            , looked at <Figure value={String(looked)} />
          </>
        ) : null}
      </span>
      <span>
        Splices <Figure value={String(totals.splices)} />
      </span>
      <span className="max-sm:hidden">
        Opened <Length mm={openedMm} digits={0} />
      </span>
      <span className="max-sm:hidden">
        Slack left <Length mm={totals.slackLeftMm} digits={0} />
      </span>
      <span>
        Kit{' '}
        <b className={clsx((short > 0 || unanswered > 0 || !plan.kit.counted) && 'text-rework')}>
          {!plan.kit.counted
            ? 'not counted'
            : short > 0
              ? `short: ${short} ${short === 1 ? 'line' : 'lines'}`
              : unanswered > 0
                ? `${unanswered} without an answer`
                : plan.kit.lines.length === 0
                  ? 'empty'
                  : 'ready'}
        </b>
      </span>
      <span>
        Gate <b className={clsx(gate.open ? 'text-pass' : 'text-scrap')}>{gate.open ? 'open' : 'closed'}</b>
      </span>
      <button
        type="button"
        onClick={onKeys}
        className="ml-auto min-h-11 min-w-6 text-soft hover:text-ink max-sm:hidden"
      >
        <span className="max-xl:hidden">
          Keys <b>1–6</b> stage · <b>n p</b> circuit · <b>/</b> find ·{' '}
        </span>
        <b>?</b>
        <span className="max-lg:sr-only xl:hidden"> keys</span>
      </button>
    </footer>
  );
}
