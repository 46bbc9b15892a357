import { Bar, BarChart, CartesianGrid, ErrorBar, XAxis, YAxis } from 'recharts';
import type { RateLine } from '@mendum/core/comeback';
import { useRoom } from '../../draw/useRoom.ts';
import { MEASURES, percent, type Measure } from './words.ts';

/** So many bars are drawn; the table has the others. */
const BARS_MOST = 12;
const BAR_PX = 34;
const NAME_MOST = 34;
const NEXT_TO_NOTHING = 1e-6;
/** Names take so much of the width, and no more px than this. */
const NAMES = { share: 0.42, most: 250 } as const;

interface Drawn {
  readonly name: string;
  readonly value: number;
  /** How far the true value may lie below and above. */
  readonly range: readonly [number, number];
  readonly standsOut: boolean;
}

function drawnOf(line: RateLine, measure: Measure): Drawn[] {
  const { name, repairs } = line;
  if (measure === 'repairs') return [{ name, value: repairs, range: [0, 0], standsOut: line.back.standsOut }];
  const { share: found, standsOut } = line[measure];
  if (!found) return [];
  const { share, low, high } = found;
  // Of nothing no bar is drawn, and its range with it, which may be wide.
  return [{ name, value: Math.max(share, NEXT_TO_NOTHING), range: [share - low, high - share], standsOut }];
}

/** An axis of shares as far as the largest, in steps that people count in. */
function sharesTo(most: number) {
  const step = most > 0.5 ? 0.2 : most > 0.2 ? 0.1 : 0.05;
  const ticks = Array.from({ length: Math.ceil(Math.min(1, most) / step - 1e-9) + 1 }, (_one, at) => at * step);
  return { domain: [0, ticks.at(-1) ?? 1], ticks, tickFormatter: percent };
}

const shortened = (name: string): string => (name.length > NAME_MOST ? `${name.slice(0, NAME_MOST - 1)}…` : name);

/** Shares side by side, each with the range in which it truly lies; what stands out in red. */
export function RateChart({ lines, measure }: { readonly lines: readonly RateLine[]; readonly measure: Measure }) {
  const [box, room] = useRoom<HTMLElement>();
  const drawn = lines.flatMap((line) => drawnOf(line, measure)).slice(0, BARS_MOST);
  if (drawn.length === 0) return null;
  const isShare = measure !== 'repairs';
  const most = Math.max(...drawn.map(({ value, range }) => value + range[1]));
  return (
    <figure ref={box} aria-label={`${MEASURES[measure]}, drawn`} className="mb-4">
      <BarChart
        data={drawn.map((one) => ({ ...one, fill: one.standsOut ? 'var(--scrap)' : 'var(--copper)' }))}
        width={room.width}
        height={drawn.length * BAR_PX + 40}
        layout="vertical"
        margin={{ left: 8, right: 24 }}
        accessibilityLayer={false}
      >
        <CartesianGrid horizontal={false} stroke="var(--rule)" />
        <XAxis
          type="number"
          {...(isShare ? sharesTo(most) : { domain: [0, 'dataMax'] })}
          allowDecimals={isShare}
          stroke="var(--soft)"
          tick={{ fill: 'var(--soft)', fontSize: 15 }}
        />
        <YAxis
          type="category"
          dataKey="name"
          width={Math.min(NAMES.most, room.width * NAMES.share)}
          interval={0}
          tickFormatter={shortened}
          stroke="var(--rule)"
          tick={{ fill: 'var(--ink)', fontSize: 15 }}
        />
        <Bar dataKey="value" barSize={18} isAnimationActive={false}>
          {isShare ? <ErrorBar dataKey="range" direction="x" width={6} stroke="var(--ink)" strokeWidth={1.5} /> : null}
        </Bar>
      </BarChart>
      <figcaption className="text-soft">
        {isShare
          ? 'The thin line is where the true share lies nineteen times in twenty. Red stands out from all the others.'
          : 'Red: more of them came back than elsewhere.'}
      </figcaption>
    </figure>
  );
}
