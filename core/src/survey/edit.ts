import { endOfCircuit, isAtCavity, type Finding } from '../damage/index.ts';
import { routeBetween, type Circuit, type HarnessNode, type Run } from '../harness/index.ts';
import { extendEnd, growRun, setLength } from './lengths.ts';
import { joinRuns, moveNode, splitRun } from './runs.ts';
import { nodeOf, runOf, runsAt } from './state.ts';
import { cablesFollow, removeCable, setCable } from './cables.ts';
import { EditRefused, type HarnessEdit, type RunChange, type Surveyed } from './types.ts';

function addRun(state: Surveyed, run: Run, node: HarnessNode | undefined): Surveyed {
  const { harness } = state;
  if (harness.runs.some((one) => one.id === run.id))
    throw new EditRefused(`Run "${run.id}" is there already.`, 'Use another id.');
  if (node && harness.nodes.some((one) => one.id === node.id || one.name.toLowerCase() === node.name.toLowerCase()))
    throw new EditRefused(`${node.name} is there already.`, 'Give the new one another name.');
  const nodes = node ? [...harness.nodes, node] : harness.nodes;
  for (const end of [run.fromNodeId, run.toNodeId])
    if (!nodes.some((one) => one.id === end))
      throw new EditRefused(`${run.name} ends at "${end}", which is not in the harness.`, 'Name a node that is there.');
  if (routeBetween(harness.runs, run.fromNodeId, run.toNodeId) || run.fromNodeId === run.toNodeId)
    throw new EditRefused(`${run.name} would close a loop.`, 'A harness is a tree; bring the run to a new node.');
  return { ...state, harness: { ...harness, nodes, runs: [...harness.runs, run] } };
}

function changeRun(state: Surveyed, runId: string, change: RunChange): Surveyed {
  runOf(state, runId);
  const { conduitInsideMm, atLeast, name, zone, features } = change;
  const changed = ({ atLeast: was, ...run }: Run): Run => ({
    ...run,
    ...((atLeast === null ? undefined : (atLeast ?? was)) === true ? { atLeast: true } : {}),
    name: name ?? run.name,
    zone: zone ?? run.zone,
    features: features ?? run.features,
    conduitInsideMm: conduitInsideMm === null ? undefined : (conduitInsideMm ?? run.conduitInsideMm),
  });
  return {
    ...state,
    harness: { ...state.harness, runs: state.harness.runs.map((run) => (run.id === runId ? changed(run) : run)) },
  };
}

function changeNode(state: Surveyed, node: HarnessNode): Surveyed {
  nodeOf(state, node.id);
  const twin = state.harness.nodes.find(
    (one) => one.id !== node.id && one.name.toLowerCase() === node.name.toLowerCase(),
  );
  if (twin) throw new EditRefused(`There is a node ${twin.name} already.`, 'Give each its own name.');
  return {
    ...state,
    harness: { ...state.harness, nodes: state.harness.nodes.map((one) => (one.id === node.id ? node : one)) },
  };
}

/** Takes away a run at the end of the tree with its last node. */
function removeRun(state: Surveyed, runId: string): Surveyed {
  const { harness, findings } = state;
  const run = runOf(state, runId);
  const through = harness.circuits.find((circuit) => circuit.runIds.includes(runId));
  if (through)
    throw new EditRefused(
      `Circuit ${through.number} goes through ${run.name}.`,
      'Remove its circuits or give them another way first.',
    );
  if (findings.some((finding) => finding.runId === runId))
    throw new EditRefused(`Something was found on ${run.name}.`, 'Remove the finding first.');
  if (harness.runs.length === 1)
    throw new EditRefused(`${run.name} is the only run.`, 'A harness has one run at least.');
  const bare = [run.toNodeId, run.fromNodeId].find((id) => runsAt(state, id).length === 1);
  if (bare === undefined)
    throw new EditRefused(`${run.name} lies between other runs.`, 'Remove what hangs behind it first.');
  return {
    ...state,
    harness: {
      ...harness,
      runs: harness.runs.filter((one) => one.id !== runId),
      nodes: harness.nodes.filter((node) => node.id !== bare),
    },
  };
}

/**
 * Circuits whose way follows from their ends where they have none. @throws EditRefused when no run leads from one end
 * to the other
 */
