import { useState } from 'react';
import { type Make, redoCost, type Ruling } from '@mendum/core';
import { useSave } from '../../app/change.ts';
import { Button } from '../../ui/button.tsx';
import { Length } from '../../ui/units.tsx';
import { Verdict } from '../../ui/verdict.tsx';
import { useOpenJob } from '../job.ts';
import { tickedIds } from '../stages.ts';

/** A joint that failed: cause, next action, and what making it again costs in wire before it is accepted. */
export function MakeAgain({ make, ruling }: { readonly make: Make; readonly ruling: Ruling | undefined }) {
  const { view, plan } = useOpenJob();
  const { save, busy } = useSave();
  const shrinkStep = make.steps.find((step) => step.key === 'shrink' || step.key === 'tape');
  const [shrunk, setShrunk] = useState(shrinkStep !== undefined && tickedIds(view).has(shrinkStep.id));
  const finding = plan.findings.find((one) => one.findingId === make.findingId);
  if (!ruling || !finding) return null;
  const cost = 'joint' in make ? redoCost(finding, make, shrunk) : undefined;
  const becomes =
    cost &&
    {
      oneSplice: (
        <>
          One splice still reaches: <Length mm={cost.slackLeftMm} /> of slack are left then.
        </>
      ),
      twoSplices: <b>The slack is used up: one splice becomes two, with a new insert.</b>,
      longerInsert: <>Both splices of the insert are made again, with a longer insert.</>,
    }[cost.becomes];
  const again = (): void =>
    void save('makeAgain', { jobId: view.id, spliceId: make.id, make: make.make, shrunk, because: ruling.cause });
  return (
    <section aria-label="Make it again" className="mt-4 border-l-4 border-scrap bg-sheet px-5 py-4 text-lg">
      <p>
        <Verdict verdict={ruling.verdict} className="text-xl" /> <span className="ml-2">{ruling.cause}</span>
      </p>
      <p className="font-semibold">{ruling.next}</p>
      {ruling.verdict === 'rework' ? (
        <p className="text-soft">Put it right and enter the check again below; cutting it out costs wire.</p>
      ) : null}
      {cost ? (
        <>
          <label className="mt-2 flex min-h-11 items-center gap-3">
            <input
              type="checkbox"
              className="size-6 accent-(--copper)"
              checked={shrunk}
              onChange={(event) => setShrunk(event.target.checked)}
            />
            Its sleeve has been shrunk
          </label>
          <p>
            Cutting it out costs{' '}
            <b>
              <Length mm={cost.lossPerSideMm} />
            </b>{' '}
            on each side. {becomes}
          </p>
        </>
      ) : (
        <p>The cover cannot be changed without cutting: the wire is cut out and spliced.</p>
      )}
      <Button look="scrap" className="mt-3" disabled={busy} onClick={again}>
        Cut it out and make it again
      </Button>
    </section>
  );
}
