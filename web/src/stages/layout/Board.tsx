import { useMemo, useRef, useState, type ReactNode } from 'react';
import type { EarlierRepair, Finding } from '@mendum/core/damage';
import type { Circuit, Run } from '@mendum/core/harness';
import type { FindingPlan, RunPlan } from '@mendum/core/plan';
import { figure } from '@mendum/core/units';
import { KeepOuts, KeepOutWords } from '../../draw/KeepOuts.tsx';
import { Profile } from '../../draw/Profile.tsx';
import { rowsOf } from '../../draw/rows.ts';
import { Ruler } from '../../draw/Ruler.tsx';
import { useRunScale } from '../../draw/useRunScale.ts';
import { Drawing } from '../../draw/Drawing.tsx';
import { useRoom } from '../../draw/useRoom.ts';
import { isWhole, type Shown } from '../../draw/shown.ts';
import { useRunGestures } from '../../draw/useRunGestures.ts';
import { ZoomBar } from '../../draw/ZoomBar.tsx';
import { useLength } from '../../ui/units.tsx';
import { EarlierLine } from './EarlierLine.tsx';
import { Handle, ROW, type BoardActs } from './SpliceHandle.tsx';
import { Line, NONE, useByCircuit } from './BoardLine.tsx';
import { useSpliceDrag } from './useSpliceDrag.ts';

interface BoardProps {
  readonly run: Run;
  readonly fromName: string;
  readonly circuits: readonly Circuit[];
  readonly findings: readonly Finding[];
  readonly plans: readonly FindingPlan[];
  readonly runPlan: RunPlan;
  readonly selectedId: string | undefined;
  /** Repairs of earlier jobs on the run. */
  readonly earlier: readonly EarlierRepair[];
  /** Findings whose splices are made already, or that somebody else signed: they do not move. */
  readonly fixed: ReadonlySet<string>;
  readonly acts: BoardActs;
  readonly onSelect: (findingId: string) => void;
  readonly onCursor: (atMm: number) => void;
  /** Beside the run's name: what is said of the finding that is held or picked. */
  readonly line: (findingId: string | undefined) => ReactNode;
  /** Beside the profile: the bundle at the cursor. */
  readonly section: ReactNode;
}

const TOP = 24;
const RULER_HIGH = 44;
const PROFILE_HIGH = 92;

/**
 * The run laid out, to be changed by hand: splices are taken and put elsewhere, and everything that follows from it
 * follows at once.
 */
