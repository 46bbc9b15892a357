import { useState } from 'react';
import { useNavigate } from 'react-router';
import type { Run } from '@mendum/core/harness';
import { allMakes, type FindingPlan, type Make } from '@mendum/core/plan';
import { figure } from '@mendum/core/units';
import { useTicks } from '../../app/change.ts';
import { useKeys } from '../../app/useKeys.ts';
import { WireChip } from '../../shapes/WireLine.tsx';
import { Button } from '../../ui/button.tsx';
import { useLength } from '../../ui/units.tsx';
import { useOpenJob } from '../job.ts';
import { atOf, cavityOf, makeWord } from '../where.ts';
import { SlackAccount } from '../mishap/SlackAccount.tsx';
import { WentWrong } from '../mishap/WentWrong.tsx';
import { tickedIds } from '../standing.ts';
import { StepDrawing } from './StepDrawing.tsx';
import { Timer } from './Timer.tsx';
import { TrueSize } from './TrueSize.tsx';

interface StepScreenProps {
  readonly make: Make;
  readonly finding: FindingPlan;
  readonly run: Run;
  readonly onMake: (id: string) => void;
}

/** One step at a time, large enough for an arm's length: what to do, its figure, the classic mistake. */
export function StepScreen({ make, finding, run, onMake }: StepScreenProps) {
  const { view, plan, circuitOf, nodeName, locked } = useOpenJob();
  const navigate = useNavigate();
  const tick = useTicks(view.id, view.version);
  const { plain, fixed, unit } = useLength();
  const ticked = tickedIds(view);
  const firstOpen = make.steps.findIndex((step) => !ticked.has(step.id));
  const [shown, setShown] = useState<number>();
  const [gauge, setGauge] = useState(false);
  const [wrong, setWrong] = useState(false);
  const index = Math.min(shown ?? (firstOpen === -1 ? make.steps.length - 1 : firstOpen), make.steps.length - 1);
  const step = make.steps[index];
  const circuit = circuitOf(finding.circuitId);
  const all = allMakes(plan);
  const madeAll = firstOpen === -1;
  const isDone = step !== undefined && ticked.has(step.id);
  const next = all[all.findIndex((one) => one.id === make.id) + 1];
  const isMm = step?.figure?.unit === 'mm';

  const goOn = (from: number): void => {
    if (from + 1 < make.steps.length) setShown(from + 1);
    else if (next) onMake(next.id);
    else void navigate(`/jobs/${view.id}/prove?finding=${make.findingId}`);
  };
  const done = (): void => {
    if (step && !isDone && !locked) void tick([step], true);
    goOn(index);
  };
  const doneAll = (): void => {
    void tick(
      make.steps.filter((one) => !ticked.has(one.id)),
      true,
    );
    goOn(make.steps.length);
  };
  const back = (): void => setShown(Math.max(0, index - 1));
  useKeys({ Enter: done, b: back });
  if (!step) return null;

  return (
    <section aria-label={`Step ${index + 1} of ${make.steps.length}`} className="flex flex-1 flex-col">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-1 text-xl">
        <b className="figure text-2xl">{circuit.number}</b>
        <WireChip colour={circuit.wire.colour} width={120} thick={13} title="the wire" />
        <b>{circuit.function}</b>
        <span className="text-soft">
          {makeWord(make)}
          {cavityOf(make) === undefined ? (
            <>
              {' '}
              at <span className="figure text-ink">{plain(atOf(make), 0)}</span> {unit} from {nodeName(run.fromNodeId)}
            </>
          ) : (
            <>, {cavityOf(make)}</>
          )}
          {make.make > 1 ? `, make ${make.make}` : ''}
        </span>
        <span className="ml-auto text-soft">
          step{' '}
          <span className="figure text-ink">
            {index + 1} of {make.steps.length}
          </span>
        </span>
      </div>
      <div className="grid flex-1 content-center items-center gap-8 py-6 lg:grid-cols-[1fr_minmax(300px,380px)]">
        <div>
          <h2 className="text-[2.75rem] leading-tight font-semibold">
            {step.title}
            {isDone ? <span className="ml-3 align-middle text-2xl text-pass">✓ done</span> : null}
          </h2>
          <p className="mt-2 max-w-[44ch] text-2xl leading-snug">{step.detail}</p>
          <StepDrawing step={step} make={make} colour={circuit.wire.colour} />
        </div>
        <div className="lg:border-l lg:border-ink lg:pl-8">
          {step.figure ? (
            <p className="mb-5">
              <span className="figure block text-[5.5rem] leading-none font-semibold">
                {isMm ? fixed(step.figure.value, step.figure.digits) : figure(step.figure.value, step.figure.digits)}
              </span>
              <span className="text-2xl text-soft">
                {isMm ? unit : step.figure.unit}
                {step.figure.tolerance === undefined ? '' : ` ± ${plain(step.figure.tolerance)}`}
              </span>
            </p>
          ) : null}
          <p className="border-l-4 border-rework pl-4 text-xl">{step.mistake}</p>
          <SlackAccount finding={finding} />
          {step.waitS === undefined ? null : <Timer key={step.id} seconds={step.waitS} />}
        </div>
      </div>
      <div className="flex flex-wrap items-center gap-3">
        <Button size="large" onClick={back} disabled={index === 0}>
          Back
        </Button>
        {step.drawing === 'strip' || step.drawing === 'fold' ? (
          <Button size="large" onClick={() => setGauge(true)}>
            Hold wire against screen
          </Button>
        ) : null}
        {isDone && !locked ? (
          <Button look="quiet" onClick={() => void tick([step], false)}>
            Not done after all
          </Button>
        ) : null}
        {!madeAll && !locked ? (
          <Button look="quiet" onClick={doneAll}>
            All steps of this one are done
          </Button>
        ) : null}
        {locked ? null : (
          <Button look="quiet" onClick={() => setWrong(true)}>
            It went wrong
          </Button>
        )}
        <Button look="copper" size="large" className="ml-auto" onClick={done}>
          {index + 1 < make.steps.length ? 'Done, next' : next ? 'Done, next splice' : 'Done, on to Prove'}
        </Button>
      </div>
      {wrong ? <WentWrong make={make} finding={finding} onClose={() => setWrong(false)} /> : null}
      <TrueSize
        open={gauge}
        onClose={() => setGauge(false)}
        lengthMm={step.figure?.value ?? 0}
        colour={circuit.wire.colour}
      />
    </section>
  );
}
