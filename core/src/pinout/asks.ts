import { saysNothing } from './cells.ts';
import type { Findings } from './findings.ts';
import type { ListLine } from './lines.ts';

/** The connector that lines of a list are of which name none: asked once for each list. */
export function nameless(
  list: number,
  lists: number,
  lines: readonly ListLine[],
  findings: Findings,
): string | undefined {
  const own = lines.filter(
    ({ list: of, cells, under }) =>
      of === list &&
      cells.fromConnector === undefined &&
      under === undefined &&
      cells.from === undefined &&
      cells.fromCavity !== undefined,
  );
  if (own.length === 0) return undefined;
  return findings.ask(
    {
      key: lists > 1 ? `from:${list + 1}` : 'from',
      asks: `Lines name a cavity and no connector. Which connector ${lists > 1 ? `is list ${list + 1}` : 'are they'} of?`,
      options: [],
      typed: 'connector',
    },
    own,
    (name) => name.trim() !== '',
  );
}

/** The connector of far cavities that name none: the one above is an answer, and is never taken by itself. */
export function withFarConnectors(
  list: number,
  isColumn: boolean,
  lines: readonly ListLine[],
  findings: Findings,
): readonly ListLine[] {
  let above: string | undefined;
  return lines.map((line) => {
    const { cells } = line;
    if (line.list !== list) return line;
    above = cells.toConnector ?? above;
    if (cells.toConnector !== undefined || cells.to !== undefined || saysNothing(cells.toCavity ?? '')) return line;
    const answer = findings.ask(
      {
        key: 'toConnector',
        asks: isColumn
          ? 'The far connector is blank, and the far cavity is given. Which connector is it of?'
          : 'The far cavities are of no named connector. Which connector are they of?',
        options: isColumn ? [{ value: 'above', words: 'that of the line above' }] : [],
        typed: 'connector',
      },
      line,
      (name) => name.trim() !== '',
    );
    const connector = answer === 'above' ? above : answer?.trim();
    return connector === undefined ? line : { ...line, cells: { ...cells, toConnector: connector } };
  });
}

/** What is to be done with a line that does not say where its wire goes, in a list that says it of others. */
export const askBlankFarEnd = (line: ListLine, findings: Findings): string | undefined =>
  findings.ask(
    {
      key: 'blank:to',
      asks: 'These lines do not say where their wires go. What is to be done?',
      options: [
        { value: 'unknown', words: 'where they go is not known' },
        { value: 'number', words: 'another line with the same number is the other end' },
      ],
    },
    line,
  );

/** Where the wires of a list go that names one end of each; '?' where nobody knows. */
export const askFarEnd = (line: ListLine, findings: Findings): string | undefined =>
  findings.ask(
    {
      key: 'to',
      asks: 'The sheet lists one end of each wire. Where do they all go? Name it; its places are called by the circuit numbers.',
      options: [{ value: '?', words: 'not known' }],
      typed: 'connector',
    },
    line,
    (name) => name.trim() !== '',
  );