export function Board({
  run,
  fromName,
  circuits,
  findings,
  plans,
  runPlan,
  selectedId,
  earlier,
  fixed,
  acts,
  onSelect,
  onCursor,
  line,
  section,
}: BoardProps) {
  const [box, room] = useRoom<HTMLDivElement>();
  const surface = useRef<SVGSVGElement>(null);
  const { unit, unitMm, plain } = useLength();
  const [shown, setShown] = useState<Shown>({ fromMm: 0, toMm: run.lengthMm });
  const scale = useRunScale(room.width, shown);
  const { x, plot } = scale;
  const rows = useMemo(
    () => rowsOf(circuits, new Set([...findings, ...earlier].map(({ circuitId }) => circuitId))),
    [circuits, findings, earlier],
  );
  const findingsOf = useByCircuit(findings);
  const plansOf = useByCircuit(plans);
  const earlierOf = useByCircuit(earlier);
  const high = TOP + rows.length * ROW + 8;
  const yOf = (index: number): number => TOP + index * ROW + ROW / 2 + 4;
  const clip = `plot-${run.id}`;

  /** Whether an earlier repair goes with what is cut out here. */
  const isCutOut = (id: string): boolean => plans.some(({ cutsOut }) => cutsOut.some((one) => one.id === id));
  const rowAt = (heightPx: number): string | undefined => {
    const row = rows[Math.floor((heightPx - TOP) / ROW)];
    return row?.kind === 'circuit' ? row.circuit.id : undefined;
  };
  const { cursorMm, held, pickedId, tapped, onFocused, mmAt, isFree, handlers } = useSpliceDrag({
    surface,
    room,
    scale,
    shown,
    runMm: run.lengthMm,
    splicesIn: (heightPx) => plansOf(rowAt(heightPx) ?? '').flatMap((plan) => plan.splices),
    earlierIn: (heightPx) => earlierOf(rowAt(heightPx) ?? ''),
    fixed,
    acts,
    selectedId,
    onSelect,
    onCursor,
  });

  useRunGestures({
    target: box,
    shown,
    wholeMm: run.lengthMm,
    mmAt,
    widePx: (plot.right - plot.left) * room.grown,
    isFree,
    onShow: setShown,
  });

  const cursor =
    cursorMm === undefined ? null : (
      <line
        x1={x(cursorMm)}
        x2={x(cursorMm)}
        y1={0}
        y2={2000}
        stroke="var(--copper)"
        strokeWidth={1.5}
        strokeDasharray="4 4"
        pointerEvents="none"
      />
    );
  return (
    <div ref={box} className="w-full min-w-0" style={{ touchAction: 'pan-y' }}>
      <div className="sticky top-0 z-[5] bg-paper short:relative">
        <div className="flex min-h-12 items-center gap-x-4">
          <h2 className="text-xl font-semibold whitespace-nowrap">{run.name}</h2>
          <div className="min-w-0 flex-1">
            {tapped ? <EarlierLine repair={tapped} isCutOut={isCutOut(tapped.id)} /> : line(pickedId)}
          </div>
          <ZoomBar shown={shown} wholeMm={run.lengthMm} onShow={setShown} />
        </div>
        <Drawing room={room} high={RULER_HIGH} className="block select-none" aria-hidden data-wheel>
          <Ruler x={x} plot={plot} top={RULER_HIGH - 4} words={`${unit} from ${fromName}`} unitMm={unitMm} />
          {cursorMm === undefined ? null : (
            <g>
              <rect x={x(cursorMm) - 28} y={6} width={56} height={24} rx={3} fill="var(--copper)" />
              <text
                x={x(cursorMm)}
                y={24}
                textAnchor="middle"
                fontSize={16}
                fontWeight={600}
                fill="var(--oncopper)"
                className="figure"
              >
                {plain(cursorMm, 0)}
              </text>
            </g>
          )}
        </Drawing>
      </div>
      <div className="sm:hidden">
        <KeepOutWords keepOuts={runPlan.keepOuts} />
      </div>
      <Drawing
        ref={surface}
        data-run={run.id}
        room={room}
        high={high}
        role="group"
        aria-label={`${run.name}, ${figure(run.lengthMm, 0)} mm from ${fromName}: splices to be moved`}
        style={{ touchAction: 'pan-y' }}
        className="block select-none"
      >
        <clipPath id={clip}>
          <rect x={plot.left} y={0} width={plot.right - plot.left} height={high} />
        </clipPath>
        <KeepOuts keepOuts={runPlan.keepOuts} x={x} plot={plot} top={TOP - 2} bottom={high} namesAt={14} />
        {rows.map((row, index) => {
          const id = row.kind === 'circuit' ? row.circuit.id : row.key;
          return (
            <Line
              key={id}
              row={row}
              y={yOf(index)}
              scale={scale}
              endMm={run.lengthMm}
              findings={row.kind === 'circuit' ? findingsOf(id) : NONE}
              plans={row.kind === 'circuit' ? plansOf(id) : NONE}
              selectedId={
                row.kind === 'circuit' && findingsOf(id).some((finding) => finding.id === pickedId)
                  ? pickedId
                  : undefined
              }
              clip={clip}
              earlier={row.kind === 'circuit' ? earlierOf(id) : NONE}
            />
          );
        })}
        {cursor}
        <rect
          x={plot.left}
          y={0}
          width={plot.right - plot.left}
          height={high}
          fill="transparent"
          style={{ cursor: held ? 'grabbing' : isWhole(shown, run.lengthMm) ? 'default' : 'grab' }}
          data-testid="board-surface"
          {...handlers}
        />
        <g clipPath={`url(#${clip})`} pointerEvents="none">
          {rows.map((row, index) =>
            row.kind === 'circuit'
              ? plansOf(row.circuit.id).flatMap((plan) =>
                  plan.splices.map((splice) => (
                    <g key={splice.id} data-splice={splice.id}>
                      <Handle
                        splice={splice}
                        circuit={row.circuit}
                        y={yOf(index)}
                        scale={scale}
                        isFixed={fixed.has(plan.findingId)}
                        acts={acts}
                        onSelect={onFocused}
                        runMm={run.lengthMm}
                      />
                    </g>
                  )),
                )
              : null,
          )}
        </g>
      </Drawing>
      <div className="sticky bottom-[calc(3.5rem+var(--notice,0px)+var(--bar))] z-[5] border-t border-rule bg-paper short:relative short:bottom-0">
        <div className="pointer-events-none absolute top-1 left-0" style={{ width: plot.left * room.grown }}>
          {section}
        </div>
        <Drawing
          room={room}
          high={PROFILE_HIGH}
          className="block select-none"
          data-wheel
          role="img"
          aria-label={`Bundle diameter along the run, ${figure(runPlan.peakMm, 1)} mm at most`}
        >
          <Profile
            profile={runPlan.profile}
            x={x}
            plot={plot}
            top={8}
            high={PROFILE_HIGH - 12}
            conduitMm={run.conduitInsideMm ?? runPlan.conduitMm}
            lumpMm={runPlan.lumpMm > runPlan.peakMm + 0.05 ? runPlan.lumpMm : undefined}
            named={false}
          />
          {cursor}
        </Drawing>
      </div>
    </div>
  );
}
