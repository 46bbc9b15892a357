import { cavitiesOf } from '../connector/index.ts';
import { AMBIENT_BY_AREA_C, ambientC, besideAlong, type Beyond, type Circuit } from '../harness/index.ts';
import {
  endOfCircuit,
  FINDING_SORTS,
  FINDING_WORDS,
  isAtCavity,
  type CavityFinding,
  type Finding,
} from '../damage/index.ts';
import { figure } from '../units/index.ts';
import { allowedCurrentA, sizeDisagreement, sizeInWords, type WireSpec } from '../wire/index.ts';
import { checkConnectors } from './checkConnectors.ts';
import type { JobProblem } from './problem.ts';
import type { Job } from './types.ts';

const problem = (code: string, pointer: string, message: string, hint: string): JobProblem => ({
  code,
  pointer,
  message,
  hint,
});

/** What is wrong with one finding on its run, by itself: length, place, cut-back, strands. */
export function checkFinding(finding: Finding, job: Pick<Job, 'harness'>, pointer: string): JobProblem[] {
  const problems: JobProblem[] = [];
  const run = job.harness.runs.find((one) => one.id === finding.runId);
  const circuit = job.harness.circuits.find((one) => one.id === finding.circuitId);
  if (!run)
    return [
      problem(
        'UNKNOWN_RUN',
        `${pointer}/runId`,
        `Run "${finding.runId}" is not in the harness.`,
        `Use one of: ${job.harness.runs.map((one) => one.id).join(', ')}.`,
      ),
    ];
  if (!circuit)
    return [
      problem(
        'UNKNOWN_CIRCUIT',
        `${pointer}/circuitId`,
        `Circuit "${finding.circuitId}" is not in the harness.`,
        'Name the circuit by its id.',
      ),
    ];
  if (!circuit.runIds.includes(run.id)) {
    problems.push(
      problem(
        'CIRCUIT_NOT_IN_RUN',
        `${pointer}/runId`,
        `Circuit ${circuit.number} does not go through ${run.name}.`,
        `It goes through ${circuit.runIds.join(', ')}.`,
      ),
    );
  }
  const length = finding.toMm - finding.fromMm;
  if (!(length > 0)) {
    problems.push(
      problem(
        'FINDING_NO_LENGTH',
        `${pointer}/toMm`,
        `The finding goes from ${figure(finding.fromMm)} to ${figure(finding.toMm)} mm: its length of ${figure(length)} mm must be above 0.`,
        'Give an end beyond its start; a clean cut is 1 mm long.',
      ),
    );
  }
  const from = finding.fromMm - finding.cutBackLeftMm;
  const to = finding.toMm + finding.cutBackRightMm;
  if (finding.fromMm < 0 || finding.toMm > run.lengthMm) {
    problems.push(
      problem(
        'FINDING_OUTSIDE_RUN',
        `${pointer}/${finding.fromMm < 0 ? 'fromMm' : 'toMm'}`,
        `The finding at ${figure(finding.fromMm)}–${figure(finding.toMm)} mm lies outside ${run.name}, which is ${figure(run.lengthMm)} mm long.`,
        `Keep it between 0 and ${figure(run.lengthMm)} mm, or choose the run that it is on.`,
      ),
    );
  } else if (from < 0 || to > run.lengthMm) {
    problems.push(
      problem(
        'CUT_BACK_OUTSIDE_RUN',
        `${pointer}/${from < 0 ? 'cutBackLeftMm' : 'cutBackRightMm'}`,
        `With its cut-back the loss reaches ${figure(from)}–${figure(to)} mm, outside ${run.name} (0–${figure(run.lengthMm)} mm).`,
        'Shorten the cut-back; if copper is bad right up to the connector, the wire needs a new lead there.',
      ),
    );
  }
  problems.push(
    ...checkCavity(finding, job, pointer),
    ...checkFreeCavity(finding, job, pointer),
    ...checkSort(finding, pointer),
  );
  if (finding.kind === 'strandsLost' && finding.strandsLost > finding.strandsTotal) {
    problems.push(
      problem(
        'STRANDS',
        `${pointer}/strandsLost`,
        `${finding.strandsLost} of ${finding.strandsTotal} strands cannot be lost.`,
        'Count again: lost strands are at most all of them.',
      ),
    );
  }
  for (const [key, wire] of [
    ['farWire', finding.farWire],
    ['insertWire', finding.insertWire],
  ] as const) {
    if (wire) problems.push(...checkWire(wire, `${pointer}/${key}`, key === 'farWire' ? 'The far wire' : 'The insert'));
  }
  if (finding.kind === 'addCircuit') {
    finding.branchWires.forEach((wire, index) =>
      problems.push(...checkWire(wire, `${pointer}/branchWires/${index}`, 'The added wire')),
    );
  }
  return problems;
}

