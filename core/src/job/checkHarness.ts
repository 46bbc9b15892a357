import { AMBIENT_BY_AREA_C, ambientC, farthestOn, type Circuit } from '../harness/index.ts';
import { EditRefused, setCable, type Surveyed } from '../survey/index.ts';
import { figure, someOf } from '../units/index.ts';
import { allowedCurrentA, sizeDisagreement, sizeInWords, type WireSpec } from '../wire/index.ts';
import type { JobProblem } from './problem.ts';
import type { Job } from './types.ts';

export const problem = (code: string, pointer: string, message: string, hint: string): JobProblem => ({
  code,
  pointer,
  message,
  hint,
});

/** Gauge and area that disagree, and a jacket thinner than its copper. */
export function checkWire(wire: WireSpec, pointer: string, name: string): JobProblem[] {
  const problems: JobProblem[] = [];
  const disagreement = sizeDisagreement(wire.size);
  if (disagreement)
    problems.push(
      problem(
        'SIZE_DISAGREES',
        `${pointer}/size/areaMm2`,
        `${name}: ${disagreement}`,
        'AWG copper and a trade label are not the same wire.',
      ),
    );
  return problems;
}

export function checkCircuit(circuit: Circuit, job: Job, pointer: string): JobProblem[] {
  const { harness } = job;
  const problems = checkWire(circuit.wire, `${pointer}/wire`, `Circuit ${circuit.number}`);
  const twin = harness.circuits.find(
    (other) => other !== circuit && (other.number === circuit.number || other.id === circuit.id),
  );
  if (twin && harness.circuits.indexOf(twin) < harness.circuits.indexOf(circuit)) {
    const field = twin.id === circuit.id ? 'id' : 'number';
    problems.push(
      problem(
        'CIRCUIT_TWICE',
        `${pointer}/${field}`,
        `Circuit ${field === 'id' ? `id "${circuit.id}"` : `number ${circuit.number}`} is there twice: "${twin.function}" and "${circuit.function}".`,
        'Give each circuit its own number.',
      ),
    );
  }
  circuit.runIds.forEach((id, index) => {
    if (!harness.runs.some((run) => run.id === id))
      problems.push(
        problem(
          'UNKNOWN_RUN',
          `${pointer}/runIds/${index}`,
          `Circuit ${circuit.number} goes through run "${id}", which is not in the harness.`,
          `Runs are: ${someOf(harness.runs.map((run) => run.id))}.`,
        ),
      );
  });
  if (circuit.pairWith !== undefined && !harness.circuits.some((other) => other.id === circuit.pairWith)) {
    problems.push(
      problem(
        'UNKNOWN_PAIR',
        `${pointer}/pairWith`,
        `Circuit ${circuit.number} is paired with "${circuit.pairWith}", which is not in the harness.`,
        'Name the other wire of the pair by its id.',
      ),
    );
  }
  for (const end of ['from', 'to'] as const) {
    if (!harness.nodes.some((node) => node.id === circuit[end].nodeId)) {
      problems.push(
        problem(
          'UNKNOWN_NODE',
          `${pointer}/${end}/nodeId`,
          `Circuit ${circuit.number} ${end === 'from' ? 'starts' : 'ends'} at "${circuit[end].nodeId}", which is not in the harness.`,
          `Nodes are: ${someOf(harness.nodes.map((node) => node.id))}.`,
        ),
      );
    }
  }
  if (problems.length === 0 && circuit.fuseA !== undefined) {
    const runs = harness.runs.filter((run) => circuit.runIds.includes(run.id));
    const hottest = runs.length > 0 ? Math.max(...runs.map((run) => ambientC(run.zone))) : AMBIENT_BY_AREA_C.cabin;
    const allowed = allowedCurrentA(circuit.wire, hottest);
    if (circuit.fuseA > allowed) {
      problems.push(
        problem(
          'FUSE_ABOVE_WIRE',
          `${pointer}/fuseA`,
          `The fuse of circuit ${circuit.number} is ${figure(circuit.fuseA)} A, and its wire of ${sizeInWords(circuit.wire.size)} may carry ${figure(allowed, 1)} A even alone in free air.`,
          `Check the fuse and the size; a fuse of ${Math.floor(allowed)} A or less protects this wire alone, less in a bundle.`,
        ),
      );
    }
  }
  return problems;
}

/** Cables that lie where nothing is, or share a core. */
export function checkCables({ harness }: Job): JobProblem[] {
  const { cables = [], ...bare } = harness;
  let state: Surveyed = { harness: bare, findings: [] };
  return cables.flatMap((cable, index): JobProblem[] => {
    try {
      state = setCable(state, cable);
      return [];
    } catch (error) {
      if (!(error instanceof EditRefused)) throw error;
      return [problem('CABLE_WRONG', `/harness/cables/${index}`, error.message, error.remedy)];
    }
  });
}

export function checkRuns(job: Job): JobProblem[] {
  const { harness } = job;
  return harness.runs.flatMap((run, index): JobProblem[] => {
    const pointer = `/harness/runs/${index}`;
    const ends = (['fromNodeId', 'toNodeId'] as const).flatMap((end) =>
      harness.nodes.some((node) => node.id === run[end])
        ? []
        : [
            problem(
              'UNKNOWN_NODE',
              `${pointer}/${end}`,
              `${run.name} ends at "${run[end]}", which is not in the harness.`,
              `Nodes are: ${someOf(harness.nodes.map((node) => node.id))}.`,
            ),
          ],
    );
    const features = run.features.flatMap((feature, at): JobProblem[] =>
      feature.fromMm > feature.toMm || feature.fromMm < 0 || feature.toMm > farthestOn(run)
        ? [
            problem(
              'FEATURE_OUTSIDE_RUN',
              `${pointer}/features/${at}`,
              `${feature.name} at ${figure(feature.fromMm)}–${figure(feature.toMm)} mm lies outside ${run.name} (0–${figure(farthestOn(run))} mm).`,
              'Keep it on the run, start before end.',
            ),
          ]
        : [],
    );
    return [...ends, ...features];
  });
}

export function twiceById(items: readonly { readonly id: string }[], pointer: string, what: string): JobProblem[] {
  return items.flatMap((item, index) =>
    items.findIndex((other) => other.id === item.id) < index
      ? [problem('ID_TWICE', `${pointer}/${index}/id`, `${what} "${item.id}" is there twice.`, 'Give each its own id.')]
      : [],
  );
}
