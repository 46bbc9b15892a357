import { Link } from 'react-router';
import { lazy, Suspense, useState } from 'react';
import { findingInWords, isAtCavity } from '@mendum/core/damage';
import type { FindingPlan } from '@mendum/core/plan';
import { figure } from '@mendum/core/units';
import { sizeInWords } from '@mendum/core/wire';
import { useSave } from '../../app/change.ts';
import { Button } from '../../ui/button.tsx';
import { useOpenJob } from '../job.ts';
import { CableLine } from './CableLine.tsx';
import { coloursAt } from '../../draw/coloursAt.ts';
import { Asks } from './Asks.tsx';
import { ElectricalTable } from './ElectricalTable.tsx';
import { FigureStrip } from './FigureStrip.tsx';
import { JointPicture } from './JointPicture.tsx';
import { OrderOrInstead } from './OrderOrInstead.tsx';
import { PieceOfCard } from './PieceOfCard.tsx';
import { Ranking } from './Ranking.tsx';
import { Terminals } from './Terminals.tsx';
import { Ways } from './Ways.tsx';

/** It adds up what is drawn on a wire: what is decided is read before it. */
const RouteMap = lazy(async () => ({ default: (await import('./RouteMap.tsx')).RouteMap }));
const SlackAccount = lazy(async () => ({ default: (await import('../mishap/SlackAccount.tsx')).SlackAccount }));
/** It plans on the page, so it brings the planner with it: only when it is opened. */
const WhatIf = lazy(async () => ({ default: (await import('./WhatIf.tsx')).WhatIf }));

/** One decision opened: what is done, because of what, drawn, in figures, and every other way ranked. */
export function DecisionDetail({ finding }: { readonly finding: FindingPlan }) {
  const { view, circuitOf, findingOf, plan, locked, select, nodeName, pathTo } = useOpenJob();
  const { save, busy } = useSave();
  const circuit = circuitOf(finding.circuitId);
  const [splice] = finding.splices;
  const [trying, setTrying] = useState(false);
  const found = findingOf(finding.findingId);
  return (
    <article aria-label={`Decision on circuit ${circuit.number}`}>
      <PieceOfCard finding={finding} />
      <p className="text-soft">
        {circuit.number} {circuit.function}, {sizeInWords(circuit.wire.size)}, {nodeName(circuit.from.nodeId)}{' '}
        {circuit.from.cavity} → {nodeName(circuit.to.nodeId)} {circuit.to.cavity}: {findingInWords(found)}
      </p>
      <h2 className="mt-1 text-[1.75rem] leading-tight font-semibold">{finding.headline}</h2>
      <p className="mt-2 max-w-[75ch] text-xl leading-snug">{finding.because.join(' ')}</p>
      {finding.passed.length === 0 ? null : (
        <p className="mt-1 max-w-[75ch] text-lg text-soft">Not taken: {finding.passed.join(' ')}</p>
      )}
      {finding.takenBy === undefined ? null : (
        <Button className="mt-2" onClick={() => select(finding.takenBy ?? '')}>
          Open the repair that takes it away
        </Button>
      )}
      {finding.chosenBy ? (
        <p className="mt-2 border-l-4 border-copper pl-3 text-lg">
          <b>Chosen by {finding.chosenBy.by}:</b> {finding.chosenBy.reason}{' '}
          {locked ? null : (
            <Button
              look="quiet"
              disabled={busy}
              onClick={() =>
                void save('choose', { jobId: view.id, version: view.version, findingId: finding.findingId, use: null })
              }
            >
              Back to the ranking
            </Button>
          )}
        </p>
      ) : null}
      {finding.temporaryUntil === undefined ? null : (
        <p className="mt-2 text-lg font-semibold text-rework">
          ▲ Temporary: comes back by {finding.temporaryUntil} for the permanent repair.
        </p>
      )}
      {finding.warnings.map((warning) => (
        <p key={warning} className="mt-2 border-l-4 border-rework pl-3 text-lg">
          <span aria-hidden className="text-rework">
            ▲{' '}
          </span>
          {warning}
        </p>
      ))}
      <Asks asks={finding.asks} />
      <OrderOrInstead finding={finding} />
      {isAtCavity(found) && finding.ways.some((way) => way.way === 'pigtail') ? (
        <Link
          to={`/jobs/${view.id}/mapping/${found.at.nodeId}`}
          className="inline-flex min-h-11 items-center text-lg underline underline-offset-4"
        >
          {finding.approach === 'pigtail' ? 'Map the pigtail by cavity' : 'Pigtail instead: map it by cavity'}
        </Link>
      ) : null}
      {splice ? (
        <div className="my-2">
          <JointPicture splice={splice} colours={coloursAt(finding, splice, circuit.wire.colour)} />
        </div>
      ) : null}
      <div className="my-3">
        <FigureStrip finding={finding} />
      </div>
      <Suspense fallback={<div className="min-h-11" />}>
        <SlackAccount finding={finding} />
      </Suspense>
      {[finding.cavity, finding.far].map((make) =>
        make?.work.terminal ? (
          <p key={make.id}>
            {make.work.terminal.partName}
            {finding.far ? `, ${make.work.nodeName} ${make.work.at.cavity}` : ''}: {make.work.terminal.fitsWords}, strip{' '}
            <span className="figure">{figure(make.work.terminal.stripMm, 1)}</span> mm.
            {make.work.terminal.seal ? ` Sealed by ${make.work.terminal.seal.name}.` : ''}
          </p>
        ) : null,
      )}
      {finding.added ? (
        <Suspense fallback={<div className="min-h-11" />}>
          <RouteMap added={finding.added} />
        </Suspense>
      ) : null}
      <CableLine finding={finding} />
      {splice ? (
        <p>
          {splice.joint.partName}: {splice.joint.fitsWords}
          {splice.joint.sides === undefined ? '' : `; ${splice.joint.sides}`}.
          {splice.joint.seal.kind === 'sleeve'
            ? ` ${splice.joint.seal.name} passes ${figure(splice.joint.seal.passesMm, 1)} and grips ${figure(splice.joint.seal.gripsMm, 2)} mm.`
            : ''}
        </p>
      ) : null}
      {locked || finding.approach === 'stopped' || finding.approach === 'procedure' ? null : (
        <Button className="mt-2" onClick={() => setTrying(true)}>
          What if…
        </Button>
      )}
      <div className="mt-5">
        <Ways finding={finding} />
      </div>
      <div className="mt-5">
        <Terminals finding={finding} />
      </div>
      <div className="mt-5">
        <Ranking finding={finding} />
      </div>
      <div className="mt-5">
        <ElectricalTable finding={finding} />
      </div>
      {trying ? (
        <Suspense fallback={null}>
          <WhatIf finding={finding} onClose={() => setTrying(false)} />
        </Suspense>
      ) : null}
      <div className="mt-4 flex flex-wrap items-center gap-4">
        <p className="max-w-[60ch] text-soft">{plan.cautions[0]?.text}</p>
        <Link
          to={pathTo('layout')}
          className="ml-auto inline-flex min-h-11 items-center rounded-sm bg-copper px-6 text-lg font-semibold text-oncopper"
        >
          On to Lay out
        </Link>
      </div>
    </article>
  );
}
