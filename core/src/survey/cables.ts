import type { Cable, Harness } from '../harness/index.ts';
import { EditRefused, type Surveyed } from './types.ts';

/** A harness with other cables; without any it names none. */
function withCables(state: Surveyed, cables: readonly Cable[]): Surveyed {
  const { cables: _, ...rest } = state.harness;
  const harness: Harness = cables.length === 0 ? rest : { ...rest, cables };
  return { ...state, harness };
}

/**
 * Puts a cable in, or in the place of itself. @throws EditRefused where a run or a core is not there, a core does not go
 * along it, or is a core of another cable there
 */
export function setCable(state: Surveyed, cable: Cable): Surveyed {
  const { runs, circuits, cables = [] } = state.harness;
  const strange = cable.runIds.find((id) => !runs.some((run) => run.id === id));
  if (strange !== undefined)
    throw new EditRefused(
      `${cable.name} lies along run "${strange}", which is not in the harness.`,
      'Name a run that is.',
    );
  for (const id of cable.coreIds) {
    const core = circuits.find((circuit) => circuit.id === id);
    if (!core)
      throw new EditRefused(`${cable.name} has a core "${id}", which is no circuit of the harness.`, 'Leave it out.');
    const along = cable.runIds.find((runId) => !core.runIds.includes(runId));
    if (along !== undefined)
      throw new EditRefused(
        `Circuit ${core.number} does not go along ${runs.find((run) => run.id === along)?.name ?? along}, where ${cable.name} lies.`,
        'Leave it out of the cable, or correct its way first.',
      );
    const other = cables.find(
      (one) =>
        one.id !== cable.id && one.coreIds.includes(id) && one.runIds.some((runId) => cable.runIds.includes(runId)),
    );
    if (other)
      throw new EditRefused(
        `Circuit ${core.number} is a core of ${other.name} already.`,
        'Take it out of that one first.',
      );
  }
  return withCables(
    state,
    cables.some((one) => one.id === cable.id)
      ? cables.map((one) => (one.id === cable.id ? cable : one))
      : [...cables, cable],
  );
}

/** Takes a cable away; its cores stay as wires. @throws EditRefused where it is not there */
export function removeCable(state: Surveyed, cableId: string): Surveyed {
  const { cables = [] } = state.harness;
  if (!cables.some(({ id }) => id === cableId))
    throw new EditRefused(`Cable "${cableId}" is not in the harness.`, 'It may be gone already.');
  return withCables(
    state,
    cables.filter(({ id }) => id !== cableId),
  );
}

/**
 * Cables after any edit: on a run that was split they lie along both parts, in one that was joined or removed no longer
 * on what is gone, and a circuit that is gone or goes another way is no core.
 */
export function cablesFollow(before: Harness, after: Surveyed): Surveyed {
  const { cables } = after.harness;
  if (!cables) return after;
  const { runs, circuits } = after.harness;
  const had = new Set(before.runs.map(({ id }) => id));
  const has = new Set(runs.map(({ id }) => id));
  const fresh = runs.filter(({ id }) => !had.has(id));
  const wasPart = (runId: string): string[] => {
    const old = before.runs.find(({ id }) => id === runId);
    const now = runs.find(({ id }) => id === runId);
    // A run that was split ends earlier than it did, and what is new begins there.
    return old && now && old.toNodeId !== now.toNodeId
      ? fresh
          .filter(({ fromNodeId, toNodeId }) => fromNodeId === now.toNodeId && toNodeId === old.toNodeId)
          .map(({ id }) => id)
      : [];
  };
  return withCables(
    after,
    cables.flatMap((cable): Cable[] => {
      const runIds = cable.runIds.flatMap((id) => [id, ...wasPart(id)]).filter((id) => has.has(id));
      const coreIds = cable.coreIds.filter((id) => {
        const core = circuits.find((circuit) => circuit.id === id);
        return core !== undefined && runIds.every((runId) => core.runIds.includes(runId));
      });
      return runIds.length === 0 ? [] : [{ ...cable, runIds, coreIds }];
    }),
  );
}
