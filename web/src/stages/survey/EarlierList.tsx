import { Link } from 'react-router';
import type { EarlierRepair } from '@mendum/core/damage';
import { Figure, useLength } from '../../ui/units.tsx';

/** What was repaired on a run before, wire by wire. */
export function EarlierList({
  earlier,
  numberOf,
  historyAt,
}: {
  readonly earlier: readonly EarlierRepair[];
  readonly numberOf: (circuitId: string) => string;
  /** Where everything that was done here is told. */
  readonly historyAt: string;
}) {
  const { plain, unit } = useLength();
  if (earlier.length === 0) return null;
  return (
    <div className="mt-3">
      <h3 className="text-soft">
        Repaired here before ·{' '}
        <Link to={historyAt} className="inline-flex min-h-11 items-center text-ink underline underline-offset-4">
          how, and how it was proved
        </Link>
      </h3>
      <ul className="flex flex-wrap gap-x-8 gap-y-1">
        {[...earlier]
          .sort((a, b) => a.fromMm - b.fromMm)
          .map(({ id, circuitId, fromMm, toMm, words }) => (
            <li key={id}>
              <b className="figure">{numberOf(circuitId)}</b> at{' '}
              <Figure value={`${plain(fromMm, 0)}–${plain(toMm, 0)}`} /> {unit}: {words}
            </li>
          ))}
      </ul>
    </div>
  );
}
