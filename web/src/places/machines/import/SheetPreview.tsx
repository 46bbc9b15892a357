import { KIND_WORDS } from '@mendum/core/harness';
import { PINOUT_FIELDS, type PinoutChoices, type PinoutField, type PinoutReading } from '@mendum/core/pinout';
import { colourInWords, sizeInWords } from '@mendum/core/wire';
import { WireChip } from '../../../shapes/WireLine.tsx';
import { FIELD_WORDS } from './fieldWords.ts';
import type { LineName } from './lineWords.ts';
import { Scroller } from '../../../ui/scroller.tsx';

/** How many lines of a long sheet are shown. */
const SHOWN = 60;

/** Every column with its header, first values and what it is taken for; a wrong match is set right here. */
export function SheetColumns({
  reading,
  onChange,
}: {
  readonly reading: PinoutReading;
  readonly onChange: (columns: NonNullable<PinoutChoices['columns']>) => void;
}) {
  const set = (index: number, field: PinoutField | null): void =>
    onChange(
      Object.fromEntries(
        reading.columns.map((column) => [
          column.index,
          column.index === index
            ? field
            : column.field === field && column.list === reading.columns[index]?.list
              ? null
              : column.field,
        ]),
      ),
    );
  return (
    <section aria-label="Columns" className="min-w-0">
      <h3 className="mb-1 text-lg font-semibold">Columns</h3>
      <div className="flex gap-3 overflow-x-auto pb-2">
        {reading.columns.map((column) => (
          <label key={column.index} className="w-44 shrink-0 border-t-2 border-ink pt-1">
            <span className="block truncate">
              <span className="figure text-soft">{column.letter}</span>{' '}
              <b>{column.header === '' ? 'no header' : column.header}</b>
            </span>
            <select
              aria-label={`Column ${column.letter}${column.header === '' ? '' : `, ${column.header}`} holds`}
              className={`min-h-11 w-full rounded-sm border bg-paper px-1 ${column.field === null ? 'border-soft text-soft' : 'border-copper'}`}
              value={column.field ?? ''}
              onChange={(event) =>
                set(column.index, event.target.value === '' ? null : (event.target.value as PinoutField))
              }
            >
              <option value="">left out</option>
              {PINOUT_FIELDS.map((field) => (
                <option key={field} value={field}>
                  {FIELD_WORDS[field]}
                </option>
              ))}
            </select>
            <span className="mt-1 block truncate text-sm text-soft">{column.samples.join(' · ')}</span>
          </label>
        ))}
      </div>
    </section>
  );
}

/** Everything that cannot be read, by line and column. */
export function SheetProblems({
  problems,
  called = 'line',
}: {
  readonly problems: PinoutReading['problems'];
  readonly called?: LineName | undefined;
}) {
  if (problems.length === 0) return null;
  return (
    <section role="alert" aria-label="What cannot be read">
      <h3 className="text-lg font-semibold text-scrap">
        Nothing can be imported yet: {problems.length} {problems.length === 1 ? 'place' : 'places'} cannot be read.
      </h3>
      <ul tabIndex={0} className="mt-1 grid max-h-64 gap-2 overflow-y-auto">
        {problems.slice(0, 200).map((problem) => (
          <li key={`${problem.line} ${problem.column ?? ''} ${problem.why}`} className="border-l-4 border-scrap pl-3">
            <b>
              {problem.line === 0 ? (
                'The sheet'
              ) : (
                <>
                  {called === 'line' ? 'Line' : 'Row'} <span className="figure">{problem.line}</span>
                </>
              )}
              {problem.column === undefined ? '' : `, column ${problem.column}`}:
            </b>{' '}
            {problem.why} <span className="text-soft">{problem.remedy}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** The circuits as they were read; what was concluded of one is set right where it stands. */
export function SheetRows({
  reading,
  nodeName,
  called,
  onAnswer,
}: {
  readonly reading: PinoutReading;
  readonly nodeName: (id: string) => string;
  readonly called: LineName;
  readonly onAnswer: (key: string, value: string) => void;
}) {
  if (reading.rows.length === 0) return null;
  return (
    <section aria-label="Circuits read" className="min-w-0">
      <h3 className="mb-1 text-lg font-semibold">
        <span className="figure">{reading.rows.length}</span> {reading.rows.length === 1 ? 'circuit' : 'circuits'} read
      </h3>
      <Scroller label="Lines as they were read" className="max-h-72">
        <table className="w-full text-left">
          <thead className="sticky top-0 border-b border-ink bg-sheet text-soft">
            <tr>
              <th className="pr-3 font-normal">{called === 'line' ? 'Line' : 'Row'}</th>
              <th className="pr-3 font-normal">No.</th>
              <th className="pr-3 font-normal">Function</th>
              <th className="pr-3 font-normal">Kind</th>
              <th className="pr-3 font-normal">Wire</th>
              <th className="font-normal">From → to</th>
            </tr>
          </thead>
          <tbody>
            {reading.rows.slice(0, SHOWN).map(({ line, circuit, guesses, notTaken }) => (
              <tr key={circuit.id} className="border-b border-rule">
                <td className="figure pr-3 text-soft">{line}</td>
                <td className="figure pr-3">{circuit.number}</td>
                <td className="pr-3 font-semibold">
                  {circuit.function}
                  {notTaken.map((words) => (
                    <span key={words} className="block text-sm font-normal text-soft">
                      Kept as a note: {words}
                    </span>
                  ))}
                </td>
                <td className="pr-3">
                  {guesses.length === 0
                    ? KIND_WORDS[circuit.kind]
                    : guesses.map(({ key, options, answer }) => (
                        <select
                          key={key}
                          aria-label={`Kind of circuit ${circuit.number}, from its function`}
                          className="min-h-11 border-b border-copper bg-transparent text-copper"
                          value={answer}
                          onChange={(event) => onAnswer(key, event.target.value)}
                        >
                          {options.map(({ value, words }) => (
                            <option key={value} value={value}>
                              {words}
                            </option>
                          ))}
                        </select>
                      ))}
                </td>
                <td className="pr-3">
                  <span className="flex items-center gap-2">
                    <WireChip width={40} colour={circuit.wire.colour} title={colourInWords(circuit.wire.colour)} />
                    {colourInWords(circuit.wire.colour)}, {sizeInWords(circuit.wire.size)}
                  </span>
                </td>
                <td className="whitespace-nowrap">
                  {nodeName(circuit.from.nodeId)} <span className="figure">{circuit.from.cavity}</span> →{' '}
                  {nodeName(circuit.to.nodeId)} <span className="figure">{circuit.to.cavity}</span>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
        {reading.rows.length > SHOWN ? <p className="py-2 text-soft">and {reading.rows.length - SHOWN} more</p> : null}
      </Scroller>
    </section>
  );
}
