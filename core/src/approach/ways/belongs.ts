import { lackOf, type Lack, type Part } from '../../catalogue/index.ts';
import { identityInWords, namesAgree } from '../../connector/index.ts';
import type { Circuit, HarnessNode } from '../../harness/index.ts';
import type { ConnectorPart } from '../../stock/index.ts';
import type { Ask } from '../askTypes.ts';
import { electricalOf } from '../electrical.ts';
import type { DecideInput } from '../types.ts';

/** Why something may not be used, by which rule, and what would lift it. */
export interface Bar {
  readonly ruleId: string;
  readonly because: string;
  readonly allowedIf?: string | undefined;
}

/** A wire of a connector that is replaced whole: its circuit, its cavity, and how hot its place gets, °C. */
export interface OldWire {
  readonly circuit: Circuit;
  readonly cavity: string;
  readonly placeC: number;
}

/** All wires that sit in a connector. */
export const wiresAt = (input: DecideInput, node: HarnessNode): readonly OldWire[] =>
  input
    .circuitsAt(node.id)
    .flatMap((circuit) =>
      [circuit.from, circuit.to]
        .filter(({ nodeId }) => nodeId === node.id)
        .map(({ cavity }) => ({ circuit, cavity, placeC: electricalOf(circuit, input.runFacts).placeC })),
    );

/** Whether a part has the cavities of a connector: as many, or enough for its wires where nobody counted them. */
export const hasWays = (part: ConnectorPart, node: HarnessNode, wires: number): boolean =>
  node.ways === undefined ? part.ways >= wires : part.ways === node.ways;

/**
 * Whether a part is known to be of a connector's family: nothing where either family is not noted. The same part number
 * settles it.
 */
export function isOfFamily(part: ConnectorPart, { identity }: HarnessNode): boolean | undefined {
  if (namesAgree(part.partNumber, identity?.partNumber) === true) return true;
  return namesAgree(part.family, identity?.family);
}

/** Why a part does not go into the mate of a connector, as far as family and keying are known. */
export function otherConnector(part: ConnectorPart, node: HarnessNode): Bar | undefined {
  const { identity } = node;
  if (isOfFamily(part, node) === false)
    return {
      ruleId: 'way.otherFamily',
      because: `${part.name} is of family ${part.family}, ${node.name} is of ${identity?.family}: it does not go into the mate.`,
      allowedIf: `it were of family ${identity?.family}`,
    };
  if (namesAgree(part.keying, identity?.keying) === false)
    return {
      ruleId: 'way.otherKeying',
      because: `${part.name} has keying ${part.keying}, ${node.name} has ${identity?.keying}: the mate keeps it out.`,
      allowedIf: `it had keying ${identity?.keying}`,
    };
  return undefined;
}

/**
 * What is asked while nobody knows whether a part is of a connector's family: of the connector first, else of the part.
 */
export function familyAsks(part: ConnectorPart, node: HarnessNode): readonly Ask[] {
  if (isOfFamily(part, node) !== undefined) return [];
  if (node.identity?.family === undefined)
    return [
      {
        does: 'note',
        words: `Which family is ${node.name}? Read it off the housing: parts fit by family, and not by the number of their cavities`,
        at: { on: 'node', nodeId: node.id, field: 'family' },
      },
    ];
  return [
    {
      does: 'note',
      words: `Is ${part.name} of family ${node.identity.family}? Try it on the mate of ${node.name}, then note its family on the shelf`,
      at: { on: 'shelf', name: part.name },
    },
  ];
}

/** What to order of a part for a connector: what the part does not say of itself is said of the connector. */
export function lackFor(part: Part & ConnectorPart, { identity = {} }: HarnessNode): Lack {
  const more = identityInWords({
    family: part.family === undefined ? identity.family : undefined,
    keying: part.keying === undefined ? identity.keying : undefined,
  });
  const lack = lackOf(part);
  return more === '' ? lack : { ...lack, fits: [lack.fits, more].filter(Boolean).join(', ') };
}
