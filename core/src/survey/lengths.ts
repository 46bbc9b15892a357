import { LONGEST_MM, runGrown, stretchGrown, type Growth } from '../harness/index.ts';
import { figure } from '../units/index.ts';
import { inOrder, measured, nodeOf, on, runOf, runsAt } from './state.ts';
import { together } from './stretches.ts';
import { EditRefused, type Surveyed } from './types.ts';

const keptOpen = (state: Surveyed, runId: string): Surveyed => ({
  ...state,
  harness: {
    ...state.harness,
    runs: state.harness.runs.map((one) => (one.id === runId ? { ...one, atLeast: true } : one)),
  },
});

/** Gives a run the length that somebody has measured, from its start. @throws EditRefused when something on it would lie outside */
export function setLength(state: Surveyed, runId: string, lengthMm: number): Surveyed {
  const run = runOf(state, runId);
  if (!(lengthMm >= 1 && lengthMm <= LONGEST_MM))
    throw new EditRefused(`${run.name} cannot be ${figure(lengthMm)} mm long.`, 'Lengths run from 1 mm to 1 km.');
  const far = [
    ...run.features.map((feature) => ({ what: feature.name, atMm: feature.toMm })),
    ...on(state, run).findings.map((finding) => ({ what: 'a finding', atMm: finding.toMm + finding.cutBackRightMm })),
  ].find((one) => one.atMm > lengthMm);
  if (far)
    throw new EditRefused(
      `${run.name} cannot be ${figure(lengthMm)} mm long: ${far.what} on it reaches to ${figure(far.atMm)} mm.`,
      'Correct that first.',
    );
  return {
    ...state,
    harness: {
      ...state.harness,
      runs: state.harness.runs.map((one) => (one.id === runId ? measured(one, lengthMm) : one)),
    },
  };
}

/**
 * Makes a run longer where wires were made longer: all beyond each place moves along. @throws EditRefused beyond the
 * longest length
 */
export function growRun(state: Surveyed, runId: string, growths: readonly Growth[]): Surveyed {
  const run = runOf(state, runId);
  const longer = runGrown(run, growths);
  if (longer.lengthMm > LONGEST_MM)
    throw new EditRefused(
      `${run.name} cannot be ${figure(longer.lengthMm)} mm long.`,
      'Lengths run from 1 mm to 1 km.',
    );
  return {
    harness: { ...state.harness, runs: state.harness.runs.map((one) => (one.id === runId ? longer : one)) },
    findings: state.findings.map((finding) => (finding.runId === runId ? stretchGrown(finding, growths) : finding)),
  };
}

/**
 * Grows the last run at an end by `byMm`: what is known of it keeps its place on the wire, so all of it is counted from
 * farther off where its run starts there. @throws EditRefused between runs, and beyond the longest length
 */
export function extendEnd(state: Surveyed, nodeId: string, byMm: number): Surveyed {
  const { name } = nodeOf(state, nodeId);
  const [run, ...more] = runsAt(state, nodeId);
  if (!run || more.length > 0)
    throw new EditRefused(
      `${name} is no end: ${more.length + 1} runs meet there.`,
      'Go on from where the last run ends.',
    );
  const longer = setLength(state, run.id, run.lengthMm + byMm);
  // What nobody has measured all of is not measured by what it grows by.
  const grown = run.atLeast ? keptOpen(longer, run.id) : longer;
  if (run.toNodeId === nodeId) return grown;
  const moved = together({ features: [], findings: [] }, on(state, run), byMm, run.id);
  return {
    harness: {
      ...grown.harness,
      runs: grown.harness.runs.map((one) => (one.id === run.id ? { ...one, features: moved.features } : one)),
    },
    findings: inOrder(state, moved.findings),
  };
}
