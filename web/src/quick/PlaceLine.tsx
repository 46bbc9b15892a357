import { ambientC, moistureInWords, vibrationInWords } from '@mendum/core/harness';
import type { QuickRepair } from '@mendum/core/quick';
import { figure } from '@mendum/core/units';
import { Later } from './Later.tsx';
import type { FieldsOfRepair } from './fields.tsx';

/** What a place is like, in words. */
export const placeInWords = ({ zone, bendsMm }: Pick<QuickRepair, 'zone' | 'bendsMm'>): string =>
  [
    vibrationInWords(zone),
    moistureInWords(zone),
    `up to ${figure(ambientC(zone), 0)} °C`,
    ...(zone.fuelVapour ? ['fuel vapour'] : []),
    bendsMm === undefined ? 'does not bend' : `bends over ${figure(bendsMm, 0)} mm`,
  ].join(', ');

/** What a place is like: said in a line, and changed there. */
export function PlaceLine(props: FieldsOfRepair) {
  return (
    <details>
      <summary className="min-h-11 cursor-pointer content-center text-lg">
        {placeInWords(props.repair)} <span className="underline underline-offset-4">Change</span>
      </summary>
      <Later.PlaceFields {...props} />
    </details>
  );
}
