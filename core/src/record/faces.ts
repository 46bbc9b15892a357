import { movedApart, seenCavities, viewInWords, type FaceView } from '../connector/index.ts';
import { isAtCavity, isOfWholeConnector, type Finding } from '../damage/index.ts';
import type { HarnessNode } from '../harness/index.ts';
import type { Job } from '../job/index.ts';
import type { DrawnFace } from './drawnTypes.ts';
import type { Shape } from './runShapes.ts';
import type { SpliceRecord } from './types.ts';

/** As a hand holds it that works on its wires. */
const VIEW: FaceView = { side: 'wire', latch: 'up' };

/** The cavities of a connector at which something was found or done, and whether all its wires are moved. */
function touchedIn(
  node: HarnessNode,
  findings: readonly Finding[],
  records: readonly SpliceRecord[],
): { readonly whole: boolean; readonly own: ReadonlySet<string> } {
  const found = findings.flatMap((one) => (isAtCavity(one) && one.at.nodeId === node.id ? [one] : []));
  const done = records.flatMap(({ atEnd }) => (atEnd?.nodeId === node.id ? [atEnd.cavity] : []));
  return { whole: found.some(isOfWholeConnector), own: new Set([...found.map(({ at }) => at.cavity), ...done]) };
}

/**
 * The faces of connectors that a job works at, each cavity with its circuit; those whose face is known. Where something
 * was found and left, nothing is worked at.
 * @param worked findings of which something is made
 */
export function touchedFaces(
  job: Pick<Job, 'findings' | 'harness'>,
  records: readonly SpliceRecord[],
  worked: ReadonlySet<string>,
): readonly DrawnFace[] {
  const findings = job.findings.filter(({ id }) => worked.has(id));
  return job.harness.nodes.flatMap((node): DrawnFace[] => {
    const { whole, own } = touchedIn(node, findings, records);
    if (!node.face || own.size === 0) return [];
    const circuitIn = (cavity: string): string | undefined =>
      job.harness.circuits.find(({ from, to }) =>
        [from, to].some((end) => end.nodeId === node.id && end.cavity === cavity),
      )?.number;
    return [
      {
        name: node.name,
        view: viewInWords(VIEW),
        cavities: seenCavities(node.face, VIEW).map((seen) => {
          const circuit = circuitIn(seen.cavity);
          return { ...seen, circuit, touched: own.has(seen.cavity) || (whole && circuit !== undefined) };
        }),
      },
    ];
  });
}

/** Points from cavity to cavity, from its middle to its edge, and round all of them. */
const STEP = 30;
const HALF = 13;
const MARGIN = 14;
const LATCH = { wide: 40, high: 8 };

/** A face, and how large it is drawn: its latch, and of each cavity its name and its circuit. */
export function faceShapes(face: DrawnFace): {
  readonly wide: number;
  readonly high: number;
  readonly shapes: readonly Shape[];
} {
  const cavities = movedApart(face.cavities);
  const [xs, ys] = [cavities.map(({ x }) => x), cavities.map(({ y }) => y)];
  const [left, top] = [Math.min(...xs), Math.min(...ys)];
  const [across, down] = [Math.max(...xs) - left, Math.max(...ys) - top];
  const wide = across * STEP + 2 * (HALF + MARGIN);
  const high = down * STEP + 2 * (HALF + MARGIN);
  const housing: Shape[] = [
    { kind: 'box', x: (wide - LATCH.wide) / 2, y: 0, ...LATCH, round: 1, look: 'plain' },
    { kind: 'words', x: wide / 2, y: 6.5, text: 'latch', anchor: 'middle', size: 6, look: 'soft' },
    { kind: 'box', x: 4, y: LATCH.high, wide: wide - 8, high: high - LATCH.high - 4, round: 4, look: 'plain' },
  ];
  const each = cavities.flatMap(({ cavity, x, y, circuit, touched }): Shape[] => {
    const [atX, atY] = [MARGIN + HALF + (x - left) * STEP, MARGIN + HALF + (y - top) * STEP];
    return [
      {
        kind: 'box',
        x: atX - HALF,
        y: atY - HALF,
        wide: 2 * HALF,
        high: 2 * HALF,
        round: 2,
        look: touched ? 'touched' : 'plain',
      },
      { kind: 'words', x: atX, y: atY - 3, text: cavity, anchor: 'middle', size: 7, look: 'soft' },
      { kind: 'words', x: atX, y: atY + 8, text: circuit ?? '–', anchor: 'middle', size: 9, look: 'ink' },
    ];
  });
  return { wide, high, shapes: [...housing, ...each] };
}
