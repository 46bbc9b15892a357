import { useState } from 'react';
import type { DoneRepair } from '@mendum/core/operations';
import type { Circuit, Run } from '@mendum/core/harness';
import { counted, figure } from '@mendum/core/units';
import { Drawing } from '../../draw/Drawing.tsx';
import { RowNames } from '../../draw/RowNames.tsx';
import { rowsOf, thickOf } from '../../draw/rows.ts';
import { Ruler } from '../../draw/Ruler.tsx';
import { useRoom } from '../../draw/useRoom.ts';
import { useRunScale } from '../../draw/useRunScale.ts';
import type { Shown } from '../../draw/shown.ts';
import { ZoomBar } from '../../draw/ZoomBar.tsx';
import { WireLine } from '../../shapes/WireLine.tsx';
import { useLength } from '../../ui/units.tsx';
import { bodyOf } from './shown.ts';

const ROW = 28;
const TOP = 44;
const HIGH = 20;
/** Narrower than this a body could not be seen or tapped, px. */
const LEAST = 12;

/** A repair on its wire: what lies there by now full, what was cut out since dashed. */
function Done({
  one,
  x,
  y,
  picked,
  onPick,
}: {
  readonly one: DoneRepair;
  readonly x: (mm: number) => number;
  readonly y: number;
  readonly picked: boolean;
  readonly onPick: (recordId: string) => void;
}) {
  const body = bodyOf(one);
  if (!body) return null;
  const middle = (x(body.fromMm) + x(body.toMm)) / 2;
  const wide = Math.max(LEAST, x(body.toMm) - x(body.fromMm));
  return (
    <g data-done={one.recordId} onClick={() => onPick(one.recordId)} className="cursor-pointer">
      <title>{`${one.body.method}, job ${one.body.jobNumber}, ${one.body.signedAt.slice(0, 10)}`}</title>
      <rect
        x={middle - Math.max(wide, 24) / 2}
        y={y - ROW / 2}
        width={Math.max(wide, 24)}
        height={ROW}
        fill="none"
        pointerEvents="all"
      />
      <rect
        x={middle - wide / 2}
        y={y - HIGH / 2}
        width={wide}
        height={HIGH}
        rx={body.kind === 'cover' ? 3 : HIGH / 2}
        fill={picked ? 'var(--copper)' : 'var(--sheet)'}
        fillOpacity={one.lies ? 0.9 : 0.5}
        stroke="var(--ink)"
        strokeWidth={picked ? 3 : 1.6}
        strokeDasharray={one.lies ? undefined : '4 3'}
      />
    </g>
  );
}

/** A run to scale with everything ever done on it. */
export function HistoryDrawing({
  run,
  fromName,
  circuits,
  done,
  atMm,
  withinMm,
  pickedId,
  onPick,
}: {
  readonly run: Run;
  readonly fromName: string;
  readonly circuits: readonly Circuit[];
  readonly done: readonly DoneRepair[];
  readonly atMm?: number | undefined;
  readonly withinMm: number;
  readonly pickedId: string | undefined;
  readonly onPick: (recordId: string) => void;
}) {
  const [box, room] = useRoom<HTMLDivElement>();
  const { unit, unitMm } = useLength();
  const [shown, setShown] = useState<Shown>({ fromMm: 0, toMm: run.lengthMm });
  const { narrow, plot, x } = useRunScale(room.width, shown);
  const rows = rowsOf(circuits, new Set(done.flatMap((one) => bodyOf(one)?.circuitId ?? [])));
  const high = TOP + rows.length * ROW + 12;
  return (
    <div ref={box} className="w-full min-w-0 overflow-hidden">
      <ZoomBar shown={shown} wholeMm={run.lengthMm} onShow={setShown} />
      <Drawing
        room={room}
        high={high}
        role="img"
        aria-label={`${run.name}, ${figure(run.lengthMm, 0)} mm from ${fromName}: ${counted(done.length, 'record')}`}
        className="block select-none"
      >
        <clipPath id={`history-${run.id}`}>
          <rect x={plot.left} y={0} width={plot.right - plot.left} height={high} />
        </clipPath>
        <Ruler x={x} plot={plot} top={TOP - 8} words={`${unit} from ${fromName}`} unitMm={unitMm} />
        <g clipPath={`url(#history-${run.id})`}>
          {atMm === undefined ? null : (
            <>
              <rect
                x={x(atMm - withinMm)}
                y={TOP}
                width={x(atMm + withinMm) - x(atMm - withinMm)}
                height={high - TOP}
                fill="var(--copper)"
                fillOpacity={0.15}
              />
              <line x1={x(atMm)} x2={x(atMm)} y1={TOP - 8} y2={high} stroke="var(--copper)" strokeWidth={2} />
            </>
          )}
          {rows.map((row, index) => {
            const y = TOP + index * ROW + ROW / 2 + 4;
            const own = row.kind === 'circuit' ? [row.circuit] : row.circuits.slice(0, 5);
            return (
              <g key={row.kind === 'circuit' ? row.circuit.id : row.key}>
                {own.map(({ id, wire }, at) => (
                  <WireLine
                    key={id}
                    x1={x(0)}
                    x2={x(run.lengthMm)}
                    y={row.kind === 'circuit' ? y : y - 6 + at * 3}
                    thick={row.kind === 'circuit' ? thickOf(row) : 2.5}
                    colour={wire.colour}
                  />
                ))}
                {[...done]
                  .reverse()
                  .filter((one) => row.kind === 'circuit' && bodyOf(one)?.circuitId === row.circuit.id)
                  .map((one) => (
                    <Done key={one.recordId} one={one} x={x} y={y} picked={one.recordId === pickedId} onPick={onPick} />
                  ))}
              </g>
            );
          })}
        </g>
        {rows.map((row, index) => (
          <RowNames
            key={row.kind === 'circuit' ? row.circuit.id : row.key}
            row={row}
            y={TOP + index * ROW + ROW / 2 + 4}
            plot={plot}
            narrow={narrow}
          />
        ))}
      </Drawing>
    </div>
  );
}
