import { ambientC, figure, type QuickRepair } from '@mendum/core';
import { MOISTURE_WORDS, VIBRATION_WORDS } from './words.ts';
import { Later } from './Later.tsx';
import type { FieldsOfRepair } from './fields.tsx';

const wordsOf = ({ zone, bendsMm }: QuickRepair): string =>
  [
    VIBRATION_WORDS[zone.vibration],
    MOISTURE_WORDS[zone.moisture],
    `up to ${figure(ambientC(zone), 0)} °C`,
    ...(zone.fuelVapour ? ['fuel vapour'] : []),
    bendsMm === undefined ? 'does not bend' : `bends over ${figure(bendsMm, 0)} mm`,
  ].join(', ');

/** What a place is like: said in a line, and changed there. */
export function PlaceLine(props: FieldsOfRepair) {
  return (
    <details>
      <summary className="min-h-11 cursor-pointer content-center text-lg">
        {wordsOf(props.repair)} <span className="underline underline-offset-4">Change</span>
      </summary>
      <Later.PlaceFields {...props} />
    </details>
  );
}
