import { memo, useEffect, useMemo, useRef } from 'react';
import clsx from 'clsx';
import { PinOff } from 'lucide-react';
import type { Circuit, Run } from '@mendum/core/harness';
import { byFirstCut, cutsOn, type FindingPlan } from '@mendum/core/plan';
import { Figure, useLength } from '../../ui/units.tsx';
import { useOpenJob } from '../job.ts';
import type { LiveBoard } from './useBoard.ts';
import { Scroller } from '../../ui/scroller.tsx';

interface CutRowProps {
  readonly finding: FindingPlan;
  readonly circuit: Circuit;
  readonly selected: boolean;
  readonly isFixed: boolean;
  readonly atOne: boolean;
  /** The end of the run past which its insert goes on. */
  readonly past: string | undefined;
  readonly acts: CutActs;
}

interface CutActs {
  readonly select: (findingId: string) => void;
  readonly unpin: (findingId: string) => void;
  readonly keepAtOne: (findingId: string, keep: boolean) => void;
}

const CutRow = memo(function CutRow({ finding, circuit, selected, isFixed, atOne, past, acts }: CutRowProps) {
  const { plain } = useLength();
  const cutsMm = cutsOn(finding);
  const cuts = cutsMm.length === 0 ? '—' : [...new Set(cutsMm.map((mm) => plain(mm)))].join(' · ');
  const places = finding.cover
    ? plain(finding.cover.atMm, 0)
    : finding.splices.map((splice) => plain(splice.centreMm)).join(' · ');
  const pinned = finding.splices.some((splice) => splice.pinned);
  return (
    <tr
      onClick={() => acts.select(finding.findingId)}
      className={clsx('h-11 cursor-pointer border-b border-rule', selected && 'bg-wash')}
    >
      <td className="pr-3">
        <button
          type="button"
          className="min-h-11 text-left font-semibold"
          onClick={() => acts.select(finding.findingId)}
        >
          <span className="figure">{circuit.number}</span> {circuit.function}
        </button>
      </td>
      <td className="pr-3">
        <Figure value={cuts} />
      </td>
      <td className="pr-3">
        <Figure value={places} />
      </td>
      <td className="pr-3">{finding.insert ? <Figure value={plain(finding.insert.lengthMm, 0)} /> : '—'}</td>
      <td className="pr-3">
        {finding.cover?.name ?? finding.splices[0]?.methodName}
        {past === undefined ? null : <span className="block text-soft">goes on past {past}</span>}
      </td>
      <td className="text-right whitespace-nowrap">
        {isFixed ? <span className="text-soft">made</span> : null}
        {pinned && !isFixed ? (
          <button
            type="button"
            aria-label={`Unpin circuit ${circuit.number}`}
            className="inline-flex min-h-11 items-center gap-1 underline decoration-rule underline-offset-4"
            onClick={(event) => {
              event.stopPropagation();
              acts.unpin(finding.findingId);
            }}
          >
            <PinOff aria-hidden size={18} />
            Unpin
          </button>
        ) : null}
        {!isFixed && (finding.needsTwo === 'room' || atOne) ? (
          <button
            type="button"
            className="min-h-11 pl-3 underline decoration-rule underline-offset-4"
            onClick={(event) => {
              event.stopPropagation();
              acts.keepAtOne(finding.findingId, !atOne);
            }}
          >
            {atOne ? 'Allow two splices' : 'Keep to one splice'}
            <span className="sr-only">, circuit {circuit.number}</span>
          </button>
        ) : null}
      </td>
    </tr>
  );
});

/** Cut points from the named connector in reading order, with inserts and methods. */
export function CutTable({
  plans,
  run,
  live,
  fixed,
}: {
  readonly plans: readonly FindingPlan[];
  readonly run: Run;
  readonly live: Pick<LiveBoard, 'wishes' | 'save' | 'unpin'>;
  readonly fixed: ReadonlySet<string>;
}) {
  const { circuitOf, selected, select, nodeName } = useOpenJob();
  const { unit } = useLength();
  const sorted = plans.filter((finding) => finding.splices.length > 0 || finding.cover).sort(byFirstCut);
  const pastOf = ({ splices }: FindingPlan): string | undefined => {
    const leaves = splices.find((splice) => splice.leavesAtMm !== undefined)?.leavesAtMm;
    return leaves === undefined ? undefined : nodeName(leaves <= 0 ? run.fromNodeId : run.toNodeId);
  };
  const latest = useRef({ live, select });
  useEffect(() => {
    latest.current = { live, select };
  });
  const acts = useMemo(
    (): CutActs => ({
      select: (id) => latest.current.select(id),
      unpin: (id) => latest.current.live.unpin([id]),
      keepAtOne: (id, keep) => {
        const { wishes, save } = latest.current.live;
        save({ ...wishes, atOne: [...wishes.atOne.filter((other) => other !== id), ...(keep ? [id] : [])] });
      },
    }),
    [],
  );
  return (
    <Scroller label="Cut points">
      <table className="w-full text-left">
        <caption className="sr-only">
          Cut points, {unit} from {nodeName(run.fromNodeId)}
        </caption>
        <thead className="border-b border-ink text-soft">
          <tr>
            <th className="pb-1 font-normal">Circuit</th>
            <th className="font-normal">
              Cut at, {unit} from {nodeName(run.fromNodeId)}
            </th>
            <th className="font-normal">Splice centre</th>
            <th className="font-normal">Insert</th>
            <th className="font-normal">Method</th>
            <th>
              <span className="sr-only">Pins</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {sorted.map((finding) => (
            <CutRow
              key={finding.findingId}
              finding={finding}
              circuit={circuitOf(finding.circuitId)}
              selected={selected?.findingId === finding.findingId}
              isFixed={fixed.has(finding.findingId)}
              atOne={live.wishes.atOne.includes(finding.findingId)}
              past={pastOf(finding)}
              acts={acts}
            />
          ))}
        </tbody>
      </table>
    </Scroller>
  );
}
