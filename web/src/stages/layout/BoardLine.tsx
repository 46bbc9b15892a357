import { memo, useMemo } from 'react';
import type { EarlierRepair, Finding } from '@mendum/core/damage';
import type { FindingPlan } from '@mendum/core/plan';
import { RowNames } from '../../draw/RowNames.tsx';
import { thickOf, type Row } from '../../draw/rows.ts';
import { RunRow } from '../../draw/RunRow.tsx';
import type { RunScale } from '../../draw/useRunScale.ts';

/** Nothing of a kind, always the same list, so that what is drawn from it is not drawn anew. */
export const NONE: readonly never[] = [];

interface LineProps {
  readonly row: Row;
  readonly y: number;
  readonly scale: RunScale;
  readonly endMm: number;
  readonly findings: readonly Finding[];
  readonly plans: readonly FindingPlan[];
  readonly selectedId: string | undefined;
  readonly clip: string;
  readonly earlier: readonly EarlierRepair[];
}

const sameList = <T,>(a: readonly T[], b: readonly T[]): boolean =>
  a === b || (a.length === b.length && a.every((one, index) => one === b[index]));

/** One line: it is drawn anew only when its own splices move. */
export const Line = memo(
  function Line({ row, y, scale, endMm, findings, plans, selectedId, clip, earlier }: LineProps) {
    return (
      <g>
        <RowNames row={row} y={y} plot={scale.plot} narrow={scale.narrow} />
        <g clipPath={`url(#${clip})`}>
          <RunRow
            row={row}
            y={y}
            x={scale.x}
            endMm={endMm}
            thick={thickOf(row)}
            findings={findings}
            plans={plans}
            selectedId={selectedId}
            earlier={earlier}
          />
        </g>
      </g>
    );
  },
  (a, b) =>
    sameList(a.plans, b.plans) &&
    sameList(a.findings, b.findings) &&
    sameList(a.earlier, b.earlier) &&
    a.row === b.row &&
    a.y === b.y &&
    a.scale === b.scale &&
    a.endMm === b.endMm &&
    a.selectedId === b.selectedId &&
    a.clip === b.clip,
);

export function useByCircuit<T extends { readonly circuitId: string }>(
  all: readonly T[],
): (circuitId: string) => readonly T[] {
  return useMemo(() => {
    const groups = new Map<string, T[]>();
    for (const one of all) groups.set(one.circuitId, [...(groups.get(one.circuitId) ?? []), one]);
    return (circuitId) => groups.get(circuitId) ?? NONE;
  }, [all]);
}
