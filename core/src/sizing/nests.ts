import type { TerminalFamily } from '../harness/index.ts';
import type { AnyTool, Nest } from '../stock/index.ts';
import { figure } from '../units/index.ts';
import { holds } from './barrel.ts';

/** What is to be closed: copper in mm², of a terminal its family, and whether its barrel has a collar round it. */
export interface ToClose {
  readonly areaMm2: number;
  readonly family?: TerminalFamily | undefined;
  readonly barrel?: Nest['barrel'];
}

const takes = (nest: Nest, { areaMm2, family, barrel }: ToClose): boolean =>
  holds(nest.range, areaMm2) &&
  (family === undefined || nest.families === undefined || nest.families.includes(family)) &&
  (barrel === undefined || nest.barrel === undefined || nest.barrel === barrel);

/**
 * The nest of a tool that closes on the conductor, or on the jacket: of those that take it the one with the nearest upper limit, as it closes
 * tightest. Nothing where none takes it, or where nobody has listed them.
 */
export const nestFor = (
  { nests = [] }: Pick<AnyTool, 'nests'>,
  what: ToClose,
  stroke: 'conductor' | 'jacket' = 'conductor',
): Nest | undefined =>
  nests
    .filter((nest) => (nest.stroke === stroke || nest.stroke === 'both') && takes(nest, what))
    .sort((a, b) => a.range.maxMm2 - b.range.maxMm2 || (a.name < b.name ? -1 : 1))[0];

/** Whether a tool's listed nests take it; one without a list is trusted for its range. */
export const hasNest = (tool: Pick<AnyTool, 'nests'>, what: ToClose): boolean =>
  tool.nests === undefined || nestFor(tool, what) !== undefined;

/** "nest middle (blue dot), 1.04–2.63 mm², insulated barrel". */
export const nestInWords = ({ name, dot, range, barrel }: Nest): string =>
  `nest ${name}${dot === undefined ? '' : ` (${dot} dot)`}, ${figure(range.minMm2)}–${figure(range.maxMm2)} mm²${barrel === undefined ? '' : `, ${barrel} barrel`}`;

/** "Ratchet crimper, nest middle (blue dot), …": the tool alone where its nests are not listed. */
export function toolAndNest(
  tool: Pick<AnyTool, 'name' | 'nests'>,
  what: ToClose,
  stroke: 'conductor' | 'jacket' = 'conductor',
): string {
  const nest = nestFor(tool, what, stroke);
  return nest ? `${tool.name}, ${nestInWords(nest)}` : tool.name;
}
