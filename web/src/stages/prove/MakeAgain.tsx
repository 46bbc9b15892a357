import { useMemo, useState } from 'react';
import type { MishapSaid } from '@mendum/core/mishap';
import type { FindingPlan, Make } from '@mendum/core/plan';
import type { Ruling } from '@mendum/core/prove';
import { useSave } from '../../app/change.ts';
import { Button } from '../../ui/button.tsx';
import { TickBox } from '../../ui/field.tsx';
import { Verdict } from '../../ui/verdict.tsx';
import { useOpenJob } from '../job.ts';
import { Price } from '../mishap/Price.tsx';
import { useMishap } from '../mishap/useMishap.ts';
import { tickedIds } from '../standing.ts';

interface MakeAgainProps {
  readonly make: Make;
  readonly finding: FindingPlan;
  readonly ruling: Ruling;
}

/** A joint that failed: cause, next action, what making it again costs and what the plan becomes, before it is accepted. */
export function MakeAgain({ make, finding, ruling }: MakeAgainProps) {
  const { view } = useOpenJob();
  const { save, busy } = useSave();
  const sealStep = make.steps.find((step) => step.key === 'shrink' || step.key === 'tape');
  const [sealed, setSealed] = useState(sealStep !== undefined && tickedIds(view).has(sealStep.id));
  const said = useMemo<MishapSaid>(() => ({ kind: 'jointFailed', joined: true, sealed }), [sealed]);
  const priced = useMishap(finding, make, said);
  const again = (): void =>
    void save('makeAgain', {
      jobId: view.id,
      version: view.version,
      spliceId: make.id,
      make: make.make,
      ...said,
      because: ruling.cause,
    });
  return (
    <section aria-label="Make it again" className="mt-4 border-l-4 border-scrap bg-sheet px-5 py-4 text-lg">
      <p>
        <Verdict verdict={ruling.verdict} className="text-xl" /> <span className="ml-2">{ruling.cause}</span>
      </p>
      <p className="font-semibold">{ruling.next}</p>
      {ruling.verdict === 'rework' ? (
        <p className="text-soft">Put it right and enter the check again below; cutting it out costs wire.</p>
      ) : null}
      {sealStep && 'joint' in make ? (
        <TickBox
          label="Its seal is on already"
          checked={sealed}
          onChange={(event) => setSealed(event.target.checked)}
        />
      ) : null}
      <Price finding={finding} make={make} priced={priced} />
      <Button look="scrap" className="mt-3" disabled={busy} onClick={again}>
        Cut it out and make it again
      </Button>
    </section>
  );
}
