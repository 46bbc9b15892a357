import type { Way } from '@mendum/core/connector';

/** Drawn small: px from cavity to cavity. */
const STEP = 24;

/** A way of numbering, drawn small on the grid that it is of. */
export function WayCard({
  way,
  rows,
  columns,
  isChosen,
  isSmall = false,
  onPick,
}: {
  readonly way: Way;
  readonly rows: number;
  readonly columns: number;
  readonly isChosen: boolean;
  /** The drawing alone; its words are heard, and shown on hovering. */
  readonly isSmall?: boolean;
  readonly onPick: () => void;
}) {
  return (
    <button
      type="button"
      role="radio"
      aria-checked={isChosen}
      {...(isSmall ? { 'aria-label': way.words, title: way.words } : {})}
      className={`max-w-full overflow-hidden rounded-sm border-2 p-2 text-left ${isChosen ? 'border-copper bg-wash' : 'border-rule'}`}
      onClick={onPick}
    >
      <svg
        viewBox={`0 0 ${columns * STEP} ${rows * STEP}`}
        style={{ width: columns * STEP, maxWidth: '100%' }}
        aria-hidden="true"
      >
        {way.cavities.map(({ row = 0, column = 0, cavity }) => (
          <g key={cavity}>
            <rect
              x={column * STEP + 1}
              y={row * STEP + 1}
              width={STEP - 2}
              height={STEP - 2}
              rx={2}
              fill="var(--sheet)"
              stroke="var(--soft)"
            />
            <text
              x={(column + 0.5) * STEP}
              y={(row + 0.5) * STEP + 4}
              textAnchor="middle"
              fontSize={cavity.length > 2 ? 9 : 11}
              fontWeight={600}
              fill="var(--ink)"
            >
              {cavity}
            </text>
          </g>
        ))}
      </svg>
      {isSmall ? null : <span className="mt-1 block max-w-52 text-sm">{way.words}</span>}
    </button>
  );
}
