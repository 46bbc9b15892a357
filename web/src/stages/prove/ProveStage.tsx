import { allMakes, type Make } from '@mendum/core/plan';
import { maySign } from '@mendum/core/prove';
import clsx from 'clsx';
import { Link, useSearchParams } from 'react-router';
import { Empty } from '../../ui/empty.tsx';
import { useLength } from '../../ui/units.tsx';
import { StandingMark } from '../../ui/verdict.tsx';
import { useOpenJob } from '../job.ts';
import { MakePicker } from '../MakePicker.tsx';
import { atOf, cavityOf, isElsewhere, runOf } from '../where.ts';
import { standingOfMake } from '../standing.ts';
import { Functions } from './Functions.tsx';
import { ProveMake } from './ProveMake.tsx';

/** Every splice with the checks of its method; readings are ruled on at once. */
export function ProveStage() {
  const { view, plan, circuitOf, nodeName, selected, pathTo } = useOpenJob();
  const { plain } = useLength();
  const [search, setSearch] = useSearchParams();
  const makes = allMakes(plan);
  if (makes.length === 0)
    return (
      <Empty title="Nothing to prove yet">
        No splice or cover is planned.{' '}
        <Link className="underline" to={pathTo('decide')}>
          Go to Decide
        </Link>
      </Empty>
    );
  const wanted = search.get('splice');
  const unproved = makes.find((make) => !maySign(standingOfMake(view, make).standing));
  const make =
    makes.find((one) => one.id === wanted) ??
    makes.find((one) => one.findingId === search.get('finding')) ??
    unproved ??
    makes.find((one) => one.findingId === selected?.findingId) ??
    makes[0];
  const goTo = (id: string): void =>
    setSearch(
      (now) => {
        now.set('splice', id);
        const next = makes.find((one) => one.id === id);
        if (next) now.set('finding', next.findingId);
        return now;
      },
      { replace: true },
    );
  const circuitFor = (one: Make) =>
    circuitOf(plan.findings.find((finding) => finding.findingId === one.findingId)?.circuitId ?? '');
  const allPassed = unproved === undefined;
  const nextOpen = makes.find((one) => one.id !== make?.id && !maySign(standingOfMake(view, one).standing));
  return (
    <div className="grid gap-x-8 gap-y-5 lg:grid-cols-[minmax(260px,310px)_minmax(0,1fr)]">
      <MakePicker
        label="Splices"
        className="!mb-0 lg:hidden"
        makes={makes}
        at={make?.id ?? ''}
        onPick={goTo}
        standing={(one) => <StandingMark standing={standingOfMake(view, one).standing} />}
      />
      <div>
        <ul className="border-t border-rule max-lg:hidden">
          {makes.map((one) => (
            <li key={one.id} className="border-b border-rule">
              <button
                type="button"
                aria-pressed={one.id === make?.id}
                onClick={() => goTo(one.id)}
                className={clsx(
                  'flex min-h-14 w-full items-center gap-3 border-l-4 py-1.5 pr-2 pl-3 text-left',
                  one.id === make?.id ? 'border-copper bg-sheet' : 'border-transparent hover:bg-sheet',
                )}
              >
                <span className="figure w-7 text-right text-lg font-semibold">{circuitFor(one).number}</span>
                <span className="min-w-0 flex-1">
                  <span className="block truncate font-semibold">{circuitFor(one).function}</span>
                  <span className="text-soft">
                    at {cavityOf(one) ?? <span className="figure">{plain(atOf(one), 0)}</span>}
                    {isElsewhere(one, plan)
                      ? ` from ${nodeName(runOf(one, plan, view.job.harness.runs)?.fromNodeId ?? '')}`
                      : ''}
                    {one.make > 1 ? `, make ${one.make}` : ''}
                  </span>
                </span>
                <StandingMark standing={standingOfMake(view, one).standing} />
              </button>
            </li>
          ))}
        </ul>
        {allPassed ? (
          <Link
            to={pathTo('record')}
            className="mt-4 flex min-h-11 items-center justify-center rounded-sm bg-copper px-6 text-lg font-semibold text-oncopper"
          >
            On to the record
          </Link>
        ) : null}
      </div>
      {make ? (
        <ProveMake
          key={`${make.id} ${make.make}`}
          make={make}
          circuit={circuitFor(make)}
          onNext={nextOpen ? () => goTo(nextOpen.id) : undefined}
        />
      ) : null}
      <div className="lg:col-start-2">
        <Functions now="after" />
      </div>
    </div>
  );
}
