import clsx from 'clsx';
import { movedApart, type FaceView, type SeenCavity } from '@mendum/core/connector';
import type { Circuit } from '@mendum/core/harness';
import { colourInWords } from '@mendum/core/wire';
import { WIRE_HEX } from '../shapes/colours.ts';

interface FaceDrawingProps {
  readonly title: string;
  readonly seen: readonly SeenCavity[];
  readonly view: FaceView;
  readonly circuitIn: (cavity: string) => Circuit | undefined;
  /** Whether the wires on it are this harness's; the mate's are another's, whose colours nobody knows here. */
  readonly own: boolean;
  readonly picked: string | undefined;
  readonly onPick: (cavity: string) => void;
}

/** Px from cavity to cavity; a cavity is a target of its own. */
const STEP = 68;
const HALF = 29;
const MARGIN = 46;

/** The latch, drawn as a tab on the side where it points. */
function Latch({
  view,
  box,
}: {
  readonly view: FaceView;
  readonly box: { readonly left: number; readonly top: number; readonly wide: number; readonly high: number };
}) {
  const middle = { x: box.left + box.wide / 2, y: box.top + box.high / 2 };
  const flat = view.latch === 'up' || view.latch === 'down';
  const x = flat ? middle.x - 34 : view.latch === 'left' ? box.left - 20 : box.left + box.wide;
  const y = flat ? (view.latch === 'up' ? box.top - 20 : box.top + box.high) : middle.y - 34;
  return (
    <g>
      <rect
        x={x}
        y={y}
        width={flat ? 68 : 20}
        height={flat ? 20 : 68}
        fill="var(--wash)"
        stroke="var(--ink)"
        strokeWidth={2}
      />
      <text
        x={flat ? middle.x : x + 10}
        y={flat ? y + 15 : middle.y}
        textAnchor="middle"
        fontSize={14}
        fontWeight={600}
        fill="var(--ink)"
        transform={flat ? undefined : `rotate(-90 ${x + 10} ${middle.y}) translate(0 5)`}
      >
        latch
      </text>
    </g>
  );
}

/**
 * One cavity: its number, the wire in its colours on the wire side or the terminal's mouth on the mating side, and the
 * circuit.
 */
function CavityMark({
  at,
  x,
  y,
  side,
  own,
  circuit,
  picked,
  onPick,
}: {
  readonly at: SeenCavity;
  readonly x: number;
  readonly y: number;
  readonly side: FaceView['side'];
  readonly own: boolean;
  readonly circuit: Circuit | undefined;
  readonly picked: boolean;
  readonly onPick: () => void;
}) {
  const words = `Cavity ${at.cavity}${circuit ? `, circuit ${circuit.number} ${circuit.function}${own ? `, ${colourInWords(circuit.wire.colour)}` : ''}` : ', empty'}`;
  return (
    <g
      role="button"
      tabIndex={0}
      aria-label={words}
      aria-pressed={picked}
      className="cursor-pointer"
      onClick={onPick}
      onKeyDown={(event) => {
        if (event.key === 'Enter' || event.key === ' ') {
          event.preventDefault();
          onPick();
        }
      }}
    >
      <rect
        x={x - HALF}
        y={y - HALF}
        width={2 * HALF}
        height={2 * HALF}
        rx={4}
        fill={picked ? 'var(--wash)' : 'var(--paper)'}
        stroke={picked ? 'var(--copper)' : 'var(--ink)'}
        strokeWidth={picked ? 4 : 1.5}
      />
      <text x={x - HALF + 6} y={y - HALF + 18} fontSize={17} fontWeight={600} className="figure" fill="var(--ink)">
        {at.cavity}
      </text>
      {circuit && side === 'wire' && own ? (
        <g>
          <circle
            cx={x + 6}
            cy={y + 7}
            r={14}
            fill={WIRE_HEX[circuit.wire.colour.base]}
            stroke="var(--ink)"
            strokeWidth={1.2}
          />
          {circuit.wire.colour.stripe === undefined ? null : (
            <path d={`M${x + 6} ${y - 7}a14 14 0 0 1 0 28Z`} fill={WIRE_HEX[circuit.wire.colour.stripe]} />
          )}
        </g>
      ) : null}
      {circuit && side === 'wire' && !own ? (
        <circle cx={x + 6} cy={y + 7} r={13} fill="none" stroke="var(--soft)" strokeWidth={1.5} strokeDasharray="3 3" />
      ) : null}
      {circuit && side === 'mating' ? (
        <path
          d={`M${x - 6} ${y}h24v14h-24Zm5 4h14v6h-14Z`}
          fill="var(--copper)"
          fillRule="evenodd"
          stroke="var(--ink)"
        />
      ) : null}
      {circuit ? null : <path d={`M${x - 2} ${y - 1}l16 16m0 -16l-16 16`} stroke="var(--soft)" strokeWidth={1.5} />}
    </g>
  );
}

/** A connector's face as it is held in the hand. */
export function FaceDrawing({ title, seen: cavities, view, circuitIn, own, picked, onPick }: FaceDrawingProps) {
  const seen = movedApart(cavities);
  const xs = seen.map((one) => one.x);
  const ys = seen.map((one) => one.y);
  const [minX, maxX, minY, maxY] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  const x = (at: number): number => MARGIN + HALF + (at - minX) * STEP;
  const y = (at: number): number => MARGIN + HALF + (at - minY) * STEP;
  const box = {
    left: MARGIN - 12,
    top: MARGIN - 12,
    wide: (maxX - minX) * STEP + 2 * HALF + 24,
    high: (maxY - minY) * STEP + 2 * HALF + 24,
  };
  const [wide, high] = [box.wide + 2 * (MARGIN - 12), box.high + 2 * (MARGIN - 12)];
  return (
    <figure className="min-w-0">
      <figcaption className={clsx('mb-1 text-lg font-semibold', view.side === 'wire' ? 'text-copper' : 'text-ink')}>
        {title}, {view.side === 'wire' ? 'wire side' : 'mating side'}
      </figcaption>
      <svg
        viewBox={`0 0 ${wide} ${high}`}
        style={{ maxWidth: `${wide / 16}rem` }}
        className="w-full"
        role="group"
        aria-label={`${title}, ${view.side} side, latch ${view.latch}`}
      >
        <Latch view={view} box={box} />
        <rect
          x={box.left}
          y={box.top}
          width={box.wide}
          height={box.high}
          rx={8}
          fill="var(--sheet)"
          stroke="var(--ink)"
          strokeWidth={2.5}
        />
        {seen.map((at) => (
          <CavityMark
            key={at.cavity}
            at={at}
            x={x(at.x)}
            y={y(at.y)}
            side={view.side}
            own={own}
            circuit={circuitIn(at.cavity)}
            picked={at.cavity === picked}
            onPick={() => onPick(at.cavity)}
          />
        ))}
      </svg>
    </figure>
  );
}
