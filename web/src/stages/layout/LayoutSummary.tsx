import { Link } from 'react-router';
import type { EarlierRepair } from '@mendum/core/damage';
import type { Run } from '@mendum/core/harness';
import { levelsOf, type Level } from '@mendum/core/layout';
import type { FindingPlan, RunPlan } from '@mendum/core/plan';
import { figure } from '@mendum/core/units';
import { Figure, Length, useLength } from '../../ui/units.tsx';
import { useOpenJob } from '../job.ts';
import { EarlierLine } from './EarlierLine.tsx';

const LEVEL_WORDS: Record<Level, string> = {
  barred: 'Rules broken',
  over: 'Splices side by side',
  pairs: 'Pairs that overlap',
  splices: 'Splices',
  clearMm: 'Clear between bodies',
  peakMm: 'Thickest',
  openedMm: 'Opened',
  insertedMm: 'New wire',
  near: 'Close to a connector',
};
const LENGTHS: readonly Level[] = ['clearMm', 'peakMm', 'openedMm', 'insertedMm'];

/** What the layout reaches, level by level in the order that decides, and how far it is proven. */
function Reached({
  reached,
  kept,
  isToCome,
  order,
}: {
  readonly reached: RunPlan['reached'];
  readonly kept: boolean;
  readonly isToCome: boolean;
  readonly order: readonly Level[];
}) {
  const { plain, unit } = useLength();
  const { objective, bound, open } = reached;
  const openFrom = open === undefined ? order.length : order.indexOf(open);
  const show = (level: Level, value: number): string =>
    LENGTHS.includes(level) ? plain(value, level === 'peakMm' ? 1 : 0) : String(value);
  return (
    <>
      <p className="mt-2">
        {open === undefined ? (
          <>
            <span aria-hidden className="text-pass">
              ●{' '}
            </span>
            <b>Proven best</b>, in this order:
          </>
        ) : (
          <>
            <span aria-hidden className="text-rework">
              ▲{' '}
            </span>
            {isToCome ? (
              <>Still being bettered. On the right, the best that could still be reached:</>
            ) : kept ? (
              <>Your layout is kept. On the right, the best that a search could still reach:</>
            ) : (
              <>Not proven best from “{LEVEL_WORDS[open].toLowerCase()}” down:</>
            )}
          </>
        )}
      </p>
      <table className="w-full">
        <thead className="sr-only">
          <tr>
            <th>What counts</th>
            <th>Reached</th>
            <th>Best possible</th>
          </tr>
        </thead>
        <tbody>
          {order
            .filter((level) => level !== 'barred' && !(level === 'pairs' && objective.pairs === 0))
            .map((level) => (
              <tr key={level} className="border-b border-rule">
                <th scope="row" className="py-1 text-left font-normal">
                  {LEVEL_WORDS[level]}
                </th>
                <td className="text-right">
                  <Figure value={show(level, objective[level])} unit={LENGTHS.includes(level) ? unit : undefined} />
                </td>
                <td className="pl-3 text-right text-soft">
                  {order.indexOf(level) < openFrom ? (
                    ''
                  ) : (
                    <>
                      {level === 'clearMm' ? '≤' : '≥'} <Figure value={show(level, bound[level])} />
                    </>
                  )}
                </td>
              </tr>
            ))}
        </tbody>
      </table>
    </>
  );
}

/** Broken rules that are spelt out; of more only the number. */
const MOST_SHOWN = 5;

/** What the layout reached and what still breaks a rule. */
export function LayoutSummary({
  runPlan,
  plans,
  run,
  kept,
  isToCome,
  earlier,
}: {
  readonly runPlan: RunPlan;
  readonly plans: readonly FindingPlan[];
  readonly run: Run;
  readonly kept: boolean;
  /** Whether a search for a better layout is under way, or is to come. */
  readonly isToCome: boolean;
  /** Repairs of earlier jobs on the run. */
  readonly earlier: readonly EarlierRepair[];
}) {
  const { reached } = runPlan;
  const { pathTo } = useOpenJob();
  const splices = plans.flatMap((finding) => finding.splices).length;
  const hard = runPlan.broken.filter((rule) => rule.strength !== 'wish');
  const wishes = runPlan.broken.filter((rule) => rule.strength === 'wish');
  const staying = runPlan.lying?.filter(({ kind }) => kind === 'splice').length ?? 0;
  const cutOut = new Set(plans.flatMap(({ cutsOut }) => cutsOut.map(({ id }) => id)));
  const conduit = run.conduitInsideMm ?? runPlan.conduitMm;
  const margin = conduit === undefined ? undefined : conduit - runPlan.peakMm;
  const grownMm = (runPlan.growths ?? []).reduce((sum, { byMm }) => sum + byMm, 0);
  return (
    <section aria-label="What the layout reached">
      {grownMm > 0 ? (
        <p className="text-lg">
          {run.name} grows from <Length mm={runPlan.lengthMm - grownMm} digits={0} /> to{' '}
          <Length mm={runPlan.lengthMm} digits={0} />: a lead on it is lengthened. Places are those on the longer run.
        </p>
      ) : null}
      <p className="text-lg">
        <b>
          {splices === 0
            ? 'No splice on this run.'
            : hard.length === 0
              ? 'Nothing breaks a rule.'
              : hard.length === 1
                ? 'One rule is broken.'
                : `${hard.length} rules are broken.`}
        </b>
      </p>
      {staying > 0 ? (
        <p className="mt-1 text-soft">
          {staying === 1
            ? '1 earlier splice on this run stays and is counted in.'
            : `${staying} earlier splices on this run stay and are counted in.`}
        </p>
      ) : null}
      {earlier.length > 0 ? (
        <ul aria-label="Earlier repairs on this run" className="mt-1 text-soft">
          {earlier.map((repair) => (
            <li key={repair.id}>
              <EarlierLine repair={repair} isCutOut={cutOut.has(repair.id)} />
            </li>
          ))}
        </ul>
      ) : null}
      {hard.slice(0, MOST_SHOWN).map((rule) => (
        <p key={rule.because} className="mt-1 border-l-4 border-rework pl-3">
          <span aria-hidden className="text-rework">
            ▲{' '}
          </span>
          {rule.because}
        </p>
      ))}
      {hard.length > MOST_SHOWN ? <p className="mt-1 text-soft">And {hard.length - MOST_SHOWN} more.</p> : null}
      {wishes.slice(0, MOST_SHOWN).map((rule) => (
        <p key={rule.because} className="mt-1 text-soft">
          {rule.because}
        </p>
      ))}
      {conduit === undefined ? null : (
        <p className="mt-1 text-soft">
          Conduit {figure(conduit)} inside
          {margin !== undefined && margin >= 0 ? `: ${figure(margin, 1)} mm to spare` : ': too small, take the next'}.
        </p>
      )}
      {splices > 0 ? (
        <Reached reached={reached} kept={kept} isToCome={isToCome} order={levelsOf(runPlan.layouts?.chosen ?? {})} />
      ) : null}
      <Link
        to={pathTo('bench')}
        className="mt-4 inline-flex min-h-11 w-full items-center justify-center rounded-sm bg-copper px-6 text-lg font-semibold text-oncopper"
      >
        On to the bench
      </Link>
    </section>
  );
}
