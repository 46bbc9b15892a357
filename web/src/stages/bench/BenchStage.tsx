import { allMakes, type Make } from '@mendum/core/plan';
import { Link, useSearchParams } from 'react-router';
import { Empty } from '../../ui/empty.tsx';
import { useOpenJob } from '../job.ts';
import { MakePicker } from '../MakePicker.tsx';
import { tickedIds } from '../standing.ts';
import { runOf } from '../where.ts';
import { KitList } from './KitList.tsx';
import { StepScreen } from './StepScreen.tsx';

/** Kit first, then one large step at a time. Which splice is on the bench is part of the address. */
export function BenchStage() {
  const { view, plan, pathTo } = useOpenJob();
  const [search, setSearch] = useSearchParams();
  const makes = allMakes(plan);
  const at = search.get('at') ?? 'kit';
  const goTo = (next: string): void =>
    setSearch(
      (now) => {
        now.set('at', next);
        const made = makes.find((make) => make.id === next);
        if (made) now.set('finding', made.findingId);
        return now;
      },
      { replace: true },
    );
  if (makes.length === 0)
    return (
      <Empty title="Nothing to make yet">
        No finding has an approach that is made at the bench.{' '}
        <Link className="underline" to={pathTo('decide')}>
          Go to Decide
        </Link>
      </Empty>
    );
  const make = makes.find((one) => one.id === at);
  const finding = plan.findings.find((one) => one.findingId === make?.findingId);
  const run = make && runOf(make, plan, view.job.harness.runs);
  const ticked = tickedIds(view);
  const standing = (one: Make): React.ReactNode => {
    const done = one.steps.filter((step) => ticked.has(step.id)).length;
    return done === one.steps.length ? (
      <span className="text-pass">✓ made</span>
    ) : (
      <span className="text-soft">
        {done} of {one.steps.length}
      </span>
    );
  };
  const unfinished = makes.find((one) => one.steps.some((step) => !ticked.has(step.id)));
  return (
    <div className="flex flex-1 flex-col">
      <MakePicker
        label="Kit and splices"
        first={{ id: 'kit', name: 'Kit' }}
        makes={makes}
        standing={standing}
        at={make?.id ?? 'kit'}
        onPick={goTo}
      />
      {make && finding && run ? (
        <StepScreen key={`${make.id} ${make.make}`} make={make} finding={finding} run={run} onMake={goTo} />
      ) : (
        <KitList onBegin={() => goTo((unfinished ?? makes[0])?.id ?? 'kit')} begun={ticked.size > 0} />
      )}
    </div>
  );
}
