import { AMBIENT_BY_AREA_C, moistureInWords, vibrationInWords, MOISTURES, VIBRATIONS } from '@mendum/core/harness';
import {
  BENDS_USUAL_MM,
  QUICK_CIRCUITS,
  quickCircuitInWords,
  type QuickConnector,
  type QuickRepair,
} from '@mendum/core/quick';
import { NumberField, Select, TextField, TickBox } from '../ui/field.tsx';
import type { QuickChange } from './draft.ts';
import type { FieldProps } from '../form/useThing.ts';
import { useConnectorFields, useQuickFields } from './useQuickFields.ts';

export interface FieldsOfRepair {
  readonly repair: QuickRepair;
  readonly onChange: (changed: QuickChange) => void;
}

/** How many strands are lost, of how many. */
export function StrandFields({ repair, onChange }: FieldsOfRepair) {
  const { field } = useQuickFields(repair, onChange);
  return (
    <div className="grid max-w-sm grid-cols-2 gap-3">
      <NumberField label="Strands lost" unit="of" {...field('strands.lost')} />
      <NumberField label="Strands in the wire" unit="all" {...field('strands.total')} />
    </div>
  );
}

/** Slack as it was measured. */
export function SlackField({ repair, onChange }: FieldsOfRepair) {
  const { field } = useQuickFields(repair, onChange);
  return <NumberField label="Measured" unit="mm" {...field('slackMm')} />;
}

type Field = (path: string) => FieldProps;

/** What a zone is like. */
function ZoneFields({ zone, field }: { readonly zone: QuickRepair['zone']; readonly field: Field }) {
  return (
    <>
      <Select label="Vibration" {...field('zone.vibration')}>
        {VIBRATIONS.map((one) => (
          <option key={one} value={one}>
            {vibrationInWords({ vibration: one })}
          </option>
        ))}
      </Select>
      <Select label="Moisture" {...field('zone.moisture')}>
        {MOISTURES.map((one) => (
          <option key={one} value={one}>
            {moistureInWords({ moisture: one })}
          </option>
        ))}
      </Select>
      <NumberField
        label="Hottest it gets"
        unit="°C"
        placeholder={String(AMBIENT_BY_AREA_C[zone.area])}
        {...field('zone.ambientC')}
      />
      <TickBox label="Fuel vapour there" {...field('zone.fuelVapour')} />
    </>
  );
}

/** What the place is like, where it is not as usual. */
export function PlaceFields({ repair, onChange }: FieldsOfRepair) {
  const { field } = useQuickFields(repair, onChange);
  const { zone, bendsMm } = repair;
  return (
    <div className="grid grid-cols-2 items-end gap-3 py-2 sm:grid-cols-3">
      <ZoneFields zone={zone} field={field} />
      <TickBox
        label="It bends there in use"
        checked={bendsMm !== undefined}
        onChange={(event) => onChange({ bendsMm: event.target.checked ? BENDS_USUAL_MM : undefined })}
      />
      {bendsMm === undefined ? null : <NumberField label="Length that bends" unit="mm" {...field('bendsMm')} />}
    </div>
  );
}

const VOLTAGES = [6, 12, 24, 36, 48];

/** What the circuits are, and at what voltage. */
function CircuitFields({ field }: { readonly field: Field }) {
  return (
    <>
      <Select label="The circuit is a" {...field('circuitKind')}>
        {QUICK_CIRCUITS.map((kind) => (
          <option key={kind} value={kind}>
            {quickCircuitInWords(kind)}
          </option>
        ))}
      </Select>
      <Select label="System voltage" {...field('systemVoltageV')}>
        {VOLTAGES.map((volts) => (
          <option key={volts} value={volts}>
            {volts} V
          </option>
        ))}
      </Select>
    </>
  );
}

/** Where the repair is found again. */
function WhereField({ field }: { readonly field: Field }) {
  return (
    <div className="col-span-2 sm:col-span-3">
      <TextField
        label="Where it is found again"
        placeholder="left frame rail, behind the step"
        hint="It names the repair until the machine is named. Airbag and high-voltage circuits begin in Machines, never here."
        {...field('where')}
      />
    </div>
  );
}

/** What was assumed, to be said otherwise. */
export function AssumedFields({ repair, onChange }: FieldsOfRepair) {
  const { field } = useQuickFields(repair, onChange);
  return (
    <div className="grid grid-cols-2 gap-3 py-2 sm:grid-cols-3">
      <CircuitFields field={field} />
      <NumberField label="Damaged or missing" unit="mm" {...field('lostMm')} />
      <NumberField label="Cut back, each side" unit="mm" {...field('cutBackMm')} />
      <NumberField label="Opened, each side" unit="mm" {...field('openMm')} />
      <WhereField field={field} />
    </div>
  );
}

export interface FieldsOfConnector {
  readonly connector: QuickConnector;
  readonly onChange: (changed: Partial<QuickConnector>) => void;
}

/** What was assumed of a connector in the hand and of its place, to be said otherwise. */
export function ConnectorFields({ connector, onChange }: FieldsOfConnector) {
  const { field } = useConnectorFields(connector, onChange);
  return (
    <div className="grid grid-cols-2 items-end gap-3 py-2 sm:grid-cols-3">
      <ZoneFields zone={connector.zone} field={field} />
      <CircuitFields field={field} />
      <NumberField label="Opened behind it" unit="mm" {...field('openMm')} />
      <WhereField field={field} />
    </div>
  );
}
