import type { TerminalFamily } from '../harness/index.ts';
import type { AnyTool, Nest, Range } from '../stock/index.ts';
import { figure } from '../units/index.ts';
import { holds } from './barrel.ts';

/** What is to be closed: copper in mm², of a terminal its family, and whether its barrel has a collar round it. */
export interface ToClose {
  readonly areaMm2: number;
  readonly family?: TerminalFamily | undefined;
  readonly barrel?: Nest['barrel'];
  /**
   * Of a closed barrel what is stamped on it, mm²: its nest goes by the barrel. An open barrel's goes by the copper
   * alone.
   */
  readonly barrelRange?: Range | undefined;
}

const isFor = (nest: Nest, { family, barrel }: ToClose): boolean =>
  (family === undefined || nest.families === undefined || nest.families.includes(family)) &&
  (barrel === undefined || nest.barrel === undefined || nest.barrel === barrel);

/** How far apart two ranges are: 0 for the same, by the ratio of their limits. */
const apart = (a: Range, b: Range): number =>
  Math.abs(Math.log(Math.max(LEAST_MM2, a.minMm2) / Math.max(LEAST_MM2, b.minMm2))) +
  Math.abs(Math.log(a.maxMm2 / b.maxMm2));
/** A range from 0 is compared as if from this. */
const LEAST_MM2 = 0.05;

/**
 * The nest of a tool that closes on the conductor, or on the jacket. Of a closed barrel it is the one nearest to what
 * is stamped on the barrel, and nothing where that one does not take the copper; else of those that take the copper the
 * one with the nearest upper limit, as it closes tightest. Nothing where none takes it, or where nobody has listed
 * them.
 */
export const nestFor = (
  { nests = [] }: Pick<AnyTool, 'nests'>,
  what: ToClose,
  stroke: 'conductor' | 'jacket' = 'conductor',
): Nest | undefined => {
  const { areaMm2, barrelRange } = what;
  const fit = ({ range }: Nest): number => (barrelRange ? apart(range, barrelRange) : range.maxMm2);
  const inOrder = nests
    .filter((nest) => (nest.stroke === stroke || nest.stroke === 'both') && isFor(nest, what))
    .sort((a, b) => fit(a) - fit(b) || (a.name < b.name ? -1 : 1));
  const sought = barrelRange ? inOrder.slice(0, 1) : inOrder;
  return sought.find(({ range }) => holds(range, areaMm2));
};

/** Whether a tool's listed nests take it; one without a list is trusted for its range. */
export const hasNest = (tool: Pick<AnyTool, 'nests'>, what: ToClose): boolean =>
  tool.nests === undefined || nestFor(tool, what) !== undefined;

/** "nest middle (blue dot), 1.04–2.63 mm², insulated barrel". */
export const nestInWords = ({ name, dot, range, barrel }: Nest): string =>
  `nest ${name}${dot === undefined ? '' : ` (${dot} dot)`}, ${figure(range.minMm2)}–${figure(range.maxMm2)} mm²${barrel === undefined ? '' : `, ${barrel} barrel`}`;

/**
 * "Ratchet crimper, nest middle (blue dot), …": the tool alone where its nests are not listed; the maker's word where
 * none is certain.
 */
export function toolAndNest(
  tool: Pick<AnyTool, 'name' | 'nests'>,
  what: ToClose,
  stroke: 'conductor' | 'jacket' = 'conductor',
): string {
  const nest = nestFor(tool, what, stroke);
  if (nest) return `${tool.name}, ${nestInWords(nest)}`;
  return tool.nests === undefined ? tool.name : `${tool.name}, nest as the part’s maker says`;
}
