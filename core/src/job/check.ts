import { besideAlong, farthestOn, runLengthInWords, type Beyond, type Harness } from '../harness/index.ts';
import { branchesOf, damageOf, isAtCavity, type Finding } from '../damage/index.ts';
import { figure, someOf } from '../units/index.ts';
import { checkConnectors } from './checkConnectors.ts';
import { checkLimits } from './limits.ts';
import type { JobProblem } from './problem.ts';
import type { Job } from './types.ts';
import { problem, checkWire, checkCables, checkCircuit, checkRuns, twiceById } from './checkHarness.ts';
import { checkCavity, checkFreeCavity, promisedTwice, sameAgain } from './checkCavity.ts';

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
        `Use one of: ${someOf(job.harness.runs.map((one) => one.id))}.`,
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
        `It goes through ${someOf(circuit.runIds)}.`,
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
  const farMm = farthestOn(run);
  if (finding.fromMm < 0 || finding.toMm > farMm) {
    problems.push(
      problem(
        'FINDING_OUTSIDE_RUN',
        `${pointer}/${finding.fromMm < 0 ? 'fromMm' : 'toMm'}`,
        `The finding at ${figure(finding.fromMm)}–${figure(finding.toMm)} mm lies outside ${run.name}, which is ${runLengthInWords(run)} long.`,
        `Keep it between 0 and ${figure(farMm)} mm, or choose the run that it is on.`,
      ),
    );
  } else if (from < 0 || to > farMm) {
    problems.push(
      problem(
        'CUT_BACK_OUTSIDE_RUN',
        `${pointer}/${from < 0 ? 'cutBackLeftMm' : 'cutBackRightMm'}`,
        `With its cut-back the loss reaches ${figure(from)}–${figure(to)} mm, outside ${run.name} (0–${figure(farMm)} mm).`,
        'Shorten the cut-back; if copper is bad right up to the connector, the wire needs a new lead there.',
      ),
    );
  }
  problems.push(
    ...checkCavity(finding, job, pointer),
    ...checkFreeCavity(finding, job, pointer),
    ...checkSort(finding, pointer),
  );
  const wrong = damageOf(finding.kind).problem?.(finding);
  if (wrong) problems.push(problem(wrong.code, `${pointer}/${wrong.field}`, wrong.message, wrong.hint));
  for (const [key, wire] of [
    ['farWire', finding.farWire],
    ['insertWire', finding.insertWire],
  ] as const) {
    if (wire) problems.push(...checkWire(wire, `${pointer}/${key}`, key === 'farWire' ? 'The far wire' : 'The insert'));
  }
  branchesOf(finding).forEach((wire, index) =>
    problems.push(...checkWire(wire, `${pointer}/branchWires/${index}`, 'The added wire')),
  );
  return problems;
}

function checkSort(finding: Finding, pointer: string): JobProblem[] {
  const { sorts, words } = damageOf(finding.kind);
  if (finding.sort === undefined || sorts?.[finding.sort] !== undefined) return [];
  return [
    problem(
      'NO_SUCH_SORT',
      `${pointer}/sort`,
      `"${finding.sort}" is not a sort of ${words}.`,
      sorts ? `Sorts are ${Object.keys(sorts).join(', ')}.` : 'Leave it out.',
    ),
  ];
}

/** Findings that are cut out and overlap on the same wire: they are one loss. */
export function checkOverlap(
  finding: Finding,
  others: readonly Finding[],
  harness: Harness,
  pointer: string,
): JobProblem[] {
  const promised = promisedTwice(finding, others, harness, pointer);
  if (isAtCavity(finding)) return [...promised, ...sameAgain(finding, others, pointer)];
  if (promised.length > 0) return promised;
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

/** Earlier repairs on a wire or a run that is not there, or beyond its end. */
function checkEarlier({ harness, earlier = [], earlierEnds = [] }: Job): JobProblem[] {
  const ends = earlierEnds.flatMap(({ id, circuitId, nodeId }, index) =>
    harness.circuits.some((one) => one.id === circuitId) && harness.nodes.some((one) => one.id === nodeId)
      ? []
      : [
          problem(
            'EARLIER_ELSEWHERE',
            `/earlierEnds/${index}`,
            `The earlier work "${id}" is on a circuit or at a connector that this harness does not have.`,
            'Correct its place, or leave it out.',
          ),
        ],
  );
  const repairs = earlier.flatMap((one, index): JobProblem[] => {
    const run = harness.runs.find((other) => other.id === one.runId);
    const circuit = harness.circuits.find((other) => other.id === one.circuitId);
    const wrong =
      !run || !circuit?.runIds.includes(run.id)
        ? `The earlier repair "${one.id}" is on a circuit or a run that this harness does not have.`
        : one.toMm < one.fromMm || one.fromMm < 0 || one.toMm > farthestOn(run)
          ? `The earlier repair "${one.id}" at ${figure(one.fromMm)}–${figure(one.toMm)} mm does not lie on ${run.name}, which is ${figure(run.lengthMm)} mm long.`
          : undefined;
    return wrong === undefined
      ? []
      : [problem('EARLIER_ELSEWHERE', `/earlier/${index}`, wrong, 'Correct its place, or leave it out.')];
  });
  return [...repairs, ...ends];
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
  // Of what is too large nothing else is looked at: it could take as long as planning it.
  const tooMany = checkLimits(job);
  if (tooMany.length > 0) return tooMany;
  return [
    ...twiceById(job.harness.nodes, '/harness/nodes', 'Node'),
    ...twiceById(job.harness.runs, '/harness/runs', 'Run'),
    ...twiceById(job.findings, '/findings', 'Finding'),
    ...checkRuns(job),
    ...checkCables(job),
    ...checkConnectors(job.harness),
    ...checkBelongings(job),
    ...checkPins(job),
    ...checkEarlier(job),
    ...job.harness.circuits.flatMap((circuit, index) => checkCircuit(circuit, job, `/harness/circuits/${index}`)),
    ...job.findings.flatMap((finding, index) => [
      ...checkFinding(finding, job, `/findings/${index}`),
      ...checkOverlap(finding, job.findings.slice(0, index), job.harness, `/findings/${index}`),
    ]),
  ];
}
