import type { Harness, HarnessNode, Run } from '@mendum/core/harness';

/** A run where it is drawn: mm from the first node, and the rows of its ends. */
export interface PlacedRun {
  readonly run: Run;
  readonly fromMm: number;
  readonly toMm: number;
  readonly fromRow: number;
  readonly row: number;
  readonly end: HarnessNode | undefined;
  /** Whether the run is drawn from its own start to its own end. */
  readonly forward: boolean;
}

/** More than one run meets at a node: it is no end of the drawing. */
export const goesOnAt = (runs: readonly Run[], nodeId: string): boolean =>
  runs.filter(({ fromNodeId, toNodeId }) => fromNodeId === nodeId || toNodeId === nodeId).length > 1;

/** A run that nobody has measured is drawn as long as this share of all that is measured, and dashed. */
const OPEN_SHARE = 0.15;

/**
 * Every run placed by distance from the harness's first node, each branch on a row of its own; runs of a loop are drawn
 * once.
 */
export function placeRuns(harness: Pick<Harness, 'nodes' | 'runs'>): PlacedRun[] {
  const nodes = new Map(harness.nodes.map((node) => [node.id, node]));
  const done = new Set<string>();
  const placed: PlacedRun[] = [];
  let rows = 0;
  const known = harness.runs.reduce((sum, { lengthMm }) => sum + lengthMm, 0);
  const drawnMm = ({ lengthMm, atLeast }: Run): number =>
    atLeast === true ? Math.max(lengthMm, OPEN_SHARE * known) : lengthMm;
  const walk = (nodeId: string, atMm: number, row: number): void => {
    const leaving = harness.runs.filter(
      (run) => !done.has(run.id) && (run.fromNodeId === nodeId || run.toNodeId === nodeId),
    );
    leaving.forEach((run, index) => {
      if (done.has(run.id)) return;
      done.add(run.id);
      const forward = run.fromNodeId === nodeId;
      const far = forward ? run.toNodeId : run.fromNodeId;
      const own = index === 0 ? row : (rows += 1);
      placed.push({
        run,
        fromMm: atMm,
        toMm: atMm + drawnMm(run),
        fromRow: row,
        row: own,
        end: nodes.get(far),
        forward,
      });
      walk(far, atMm + drawnMm(run), own);
    });
  };
  for (const run of harness.runs) {
    if (done.has(run.id)) continue;
    if (placed.length > 0) rows += 1;
    walk(run.fromNodeId, 0, rows);
  }
  return placed;
}

/** Where everything stands in a drawing of a width, px. */
export interface TreeScale {
  readonly placed: readonly PlacedRun[];
  readonly first: HarnessNode | undefined;
  readonly x: (mm: number) => number;
  readonly y: (row: number) => number;
  readonly pxPerMm: number;
  readonly high: number;
}

/** The tree to scale; `rowPx` is the height of a branch's row. */
export function treeScale(harness: Pick<Harness, 'nodes' | 'runs'>, width: number, rowPx: number): TreeScale {
  const placed = placeRuns(harness);
  const whole = Math.max(1, ...placed.map((one) => one.toMm));
  const pxPerMm = (width - 190) / whole;
  const y = (row: number): number => 34 + row * rowPx;
  return {
    placed,
    first: harness.nodes.find((node) => node.id === harness.runs[0]?.fromNodeId),
    x: (mm) => 72 + mm * pxPerMm,
    y,
    pxPerMm,
    high: y(Math.max(0, ...placed.map((one) => one.row))) + 34,
  };
}
