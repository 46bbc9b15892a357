import { useRef, useState, type PointerEvent } from 'react';
import clsx from 'clsx';
import { NOT_MEASURED_MM, runLengthInWords, type Harness, type HarnessNode, type NodeKind } from '@mendum/core/harness';
import { goesOnAt, treeScale, type PlacedRun } from '../../draw/tree.ts';
import { Drawing } from '../../draw/Drawing.tsx';
import { useRoom } from '../../draw/useRoom.ts';
import { useLength } from '../../ui/units.tsx';

/** What is picked in the tree. */
export type Picked =
  | { readonly kind: 'run'; readonly id: string; readonly atMm?: number | undefined }
  | { readonly kind: 'node'; readonly id: string };

interface TreeEditorProps {
  readonly harness: Harness;
  readonly picked: Picked | undefined;
  readonly onPick: (picked: Picked) => void;
  readonly onMove: (nodeId: string, byMm: number) => void;
}

const R = 11;

/** A small drawing of what a node is. */
function NodeMark({
  kind,
  x,
  y,
  picked,
}: {
  readonly kind: NodeKind;
  readonly x: number;
  readonly y: number;
  readonly picked: boolean;
}) {
  const line = {
    fill: picked ? 'var(--wash)' : 'var(--sheet)',
    stroke: picked ? 'var(--copper)' : 'var(--ink)',
    strokeWidth: picked ? 3.5 : 2,
  };
  switch (kind) {
    case 'connector':
      return (
        <g>
          <rect x={x - R} y={y - R - 2} width={2 * R} height={2 * R + 4} rx={3} {...line} />
          <path d={`M${x - 4} ${y - 6}v12M${x + 4} ${y - 6}v12`} stroke={line.stroke} strokeWidth={2} />
        </g>
      );
    case 'branch':
      return <path d={`M${x - R} ${y}L${x} ${y - R}L${x + R} ${y}L${x} ${y + R}Z`} {...line} />;
    case 'grommet':
      return (
        <g>
          <circle cx={x} cy={y} r={R} {...line} />
          <circle cx={x} cy={y} r={R - 5} {...line} strokeWidth={1.5} />
        </g>
      );
    case 'clip':
      return <path d={`M${x - R} ${y + R}V${y - 4}a${R} ${R} 0 0 1 ${2 * R} 0V${y + R}`} {...line} />;
    case 'splice':
      return <rect x={x - R - 4} y={y - 7} width={2 * R + 8} height={14} rx={7} {...line} />;
    case 'end':
      return <circle cx={x} cy={y} r={7} {...line} />;
  }
}

/** Where a node's name stands: before the first one, behind an end, below and before everything between. */
function labelAt(
  kind: NodeKind,
  isFirst: boolean,
  goesOn: boolean,
  x: number,
  y: number,
): { readonly x: number; readonly y: number; readonly textAnchor: 'start' | 'middle' | 'end' } {
  if (isFirst) return { x: x - 18, y: y + 6, textAnchor: 'end' };
  return !goesOn && (kind === 'connector' || kind === 'end')
    ? { x: x + 18, y: y + 6, textAnchor: 'start' }
    : { x: x - 8, y: y + 30, textAnchor: 'end' };
}

/** Where features lie on a run: clips and grommets as marks, bends as a wavy stretch. */
function Features({ one, x, y }: { readonly one: PlacedRun; readonly x: (mm: number) => number; readonly y: number }) {
  const at = (mm: number): number => x(one.forward ? one.fromMm + mm : one.toMm - mm);
  return (
    <g aria-hidden>
      {one.run.features.map((feature) => {
        const [from, to] = [at(feature.fromMm), at(feature.toMm)].sort((a, b) => a - b) as [number, number];
        return feature.kind === 'flex' ? (
          <rect
            key={`${feature.name} ${from}`}
            x={from}
            y={y - 7}
            width={Math.max(2, to - from)}
            height={14}
            fill="none"
            stroke="var(--rework)"
            strokeWidth={2}
            strokeDasharray="4 3"
          />
        ) : (
          <path
            key={`${feature.name} ${from}`}
            d={`M${(from + to) / 2} ${y - 9}v18`}
            stroke="var(--soft)"
            strokeWidth={4}
          />
        );
      })}
    </g>
  );
}

