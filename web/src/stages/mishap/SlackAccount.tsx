import { ledgerInWords, slackLedger } from '@mendum/core/mishap';
import type { FindingPlan } from '@mendum/core/plan';
import { Length } from '../../ui/units.tsx';
import { useOpenJob } from '../job.ts';

/** The slack of a wire as an account: what it comes to in a line, and what was measured, drawn and kept under it. */
export function SlackAccount({ finding }: { readonly finding: FindingPlan }) {
  const { view, plan, circuitOf, findingOf } = useOpenJob();
  const ledger = slackLedger(view.job, plan, finding);
  if (ledger.drawnFor === 'nothing') return null;
  const { number } = circuitOf(finding.circuitId);
  const several = new Set(ledger.lines.map(({ findingId }) => findingId)).size > 1;
  const isEnough = ledger.redoMm !== undefined && ledger.leftMm >= ledger.redoMm;
  return (
    <details className="group max-w-xl">
      <summary className="min-h-11 cursor-pointer content-center text-lg">
        <b>Slack:</b> {ledgerInWords(ledger)}
      </summary>
      <table className="mt-1 w-full" aria-label={`Slack of circuit ${number}`}>
        <tbody>
          <Row words={ledger.known ? 'Measured' : 'Nobody has measured it: counts as none'} mm={ledger.measuredMm} />
          {ledger.lines.map(({ findingId, what, words, mm }, index) => (
            <Row
              key={`${findingId} ${what} ${index}`}
              words={several ? `${words}, at ${Math.round(findingOf(findingId).fromMm)} mm` : words}
              mm={-mm}
            />
          ))}
          {isEnough ? (
            <>
              <Row words="Kept for one redo" mm={ledger.keptMm} isSum />
              <Row words="Left besides" mm={ledger.leftMm - ledger.keptMm} />
            </>
          ) : (
            <Row words="Left" mm={ledger.leftMm} isSum />
          )}
          {!isEnough && ledger.redoMm !== undefined ? <Row words="One redo would take" mm={ledger.redoMm} /> : null}
        </tbody>
      </table>
    </details>
  );
}

const Row = ({
  words,
  mm,
  isSum = false,
}: {
  readonly words: string;
  readonly mm: number;
  readonly isSum?: boolean;
}) => (
  <tr className={isSum ? 'border-t border-ink' : ''}>
    <th scope="row" className="py-1 text-left font-normal">
      {words}
    </th>
    <td className="figure py-1 text-right">
      {mm < 0 ? '− ' : ''}
      <Length mm={Math.abs(mm)} />
    </td>
  </tr>
);
