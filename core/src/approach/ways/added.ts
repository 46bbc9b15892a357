import { addedBy, type AddedCircuit, type Finding } from '../../damage/index.ts';
import { ambientC, routeBetween, type Circuit, type Run } from '../../harness/index.ts';
import { chooseInsertWire } from '../../sizing/index.ts';
import { figure } from '../../units/index.ts';
import { allowedCurrentA, bundleFactor } from '../../wire/index.ts';
import { orders } from '../asks.ts';
import type { Ask, FindingField } from '../askTypes.ts';
import type { DecideInput, Decision, Electrical } from '../types.ts';
import { cavityWork, NOT_NOTED } from './work.ts';
import { terminalFor } from './terminal.ts';

/** What a route is longer than its runs: so much a metre for bends and ties. Ours. */
const SPARE_SHARE = 0.03;

/** A way along the harness from a place on a run to a node. */
interface Route {
  readonly runs: readonly Run[];
  readonly lengthMm: number;
  readonly words: string;
}

/** The shortest way from a place on a run to a node, along the runs of the harness; none where they do not hang together. */
export function routeFrom(runs: readonly Run[], run: Run, atMm: number, nodeId: string): Route | undefined {
  const byId = new Map(runs.map((one) => [one.id, one]));
  const ways = [
    { nodeId: run.fromNodeId, mm: atMm },
    { nodeId: run.toNodeId, mm: run.lengthMm - atMm },
  ].flatMap((end): { readonly mm: number; readonly along: readonly Run[] }[] => {
    if (end.nodeId === nodeId) return [{ mm: end.mm, along: [] }];
    const ids = routeBetween(runs, end.nodeId, nodeId);
    if (!ids || ids.includes(run.id)) return [];
    const along = ids.flatMap((id) => byId.get(id) ?? []);
    return [{ mm: end.mm + along.reduce((sum, one) => sum + one.lengthMm, 0), along }];
  });
  const [shortest] = ways.sort((one, other) => one.mm - other.mm);
  if (!shortest) return undefined;
  const along = [run, ...shortest.along];
  return { runs: along, lengthMm: shortest.mm, words: along.map(({ name }) => `“${name}”`).join(', then ') };
}

/** What a circuit that is added brings to its splice: wire, terminal, route, what is asked and what is warned of. */
export interface AddedWork {
  readonly decided: Pick<Decision, 'cavity' | 'added'>;
  readonly because: readonly string[];
  readonly warnings: readonly string[];
  readonly asks: readonly Ask[];
}

/** Where it joins the main wire, mm along its run. */
const placeOf = ({ fromMm, toMm }: Finding): number => (fromMm + toMm) / 2;
const at = ({ id }: Finding, field: FindingField) => ({ on: 'finding', findingId: id, field }) as const;

/** What nobody has said of it: each changes what is taken or what protects it. */
function unknowns(finding: Finding, { otherEnd, loadA, fuseA }: AddedCircuit): readonly Ask[] {
  return [
    ...(otherEnd
      ? []
      : [
          {
            does: 'note',
            words: 'Where does the added wire go? Its terminal, its route and its length follow from its other end',
            at: at(finding, 'otherEnd'),
            holdsKit: true,
          } as const,
        ]),
    ...(loadA === undefined && fuseA === undefined
      ? [
          {
            does: 'note',
            words: 'What does the added circuit carry, and has it a fuse of its own? Its wire is held against that',
            at: at(finding, 'addedLoadA'),
          } as const,
        ]
      : []),
  ];
}

/**
 * What the added wire may carry, A: in the hottest run of its route, one more loaded wire in the bundle of its splice's
 * run.
 */
function mayCarryA({ run, runs, finding, runFacts }: DecideInput, { wire, otherEnd }: AddedCircuit): number {
  const route = otherEnd && routeFrom(runs, run, placeOf(finding), otherEnd.nodeId);
  const hottestC = Math.max(runFacts.ambientC, ...(route?.runs ?? []).map(({ zone }) => ambientC(zone)));
  return allowedCurrentA(wire, hottestC) * bundleFactor(runFacts.loadedIds.size + 1);
}