/** A finding at a cavity that its circuit is not in, or that lies at another end of the run. */
function checkCavity(finding: Finding, { harness }: Pick<Job, 'harness'>, pointer: string): JobProblem[] {
  if (!isAtCavity(finding)) return [];
  const circuit = harness.circuits.find((one) => one.id === finding.circuitId);
  const name = harness.nodes.find((node) => node.id === finding.at.nodeId)?.name ?? finding.at.nodeId;
  const end = circuit && endOfCircuit(circuit, harness.runs, finding.at.nodeId);
  if (!circuit || !end || end.cavity !== finding.at.cavity) {
    const ends = circuit
      ? [circuit.from, circuit.to]
          .map((one) => `${harness.nodes.find((node) => node.id === one.nodeId)?.name ?? one.nodeId} ${one.cavity}`)
          .join(' and ')
      : '';
    return [
      problem(
        'NOT_ITS_CAVITY',
        `${pointer}/at`,
        `Circuit ${circuit?.number ?? finding.circuitId} is not in cavity ${finding.at.cavity} of ${name}.`,
        `Its ends are in ${ends}.`,
      ),
    ];
  }
  return end.runId === finding.runId
    ? []
    : [
        problem(
          'NOT_ITS_CAVITY',
          `${pointer}/runId`,
          `Cavity ${finding.at.cavity} of ${name} is not at run "${finding.runId}".`,
          `It is at run ${end.runId}.`,
        ),
      ];
}

function checkSort(finding: Finding, pointer: string): JobProblem[] {
  const sorts = FINDING_SORTS[finding.kind];
  if (finding.sort === undefined || sorts?.[finding.sort] !== undefined) return [];
  return [
    problem(
      'NO_SUCH_SORT',
      `${pointer}/sort`,
      `"${finding.sort}" is no sort of ${FINDING_WORDS[finding.kind]}.`,
      sorts ? `Sorts are ${Object.keys(sorts).join(', ')}.` : 'Leave it out.',
    ),
  ];
}

/** Gauge and area that disagree, and a jacket thinner than its copper. */
function checkWire(wire: WireSpec, pointer: string, name: string): JobProblem[] {
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

function checkCircuit(circuit: Circuit, job: Job, pointer: string): JobProblem[] {
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
          `Runs are: ${harness.runs.map((run) => run.id).join(', ')}.`,
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
          `Nodes are: ${harness.nodes.map((node) => node.id).join(', ')}.`,
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

function checkRuns(job: Job): JobProblem[] {
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
              `Nodes are: ${harness.nodes.map((node) => node.id).join(', ')}.`,
            ),
          ],
    );
    const features = run.features.flatMap((feature, at): JobProblem[] =>
      feature.fromMm > feature.toMm || feature.fromMm < 0 || feature.toMm > run.lengthMm
        ? [
            problem(
              'FEATURE_OUTSIDE_RUN',
              `${pointer}/features/${at}`,
              `${feature.name} at ${figure(feature.fromMm)}–${figure(feature.toMm)} mm lies outside ${run.name} (0–${figure(run.lengthMm)} mm).`,
              'Keep it on the run, start before end.',
            ),
          ]
        : [],
    );
    return [...ends, ...features];
  });
}

function twiceById(items: readonly { readonly id: string }[], pointer: string, what: string): JobProblem[] {
  return items.flatMap((item, index) =>
    items.findIndex((other) => other.id === item.id) < index
      ? [problem('ID_TWICE', `${pointer}/${index}/id`, `${what} "${item.id}" is there twice.`, 'Give each its own id.')]
      : [],
  );
}

/** A free cavity that is none: not of this harness, not of the connector, or some circuit's already. */
function checkFreeCavity(finding: Finding, { harness }: Pick<Job, 'harness'>, pointer: string): JobProblem[] {
  if (finding.kind !== 'addCircuit' || !finding.freeCavity) return [];
  const { nodeId, cavity } = finding.freeCavity;
  const node = harness.nodes.find((one) => one.id === nodeId && one.kind === 'connector');
  if (!node)
    return [
      problem(
        'UNKNOWN_NODE',
        `${pointer}/freeCavity/nodeId`,
        `"${nodeId}" is no connector of the harness.`,
        `Connectors are: ${harness.nodes
          .filter((one) => one.kind === 'connector')
          .map((one) => one.id)
          .join(', ')}.`,
      ),
    ];
  if (node.face && !cavitiesOf(node.face).some((one) => one.cavity === cavity))
    return [
      problem(
        'UNKNOWN_CAVITY',
        `${pointer}/freeCavity/cavity`,
        `${node.name} has no cavity ${cavity}.`,
        `Cavities are: ${cavitiesOf(node.face)
          .map((one) => one.cavity)
          .join(', ')}.`,
      ),
    ];
  const owner = harness.circuits.find((circuit) =>
    [circuit.from, circuit.to].some((end) => end.nodeId === nodeId && end.cavity === cavity),
  );
  return owner
    ? [
        problem(
          'CAVITY_TAKEN',
          `${pointer}/freeCavity/cavity`,
          `Cavity ${cavity} of ${node.name} is not free: circuit ${owner.number} is in it.`,
          'Name an empty one, or join the wire along the run.',
        ),
      ]
    : [];
}

