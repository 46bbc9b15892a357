import { useState } from 'react';
import type { EarlierRepair, Finding } from '@mendum/core/damage';
import type { Circuit, Run } from '@mendum/core/harness';
import type { FindingPlan, RunPlan } from '@mendum/core/plan';
import { counted, figure } from '@mendum/core/units';
import { useLength } from '../ui/units.tsx';
import { RunRow } from './RunRow.tsx';
import { KeepOuts } from './KeepOuts.tsx';
import { Profile } from './Profile.tsx';
import { rowsOf, thickOf } from './rows.ts';
import { Ruler } from './Ruler.tsx';
import { RowNames } from './RowNames.tsx';
import { useRunPointer } from './useRunPointer.ts';
import { useRunScale } from './useRunScale.ts';
import { Drawing } from './Drawing.tsx';
import { useRoom } from './useRoom.ts';
import type { Shown } from './shown.ts';
import { ZoomBar } from './ZoomBar.tsx';

interface RunDrawingProps {
  readonly run: Run;
  readonly fromName: string;
  readonly circuits: readonly Circuit[];
  readonly findings: readonly Finding[];
  readonly runPlan: RunPlan;
  /** With plans the splices are drawn in place; without, the damage. */
  readonly plans?: readonly FindingPlan[] | undefined;
  readonly selectedId?: string | undefined;
  /** Repairs of earlier jobs on it. */
  readonly earlier?: readonly EarlierRepair[] | undefined;
  readonly profile?: boolean;
  readonly onMark?: ((circuitIds: readonly string[], fromMm: number, toMm: number) => void) | undefined;
  readonly onCursor?: ((atMm: number) => void) | undefined;
}

/** A tap, without a drag, marks this much. */
const TAP_MM = 10;
const ROW = 25;
const TOP = 44;

/**
 * The signature drawing: a stretch of harness to scale along a ruler from a named connector. Every wire in its colours,
 * damage as torn marks or splices at their true length, keep-outs hatched and named, and the bundle's diameter below.
 */
export function RunDrawing({
  run,
  fromName,
  circuits,
  findings,
  runPlan,
  plans,
  selectedId,
  earlier = [],
  profile = false,
  onMark,
  onCursor,
}: RunDrawingProps) {
  const [box, room] = useRoom<HTMLDivElement>();
  const { unit, unitMm, plain } = useLength();
  const [shown, setShown] = useState<Shown>({ fromMm: 0, toMm: run.lengthMm });
  const { narrow, plot, x } = useRunScale(room.width, shown);
  const rows = rowsOf(circuits, new Set([...findings, ...earlier].map(({ circuitId }) => circuitId)));
  const bottom = TOP + rows.length * ROW + 8;
  const profileTop = bottom + 52;
  const high = profile ? profileTop + 96 : bottom + 42;
  const fit = (mm: number): number => Math.round(Math.min(run.lengthMm, Math.max(0, mm)));
  const rect = (): DOMRect | undefined => box.current?.querySelector('svg[data-run]')?.getBoundingClientRect();
  const pointer = useRunPointer(
    (clientX) => fit(x.invert((clientX - (rect()?.left ?? 0)) / room.grown)),
    (clientY) =>
      Math.min(rows.length - 1, Math.max(0, Math.floor(((clientY - (rect()?.top ?? 0)) / room.grown - TOP) / ROW))),
    onMark &&
      (({ rowIndex, startMm, endMm }) => {
        const row = rows[rowIndex];
        if (!row) return;
        const [from, to] =
          Math.abs(endMm - startMm) < 2
            ? [startMm - TAP_MM / 2, startMm + TAP_MM / 2]
            : [Math.min(startMm, endMm), Math.max(startMm, endMm)];
        onMark(
          row.kind === 'circuit' ? [row.circuit.id] : row.circuits.slice(0, 1).map((circuit) => circuit.id),
          fit(from),
          fit(to),
        );
      }),
    onCursor,
  );
  const { cursorMm, marking } = pointer;

  return (
    <div ref={box} className="w-full min-w-0 overflow-hidden">
      <ZoomBar shown={shown} wholeMm={run.lengthMm} onShow={setShown} />
      <Drawing
        data-run={run.id}
        room={room}
        high={high}
        role="img"
        aria-label={`${run.name}, ${figure(run.lengthMm, 0)} mm from ${fromName}, ${counted(circuits.length, 'circuit')}, ${counted(findings.length, 'finding')}`}
        style={{ touchAction: onMark ? 'none' : 'pan-y' }}
        className="block select-none"
      >
        <clipPath id={`plot-${run.id}`}>
          <rect x={plot.left} y={0} width={plot.right - plot.left} height={high} />
        </clipPath>
        <Ruler x={x} plot={plot} top={TOP - 8} words={`${unit} from ${fromName}`} unitMm={unitMm} />
        <KeepOuts keepOuts={runPlan.keepOuts} x={x} plot={plot} top={TOP} bottom={bottom} />
        {rows.map((row, index) => {
          const y = TOP + index * ROW + ROW / 2 + 4;
          return (
            <g key={row.kind === 'circuit' ? row.circuit.id : row.key}>
              <RowNames row={row} y={y} plot={plot} narrow={narrow} />
              <g clipPath={`url(#plot-${run.id})`}>
                <RunRow
                  row={row}
                  y={y}
                  x={x}
                  endMm={run.lengthMm}
                  thick={thickOf(row)}
                  findings={findings}
                  plans={plans}
                  selectedId={selectedId}
                  earlier={earlier}
                />
              </g>
            </g>
          );
        })}
        {profile ? (
          <Profile
            profile={runPlan.profile}
            x={x}
            plot={plot}
            top={profileTop}
            high={90}
            conduitMm={run.conduitInsideMm ?? runPlan.conduitMm}
            lumpMm={runPlan.lumpMm > runPlan.peakMm + 0.05 ? runPlan.lumpMm : undefined}
          />
        ) : null}
        {marking ? (
          <rect
            x={x(Math.min(marking.startMm, marking.endMm))}
            y={TOP + marking.rowIndex * ROW + 4}
            width={Math.max(2, Math.abs(x(marking.endMm) - x(marking.startMm)))}
            height={ROW}
            fill="var(--copper)"
            fillOpacity={0.35}
            stroke="var(--copper)"
          />
        ) : null}
        {cursorMm === undefined ? null : (
          <g pointerEvents="none">
            <line
              x1={x(cursorMm)}
              x2={x(cursorMm)}
              y1={TOP - 12}
              y2={high - 4}
              stroke="var(--copper)"
              strokeWidth={1.5}
              strokeDasharray="4 4"
            />
            <rect x={x(cursorMm) - 26} y={2} width={52} height={22} rx={3} fill="var(--copper)" />
            <text
              x={x(cursorMm)}
              y={18}
              textAnchor="middle"
              fontSize={15}
              fontWeight={600}
              fill="var(--oncopper)"
              className="figure"
            >
              {plain(cursorMm, 0)}
            </text>
          </g>
        )}
        <rect
          x={plot.left}
          y={0}
          width={plot.right - plot.left}
          height={high}
          fill="transparent"
          className={onMark ? 'cursor-crosshair' : ''}
          data-testid="run-surface"
          {...pointer.handlers}
        />
      </Drawing>
    </div>
  );
}
