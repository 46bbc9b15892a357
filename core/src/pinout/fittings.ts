import {
  SEAL_STATES,
  TERMINAL_FAMILIES,
  terminalInWords,
  type SealState,
  type TerminalFamily,
} from '../harness/index.ts';
import { saysNothing } from './cells.ts';
import type { Findings } from './findings.ts';
import type { WireEnd } from './joins.ts';
import type { PinoutField, PinoutReading } from './types.ts';

const SEALS: readonly (readonly [RegExp, SealState])[] = [
  [/^(?:seal )?(?:missing|lost|gone|fehlt)$/i, 'missing'],
  [/^(?:(?:cavity|sealing|blanking|blind) )?plug(?:ged)?$|^(?:blind)?stopfen$/i, 'plug'],
  [/^(?:no|none|unsealed|without|[-–—]|n\/?a|no seal|not sealed|nein|ohne|keine)$/i, 'none'],
  [
    /^(?:yes|y|x|(?:(?:single )?wire )?seal(?:ed)?|ok|fitted|present|true|ja|mit|eda|(?:einzelader)?dichtung)$/i,
    'seal',
  ],
];

/** A terminal family by its own word, as it is said elsewhere, or by the width or pin size in it. */
function readTerminal(text: string): TerminalFamily | undefined {
  const plain = text.trim().toLowerCase().replace(',', '.');
  return (
    TERMINAL_FAMILIES.find(
      (family) => family.toLowerCase() === plain || terminalInWords(family).toLowerCase() === plain,
    ) ??
    TERMINAL_FAMILIES.find((family) =>
      new RegExp(`(^|[^0-9.])${family.replace(/^pin/, '(?:pin|size)\\s*').replace('.', '\\.')}([^0-9.]|$)`, 'i').test(
        plain,
      ),
    )
  );
}

/** What sits in a cavity, by the connector's name. */
type Fitting = PinoutReading['fittings'][number];

/** An end of a wire, or a cavity without one, and the line and half of it that names it. */
export type Fitted = Pick<WireEnd, 'line' | 'side' | 'place'>;

/** What lines say of cavities, each once: what the first one does not say the next may, and no two contradict. */
class Fittings {
  private readonly by = new Map<string, Fitting & { readonly line: number }>();

  constructor(
    private readonly columnOf: (list: number, field: PinoutField) => string | undefined,
    private readonly findings: Findings,
  ) {}

  add({ line, side }: Fitted, said: Fitting): void {
    const key = `${said.connector}\n${said.cavity}`;
    const before = this.by.get(key);
    for (const [what, field] of [
      ['terminal', `${side}Terminal`],
      ['seal', `${side}Seal`],
    ] as const)
      if (before?.[what] !== undefined && said[what] !== undefined && before[what] !== said[what])
        this.findings.wrong(line, {
          column: this.columnOf(line.list, field),
          value: said[what],
          why: `Cavity ${said.cavity} of ${said.connector} has ${said[what]} here and ${before[what]} on line ${before.line}.`,
          remedy: 'Correct one of the two.',
        });
    this.by.set(key, { ...said, line: line.line, ...before });
  }

  get all(): readonly Fitting[] {
    return [...this.by.values()].map(({ line: _, ...fitting }) => fitting);
  }
}

/** Terminal families and seals that the lines give for their cavities. */
export function readFittings(
  ends: readonly Fitted[],
  nameOf: (nodeId: string) => string,
  columnOf: (list: number, field: PinoutField) => string | undefined,
  findings: Findings,
): readonly Fitting[] {
  const said = new Fittings(columnOf, findings);
  for (const end of ends) {
    const { line, side, place } = end;
    const [terminalField, sealField] = [`${side}Terminal`, `${side}Seal`] as const;
    const [terminalText = '', sealText = ''] = [line.cells[terminalField], line.cells[sealField]];
    const terminal = saysNothing(terminalText) ? undefined : readTerminal(terminalText);
    if (!saysNothing(terminalText) && terminal === undefined)
      findings.wrong(line, {
        column: columnOf(line.list, terminalField),
        value: terminalText,
        why: `“${terminalText}” is not a known terminal family.`,
        remedy: `Families are ${TERMINAL_FAMILIES.join(', ')} (male width in mm, or pin size).`,
      });
    const seal = sealText === '' ? undefined : SEALS.find(([form]) => form.test(sealText.trim()))?.[1];
    if (sealText !== '' && seal === undefined)
      findings.wrong(line, {
        column: columnOf(line.list, sealField),
        value: sealText,
        why: `“${sealText}” is not a state of a seal.`,
        remedy: `Write one of: ${SEAL_STATES.join(', ')}.`,
      });
    if (terminal === undefined && seal === undefined) continue;
    said.add(end, {
      connector: nameOf(place.nodeId),
      cavity: place.cavity,
      ...(terminal === undefined ? {} : { terminal }),
      ...(seal === undefined ? {} : { seal }),
    });
  }
  return said.all;
}
