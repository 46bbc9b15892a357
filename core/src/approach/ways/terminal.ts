import { findStanding, partsOf, type Catalogue } from '../../catalogue/index.ts';
import {
  isInHousing,
  terminalInWords,
  type CavityFitting,
  type HarnessNode,
  type TerminalFamily,
  type Zone,
} from '../../harness/index.ts';
import { holds, terminalFits, wireSealFits } from '../../sizing/index.ts';
import { figure } from '../../units/index.ts';
import { wireFacts, type WireSpec } from '../../wire/index.ts';
import type { FittedTerminal } from '../types.ts';

/** A terminal for one wire in one cavity, what of it is not on the shelf, and what is not known. */
export interface TerminalFit {
  readonly family?: TerminalFamily | undefined;
  readonly terminal?: FittedTerminal | undefined;
  readonly toolNames: readonly string[];
  /** Names of what would have to be ordered. */
  readonly lacks: readonly string[];
  /** What nobody has noted or nothing can mend. */
  readonly unknown?: string | undefined;
  /** Why the best there is may not be used here. */
  readonly refused?: string | undefined;
}

/** Whether a wire in the cavity wants a seal of its own: as noted, else by the place. */
const wantsSeal = (
  fitting: CavityFitting | undefined,
  node: HarnessNode | undefined,
  zone: Zone,
  family: TerminalFamily,
): boolean =>
  isInHousing(family) &&
  node?.kind === 'connector' &&
  (fitting?.seal === undefined ? zone.moisture !== 'dry' : fitting.seal === 'seal' || fitting.seal === 'missing');

/**
 * The terminal that fits a wire in a cavity: of the family noted there, by copper and jacket, with the wire seal that takes the jacket, and
 * the ratchet tool with its die. What is missing is named.
 */
export function terminalFor(
  wire: WireSpec,
  node: HarnessNode | undefined,
  cavity: string,
  zone: Zone,
  catalogue: Catalogue,
  placeC: number,
): TerminalFit {
  const fitting = node?.fittings?.[cavity];
  const family = fitting?.terminal;
  const where = `${node?.name ?? 'the connector'}, cavity ${cavity}`;
  if (family === undefined)
    return {
      toolNames: [],
      lacks: [],
      unknown: `Nobody has noted which terminal sits in ${where}: note its family at the connector, and it is sized.`,
    };
  const facts = wireFacts(wire);
  const words = terminalInWords(family);
  const found = findStanding(catalogue, placeC, (parts) => terminalFits(partsOf(parts, 'terminal'), family, facts));
  if (!found)
    return {
      family,
      toolNames: [],
      lacks: [],
      unknown: `No ${words} holds ${figure(facts.areaMm2, 3)} mm² with a jacket of ${figure(facts.jacketMm)} mm.`,
    };
  const { part } = found;
  const seal = wantsSeal(fitting, node, zone, family)
    ? findStanding(catalogue, placeC, (parts) => wireSealFits(partsOf(parts, 'wireSeal'), facts.jacketMm))
    : undefined;
  const sealMissing = wantsSeal(fitting, node, zone, family) && !seal;
  const weak = [part, ...(seal ? [seal.part] : [])].find((one) => one.ratedC < placeC);
  const tools = catalogue.tools.filter(
    (tool) =>
      tool.tasks.includes('crimpTerminal') &&
      (tool.families?.includes(family) ?? true) &&
      (tool.range === undefined || holds(tool.range, facts.areaMm2)),
  );
  const tool = [...tools].sort((a, b) => Number(b.ratchet) - Number(a.ratchet) || (a.id < b.id ? -1 : 1))[0];
  return {
    family,
    terminal: {
      family,
      partId: part.id,
      partName: part.name,
      stripMm: part.stripMm,
      fitsWords: `${figure(facts.areaMm2, 3)} mm² in ${figure(part.range.minMm2)}–${figure(part.range.maxMm2)} mm²${part.jacketMm ? `, jacket ${figure(facts.jacketMm)} in ${figure(part.jacketMm.minMm)}–${figure(part.jacketMm.maxMm)} mm` : ''}`,
      seal: seal && { partId: seal.part.id, name: seal.part.name },
    },
    toolNames: tool ? [tool.name] : [],
    lacks: [
      ...(found.onShelf ? [] : [part.name]),
      ...(seal && !seal.onShelf ? [seal.part.name] : []),
      ...(tool ? [] : [`die for the ${words}`]),
    ],
    ...(weak ? { refused: `${weak.name} is rated ${weak.ratedC} °C; the place reaches ${figure(placeC, 0)}.` } : {}),
    unknown: sealMissing ? `No wire seal takes a jacket of ${figure(facts.jacketMm)} mm.` : undefined,
  };
}
