import { someOf } from '../units/index.ts';
import { cavitiesOf } from '../connector/index.ts';
import { endOfCircuit, damageOf, isAtCavity, type CavityFinding, type Finding } from '../damage/index.ts';
import type { Cavity, Harness, NodeKind } from '../harness/index.ts';
import type { JobProblem } from './problem.ts';
import type { Job } from './types.ts';
import { problem } from './checkHarness.ts';

/** A finding at a cavity that its circuit is not in, or that lies at another end of the run. */
export function checkCavity(finding: Finding, { harness }: Pick<Job, 'harness'>, pointer: string): JobProblem[] {
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

/** A cavity that a finding calls free, and the field that names it. */
type FreeCavity = Cavity & { readonly field: 'freeCavity' | 'otherCavity' | 'otherEnd' };

/**
 * The cavity that a finding calls free: for a wire to be added or its other end, or for a wire whose own cavity holds it
 * no more.
 */
function freeCavityOf(finding: Finding): FreeCavity | undefined {
  if ('otherCavity' in finding && finding.otherCavity !== undefined)
    return { nodeId: finding.at.nodeId, cavity: finding.otherCavity, field: 'otherCavity' };
  if ('freeCavity' in finding && finding.freeCavity) return { ...finding.freeCavity, field: 'freeCavity' };
  if ('otherEnd' in finding && finding.otherEnd) return { ...finding.otherEnd, field: 'otherEnd' };
  return undefined;
}

/** Where the name of the cavity stands in its field. */
const pathIn = (field: FreeCavity['field']): string => (field === 'otherCavity' ? field : `${field}/cavity`);

/** A free cavity that is none: not of this harness, not of the connector, or some circuit's already. */
export function checkFreeCavity(finding: Finding, { harness }: Pick<Job, 'harness'>, pointer: string): JobProblem[] {
  const named = freeCavityOf(finding);
  if (!named) return [];
  const { nodeId, cavity, field } = named;
  // At a stud several wires may end; a cavity takes one.
  const kinds: readonly NodeKind[] = field === 'otherEnd' ? ['connector', 'end'] : ['connector'];
  const may = harness.nodes.filter(({ kind }) => kinds.includes(kind));
  const node = may.find((one) => one.id === nodeId);
  if (!node)
    return [
      problem(
        'UNKNOWN_NODE',
        `${pointer}/${field}/nodeId`,
        `"${nodeId}" is not a connector${kinds.length > 1 ? ' or end' : ''} of the harness.`,
        `${kinds.length > 1 ? 'Connectors and ends' : 'Connectors'} are: ${someOf(may.map((one) => one.id))}.`,
      ),
    ];
  if (node.kind === 'end') return [];
  if (node.face && !cavitiesOf(node.face).some((one) => one.cavity === cavity))
    return [
      problem(
        'UNKNOWN_CAVITY',
        `${pointer}/${pathIn(field)}`,
        `${node.name} has no cavity ${cavity}.`,
        `Cavities are: ${someOf(cavitiesOf(node.face).map((one) => one.cavity))}.`,
      ),
    ];
  const owner = harness.circuits.find((circuit) =>
    [circuit.from, circuit.to].some((end) => end.nodeId === nodeId && end.cavity === cavity),
  );
  return owner
    ? [
        problem(
          'CAVITY_TAKEN',
          `${pointer}/${pathIn(field)}`,
          `Cavity ${cavity} of ${node.name} is not free: circuit ${owner.number} is in it.`,
          field === 'otherCavity'
            ? 'Name an empty one, or leave it out.'
            : 'Name an empty one, or join the wire along the run.',
        ),
      ]
    : [];
}

/** A free cavity that another finding has been promised already: one wire goes into a cavity. */
export function promisedTwice(
  finding: Finding,
  others: readonly Finding[],
  { nodes }: Pick<Harness, 'nodes'>,
  pointer: string,
): JobProblem[] {
  const named = freeCavityOf(finding);
  // A stud takes several.
  const wanted = nodes.find(({ id }) => id === named?.nodeId)?.kind === 'end' ? undefined : named;
  const rival = others.find((one) => {
    const other = one.id === finding.id ? undefined : freeCavityOf(one);
    return wanted !== undefined && other?.nodeId === wanted.nodeId && other.cavity === wanted.cavity;
  });
  return wanted && rival
    ? [
        problem(
          'CAVITY_TAKEN',
          `${pointer}/${wanted.field}`,
          `Cavity ${wanted.cavity} is to take another wire already: the finding at ${rival.fromMm} mm names it too.`,
          'One wire goes into a cavity: name another empty one.',
        ),
      ]
    : [];
}

/** The same thing found twice on one circuit at one cavity; under one stud several circuits end, each with its own. */
export function sameAgain(finding: CavityFinding, others: readonly Finding[], pointer: string): JobProblem[] {
  const twin = others.some(
    (one) =>
      one.id !== finding.id &&
      one.kind === finding.kind &&
      isAtCavity(one) &&
      one.circuitId === finding.circuitId &&
      one.at.nodeId === finding.at.nodeId &&
      one.at.cavity === finding.at.cavity,
  );
  return twin
    ? [
        problem(
          'FOUND_TWICE',
          `${pointer}/kind`,
          `"${damageOf(finding.kind).words}" is noted for cavity ${finding.at.cavity} already.`,
          'Change the one that is there.',
        ),
      ]
    : [];
}