/** The same thing found twice at one cavity. */
function sameAgain(finding: CavityFinding, others: readonly Finding[], pointer: string): JobProblem[] {
  const twin = others.some(
    (one) =>
      one.id !== finding.id &&
      one.kind === finding.kind &&
      isAtCavity(one) &&
      one.at.nodeId === finding.at.nodeId &&
      one.at.cavity === finding.at.cavity,
  );
  return twin
    ? [
        problem(
          'FOUND_TWICE',
          `${pointer}/kind`,
          `"${FINDING_WORDS[finding.kind]}" is noted for cavity ${finding.at.cavity} already.`,
          'Change the one that is there.',
        ),
      ]
    : [];
}

/** Findings that are cut out and overlap on the same wire: they are one loss. */
export function checkOverlap(finding: Finding, others: readonly Finding[], pointer: string): JobProblem[] {
  if (isAtCavity(finding)) return sameAgain(finding, others, pointer);
  const other = others.find(
    (one) =>
      one.id !== finding.id &&
      !isAtCavity(one) &&
      one.circuitId === finding.circuitId &&
      one.runId === finding.runId &&
      one.fromMm < finding.toMm &&
      finding.fromMm < one.toMm,
  );
  return other
    ? [
        problem(
          'FINDINGS_OVERLAP',
          `${pointer}/fromMm`,
          `The finding at ${figure(finding.fromMm)}–${figure(finding.toMm)} mm overlaps the one at ${figure(other.fromMm)}–${figure(other.toMm)} mm on the same wire.`,
          'Make them one finding, or move one.',
        ),
      ]
    : [];
}

/** Choices, pins and redos that belong to no finding. */
function checkBelongings(job: Job): JobProblem[] {
  return (['choices', 'pins', 'redos'] as const).flatMap((list) =>
    job[list].flatMap((item, index): JobProblem[] =>
      job.findings.some((finding) => finding.id === item.findingId)
        ? []
        : [
            problem(
              'UNKNOWN_FINDING',
              `/${list}/${index}/findingId`,
              `Finding "${item.findingId}" is not in the job.`,
              'Name a finding by its id, or leave this entry out.',
            ),
          ],
    ),
  );
}

/** Splices that are made on a run in which their circuit does not go on from their finding's. */
function checkPins(job: Job): JobProblem[] {
  const runs = new Map(job.harness.runs.map((run) => [run.id, run]));
  return job.pins.flatMap((pin, index): JobProblem[] => {
    const finding = job.findings.find((one) => one.id === pin.findingId);
    const circuit = job.harness.circuits.find((one) => one.id === finding?.circuitId);
    const run = runs.get(finding?.runId ?? '');
    if (pin.runId === undefined || !circuit || !run) return [];
    const beside = Object.values(besideAlong(circuit, run, runs)).flatMap((beyond: Beyond | undefined) =>
      beyond ? [beyond.run.id] : [],
    );
    if (beside.includes(pin.runId)) return [];
    return [
      problem(
        'PIN_ON_ANOTHER_RUN',
        `/pins/${index}/runId`,
        `A splice of circuit ${circuit.number} is said to be made on run "${pin.runId}", in which the circuit does not go on from ${run.name}.`,
        beside.length > 0
          ? `It goes on in ${beside.join(' and ')}; leave runId out for ${run.name} itself.`
          : `Leave runId out: it lies on ${run.name}.`,
      ),
    ];
  });
}

/** Everything in a job that cannot be planned as it stands, all of it at once; an empty list means that it can. */
export function checkJob(job: Job): JobProblem[] {
  return [
    ...twiceById(job.harness.nodes, '/harness/nodes', 'Node'),
    ...twiceById(job.harness.runs, '/harness/runs', 'Run'),
    ...twiceById(job.findings, '/findings', 'Finding'),
    ...checkRuns(job),
    ...checkConnectors(job.harness),
    ...checkBelongings(job),
    ...checkPins(job),
    ...job.harness.circuits.flatMap((circuit, index) => checkCircuit(circuit, job, `/harness/circuits/${index}`)),
    ...job.findings.flatMap((finding, index) => [
      ...checkFinding(finding, job, `/findings/${index}`),
      ...checkOverlap(finding, job.findings.slice(0, index), `/findings/${index}`),
    ]),
  ];
}
