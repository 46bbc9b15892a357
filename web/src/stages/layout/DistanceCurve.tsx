import { useEffect, useMemo, useState } from 'react';
import { proxy, wrap } from 'comlink';
import { CartesianGrid, Line, LineChart, ReferenceDot, XAxis, YAxis } from 'recharts';
import type { RunToLayOut } from '@mendum/core/layout';
import { useRoom } from '../../draw/useRoom.ts';
import { Button } from '../../ui/button.tsx';
import { Figure, useLength } from '../../ui/units.tsx';
import type { CurvePoint, LayoutSearcher } from '../../workers/layout.worker.ts';

/** Distances that are asked: every so many mm. */
const STEP_MM = 5;
const HIGH_PX = 220;

/** What every distance between bodies opens, worked out in a worker, point by point. */
function useCurve(run: RunToLayOut, distancesMm: readonly number[]): readonly CurvePoint[] {
  const asked = useMemo(
    () =>
      JSON.stringify([
        { ...run, found: undefined, kind: undefined, apartMm: undefined, twoAtMostMm: undefined },
        distancesMm,
      ]),
    [run, distancesMm],
  );
  const [curve, setCurve] = useState<{ readonly asked: string; readonly points: readonly CurvePoint[] }>();
  useEffect(() => {
    const worker = new Worker(new URL('../../workers/layout.worker.ts', import.meta.url), { type: 'module' });
    const [of, distances] = JSON.parse(asked) as [RunToLayOut, number[]];
    let points: CurvePoint[] = [];
    const onPoint = (point: CurvePoint): void => {
      points = [...points, point];
      setCurve({ asked, points });
    };
    void wrap<LayoutSearcher>(worker).curve(of, distances, proxy(onPoint));
    return () => worker.terminate();
  }, [asked]);
  return curve?.asked === asked ? curve.points : [];
}

interface DistanceCurveProps {
  readonly run: RunToLayOut;
  /** The widest distance that counts, mm. */
  readonly mostMm: number;
  /** The distance that is taken now, where one is. */
  readonly takenMm: number | undefined;
  readonly onTake: ((apartMm: number) => void) | undefined;
}

/** How much is opened for every distance between bodies; a distance can be taken. */
export function DistanceCurve({ run, mostMm, takenMm, onTake }: DistanceCurveProps) {
  const { plain, unit } = useLength();
  const [box, room] = useRoom<HTMLElement>();
  const distances = useMemo(
    () => Array.from({ length: Math.floor(mostMm / STEP_MM) + 1 }, (_, index) => index * STEP_MM),
    [mostMm],
  );
  const points = useCurve(run, distances);
  const [wishMm, setWishMm] = useState(takenMm ?? Math.min(mostMm, 2 * STEP_MM));
  const there = points.filter((point) => point.openedMm !== undefined);
  const wished = points.find(({ apartMm }) => apartMm === wishMm);
  const isDone = points.length === distances.length;
  return (
    <figure ref={box} aria-label="Opened length by distance" className="grid gap-2 border-l-4 border-rule pl-3">
      <figcaption role="status" className="text-soft">
        One body over a place, at least so far apart: what is opened for it.
        {isDone ? '' : ` Working out ${points.length + 1} of ${distances.length}…`}
        {isDone && there.length === 0 ? ' No distance is possible in one layer here.' : ''}
      </figcaption>
      {there.length > 0 ? (
        <LineChart
          data={there.map(({ apartMm, openedMm }) => ({ apartMm, openedMm }))}
          width={Math.max(200, room.width - 16)}
          height={HIGH_PX}
          margin={{ left: 12, right: 24, top: 12, bottom: 20 }}
          accessibilityLayer={false}
        >
          <CartesianGrid stroke="var(--rule)" />
          <XAxis
            type="number"
            dataKey="apartMm"
            domain={[0, mostMm]}
            ticks={[...distances]}
            tickFormatter={(mm: number) => plain(mm, 0)}
            stroke="var(--soft)"
            tick={{ fill: 'var(--soft)', fontSize: 15 }}
            label={{ value: `apart, ${unit}`, position: 'insideBottom', offset: -12, fill: 'var(--soft)' }}
          />
          <YAxis
            type="number"
            domain={[0, 'auto']}
            tickFormatter={(mm: number) => plain(mm, 0)}
            stroke="var(--soft)"
            tick={{ fill: 'var(--soft)', fontSize: 15 }}
            label={{ value: `opened, ${unit}`, angle: -90, position: 'insideLeft', fill: 'var(--soft)' }}
          />
          <Line dataKey="openedMm" stroke="var(--copper)" strokeWidth={2.5} isAnimationActive={false} dot={{ r: 4 }} />
          {wished?.openedMm === undefined ? null : (
            <ReferenceDot x={wishMm} y={wished.openedMm} r={8} fill="none" stroke="var(--ink)" strokeWidth={2.5} />
          )}
        </LineChart>
      ) : null}
      <div className="flex flex-wrap items-center gap-3">
        <label className="flex min-h-11 items-center gap-3">
          At least
          <input
            type="range"
            min={0}
            max={distances.at(-1) ?? 0}
            step={STEP_MM}
            value={wishMm}
            aria-valuetext={`${plain(wishMm, 0)} ${unit}`}
            onChange={(event) => setWishMm(Number(event.target.value))}
            className="w-48 accent-copper"
          />
          <Figure value={plain(wishMm, 0)} unit={unit} />
        </label>
        <span>
          {wished === undefined ? (
            '…'
          ) : wished.openedMm === undefined ? (
            'not possible'
          ) : (
            <>
              opens <Figure value={plain(wished.openedMm, 0)} unit={unit} />
            </>
          )}
        </span>
        {onTake ? (
          <Button disabled={wished?.openedMm === undefined || wishMm === takenMm} onClick={() => onTake(wishMm)}>
            Lay out at this distance
          </Button>
        ) : null}
      </div>
    </figure>
  );
}
