import { quickCircuitInWords } from '@mendum/core/quick';
import { figure } from '@mendum/core/units';
import type { FieldsOfRepair } from './fields.tsx';
import { Later } from './Later.tsx';

/** What nobody has said, in one line; and the fields that say it otherwise. */
export function Assumed(props: FieldsOfRepair) {
  const { circuitKind, systemVoltageV, damage, lostMm, cutBackMm, openMm } = props.repair;
  const cuts = damage === 'jacketRubbed' ? '' : `, cut back ${figure(cutBackMm, 0)} each side`;
  return (
    <details className="border-t border-rule">
      <summary className="min-h-11 cursor-pointer content-center py-1 text-lg">
        <b>Assumed:</b> stranded copper, thin cross-linked jacket, {quickCircuitInWords(circuitKind)} at{' '}
        {figure(systemVoltageV)} V, {figure(lostMm, 0)} mm damaged{cuts}, {figure(openMm, 0)} mm opened each side.{' '}
        <span className="underline underline-offset-4">Change</span>
      </summary>
      <Later.AssumedFields {...props} />
    </details>
  );
}
