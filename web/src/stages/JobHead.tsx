import { Link } from 'react-router';
import type { StageName } from '@mendum/core/operations';
import { UNNAMED_MACHINE } from '@mendum/core/quick';
import { figure } from '@mendum/core/units';
import { useMay } from '../app/session.ts';
import { NameLink } from '../naming/NameLink.tsx';
import { clockTime } from '../ui/when.ts';
import { useOpenJob } from './job.ts';
import { StageLine } from './StageLine.tsx';
import type { StageState } from './standing.ts';

/** Title, machine, what was made safe, and the stages. */
export function JobHead({
  stage,
  states,
}: {
  readonly stage: StageName;
  readonly states: Readonly<Record<StageName, StageState>>;
}) {
  const { view, plan, signed, pathTo, selected, circuitOf } = useOpenJob();
  const mayName = useMay('nameHarness');
  const { job } = view;
  const { isolation } = job.gate;
  const isUnnamed = job.machine.name === UNNAMED_MACHINE;
  return (
    <header className="no-print border-b border-rule bg-sheet">
      <div className="flex flex-wrap items-baseline gap-x-4 px-6 pt-3 pb-1 max-sm:px-4">
        <h1 className="text-2xl font-semibold">{job.title}</h1>
        <p className="text-soft">
          {isUnnamed ? job.machine.name : `${job.machine.name}, ${job.machine.kind}`} ·{' '}
          {figure(job.machine.systemVoltageV)} V · job <span className="figure">{job.number}</span>
        </p>
        <Link
          to={`/machines/${view.harnessId}/history${selected ? `?circuit=${encodeURIComponent(selected.circuitId)}` : ''}`}
          className="inline-flex min-h-11 items-center underline underline-offset-4"
        >
          History{selected ? ` of circuit ${circuitOf(selected.circuitId).number}` : ''}
        </Link>
        {isUnnamed && mayName ? (
          <NameLink
            words="Name it"
            harnessId={view.harnessId}
            version={view.harnessVersion}
            named={{ name: job.harness.name, machine: job.machine }}
          />
        ) : null}
        <p className={isolation ? 'font-medium text-pass sm:ml-auto' : 'font-medium text-scrap sm:ml-auto'}>
          {signed
            ? '✓ Signed'
            : isolation
              ? `✓ ${isolation.how === 'provedDead' ? 'Proved dead' : 'Battery off'}, ${isolation.by} ${clockTime(isolation.at)}`
              : '✕ Not made safe yet'}
        </p>
      </div>
      <StageLine pathTo={pathTo} current={stage} states={states} gateOpen={plan.gate.open || signed} />
    </header>
  );
}
