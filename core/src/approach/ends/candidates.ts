import {
  findPart,
  GENERIC_PARTS,
  lackNamed,
  lackOf,
  mostOf,
  partsOf,
  type Catalogue,
  type Tool,
} from '../../catalogue/index.ts';
import {
  studOf,
  tabOf,
  TERMINAL_FAMILIES,
  terminalInWords,
  type CavityFitting,
  type EndUse,
  type TerminalFamily,
} from '../../harness/index.ts';
import { rankOfTool, toolThat } from '../../method/index.ts';
import { hasNest, holds, takesJacket } from '../../sizing/index.ts';
import type { TerminalPart } from '../../stock/index.ts';
import { formOf } from '../../terminal/index.ts';
import type { WireFacts } from '../../wire/index.ts';
import { sealFor, wantsSeal } from './seal.ts';
import type { Attach, EndCase, EndSite } from './types.ts';

/**
 * The families that an end may have: the one noted there, else those of its use, by stud and tab where they are known.
 */
export function familiesFor(fitting: CavityFitting | undefined): readonly TerminalFamily[] {
  if (fitting?.terminal !== undefined) return [fitting.terminal];
  const { use, stud, tabMm } = fitting ?? {};
  if (use === undefined) return [];
  return TERMINAL_FAMILIES.filter((family) => {
    if (typeof formOf(family).serves[use] === 'string') return false;
    const [needsStud, needsTab] = [studOf(family), tabOf(family)];
    return (needsStud === undefined || needsStud === stud) && (needsTab === undefined || needsTab === tabMm);
  });
}

/** What has to be known of an end besides its use, before a family can be named. */
const ALSO_ASKED: Readonly<Record<EndUse, (fitting: CavityFitting) => 'stud' | 'tab' | 'family' | undefined>> = {
  housing: () => 'family',
  stays: ({ stud }) => (stud === undefined ? 'stud' : undefined),
  screwStays: ({ stud }) => (stud === undefined ? 'stud' : undefined),
  tab: ({ tabMm }) => (tabMm === undefined ? 'tab' : undefined),
  parted: () => undefined,
  clamp: () => undefined,
};

/** What has to be known before a family can be named; nothing where it is. */
export function unknownOf(fitting: CavityFitting | undefined): 'use' | 'stud' | 'tab' | 'family' | undefined {
  if (fitting?.terminal !== undefined) return undefined;
  return fitting?.use === undefined ? 'use' : ALSO_ASKED[fitting.use](fitting);
}

/**
 * How copper goes into a terminal's barrel: doubled over where it is solid or too thin for every part, if the bore
 * takes two side by side.
 */
function fitOf(
  part: TerminalPart,
  wire: WireFacts,
  wantsFold: boolean,
): { readonly folded: boolean; readonly foldMissing: boolean } | undefined {
  if (part.jacketMm !== undefined && !takesJacket(part.jacketMm, wire.jacketMm)) return undefined;
  const goesDoubled =
    holds(part.range, 2 * wire.areaMm2) &&
    part.barrelIdMm !== undefined &&
    2 * wire.conductorMm <= part.barrelIdMm + 1e-9;
  if (wantsFold && goesDoubled) return { folded: true, foldMissing: false };
  return holds(part.range, wire.areaMm2) ? { folded: false, foldMissing: wantsFold } : undefined;
}

/** The best tool for a terminal: with a ratchet and in calibration before one that is not. */
function toolFor(
  { catalogue, asOf }: EndSite,
  family: TerminalFamily,
  areaMm2: number,
  attach: Attach,
): Tool | undefined {
  if (attach === 'solder') return toolThat(catalogue.tools, 'solder', areaMm2);
  return catalogue.tools
    .filter(
      (tool) =>
        tool.tasks.includes('crimpTerminal') &&
        (tool.families?.includes(family) ?? true) &&
        (tool.range === undefined || holds(tool.range, areaMm2)) &&
        hasNest(tool, { areaMm2, family }),
    )
    .sort((a, b) => rankOfTool(a, asOf) - rankOfTool(b, asOf) || (a.id < b.id ? -1 : 1))[0];
}

/** Terminals by shelf: a list of parts is never changed. */
const TERMINALS = new WeakMap<Catalogue['parts'], readonly TerminalPart[]>();

/** Every terminal that is there, listed, or known to exist; what a shop lists stands for the usual one of its id. */
export function terminalsOf({ parts }: Catalogue): readonly TerminalPart[] {
  const known = TERMINALS.get(parts);
  if (known) return known;
  const listed = new Set(parts.map(({ id }) => id));
  const all = [
    ...partsOf(parts, 'terminal'),
    ...partsOf(GENERIC_PARTS, 'terminal').filter(({ id }) => !listed.has(id)),
  ];
  TERMINALS.set(parts, all);
  return all;
}

/** All that the parts of a family can be at an end, crimped and soldered. */
export function casesOf(site: EndSite, family: TerminalFamily): readonly EndCase[] {
  const form = formOf(family);
  const { wire, catalogue } = site;
  const parts = terminalsOf(catalogue).filter((part) => part.family === family);
  const isThin = parts.every((part) => wire.areaMm2 < part.range.minMm2 && !holds(part.range, wire.areaMm2));
  const wantsFold = form.solid === 'folded' && (wire.solid || isThin);
  const sealed = wantsSeal(site, form);
  const hotAir = toolThat(catalogue.tools, 'hotAir');
  const rosin = findPart(catalogue, (of) => mostOf(partsOf(of, 'solder').filter(({ core }) => core === 'rosin')));
  return parts.flatMap((part): EndCase[] => {
    const fit = fitOf(part, wire, wantsFold);
    if (!fit) return [];
    const found = sealed ? sealFor(site, form, part) : undefined;
    const needsHeat = found?.seal.kind === 'sleeve' || found?.seal.kind === 'ownTube';
    return (['crimp', 'solder'] as const).map((attach): EndCase => {
      const tool = toolFor(site, family, wire.areaMm2, attach);
      return {
        site,
        form,
        part,
        attach,
        ...fit,
        wantsSeal: sealed,
        seal: found?.seal,
        sealPart: found?.part,
        tool,
        hotAir: needsHeat ? hotAir : undefined,
        solderId: attach === 'solder' ? rosin?.part.id : undefined,
        lacks: [
          ...(part.quantity > 0 ? [] : [lackOf(part)]),
          ...(found && !found.onShelf ? [found.part ? lackOf(found.part) : lackNamed(found.seal.name)] : []),
          ...(tool
            ? []
            : [lackNamed(attach === 'solder' ? 'an iron big enough' : `die for the ${terminalInWords(family)}`)]),
          ...(needsHeat && !hotAir ? [lackNamed('a hot-air gun')] : []),
          ...(attach === 'solder' && !rosin?.onShelf
            ? [rosin ? lackOf(rosin.part) : lackNamed('rosin-core solder')]
            : []),
        ],
      };
    });
  });
}
