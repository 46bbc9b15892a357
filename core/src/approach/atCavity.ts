import type { CavityFinding } from '../damage/index.ts';
import { RELEASE_GUIDES } from '../connector/index.ts';
import type { HarnessNode } from '../harness/index.ts';
import { figure } from '../units/index.ts';

const HEAT = 'Loose, corroded or undersized joints run hot: find out which circuit did and why, with its resistance and current, or it comes back.';

/** How the terminal comes out here, where that is known. */
const freeing = (node: HarnessNode | undefined): string => (node?.lock === undefined ? 'How its terminals are held is not known: look it up before anything is pried.' : `Its terminals are held by: ${RELEASE_GUIDES[node.lock].name.toLowerCase()}; the steps stand at the connector.`);

/**
 * The order in which a master goes about damage at a cavity, in sentences. The approach table of the trade, first that is possible;
 * Mendum names it and leaves the making to a person.
 */
export function waysAtCavity(finding: CavityFinding, node: HarnessNode | undefined): readonly string[] {
  switch (finding.kind) {
    case 'terminalDamaged':
    case 'terminalMiscrimped':
      return [
        'Cut it off and crimp a new terminal on when the tail’s slack covers its strip, 2 mm and what is lost; else a new lead with one splice (relead). No terminal, seal or die on the shelf: a pigtail that is there.', freeing(node),
        ...(finding.sort === 'burnt' ? [HEAT] : []),
      ];
    case 'housingBroken':
      return node?.lock === undefined
        ? ['A pigtail, one joint for every wire, mapped by cavity. Knowing the lock family would save them all: the good terminals could be moved into a new housing.']
        : ['Free the terminals and move them into a new housing, cavity by cavity: nothing is cut. No housing to be had: a pigtail.', freeing(node)];
    case 'housingMelted':
      return ['A pigtail with no wire smaller, for every wire in it, mapped by cavity and never by colour; else a new housing with new terminals.', HEAT];
    case 'sealLost':
      return ['Put the seal or plug back. A wire seal that only slides on before crimping means a new terminal.'];
    case 'lockLost':
      return ['Put the lock piece back: it is part of what holds the terminals, and does not close over one that is not seated.'];
    case 'cutFlush':
      return ['Free the stub and fit a new lead with its own terminal, with one splice where there is room (relead).', freeing(node)];
    case 'tooShort':
      return [`It lacks ${figure(finding.shortByMm, 0)} mm. A new lead when terminal, die and tail allow (one splice); else an inserted length (two). Same colour, never smaller.`];
    case 'misplaced':
      return ['Free it, look at its lance, and seat it in the cavity where it belongs; a bent lance means a new terminal.', freeing(node)];
    case 'noMatingPart':
      return ['Solder to its pin and pot the back, so that nothing can move: the one soldered joint that crimp practices keep, and only with the back held fast.'];
  }
}
