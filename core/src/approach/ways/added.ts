import { addedBy, branchesOf, type AddedCircuit, type Finding, type Stretch } from '../../damage/index.ts';
import { routeBetween, type Circuit, type Run } from '../../harness/index.ts';
import { chooseInsertWire } from '../../sizing/index.ts';
import { figure } from '../../units/index.ts';
import { allowedCurrentA, bundleFactor } from '../../wire/index.ts';
import { orders } from '../asks.ts';
import type { Ask, FindingField } from '../askTypes.ts';
import type { CavityWork } from '../cavityTypes.ts';
import { electricalOf } from '../electrical.ts';
import type { DecideInput, Decision, Electrical } from '../types.ts';
import { cavityWork, NOT_NOTED } from './work.ts';
import { terminalFor } from './terminal.ts';

/** What a route is longer than its runs: so much a metre for bends and ties. Ours. */
const SPARE_SHARE = 0.03;

/** A way along the harness from a place on a run to a node. */
interface Route {
  readonly runs: readonly Run[];
  /** What of each run it goes along, mm from that run's start. */
  readonly along: NonNullable<Decision['added']>['along'];
  readonly lengthMm: number;
  readonly words: string;
}

/** All of a run. */
const wholeOf = ({ id, lengthMm }: Run) => ({ runId: id, fromMm: 0, toMm: lengthMm });

const wayWords = (along: readonly Run[]): string => along.map(({ name }) => `“${name}”`).join(', then ');

/** The shortest way from a place on a run to a node, along the runs of the harness; none where they do not hang together. */
export function routeFrom(runs: readonly Run[], run: Run, atMm: number, nodeId: string): Route | undefined {
  const byId = new Map(runs.map((one) => [one.id, one]));
  const ways = [
    { nodeId: run.fromNodeId, mm: atMm, fromMm: 0, toMm: atMm },
    { nodeId: run.toNodeId, mm: run.lengthMm - atMm, fromMm: atMm, toMm: run.lengthMm },
  ].flatMap((end): { readonly mm: number; readonly first: Stretch; readonly along: readonly Run[] }[] => {
    const first = { fromMm: end.fromMm, toMm: end.toMm };
    if (end.nodeId === nodeId) return [{ mm: end.mm, first, along: [] }];
    const ids = routeBetween(runs, end.nodeId, nodeId);
    if (!ids || ids.includes(run.id)) return [];
    const along = ids.flatMap((id) => byId.get(id) ?? []);
    return [{ mm: end.mm + along.reduce((sum, one) => sum + one.lengthMm, 0), first, along }];
  });
  const [shortest] = ways.sort((one, other) => one.mm - other.mm);
  if (!shortest) return undefined;
  const along = [run, ...shortest.along];
  return {
    runs: along,
    along: [{ runId: run.id, ...shortest.first }, ...shortest.along.map(wholeOf)],
    lengthMm: shortest.mm,
    words: wayWords(along),
  };
}

/** The shortest way from one node to another, along the runs of the harness. */
function routeBetweenNodes(runs: readonly Run[], fromNodeId: string, toNodeId: string): Route | undefined {
  const along = routeBetween(runs, fromNodeId, toNodeId)?.flatMap((id) => runs.find((run) => run.id === id) ?? []);
  return (
    along && {
      runs: along,
      along: along.map(wholeOf),
      lengthMm: along.reduce((sum, { lengthMm }) => sum + lengthMm, 0),
      words: wayWords(along),
    }
  );
}

/** What a circuit that is added brings besides its splice or the free cavity that it begins in: wire, terminal, route, what is asked and what is warned of. */
export interface AddedWork {
  readonly decided: { readonly far?: CavityWork | undefined; readonly added?: Decision['added'] };
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

/** The way of an added wire: from its splice, or from the cavity that it begins in. */
function routeOf({ run, runs, finding }: DecideInput, { from, otherEnd }: AddedCircuit): Route | undefined {
  if (!otherEnd) return undefined;
  return from
    ? routeBetweenNodes(runs, from.nodeId, otherEnd.nodeId)
    : routeFrom(runs, run, placeOf(finding), otherEnd.nodeId);
}

/** What the added wire may carry, A: the least of the runs along its way, one more loaded wire in the bundle of each. */
function mayCarryA(input: DecideInput, added: AddedCircuit): number {
  const along = routeOf(input, added)?.runs ?? [input.run];
  return Math.min(
    ...along.map((run) => {
      const { ambientC, loadedIds } = input.factsAlong(run);
      return allowedCurrentA(added.wire, ambientC) * bundleFactor(loadedIds.size + 1);
    }),
  );
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
    { ...input, run: there, circuit: own, circuitsAt: withIt(input, added) },
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
  const more = branchesOf(input.finding).length - 1;
  const far = otherEnd ? farEnd(input, electrical, { ...added, otherEnd }) : undefined;
  return {
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
              at: at(input.finding, 'otherEnd'),
              holdsKit: true,
            } as const,
          ]
        : []),
    ],
  };
}