/** Loads and fuses of main and added wire against each other, and against what the added wire may carry. */
function currents(input: DecideInput, added: AddedCircuit): readonly Ask[] {
  const { finding, circuit } = input;
  const { loadA, fuseA } = added;
  const may = mayCarryA(input, added);
  const together = (circuit.loadA ?? 0) + (loadA ?? 0);
  return [
    ...(fuseA !== undefined && fuseA > may + 1e-9
      ? [
          {
            does: 'decide',
            words: `Its own fuse of ${figure(fuseA)} A does not protect the added wire, which may carry ${figure(may, 1)} A: a smaller fuse, or a thicker wire`,
            at: at(finding, 'addedFuseA'),
          } as const,
        ]
      : []),
    ...(loadA !== undefined && loadA > may + 1e-9
      ? [
          {
            does: 'decide',
            words: `${figure(loadA)} A is more than the added wire may carry here, ${figure(may, 1)} A: take a thicker wire`,
            at: at(finding, 'addedLoadA'),
          } as const,
        ]
      : []),
    ...(fuseA !== undefined && loadA !== undefined && loadA > fuseA
      ? [
          {
            does: 'decide',
            words: `${figure(loadA)} A blows its own fuse of ${figure(fuseA)} A: check both`,
            at: at(finding, 'addedLoadA'),
          } as const,
        ]
      : []),
    ...(loadA !== undefined && circuit.loadA !== undefined && circuit.fuseA !== undefined && together > circuit.fuseA
      ? [
          {
            does: 'decide',
            words: `With ${figure(loadA)} A added the fuse of ${figure(circuit.fuseA)} A carries ${figure(together)} A: feed it from elsewhere, or check the loads`,
            at: at(finding, 'addedLoadA'),
          } as const,
        ]
      : []),
  ];
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

/** What the far end of an added circuit takes: a terminal for its place, and wire for its route. */
function farEnd(
  input: DecideInput,
  electrical: Electrical,
  added: AddedCircuit & { readonly otherEnd: NonNullable<AddedCircuit['otherEnd']> },
): AddedWork {
  const { finding, run, runs, nodes } = input;
  const { otherEnd, wire } = added;
  const node = nodes.get(otherEnd.nodeId);
  const where = `${node?.name ?? otherEnd.nodeId}, ${otherEnd.cavity}`;
  const route = routeFrom(runs, run, placeOf(finding), otherEnd.nodeId);
  const lengthMm = added.lengthMm ?? (route ? Math.ceil(route.lengthMm * (1 + SPARE_SHARE)) : undefined);
  // Its terminal stands what its own place is like, and not what the splice's is.
  const there = runs.find(({ fromNodeId, toNodeId }) => [fromNodeId, toNodeId].includes(otherEnd.nodeId)) ?? run;
  const found = terminalFor(
    { ...input, run: there, circuit: ownCircuit(input, added), circuitsAt: withIt(input, added) },
    wire,
    node,
    otherEnd.cavity,
    electrical,
  );
  const fit = found.refused ? { ...found, terminal: undefined, unknown: found.refused.because } : found;
  const isIn = node?.kind === 'connector';
  const isShort = route !== undefined && added.lengthMm !== undefined && added.lengthMm < route.lengthMm;
  return {
    decided: {
      cavity: cavityWork({
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
        : { added: { lengthMm, wire: chooseInsertWire(wire, input.catalogue.wires, electrical.placeC, lengthMm) } }),
    },
    because: [
      route
        ? `The added wire goes along ${route.words} to ${where}: ${figure(route.lengthMm, 0)} mm of run${added.lengthMm === undefined ? `, ${figure(lengthMm ?? 0, 0)} mm of wire with 3 % for bends` : ''}.`
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
      ...(lengthMm === undefined
        ? [
            {
              does: 'measure',
              words: `How long is the added wire? No run leads to ${where}`,
              at: at(finding, 'addedMm'),
              holdsKit: true,
            } as const,
          ]
        : []),
    ],
  };
}

/** What goes with the splice of an added circuit; nothing where none is added. Source: choosing; work, adding a circuit. */
export function addedWork(input: DecideInput, electrical: Electrical): AddedWork {
  const added = addedBy(input.finding);
  if (!added) return { decided: {}, because: [], warnings: [], asks: [] };
  const { otherEnd } = added;
  const far = otherEnd ? farEnd(input, electrical, { ...added, otherEnd }) : undefined;
  return {
    decided: far?.decided ?? {},
    because: far?.because ?? [],
    warnings: far?.warnings ?? [],
    asks: [...unknowns(input.finding, added), ...(far?.asks ?? []), ...currents(input, added)],
  };
}
