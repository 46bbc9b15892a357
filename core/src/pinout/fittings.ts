import { SEAL_STATES, TERMINAL_FAMILIES, type SealState, type TerminalFamily } from '../harness/index.ts';
import { saysNothing } from './cells.ts';
import type { GridRow } from './grid.ts';
import type { HalfRow } from './halves.ts';
import type { PinoutField, PinoutProblem, PinoutReading } from './types.ts';

const SEALS: readonly (readonly [RegExp, SealState])[] = [
  [/^(missing|lost|gone)$/i, 'missing'],
  [/^plug(ged)?$/i, 'plug'],
  [/^(no|none|unsealed|without|[-–—]|n\/?a)$/i, 'none'],
  [/^(yes|y|x|seal(ed)?|ok|fitted|present|true)$/i, 'seal'],
];

/** A terminal family by its own word, or by the width or pin size in it. */
function readTerminal(text: string): TerminalFamily | undefined {
  const plain = text.trim().toLowerCase();
  return (
    TERMINAL_FAMILIES.find((family) => family.toLowerCase() === plain) ??
    TERMINAL_FAMILIES.find((family) =>
      new RegExp(`(^|[^0-9.])${family.replace(/^pin/, '(?:pin|size)\\s*').replace('.', '\\.')}([^0-9.]|$)`, 'i').test(
        plain,
      ),
    )
  );
}

/** Terminal families and seals that the lines give for their cavities. */
export function readFittings(
  grid: readonly GridRow[],
  halves: readonly HalfRow[],
  nameOf: (nodeId: string) => string,
  columnOf: (field: PinoutField) => string | undefined,
): { readonly fittings: PinoutReading['fittings']; readonly problems: readonly PinoutProblem[] } {
  const fittings: PinoutReading['fittings'][number][] = [];
  const problems: PinoutProblem[] = [];
  grid.forEach((row, index) => {
    for (const side of ['from', 'to'] as const) {
      const place = halves[index]?.[side];
      const [terminalField, sealField] =
        side === 'from' ? (['fromTerminal', 'fromSeal'] as const) : (['toTerminal', 'toSeal'] as const);
      const [terminalText, sealText] = [row.cells[terminalField], row.cells[sealField]];
      if (!place || (terminalText === undefined && sealText === undefined)) continue;
      const terminal = terminalText === undefined || saysNothing(terminalText) ? undefined : readTerminal(terminalText);
      if (terminalText !== undefined && !saysNothing(terminalText) && terminal === undefined)
        problems.push({
          line: row.line,
          column: columnOf(terminalField),
          value: terminalText,
          why: `“${terminalText}” is not a known terminal family.`,
          remedy: `Families are ${TERMINAL_FAMILIES.join(', ')} (male width in mm, or pin size).`,
        });
      const seal = sealText === undefined ? undefined : SEALS.find(([form]) => form.test(sealText.trim()))?.[1];
      if (sealText !== undefined && seal === undefined)
        problems.push({
          line: row.line,
          column: columnOf(sealField),
          value: sealText,
          why: `“${sealText}” is not a state of a seal.`,
          remedy: `Write one of: ${SEAL_STATES.join(', ')}.`,
        });
      if (terminal !== undefined || seal !== undefined)
        fittings.push({
          connector: nameOf(place.nodeId),
          cavity: place.cavity,
          ...(terminal === undefined ? {} : { terminal }),
          ...(seal === undefined ? {} : { seal }),
        });
    }
  });
  return { fittings, problems };
}
