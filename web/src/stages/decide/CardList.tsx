import clsx from 'clsx';
import { colourInWords, type FindingPlan } from '@mendum/core';
import { WireChip } from '../../draw/WireLine.tsx';
import { useOpenJob } from '../job.ts';

/** The approach in a word or two. */
export function approachWords(finding: FindingPlan): string {
  switch (finding.approach) {
    case 'oneSplice':
      return '1 splice';
    case 'insert':
      return 'insert, 2 splices';
    case 'cover':
      return 'cover';
    case 'procedure':
      return 'procedure only';
    case 'stopped':
      return 'stopped';
    case 'withOther':
      return 'with another';
    case 'byHand':
      return 'needs you';
    case 'newTerminal':
      return 'new terminal';
    case 'fillCavity':
      return 'free cavity';
    case 'relead':
      return 'new lead, 1 splice';
    case 'extend':
      return 'longer, 2 splices';
    case 'pigtail':
      return 'pigtail';
    case 'rehouse':
      return 'new housing';
    case 'refit':
      return 'put back';
    case 'correctCavity':
      return 'seat again';
    case 'solderToPin':
      return 'solder to pin';
  }
}

const methodName = (finding: FindingPlan): string =>
  finding.cover?.name ?? finding.splices[0]?.methodName ?? finding.cavity?.work.terminal?.partName ?? finding.headline;

/** Cards in order: those that ask for a person first, then as they were found. */
export function CardList() {
  const { plan, selected, select, circuitOf } = useOpenJob();
  const asking = (finding: FindingPlan): number => Number(finding.asks === undefined && finding.approach !== 'byHand');
  const cards = [...plan.findings].sort((a, b) => asking(a) - asking(b));
  return (
    <ul className="mt-4 border-t border-rule">
      {cards.map((finding) => {
        const circuit = circuitOf(finding.circuitId);
        const on = finding.findingId === selected?.findingId;
        return (
          <li key={finding.findingId} className="border-b border-rule">
            <button
              type="button"
              aria-pressed={on}
              onClick={() => select(finding.findingId)}
              className={clsx(
                'flex min-h-16 w-full items-center gap-3 border-l-4 py-2.5 pr-2 pl-3 text-left',
                on ? 'border-copper bg-sheet' : 'border-transparent hover:bg-sheet',
              )}
            >
              <span className="figure w-7 text-right text-lg font-semibold">{circuit.number}</span>
              <span className="min-w-0 flex-1">
                <span className="flex items-baseline gap-2">
                  <span className="truncate text-lg font-semibold">{circuit.function}</span>
                  {finding.asks === undefined ? (
                    <span className="ml-auto whitespace-nowrap text-soft">{approachWords(finding)}</span>
                  ) : (
                    <span className="ml-auto font-semibold whitespace-nowrap text-rework">▲ asks for you</span>
                  )}
                </span>
                <span className="flex items-center gap-3 text-soft">
                  <WireChip colour={circuit.wire.colour} title={colourInWords(circuit.wire.colour)} />
                  <span className="truncate">{methodName(finding)}</span>
                  {finding.chosenBy ? <span className="ml-auto whitespace-nowrap text-copper">your choice</span> : null}
                </span>
              </span>
            </button>
          </li>
        );
      })}
    </ul>
  );
}
