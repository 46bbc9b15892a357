import { circuitIdFrom, type Circuit } from '../harness/index.ts';
import { kindKey, KIND_OPTIONS, runsOf } from './circuitPart.ts';
import type { Findings } from './findings.ts';
import type { Wire } from './joins.ts';
import { withWhatIsKnown } from './known.ts';
import type { PinoutField, PinoutHarness, PinoutRow } from './types.ts';

/** The circuit that a wire of the sheet is, in the harness; nothing while its wire is not known. */
export function circuitOf(
  { line, part, number, from, to }: Wire,
  harness: PinoutHarness,
  fields: ReadonlySet<PinoutField>,
  columnOf: (list: number, field: PinoutField) => string | undefined,
  findings: Findings,
): Circuit | undefined {
  if (!part.wire) return undefined;
  const runIds = runsOf(part.runs, from, to, harness.runs, (field, why, remedy) =>
    findings.wrong(line, { column: columnOf(line.list, field), value: part.runs ?? '', why, remedy }),
  );
  const before = harness.circuits.find((one) => one.number === number);
  const circuit: Circuit = {
    id: before?.id ?? circuitIdFrom(number),
    number,
    function: part.function === '' ? `Circuit ${number}` : part.function,
    kind: part.kind,
    wire: part.wire,
    from,
    to,
    runIds,
    ...(part.fuseA === undefined ? {} : { fuseA: part.fuseA }),
    ...(part.loadA === undefined ? {} : { loadA: part.loadA }),
    ...(part.shield === undefined ? {} : { shield: part.shield }),
    ...(part.remark === undefined ? {} : { remark: part.remark }),
  };
  return withWhatIsKnown(circuit, before, fields);
}

/** A circuit as it is shown: with what of it is concluded, and what of its line is not taken. */
export function rowOf({ line, part }: Wire, circuit: Circuit, harness: PinoutHarness): PinoutRow {
  const isKnown = harness.circuits.some(({ number }) => number === circuit.number);
  const isGuess = part.isKindGuessed && !isKnown;
  return {
    line: line.line,
    circuit,
    guesses: isGuess
      ? [
          {
            key: kindKey(line),
            asks: 'What kind of circuit is it? Its function tells.',
            lines: [line.line],
            options: KIND_OPTIONS,
            answer: circuit.kind,
            guessed: true,
          },
        ]
      : [],
    notTaken: part.notTaken,
  };
}
