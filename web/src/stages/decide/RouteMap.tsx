import type { FindingPlan } from '@mendum/core/plan';
import { figure } from '@mendum/core/units';
import { goesOnAt, treeScale } from '../../draw/tree.ts';
import { Drawing } from '../../draw/Drawing.tsx';
import { useRoom } from '../../draw/useRoom.ts';
import { useOpenJob } from '../job.ts';

/** The way of an added wire, drawn along the harness to scale: from where it begins to its other end. */
export function RouteMap({ added }: { readonly added: NonNullable<FindingPlan['added']> }) {
  const { view, nodeName } = useOpenJob();
  const [box, room] = useRoom<HTMLDivElement>(520);
  const { harness } = view.job;
  const { placed, first, x, y, high } = treeScale(harness, room.width, 40);
  const { along, lengthMm } = added;
  if (along.length === 0) return null;
  const names = along.map(({ runId }) => harness.runs.find(({ id }) => id === runId)?.name ?? runId).join(', then ');
  return (
    <figure ref={box} className="my-3 w-full min-w-0 overflow-hidden">
      <figcaption className="text-lg">
        Way of the added wire: <span className="figure">{figure(lengthMm, 0)}</span> mm
      </figcaption>
      <Drawing room={room} high={high} className="block" role="img" aria-label={`Along ${names}`}>
        <text x={0} y={y(0) + 5} fontSize={15} fill="var(--ink)">
          {first?.name}
        </text>
        {placed.map(({ run, fromMm, toMm, fromRow, row, end, forward }) => {
          const part = along.find(({ runId }) => runId === run.id);
          const at = (mm: number): number => x(forward ? fromMm + mm : toMm - mm);
          return (
            <g key={run.id}>
              <path
                d={`M${x(fromMm)} ${y(fromRow)}V${y(row)}H${x(toMm)}`}
                fill="none"
                stroke="var(--rule)"
                strokeWidth={3}
              />
              {part ? (
                <>
                  {fromRow !== row && Math.min(at(part.fromMm), at(part.toMm)) <= x(fromMm) + 0.5 ? (
                    <path d={`M${x(fromMm)} ${y(fromRow)}V${y(row)}`} stroke="var(--copper)" strokeWidth={5} />
                  ) : null}
                  <path
                    d={`M${at(part.fromMm)} ${y(row)}H${at(part.toMm)}`}
                    stroke="var(--copper)"
                    strokeWidth={5}
                    strokeLinecap="round"
                  />
                </>
              ) : null}
              <text x={x(toMm) + 10} y={y(row) + 5} fontSize={14} fill="var(--ink)">
                {end && !goesOnAt(harness.runs, end.id) ? nodeName(end.id) : ''}
              </text>
            </g>
          );
        })}
      </Drawing>
    </figure>
  );
}
