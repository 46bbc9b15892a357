import type { Finding } from '@mendum/core/damage';
import { runLengthInWords, type Harness } from '@mendum/core/harness';
import { counted, figure } from '@mendum/core/units';
import { goesOnAt, treeScale } from './tree.ts';
import { Drawing } from './Drawing.tsx';
import { useRoom } from './useRoom.ts';

/** The harness as a small tree to scale, with distances and how much was found on each run. Picking a run shows it. */
export function HarnessTree({
  harness,
  findings,
  runId,
  onPick,
  reaching,
}: {
  readonly harness: Harness;
  readonly findings: readonly Finding[];
  readonly runId: string;
  readonly onPick: (runId: string) => void;
  readonly reaching?: ((runId: string) => number) | undefined;
}) {
  const [box, room] = useRoom<HTMLDivElement>(600);
  const { placed, first, x, y, high } = treeScale(harness, room.width, 46);
  return (
    <div ref={box} className="w-full min-w-0 overflow-hidden">
      <Drawing room={room} high={high} className="tree block" role="group" aria-label={`${harness.name}: pick a run`}>
        <text x={0} y={y(0) + 5} fontSize={16} fontWeight={600} fill="var(--ink)">
          {first?.name}
        </text>
        {placed.map(({ run, fromMm, toMm, fromRow, row, end }) => {
          const here = findings.filter((finding) => finding.runId === run.id).length;
          const reach = reaching?.(run.id) ?? 0;
          const isWide = x(toMm) - x(fromMm) > 150;
          const said = [
            here > 0 ? `${here} found` : '',
            reach > 0 ? (isWide ? `${reach} reaching in` : `+${reach}`) : '',
          ]
            .filter((words) => words !== '')
            .join(isWide ? ', ' : ' ');
          const picked = run.id === runId;
          const path = `M${x(fromMm)} ${y(fromRow)}V${y(row)}H${x(toMm)}`;
          return (
            <g
              key={run.id}
              role="button"
              tabIndex={0}
              aria-pressed={picked}
              aria-label={`${run.name}, ${runLengthInWords(run)}, ${counted(here, 'finding')}${reach > 0 ? `, ${counted(reach, 'splice')} of others` : ''}`}
              className="cursor-pointer"
              onClick={() => onPick(run.id)}
              onKeyDown={(event) => {
                if (event.key === 'Enter' || event.key === ' ') {
                  event.preventDefault();
                  onPick(run.id);
                }
              }}
            >
              <path d={path} fill="none" stroke="transparent" strokeWidth={44} />
              <path
                d={path}
                fill="none"
                stroke={picked ? 'var(--copper)' : 'var(--ink)'}
                strokeWidth={picked ? 6 : 3}
                strokeDasharray={run.atLeast ? '10 7' : undefined}
              />
              <text
                x={(x(fromMm) + x(toMm)) / 2}
                y={y(row) - 9}
                textAnchor="middle"
                fontSize={14}
                fill={picked ? 'var(--ink)' : 'var(--soft)'}
                fontWeight={picked ? 600 : 400}
                paintOrder="stroke"
                stroke="var(--paper)"
                strokeWidth={5}
                strokeLinejoin="round"
              >
                {isWide ? `${run.name}, ` : ''}
                {run.atLeast ? (
                  runLengthInWords(run)
                ) : (
                  <>
                    <tspan className="figure">{figure(run.lengthMm, 0)}</tspan>
                    {x(toMm) - x(fromMm) > 60 ? ' mm' : ''}
                  </>
                )}
                {said === '' ? '' : ` · ${said}`}
              </text>
              <circle cx={x(toMm)} cy={y(row)} r={6} fill="var(--sheet)" stroke="var(--ink)" strokeWidth={2} />
              {end && goesOnAt(harness.runs, end.id) ? (
                <text x={x(toMm)} y={y(row) + 22} textAnchor="middle" fontSize={13} fill="var(--soft)">
                  {end.kind === 'branch' ? '' : end.name}
                </text>
              ) : (
                <text x={x(toMm) + 12} y={y(row) + 5} fontSize={15} fill="var(--ink)">
                  {end?.name}
                </text>
              )}
            </g>
          );
        })}
        <rect
          x={x(0) - 7}
          y={y(0) - 9}
          width={14}
          height={18}
          rx={2}
          fill="var(--sheet)"
          stroke="var(--ink)"
          strokeWidth={2}
        />
      </Drawing>
    </div>
  );
}
