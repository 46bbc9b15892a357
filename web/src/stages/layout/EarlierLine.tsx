import type { EarlierRepair } from '@mendum/core/damage';
import { useLength } from '../../ui/units.tsx';
import { useOpenJob } from '../job.ts';

/** An earlier repair in words: what it is, its job and date, where it lies, and what becomes of it. */
export function EarlierLine({ repair, isCutOut }: { readonly repair: EarlierRepair; readonly isCutOut: boolean }) {
  const { circuitOf } = useOpenJob();
  const { plain, unit } = useLength();
  const { circuitId, fromMm, toMm, words } = repair;
  return (
    <span>
      <b className="figure">{circuitOf(circuitId).number}</b> at{' '}
      <span className="figure">
        {plain(fromMm, 0)}–{plain(toMm, 0)}
      </span>{' '}
      {unit}: {words}; {isCutOut ? 'cut out' : 'stays'}
    </span>
  );
}
