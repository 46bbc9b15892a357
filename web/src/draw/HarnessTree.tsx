import { figure, type Finding, type Harness, type HarnessNode } from '@mendum/core';
import { useWidth } from './useWidth.ts';

interface Placed {
  readonly runId: string;
  readonly name: string;
  readonly lengthMm: number;
  readonly fromMm: number;
  readonly toMm: number;
  readonly fromRow: number;
  readonly row: number;
  readonly end: HarnessNode | undefined;
}

/** Every run placed by distance from the harness's first node, each branch on a row of its own; runs of a loop are drawn once. */
export function placeRuns(harness: Harness): Placed[] {
  const nodes = new Map(harness.nodes.map((node) => [node.id, node]));
  const done = new Set<string>();
  const placed: Placed[] = [];
  let rows = 0;
  const walk = (nodeId: string, atMm: number, row: number): void => {
    const leaving = harness.runs.filter((run) => !done.has(run.id) && (run.fromNodeId === nodeId || run.toNodeId === nodeId));
    leaving.forEach((run, index) => {
      if (done.has(run.id)) return;
      done.add(run.id);
      const far = run.fromNodeId === nodeId ? run.toNodeId : run.fromNodeId;
      const own = index === 0 ? row : (rows += 1);
      placed.push({ runId: run.id, name: run.name, lengthMm: run.lengthMm, fromMm: atMm, toMm: atMm + run.lengthMm, fromRow: row, row: own, end: nodes.get(far) });
      walk(far, atMm + run.lengthMm, own);
    });
  };
  for (const run of harness.runs) {
    if (done.has(run.id)) continue;
    if (placed.length > 0) rows += 1;
    walk(run.fromNodeId, 0, rows);
  }
  return placed;
}

const ROW = 46;

/** The harness as a small tree to scale, with distances and how much was found on each run. Picking a run shows it. */
export function HarnessTree({ harness, findings, runId, onPick }: { readonly harness: Harness; readonly findings: readonly Finding[]; readonly runId: string; readonly onPick: (runId: string) => void }) {
  const [box, width] = useWidth<HTMLDivElement>(600);
  const placed = placeRuns(harness);
  const whole = Math.max(1, ...placed.map((one) => one.toMm));
  const first = harness.nodes.find((node) => node.id === harness.runs[0]?.fromNodeId);
  const x = (mm: number): number => 60 + (mm / whole) * (width - 170);
  const y = (row: number): number => 24 + row * ROW;
  const high = y(Math.max(0, ...placed.map((one) => one.row))) + 28;
  return (
    <div ref={box} className="w-full min-w-0 overflow-hidden">
      <svg width={width} height={high} className="block" role="group" aria-label={`${harness.name}: pick a run`}>
        <text x={0} y={y(0) + 5} fontSize={16} fontWeight={600} fill="var(--ink)">{first?.name}</text>
        {placed.map((one) => {
          const here = findings.filter((finding) => finding.runId === one.runId).length;
          const picked = one.runId === runId;
          const path = `M${x(one.fromMm)} ${y(one.fromRow)}V${y(one.row)}H${x(one.toMm)}`;
          return (
            <g key={one.runId} role="button" tabIndex={0} aria-pressed={picked} aria-label={`${one.name}, ${figure(one.lengthMm, 0)} mm, ${here} findings`} className="cursor-pointer" onClick={() => onPick(one.runId)}
              onKeyDown={(event) => { if (event.key === 'Enter' || event.key === ' ') { event.preventDefault(); onPick(one.runId); } }}>
              <path d={path} fill="none" stroke="transparent" strokeWidth={44} />
              <path d={path} fill="none" stroke={picked ? 'var(--copper)' : 'var(--ink)'} strokeWidth={picked ? 6 : 3} />
              <text x={(x(one.fromMm) + x(one.toMm)) / 2} y={y(one.row) - 9} textAnchor="middle" fontSize={14} fill={picked ? 'var(--ink)' : 'var(--soft)'} fontWeight={picked ? 600 : 400}>
                {x(one.toMm) - x(one.fromMm) > 150 ? `${one.name}, ` : ''}<tspan className="figure">{figure(one.lengthMm, 0)}</tspan> mm{here > 0 ? ` · ${here} found` : ''}
              </text>
              <circle cx={x(one.toMm)} cy={y(one.row)} r={6} fill="var(--sheet)" stroke="var(--ink)" strokeWidth={2} />
              <text x={x(one.toMm) + 12} y={y(one.row) + 5} fontSize={15} fill="var(--ink)">{one.end?.kind === 'branch' ? '' : one.end?.name}</text>
            </g>
          );
        })}
        <rect x={x(0) - 7} y={y(0) - 9} width={14} height={18} rx={2} fill="var(--sheet)" stroke="var(--ink)" strokeWidth={2} />
      </svg>
    </div>
  );
}
