import type { AddedCircuit, Finding } from '../../damage/index.ts';
import { figure } from '../../units/index.ts';
import { allowedCurrentA, bundleFactor } from '../../wire/index.ts';
import type { Ask, FindingField } from '../askTypes.ts';
import type { DecideInput } from '../types.ts';
import { routeBetweenNodes, routeFrom, type Route } from './route.ts';

/** Where it joins the main wire, mm along its run. */
const placeOf = ({ fromMm, toMm }: Finding): number => (fromMm + toMm) / 2;
/** A field of the finding that answers it. */
export const fieldOf = ({ id }: Finding, field: FindingField) => ({ on: 'finding', findingId: id, field }) as const;

/** What nobody has said of it: each changes what is taken or what protects it. */
export function unknowns(finding: Finding, { otherEnd, loadA, fuseA }: AddedCircuit): readonly Ask[] {
  return [
    ...(otherEnd
      ? []
      : [
          {
            does: 'note',
            words: 'Where does the added wire go? Its terminal, its route and its length follow from its other end',
            at: fieldOf(finding, 'otherEnd'),
            holdsKit: true,
          } as const,
        ]),
    ...(loadA === undefined && fuseA === undefined
      ? [
          {
            does: 'note',
            words: 'What does the added circuit carry, and has it a fuse of its own? Its wire is held against that',
            at: fieldOf(finding, 'addedLoadA'),
          } as const,
        ]
      : []),
  ];
}

/** The way of an added wire: from its splice, or from the cavity that it begins in. */
export function routeOf({ run, runs, finding }: DecideInput, { from, otherEnd }: AddedCircuit): Route | undefined {
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
export function currents(input: DecideInput, added: AddedCircuit): readonly Ask[] {
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
            at: fieldOf(finding, 'addedFuseA'),
          } as const,
        ]
      : []),
    ...(loadA !== undefined && loadA > may + 1e-9
      ? [
          {
            does: 'decide',
            words: `${figure(loadA)} A is more than the added wire may carry here, ${figure(may, 1)} A: take a thicker wire`,
            at: fieldOf(finding, 'addedLoadA'),
          } as const,
        ]
      : []),
    ...(fuseA !== undefined && loadA !== undefined && loadA > fuseA
      ? [
          {
            does: 'decide',
            words: `${figure(loadA)} A blows its own fuse of ${figure(fuseA)} A: check both`,
            at: fieldOf(finding, 'addedLoadA'),
          } as const,
        ]
      : []),
    ...(loadA !== undefined && circuit.loadA !== undefined && circuit.fuseA !== undefined && together > circuit.fuseA
      ? [
          {
            does: 'decide',
            words: `With ${figure(loadA)} A added the fuse of ${figure(circuit.fuseA)} A carries ${figure(together)} A: feed it from elsewhere, or check the loads`,
            at: fieldOf(finding, 'addedLoadA'),
          } as const,
        ]
      : []),
  ];
}
