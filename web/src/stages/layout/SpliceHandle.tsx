import { memo, useEffect, useRef, type KeyboardEvent } from 'react';
import type { Circuit } from '@mendum/core/harness';
import type { SpliceSide } from '@mendum/core/layout';
import type { SplicePlan } from '@mendum/core/plan';
import { figure } from '@mendum/core/units';
import type { RunScale } from '../../draw/useRunScale.ts';

/** Height of a line of the board, px. */
export const ROW = 29;
/** A splice moved by keys is kept when no key came for so long, ms. */
const KEYS_REST_MS = 600;

/** What the board is asked to do with a splice. */
export interface BoardActs {
  /** Tells where the splice came to lie; none when it may not go there. */
  readonly move: (findingId: string, side: SpliceSide, wishMm: number, snapMm?: number) => number | undefined;
  readonly drop: () => void;
  /** What was moved and not let go goes back. */
  readonly cancel: () => void;
  readonly unpin: (findingId: string) => void;
}

/**
 * A splice as something to take hold of: by finger, by mouse, and by keys. Drawn as a pin when somebody put it there.
 */
export const Handle = memo(function Handle({
  splice,
  circuit,
  y,
  scale,
  isFixed,
  acts,
  onSelect,
  runMm,
}: {
  readonly splice: SplicePlan;
  readonly circuit: Circuit;
  readonly y: number;
  readonly scale: RunScale;
  readonly isFixed: boolean;
  readonly acts: BoardActs;
  readonly onSelect: (findingId: string) => void;
  readonly runMm: number;
}) {
  const rest = useRef<number>(undefined);
  const at = scale.x(splice.centreMm);
  const onKeyDown = (event: KeyboardEvent<SVGGElement>): void => {
    const sign = event.key === 'ArrowLeft' ? -1 : event.key === 'ArrowRight' ? 1 : 0;
    if ((event.key === 'Delete' || event.key === 'Backspace') && splice.pinned && !isFixed)
      acts.unpin(splice.findingId);
    if (sign === 0 || isFixed || event.ctrlKey || event.metaKey) return;
    event.preventDefault();
    event.stopPropagation();
    const step = event.shiftKey ? 10 : 1;
    const wish = splice.centreMm + sign * step;
    const landed = acts.move(splice.findingId, splice.side, wish);
    // A keep-out is stepped over: from its edge the next legal place is beyond it.
    if (landed !== undefined && Math.abs(landed - splice.centreMm) < 1e-6) leap(acts, splice, sign, runMm);
    window.clearTimeout(rest.current);
    rest.current = window.setTimeout(() => {
      rest.current = undefined;
      acts.drop();
    }, KEYS_REST_MS);
  };
  // Who goes away before the keys have rested loses nothing.
  useEffect(
    () => () => {
      if (rest.current === undefined) return;
      window.clearTimeout(rest.current);
      acts.drop();
    },
    [acts],
  );
  const side = splice.side === 'only' ? '' : ` ${splice.side}`;
  return (
    <g
      role="slider"
      tabIndex={0}
      aria-orientation="horizontal"
      aria-valuemin={0}
      aria-valuemax={runMm}
      aria-valuenow={Math.round(splice.centreMm)}
      aria-disabled={isFixed}
      aria-valuetext={`${figure(splice.centreMm, 1)} mm${splice.pinned ? ', pinned' : ''}`}
      aria-label={`Circuit ${circuit.number} ${circuit.function},${side} splice`}
      className="handle"
      onFocus={() => onSelect(splice.findingId)}
      onKeyDown={onKeyDown}
    >
      <rect
        className="grip"
        x={at - (scale.x(splice.toMm) - scale.x(splice.fromMm)) / 2 - 5}
        y={y - ROW / 2 + 1}
        width={scale.x(splice.toMm) - scale.x(splice.fromMm) + 10}
        height={ROW - 2}
        rx={5}
        fill="transparent"
      />
      {splice.pinned ? (
        <path
          d={`M${at} ${y - 11}l-5 -8h10Z`}
          fill={isFixed ? 'var(--soft)' : 'var(--copper)'}
          stroke="var(--paper)"
          strokeWidth={1}
        />
      ) : null}
    </g>
  );
});

/** Steps a splice over what bars its way, as far as it takes to come out beyond it. */
function leap(acts: BoardActs, splice: SplicePlan, sign: number, runMm: number): void {
  const far = sign > 0 ? runMm - splice.centreMm : splice.centreMm;
  for (let by = 20; by < far + 20; by += 20) {
    const landed = acts.move(splice.findingId, splice.side, splice.centreMm + sign * by);
    if (landed !== undefined && sign * (landed - splice.centreMm) > 1e-6) return;
  }
}