function setCircuits(state: Surveyed, circuits: readonly Circuit[]): Surveyed {
  const { harness, findings } = state;
  const routed = circuits.map((circuit): Circuit => {
    if (circuit.runIds.length > 0) return circuit;
    const way = routeBetween(harness.runs, circuit.from.nodeId, circuit.to.nodeId);
    const name = (id: string): string => harness.nodes.find((node) => node.id === id)?.name ?? id;
    if (!way)
      throw new EditRefused(
        `No run leads from ${name(circuit.from.nodeId)} to ${name(circuit.to.nodeId)}, where circuit ${circuit.number} goes.`,
        'Add the runs between them first.',
      );
    return { ...circuit, runIds: way };
  });
  const lost = findings.find(
    (finding) => !routed.some((circuit) => circuit.id === finding.circuitId && circuit.runIds.includes(finding.runId)),
  );
  if (lost)
    throw new EditRefused(
      `Something was found on circuit ${harness.circuits.find((one) => one.id === lost.circuitId)?.number ?? lost.circuitId}, and it would be gone from there.`,
      'Keep the circuit on its run, or remove the finding first.',
    );
  return { ...state, harness: { ...harness, circuits: routed } };
}

/**
 * Findings at cavities lie wherever their circuit's end is now. @throws EditRefused when the circuit does not end there
 * any more
 */
function atTheirCavities(findings: readonly Finding[], { harness, findings: along }: Surveyed): Finding[] {
  const now = new Map(along.map((finding) => [finding.id, finding]));
  return findings.map((finding) => {
    if (!isAtCavity(finding)) return now.get(finding.id) ?? finding;
    const circuit = harness.circuits.find((one) => one.id === finding.circuitId);
    const end = circuit && endOfCircuit(circuit, harness.runs, finding.at.nodeId);
    if (!end)
      throw new EditRefused(
        `Something was found at ${finding.at.nodeId} ${finding.at.cavity}, and its circuit would not be there any more.`,
        'Remove the finding first.',
      );
    const { runId, fromMm, toMm, cavity } = end;
    return { ...finding, runId, fromMm, toMm, at: { ...finding.at, cavity } };
  });
}

/** Does one edit. The findings keep their place on the harness. @throws EditRefused with what stands in the way */
export function applyEdit(state: Surveyed, edit: HarnessEdit): Surveyed {
  const after = edited(
    { harness: state.harness, findings: state.findings.filter((finding) => !isAtCavity(finding)) },
    edit,
  );
  const { harness } = cablesFollow(state.harness, after);
  return { harness, findings: atTheirCavities(state.findings, after) };
}

function edited(state: Surveyed, edit: HarnessEdit): Surveyed {
  const { circuits } = state.harness;
  switch (edit.do) {
    case 'addRun':
      return addRun(state, edit.run, edit.node);
    case 'changeRun':
      return changeRun(state, edit.runId, edit.change);
    case 'setLength':
      return setLength(state, edit.runId, edit.lengthMm);
    case 'growRun':
      return growRun(state, edit.runId, edit.growths);
    case 'splitRun':
      return splitRun(state, edit.runId, edit.atMm, edit.node, edit.newRunId, edit.newName);
    case 'joinRuns':
      return joinRuns(state, edit.nodeId);
    case 'moveNode':
      return moveNode(state, edit.nodeId, edit.byMm);
    case 'changeNode':
      return changeNode(state, edit.node);
    case 'extendEnd':
      return changeNode(extendEnd(state, edit.node.id, edit.byMm), edit.node);
    case 'removeRun':
      return removeRun(state, edit.runId);
    case 'setCable':
      return setCable(state, edit.cable);
    case 'removeCable':
      return removeCable(state, edit.cableId);
    case 'setCircuit':
      return setCircuits(
        state,
        circuits.some((one) => one.id === edit.circuit.id)
          ? circuits.map((one) => (one.id === edit.circuit.id ? edit.circuit : one))
          : [...circuits, edit.circuit],
      );
    case 'removeCircuit':
      return setCircuits(
        state,
        circuits
          .filter((one) => one.id !== edit.circuitId)
          .map((one) => (one.pairWith === edit.circuitId ? { ...one, pairWith: undefined } : one)),
      );
    case 'setCircuits':
      return setCircuits(state, edit.circuits);
    case 'setSources': {
      const { sources: _, ...harness } = state.harness;
      return {
        ...state,
        harness: { ...harness, ...(edit.sources.length === 0 ? {} : { sources: edit.sources }) },
      };
    }
  }
}

/** Does a list of edits in order. @throws EditRefused at the first that cannot be */
export const applyEdits = (state: Surveyed, edits: readonly HarnessEdit[]): Surveyed => edits.reduce(applyEdit, state);
