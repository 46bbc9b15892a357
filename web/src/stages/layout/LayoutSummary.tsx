import { Link } from 'react-router';
import { figure, type FindingPlan, type Run, type RunPlan } from '@mendum/core';
import { useOpenJob } from '../job.ts';

/** What the staggering reached and what still breaks a rule. */
export function LayoutSummary({ runPlan, plans, run }: { readonly runPlan: RunPlan; readonly plans: readonly FindingPlan[]; readonly run: Run }) {
  const { pathTo } = useOpenJob();
  const splices = plans.flatMap((finding) => finding.splices).length;
  const hard = runPlan.broken.filter((rule) => rule.strength !== 'wish');
  const wishes = runPlan.broken.filter((rule) => rule.strength === 'wish');
  const conduit = run.conduitInsideMm ?? runPlan.conduitMm;
  const margin = conduit === undefined ? undefined : conduit - runPlan.peakMm;
  return (
    <section aria-label="What the layout reached">
      <p className="text-lg">
        <b>{hard.length === 0 ? 'Nothing breaks a rule.' : hard.length === 1 ? 'One rule is broken.' : `${hard.length} rules are broken.`}</b>{' '}
        {splices > 0 ? <>Peak <b className="figure">{figure(runPlan.peakMm, 1)}</b> mm{runPlan.lumpMm > runPlan.peakMm + 0.05 ? <>, against <span className="figure">{figure(runPlan.lumpMm, 1)}</span> if all lay at one place</> : null}.</> : 'No splice on this run.'}
      </p>
      {hard.map((rule) => <p key={rule.because} className="mt-1 border-l-4 border-rework pl-3"><span aria-hidden className="text-rework">▲ </span>{rule.because}</p>)}
      {wishes.map((rule) => <p key={rule.because} className="mt-1 text-soft">{rule.because}</p>)}
      {conduit === undefined ? null : <p className="mt-1 text-soft">Conduit {figure(conduit)} inside{margin !== undefined && margin >= 0 ? `: ${figure(margin, 1)} mm to spare` : ': too small, take the next'}.</p>}
      <p className="mt-1 text-soft">Placed by rule, from the loss outwards; not proven best.</p>
      <Link to={pathTo('bench')} className="mt-4 inline-flex min-h-11 w-full items-center justify-center rounded-sm bg-copper px-6 text-lg font-semibold text-oncopper">On to the bench</Link>
    </section>
  );
}
