import clsx from 'clsx';
import type { FindingPlan, PieceOfWork, Plan } from '@mendum/core/plan';
import { colourInWords } from '@mendum/core/wire';
import { WireChip } from '../../shapes/WireLine.tsx';
import { useOpenJob } from '../job.ts';

/** The approach in a word or two. */
function approachWords(finding: FindingPlan): string {
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
    case 'otherCavity':
      return 'another cavity';
    case 'solderToPin':
      return 'solder to pin';
    case 'solderedLead':
      return 'soldered lead, 1 splice';
  }
}

/** What a piece of work does, in a word or two: each approach of its wires once. */
export const piecesWords = (findings: readonly FindingPlan[]): string =>
  [...new Set(findings.map(approachWords))].join(', ');

const methodName = (finding: FindingPlan): string =>
  finding.cover?.name ?? finding.splices[0]?.methodName ?? finding.cavity?.work.terminal?.partName ?? finding.headline;

/** One card: what is mended by one piece of work, and the findings that belong to it. */
interface Card {
  readonly leading: FindingPlan;
  readonly piece: PieceOfWork | undefined;
  readonly findings: readonly FindingPlan[];
}

/**
 * A card for each connector that is replaced whole, and for each other finding; those that ask for a person first, then
 * as they were found.
 */
function cardsOf({ findings, pieces }: Plan): Card[] {
  const cards = findings.flatMap((finding): Card[] => {
    const piece = pieces.find((one) => one.findingIds.includes(finding.findingId));
    if (!piece) return [{ leading: finding, piece, findings: [finding] }];
    if (piece.findingIds[0] !== finding.findingId) return [];
    const members = findings.filter((one) => piece.findingIds.includes(one.findingId));
    return [{ leading: members.find((one) => one.asks.length > 0) ?? finding, piece, findings: members }];
  });
  const asking = ({ leading }: Card): number => Number(leading.asks.length === 0 && leading.approach !== 'byHand');
  return cards.sort((a, b) => asking(a) - asking(b));
}

/** Cards in order: those that ask for a person first, then as they were found. */
export function CardList() {
  const { plan, selected, select, circuitOf } = useOpenJob();
  return (
    <ul className="mt-4 border-t border-rule">
      {cardsOf(plan).map(({ leading: finding, piece, findings }) => {
        const circuit = circuitOf(finding.circuitId);
        const on = findings.some((one) => one.findingId === selected?.findingId);
        const numbers = findings.map((one) => circuitOf(one.circuitId).number).join(', ');
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
              {piece ? null : <span className="figure w-7 text-right text-lg font-semibold">{circuit.number}</span>}
              <span className="min-w-0 flex-1">
                <span className="flex items-baseline gap-2">
                  <span className="truncate text-lg font-semibold">
                    {piece ? `Connector ${piece.nodeName}` : circuit.function}
                  </span>
                  {finding.asks.length === 0 ? (
                    <span className="ml-auto whitespace-nowrap text-soft">{piecesWords(findings)}</span>
                  ) : (
                    <span className="ml-auto font-semibold whitespace-nowrap text-rework">▲ needs you</span>
                  )}
                </span>
                <span className="flex items-center gap-3 text-soft">
                  {piece ? (
                    <span className="truncate">
                      {findings.length === 1 ? 'circuit' : `${findings.length} circuits:`} {numbers}
                    </span>
                  ) : (
                    <>
                      <WireChip colour={circuit.wire.colour} title={colourInWords(circuit.wire.colour)} />
                      <span className="truncate">{methodName(finding)}</span>
                    </>
                  )}
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
