import { ledgerInWords, type SideLoss } from '@mendum/core/mishap';
import type { FindingPlan, Make } from '@mendum/core/plan';
import { counted } from '@mendum/core/units';
import { Length } from '../../ui/units.tsx';
import { useOpenJob } from '../job.ts';
import type { Priced } from './useMishap.ts';
import { useSideWords } from './useSideWords.ts';

/** What a mishap costs on which side, what is used up, and what the plan becomes: before it is accepted. */
export function Price({
  finding,
  make,
  priced: { cost, becomes, failed },
}: {
  readonly finding: FindingPlan;
  readonly make: Make;
  readonly priced: Priced;
}) {
  const { view } = useOpenJob();
  const sideWords = useSideWords(make);
  if (!cost) return null;
  const { wireMm, partIds, sleeveCuts } = cost.spent;
  const nameOf = (id: string): string => view.catalogue.parts.find((part) => part.id === id)?.name ?? id;
  const parts = [...new Set(partIds)].map((id) => {
    const pieces = partIds.filter((one) => one === id).length;
    return pieces === 1 ? nameOf(id) : `${pieces} × ${nameOf(id)}`;
  });
  const other = cost.alsoAgain;
  const [one, two] = cost.losses;
  const isSame = one !== undefined && two !== undefined && one.of === two.of && Math.abs(one.mm - two.mm) < 0.05;
  const asks = becomes?.finding.asks ?? [];
  return (
    <div aria-live="polite" className="text-lg">
      <ul aria-label="What it costs">
        {'coverId' in make ? (
          <li>The cover cannot be changed without cutting: the wire is cut out and spliced.</li>
        ) : cost.losses.length === 0 ? (
          <li>No wire is lost: it is begun again.</li>
        ) : null}
        {(isSame ? [one] : cost.losses).map((loss) => (
          <li key={loss.side}>
            <b>
              <Length mm={loss.mm} />
            </b>{' '}
            {isSame ? `${OF[loss.of]} on each side` : ofWhat(loss, sideWords(loss.side))}
          </li>
        ))}
        {other === undefined ? null : (
          <li className="font-semibold">
            What the new wire is joined to already is cut out too: the wire would be too short.
          </li>
        )}
        {parts.length + sleeveCuts.length === 0 && wireMm === undefined ? null : (
          <li>
            Used up: {[...parts, ...sleeveCuts.map(({ partId }) => nameOf(partId))].join(', ')}
            {wireMm === undefined ? '' : parts.length + sleeveCuts.length > 0 ? ', and ' : ''}
            {wireMm === undefined ? null : (
              <>
                <Length mm={wireMm} digits={0} /> of new wire
              </>
            )}
            .
          </li>
        )}
      </ul>
      {failed === undefined ? null : <p className="text-scrap">What becomes of the plan cannot be said: {failed}</p>}
      {becomes ? (
        <div className="mt-3 border-l-4 border-copper pl-3">
          <p>
            <b>{becomes.finding.headline === finding.headline ? 'The plan stays: ' : 'The plan becomes: '}</b>
            {becomes.finding.headline}
          </p>
          <p className="text-soft">{ledgerInWords(becomes.ledger)}</p>
          {asks.length > 0 ? (
            <p className="font-semibold text-rework">
              ▲ {counted(asks.length, 'question')} to answer then: {asks[0]?.words}
            </p>
          ) : null}
        </div>
      ) : failed === undefined ? (
        <p className="mt-3 text-soft">Working out what the plan becomes…</p>
      ) : null}
    </div>
  );
}

const OF: Record<SideLoss['of'], string> = {
  oldWire: 'of the wire',
  newWire: 'of the new wire',
  tail: 'of the wire at the terminal',
};
const ofWhat = ({ of }: SideLoss, side: string): string => (of === 'oldWire' ? `${OF[of]}, ${side}` : OF[of]);
