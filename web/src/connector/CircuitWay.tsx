import type { Harness } from '@mendum/core/harness';
import { treeScale } from '../draw/tree.ts';
import { Drawing } from '../draw/Drawing.tsx';
import { useRoom } from '../draw/useRoom.ts';

/** The harness with the way of the picked circuit on it. */
export function CircuitWay({
  harness,
  runIds,
}: {
  readonly harness: Pick<Harness, 'nodes' | 'runs'>;
  readonly runIds: readonly string[];
}) {
  const [box, room] = useRoom<HTMLDivElement>(700);
  const { placed, first, x, y, high } = treeScale(harness, room.width, 30);
  const names = harness.runs.filter((run) => runIds.includes(run.id)).map((run) => run.name);
  return (
    <div ref={box} className="w-full min-w-0 overflow-hidden">
      <Drawing
        room={room}
        high={high - 16}
        role="img"
        aria-label={names.length === 0 ? 'The harness' : `The circuit goes through ${names.join(', ')}`}
      >
        <g transform="translate(0 -12)">
          <text x={58} y={y(0) + 5} textAnchor="end" fontSize={15} fontWeight={600} fill="var(--ink)">
            {first?.name}
          </text>
          {[...placed]
            .sort((a, b) => Number(runIds.includes(a.run.id)) - Number(runIds.includes(b.run.id)))
            .map(({ run, fromMm, toMm, fromRow, row, end }) => {
              const on = runIds.includes(run.id);
              return (
                <g key={run.id}>
                  <path
                    d={`M${x(fromMm)} ${y(fromRow)}V${y(row)}H${x(toMm)}`}
                    fill="none"
                    stroke={on ? 'var(--copper)' : 'var(--soft)'}
                    strokeWidth={on ? 6 : 2}
                  />
                  {end?.kind === 'branch' ? null : (
                    <text x={x(toMm) + 10} y={y(row) + 5} fontSize={15} fontWeight={on ? 600 : 400} fill="var(--ink)">
                      {end?.name}
                    </text>
                  )}
                </g>
              );
            })}
        </g>
      </Drawing>
    </div>
  );
}
