import type { Run } from '@mendum/core/harness';
import { openedMmOf } from '@mendum/core/layout';
import type { RunPlan } from '@mendum/core/plan';
import { Figure, Length, useLength } from '../../ui/units.tsx';
import { useOpenJob } from '../job.ts';

/** How the run is closed again: conduit, tape, sleeve over all, ties and bends. */
export function Closing({ run, runPlan }: { readonly run: Run; readonly runPlan: RunPlan }) {
  const { nodeName } = useOpenJob();
  const { plain, unit } = useLength();
  const { conduitMm, tapeMm, sleeve, ties, bends } = runPlan.closing;
  if (!runPlan.opened) return null;
  return (
    <section aria-label="Closing the harness">
      <h3 className="text-lg font-semibold">To close it</h3>
      <dl className="grid grid-cols-[auto_minmax(0,1fr)] [&>dt]:pr-4 [&>dt]:text-soft [&>*]:border-b [&>*]:border-rule [&>*]:py-1">
        <dt>Conduit</dt>
        <dd>
          {conduitMm === undefined ? (
            'none is wide enough: tape it'
          ) : (
            <>
              <Figure value={String(conduitMm)} /> mm inside, or larger
            </>
          )}
        </dd>
        <dt>Tape, 19 mm</dt>
        <dd>
          <Figure value={(tapeMm / 1000).toFixed(2)} unit="m" />, half lapped over{' '}
          {plain(openedMmOf(runPlan.openedParts), 0)} {unit}
        </dd>
        <dt>Sleeve over all</dt>
        <dd>
          {sleeve ? (
            <>{sleeve.name}; only where an end can be freed</>
          ) : (
            'none passes the thickest place and grips the thinnest: tape it'
          )}
        </dd>
        <dt>Ties at</dt>
        <dd>
          <span className="figure">{ties.map((mm) => plain(mm, 0)).join(', ')}</span> {unit} from{' '}
          {nodeName(run.fromNodeId)}
        </dd>
        {bends.map((bend) => (
          <div key={bend.name} className="contents [&>*]:border-b [&>*]:border-rule [&>*]:py-1">
            <dt className="pr-4 text-soft">{bend.moves ? `Bend at ${bend.name}` : 'Bend'}</dt>
            <dd>
              no tighter than <Length mm={bend.radiusMm} digits={0} />
              {bend.moves ? ', it moves' : ''}
            </dd>
          </div>
        ))}
      </dl>
    </section>
  );
}
