import { cutsOn, type FindingPlan, type RunPlan } from '@mendum/core/plan';
import { Figure, useLength } from '../../ui/units.tsx';
import { useOpenJob } from '../job.ts';

/** Over the board, always in sight: the picked circuit's cuts and insert, and the first rule that is broken. */
export function LiveLine({
  finding,
  runPlan,
  moving,
}: {
  readonly finding: FindingPlan | undefined;
  readonly runPlan: RunPlan;
  readonly moving: boolean;
}) {
  const { circuitOf } = useOpenJob();
  const { plain, unit } = useLength();
  const hard = runPlan.broken.filter((rule) => rule.strength !== 'wish');
  const [first] = hard;
  const cuts =
    finding && finding.splices.length > 0
      ? [...new Set(cutsOn(finding).map((mm) => plain(mm)))].join(' · ')
      : undefined;
  return (
    <div className="flex min-w-0 flex-wrap items-baseline gap-x-4 leading-snug" aria-live={moving ? 'off' : 'polite'}>
      {finding && cuts !== undefined ? (
        <span className="sm:whitespace-nowrap">
          <b className="figure">{circuitOf(finding.circuitId).number}</b> cut at{' '}
          <b>
            <Figure value={cuts} />
          </b>
          {finding.insert ? (
            <>
              , insert{' '}
              <b>
                <Figure value={plain(finding.insert.lengthMm, 0)} />
              </b>
            </>
          ) : null}{' '}
          {unit}
        </span>
      ) : (
        <span className="text-soft">Drag a splice, or pick it and press ← → (with Shift 10 mm)</span>
      )}
      {first ? (
        <span className="min-w-0 truncate text-rework">
          <span aria-hidden>▲ </span>
          {hard.length > 1 ? `${hard.length} broken: ` : ''}
          {first.because}
        </span>
      ) : null}
    </div>
  );
}
