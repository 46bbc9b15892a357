import type { LineOutcome, PinoutReading } from '@mendum/core/pinout';
import { TextField } from '../../../ui/field.tsx';
import { Scroller } from '../../../ui/scroller.tsx';
import type { LineName } from './lineWords.ts';

const OUTCOME_WORDS: Record<LineOutcome, readonly [one: string, many: string]> = {
  circuit: ['is a circuit', 'are circuits'],
  empty: ['is an empty cavity', 'are empty cavities'],
  plugged: ['is a plugged cavity', 'are plugged cavities'],
  question: ['is asked about', 'are asked about'],
  error: ['cannot be read', 'cannot be read'],
  leftOut: ['is left out', 'are left out'],
};

/** What the sheet is taken for, and what became of every line: the sum is shown, and nothing is dropped in silence. */
export function SheetTaken({
  reading,
  called,
  onHeader,
}: {
  readonly reading: PinoutReading;
  readonly called: LineName;
  readonly onHeader: (row: number | undefined) => void;
}) {
  const { lists, lines } = reading;
  const name = called === 'line' ? 'line' : 'row';
  const counts = (Object.keys(OUTCOME_WORDS) as LineOutcome[]).flatMap((outcome) => {
    const count = lines.filter((line) => line.outcome === outcome).length;
    return count === 0 ? [] : [`${count} ${OUTCOME_WORDS[outcome][count === 1 ? 0 : 1]}`];
  });
  const aside = lines.filter(({ outcome }) => outcome === 'leftOut');
  return (
    <section aria-label="What it is taken for" className="grid gap-2">
      <h3 className="text-lg font-semibold">
        {lists.length > 1 ? `${lists.length} lists side by side` : 'One list'}
        {lists[0]?.headerLine === undefined ? ', without headers' : `, headers in ${name} ${lists[0].headerLine}`}
      </h3>
      <ul>
        {lists.map(({ fromColumn, toColumn, firstLine, lastLine, ends, connector }) => (
          <li key={fromColumn}>
            Columns <b className="figure">{fromColumn}</b> to <b className="figure">{toColumn}</b>, {name}s{' '}
            <span className="figure">{firstLine}</span> to <span className="figure">{lastLine}</span>
            {connector === undefined ? '' : `, of connector ${connector}`}: a {name} names{' '}
            {ends === 'one' ? 'one end of its wire' : 'both ends of its wire'}.
          </li>
        ))}
      </ul>
      <p className="text-lg">
        <b>
          <span className="figure">{lines.length}</span> {lines.length === 1 ? name : `${name}s`}
          {lists.length > 1 ? ', each list counted' : ''}:
        </b>{' '}
        {counts.join(', ')}.
      </p>
      <div className="max-w-40">
        <TextField
          inputMode="numeric"
          label={`Headers are in ${name}`}
          hint={`0: there are none`}
          value={String(reading.headerRow + 1)}
          onChange={(event) => onHeader(/^\d+$/.test(event.target.value) ? Number(event.target.value) - 1 : undefined)}
        />
      </div>
      {aside.length > 0 ? (
        <details>
          <summary className="min-h-11 cursor-pointer py-2 text-lg">
            <span className="figure">{aside.length}</span> left out
          </summary>
          <Scroller label="Left out" className="max-h-48">
            <ul>
              {aside.map(({ line, list, text, why }) => (
                <li key={`${line} ${list}`}>
                  <span className="figure text-soft">{line}</span> {text.slice(0, 60)}{' '}
                  <span className="text-soft">({why})</span>
                </li>
              ))}
            </ul>
          </Scroller>
        </details>
      ) : null}
    </section>
  );
}