/** The harness as a tree to scale. Tap a run or a node to change it; drag a node along its line to move it. */
export function TreeEditor({ harness, picked, onPick, onMove }: TreeEditorProps) {
  const [box, room] = useRoom<HTMLDivElement>(900);
  const length = useLength();
  const svg = useRef<SVGSVGElement>(null);
  const [drag, setDrag] = useState<{
    readonly nodeId: string;
    readonly startX: number;
    readonly byMm: number;
    readonly moved: boolean;
  }>();
  const { placed, first, x, y, pxPerMm, high } = treeScale(harness, room.width, 74);
  const isPicked = (kind: Picked['kind'], id: string): boolean => picked?.kind === kind && picked.id === id;
  const mmAt = (one: PlacedRun, clientX: number): number => {
    const left = svg.current?.getBoundingClientRect().left ?? 0;
    const along = ((clientX - left) / room.grown - x(one.fromMm)) / pxPerMm;
    return Math.round(Math.min(one.run.lengthMm - 1, Math.max(1, one.forward ? along : one.run.lengthMm - along)));
  };
  const grab = (node: HarnessNode) => ({
    onPointerDown: (event: PointerEvent) => {
      event.currentTarget.setPointerCapture(event.pointerId);
      setDrag({ nodeId: node.id, startX: event.clientX, byMm: 0, moved: false });
    },
    onPointerMove: (event: PointerEvent) => {
      if (drag?.nodeId === node.id)
        setDrag({
          ...drag,
          byMm: Math.round((event.clientX - drag.startX) / room.grown / pxPerMm),
          moved: drag.moved || Math.abs(event.clientX - drag.startX) > 6,
        });
    },
    onPointerUp: () => {
      if (drag?.moved && drag.byMm !== 0) onMove(node.id, drag.byMm);
      else onPick({ kind: 'node', id: node.id });
      setDrag(undefined);
    },
    onPointerCancel: () => setDrag(undefined),
    onKeyDown: (event: { key: string; shiftKey: boolean; preventDefault: () => void }) => {
      const step = event.key === 'ArrowLeft' ? -1 : event.key === 'ArrowRight' ? 1 : 0;
      if (step !== 0) {
        event.preventDefault();
        onMove(node.id, step * (event.shiftKey ? 10 : 1));
      }
      if (event.key === 'Enter' || event.key === ' ') {
        event.preventDefault();
        onPick({ kind: 'node', id: node.id });
      }
    },
  });
  const nodes = [
    ...(first ? [{ node: first, mm: 0, row: 0, isFirst: true }] : []),
    ...placed.flatMap((one) => (one.end ? [{ node: one.end, mm: one.toMm, row: one.row, isFirst: false }] : [])),
  ];
  return (
    <div ref={box} className="w-full min-w-0 overflow-hidden">
      <Drawing
        ref={svg}
        room={room}
        high={high}
        className="tree block touch-pan-y select-none"
        role="group"
        aria-label={`${harness.name} to scale`}
      >
        {placed.map((one) => {
          const { run } = one;
          const on = isPicked('run', run.id);
          const path = `M${x(one.fromMm)} ${y(one.fromRow)}V${y(one.row)}H${x(one.toMm)}`;
          const wide = x(one.toMm) - x(one.fromMm);
          return (
            <g
              key={run.id}
              role="button"
              tabIndex={0}
              aria-pressed={on}
              aria-label={`Run ${run.name}, ${runLengthInWords(run)}`}
              className="cursor-pointer"
              onClick={(event) => onPick({ kind: 'run', id: run.id, atMm: mmAt(one, event.clientX) })}
              onKeyDown={(event) => {
                if (event.key === 'Enter' || event.key === ' ') {
                  event.preventDefault();
                  onPick({ kind: 'run', id: run.id });
                }
              }}
            >
              <path d={path} fill="none" stroke="transparent" strokeWidth={44} />
              <path
                d={path}
                fill="none"
                stroke={on ? 'var(--copper)' : 'var(--ink)'}
                strokeWidth={on ? 7 : 4}
                strokeDasharray={run.atLeast ? '12 8' : undefined}
              />
              <Features one={one} x={x} y={y(one.row)} />
              <text
                x={(x(one.fromMm) + x(one.toMm)) / 2}
                y={y(one.row) - 17}
                textAnchor="middle"
                fontSize={16}
                fill="var(--ink)"
                fontWeight={on ? 600 : 400}
              >
                {wide > 72 + run.name.length * 7.5 ? `${run.name} ` : ''}
                {run.atLeast && run.lengthMm <= NOT_MEASURED_MM ? (
                  'not measured'
                ) : (
                  <>
                    {run.atLeast ? 'at least ' : ''}
                    <tspan className="figure">{length.plain(run.lengthMm, 0)}</tspan>
                    {wide > 64 ? <tspan fill="var(--soft)"> {length.unit}</tspan> : null}
                  </>
                )}
              </text>
            </g>
          );
        })}
        {nodes.map(({ node, mm, row, isFirst }) => {
          const by = drag?.nodeId === node.id ? drag.byMm : 0;
          const at = x(mm + by);
          return (
            <g
              key={node.id}
              role="button"
              tabIndex={0}
              aria-pressed={isPicked('node', node.id)}
              aria-label={`${node.kind} ${node.name}${isFirst ? '' : ', drag or use the arrow keys to move it'}`}
              className={clsx(isFirst ? 'cursor-pointer' : 'cursor-ew-resize', 'touch-none')}
              {...grab(node)}
            >
              <rect x={at - 24} y={y(row) - 24} width={48} height={48} fill="transparent" />
              <NodeMark kind={node.kind} x={at} y={y(row)} picked={isPicked('node', node.id)} />
              <text
                {...labelAt(node.kind, isFirst, goesOnAt(harness.runs, node.id), at, y(row))}
                fontSize={17}
                fontWeight={600}
                fill="var(--ink)"
              >
                {node.name}
              </text>
              {by === 0 ? null : (
                <text x={at} y={y(row) + 30} textAnchor="middle" fontSize={16} className="figure" fill="var(--copper)">
                  {by > 0 ? '+' : ''}
                  {length.plain(by, 0)} {length.unit}
                </text>
              )}
            </g>
          );
        })}
      </Drawing>
    </div>
  );
}
