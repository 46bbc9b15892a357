import { addedBy, branchesOf, type AddedCircuit } from '../../damage/index.ts';
import type { Circuit } from '../../harness/index.ts';
import { chooseInsertWire } from '../../sizing/index.ts';
import { figure } from '../../units/index.ts';
import { orders } from '../asks.ts';
import type { Ask } from '../askTypes.ts';
import type { CavityWork } from '../cavityTypes.ts';
import { electricalOf } from '../electrical.ts';
import type { DecideInput, Decision, Electrical, RankedWay } from '../types.ts';
import { currents, fieldOf, routeOf, unknowns } from './addedAsks.ts';
import { terminalFor } from './terminal.ts';
import { ACT_MINUTES, cavityWork, NOT_NOTED } from './work.ts';

/** What a route is longer than its runs: so much a metre for bends and ties. Ours. */
const SPARE_SHARE = 0.03;

/**
 * What a circuit that is added brings besides its splice or the free cavity that it begins in: wire, terminal, route,
 * what is asked and what is warned of.
 */
export interface AddedWork {
  /** What its far end and its wire cost, besides where it begins. */
  readonly cost: Pick<RankedWay['cost'], 'minutes' | 'wireMm' | 'parts'>;
  readonly decided: { readonly far?: CavityWork | undefined; readonly added?: Decision['added'] };
  readonly because: readonly string[];
  readonly warnings: readonly string[];
  readonly asks: readonly Ask[];
}

/** The added circuit as a circuit of its own: what it carries is not what the main wire carries. */
const ownCircuit = ({ circuit }: DecideInput, { wire, loadA, otherEnd }: AddedCircuit): Circuit => ({
  ...circuit,
  id: `${circuit.id} added`,
  wire,
  loadA,
  to: otherEnd ?? circuit.to,
  from: otherEnd ?? circuit.from,
});
/** The circuits that end at a node, the added one among them. */
const withIt =
  (input: DecideInput, added: AddedCircuit) =>
  (nodeId: string): readonly Circuit[] => [
    ...input.circuitsAt(nodeId),
    ...(added.otherEnd?.nodeId === nodeId ? [ownCircuit(input, added)] : []),
  ];

/** A terminal that somebody chose is one of those that were shown: of a lead into a free cavity, those of that cavity. */
const choiceThere = ({ choice }: DecideInput, { from }: AddedCircuit): DecideInput['choice'] =>
  choice && from ? { ...choice, terminal: undefined } : choice;

/** What the far end of an added circuit takes: a terminal for its place, and wire for its route. */
function farEnd(
  input: DecideInput,
  electrical: Electrical,
  added: AddedCircuit & { readonly otherEnd: NonNullable<AddedCircuit['otherEnd']> },
): AddedWork {
  const { finding, runs, nodes } = input;
  const { otherEnd, wire } = added;
  const node = nodes.get(otherEnd.nodeId);
  const where = `${node?.name ?? otherEnd.nodeId}, ${otherEnd.cavity}`;
  const route = routeOf(input, added);
  const lengthMm = added.lengthMm ?? (route ? Math.ceil(route.lengthMm * (1 + SPARE_SHARE)) : undefined);
  // Its terminal stands what its own place is like, and not what the splice's is.
  const there = runs.find(({ fromNodeId, toNodeId }) => [fromNodeId, toNodeId].includes(otherEnd.nodeId)) ?? input.run;
  const own = ownCircuit(input, added);
  const found = terminalFor(
    { ...input, run: there, circuit: own, circuitsAt: withIt(input, added), choice: choiceThere(input, added) },
    wire,
    node,
    otherEnd.cavity,
    electricalOf(own, input.factsAlong(there)),
  );
  const fit = found.refused ? { ...found, terminal: undefined, unknown: found.refused.because } : found;
  const open = (route?.runs ?? []).filter(({ atLeast }) => atLeast === true);
  const isIn = node?.kind === 'connector';
  const isShort = route !== undefined && added.lengthMm !== undefined && added.lengthMm < route.lengthMm;
  return {
    cost: {
      minutes: ACT_MINUTES.crimpTerminal,
      wireMm: lengthMm ?? 0,
      parts: [fit.terminal?.partName, fit.terminal?.seal?.name].filter((name) => name !== undefined),
    },
    decided: {
      far: cavityWork({
        name: `Terminal of the added wire at ${where}`,
        acts: isIn ? ['unplug', 'crimpTerminal', 'route'] : ['crimpTerminal', 'route'],
        at: otherEnd,
        node,
        wire,
        fit,
        added: { loadA: added.loadA },
      }),
      ...(lengthMm === undefined
        ? {}
        : {
            added: {
              lengthMm,
              wire: chooseInsertWire(wire, input.catalogue.wires, electrical.placeC, lengthMm),
              along: route?.along ?? [],
            },
          }),
    },
    because: [
      route
        ? `The added wire goes along ${route.words} to ${where}: ${open.length > 0 ? 'at least ' : ''}${figure(route.lengthMm, 0)} mm of run${added.lengthMm === undefined ? `, ${figure(lengthMm ?? 0, 0)} mm of wire with 3 % for bends` : ''}.`
        : `No run leads from here to ${where}: its length is measured along the way that it will lie.`,
    ],
    warnings: [
      ...fit.warnings,
      ...(isShort
        ? [
            `${figure(added.lengthMm ?? 0, 0)} mm of added wire is shorter than its route of ${figure(route.lengthMm, 0)} mm: measure again.`,
          ]
        : []),
    ],
    asks: [
      ...orders(fit.lacks),
      ...(fit.terminal
        ? []
        : [
            {
              does: 'note',
              words: fit.unknown ?? NOT_NOTED,
              at: { on: 'fitting', ...otherEnd },
            } as const,
          ]),
      ...(fit.asks ?? []),
      ...(added.lengthMm === undefined
        ? open.map(({ id, name }): Ask => ({
            does: 'measure',
            words: `How long is “${name}”? The added wire goes along it, and nobody has measured it`,
            at: { on: 'run', runId: id, field: 'lengthMm' },
            holdsKit: true,
          }))
        : []),
      ...(lengthMm === undefined
        ? [
            {
              does: 'measure',
              words: `How long is the added wire? No run leads to ${where}`,
              at: fieldOf(finding, 'addedMm'),
              holdsKit: true,
            } as const,
          ]
        : []),
    ],
  };
}

const NOTHING: AddedWork['cost'] = { minutes: 0, wireMm: 0, parts: [] };

/**
 * What goes with the splice or the free cavity of an added circuit; nothing where none is added. Source: choosing; work,
 * adding a circuit.
 */
export function addedWork(input: DecideInput, electrical: Electrical): AddedWork {
  const added = addedBy(input.finding);
  if (!added) return { cost: NOTHING, decided: {}, because: [], warnings: [], asks: [] };
  const { otherEnd } = added;
  const more = branchesOf(input.finding).length - 1;
  const far = otherEnd ? farEnd(input, electrical, { ...added, otherEnd }) : undefined;
  return {
    cost: far?.cost ?? NOTHING,
    decided: far?.decided ?? {},
    because: far?.because ?? [],
    warnings: far?.warnings ?? [],
    asks: [
      ...unknowns(input.finding, added),
      ...(far?.asks ?? []),
      ...currents(input, added),
      ...(more > 0
        ? [
            {
              does: 'note',
              words: `Only the first added wire has its other end here: note ${more === 1 ? 'the other one' : `each of the other ${more}`} as a finding of its own`,
              at: fieldOf(input.finding, 'otherEnd'),
              holdsKit: true,
            } as const,
          ]
        : []),
    ],
  };
}
