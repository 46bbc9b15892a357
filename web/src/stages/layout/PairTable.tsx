import type { FindingPlan, RunPlan } from '@mendum/core/plan';
import { TURNS_PER_M, wireInWords } from '@mendum/core/wire';
import { Figure, Length, useLength } from '../../ui/units.tsx';
import { useOpenJob } from '../job.ts';

/** Whether a limit is kept, as word, shape and colour. */
const Mark = ({ good, words }: { readonly good: boolean; readonly words: string }) => (
  <b className={good ? 'text-pass' : 'text-rework'}>
    <span aria-hidden>{good ? '● ' : '▲ '}</span>
    {words}
  </b>
);

/** Twisted pairs and shielded wires: equal inserts, what lies untwisted, and the turns to put back. */
export function PairTable({ plans, runPlan }: { readonly plans: readonly FindingPlan[]; readonly runPlan: RunPlan }) {
  const { circuitOf, view } = useOpenJob();
  const { plain, unit } = useLength();
  const limit = view.practice.figures.untwistedAtMostMm;
  const shielded = plans.filter(
    (finding) => finding.splices.length > 0 && circuitOf(finding.circuitId).kind === 'shielded',
  );
  if (runPlan.pairs.length + shielded.length === 0) return null;
  return (
    <section aria-label="Pairs and shields">
      <h3 className="text-lg font-semibold">Pairs and shields</h3>
      {runPlan.pairs.map((pair) => {
        const [a, b] = pair.circuitIds.map(circuitOf);
        const [first, second] = pair.insertMm;
        const equal = Math.abs((first ?? 0) - (second ?? 0)) <= 0.5;
        return (
          <div key={pair.circuitIds.join(' ')} className="border-b border-rule py-2">
            <p>
              <b>
                <span className="figure">{a?.number}</span> {a?.function}
              </b>{' '}
              with{' '}
              <b>
                <span className="figure">{b?.number}</span> {b?.function}
              </b>
            </p>
            <p className="flex flex-wrap gap-x-6">
              {first === undefined ? (
                <span>one splice each</span>
              ) : (
                <span>
                  New wire <Figure value={`${plain(first, 0)} · ${plain(second ?? 0, 0)}`} unit={unit} />{' '}
                  <Mark good={equal} words={equal ? 'equal' : 'not equal'} />
                </span>
              )}
              <span>
                Untwisted <Length mm={pair.longestMm} digits={0} /> of at most <Length mm={limit} digits={0} />{' '}
                <Mark good={pair.longestMm <= limit} words={pair.longestMm <= limit ? 'short enough' : 'too long'} />
              </span>
              <span>
                Twist back <Figure value={`${pair.turns.least}–${pair.turns.most}`} unit="turns" /> ({TURNS_PER_M.least}
                –{TURNS_PER_M.most} per metre)
              </span>
            </p>
          </div>
        );
      })}
      {shielded.map((finding) => {
        const shield = finding.splices[0]?.shield;
        return (
          <div key={finding.findingId} className="border-b border-rule py-2">
            <p>
              <b>
                <span className="figure">{circuitOf(finding.circuitId).number}</span>{' '}
                {circuitOf(finding.circuitId).function}
              </b>
              , its shield
            </p>
            {shield ? (
              <p className="flex flex-wrap gap-x-6">
                <span>
                  A splice of its own beside each of the core’s: {shield.methodName},{' '}
                  <Length mm={shield.joint.bodyLengthMm} digits={0} /> long
                </span>
                {finding.drain ? (
                  <span>
                    New drain <Length mm={finding.drain.lengthMm} digits={0} />, {wireInWords(finding.drain.wire.wire)}
                  </span>
                ) : null}
                <span>counted in the thickness</span>
              </p>
            ) : (
              <p className="text-rework">
                <span aria-hidden>▲ </span>No method is allowed for its drain here: join it by hand, in a splice of its
                own.
              </p>
            )}
          </div>
        );
      })}
    </section>
  );
}
