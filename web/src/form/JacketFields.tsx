import { figure } from '@mendum/core/units';
import { JACKETS, jacketDiameterMm, WALLS_MM, type JacketWall, type WireSpec } from '@mendum/core/wire';
import { JacketGauge, Which } from '../recognise/Which.tsx';
import { NumberField, Select } from '../ui/field.tsx';
import type { Form } from './useThing.ts';

const WALL_WORDS: Record<JacketWall, string> = {
  extraThin: 'extra-thin',
  thin: 'thin',
  general: 'general',
  heavy: 'heavy',
  pvcPrimary: 'PVC primary',
};

/**
 * What is known of a wire beyond size and colour: strands, jacket, and its diameter, calculated until it is measured.
 * @param at where the wire stands in the form
 */
export function JacketFields<T extends object>({
  form,
  wire,
  at,
}: {
  readonly form: Form<T>;
  readonly wire: WireSpec;
  readonly at: string;
}) {
  const { conductor, jacket } = wire;
  const diameter = `${at}.jacket.outerDiameterMm`;
  const isMeasured = typeof jacket.outerDiameterMm === 'number';
  return (
    <div className="grid grid-cols-2 gap-3 sm:grid-cols-3">
      <Select label="Jacket" {...form.field(`${at}.jacket.material`)}>
        {Object.entries(JACKETS).map(([id, { name, ratedC }]) => (
          <option key={id} value={id}>{`${name}, ${ratedC} °C`}</option>
        ))}
      </Select>
      <Select label="Jacket wall" {...form.field(`${at}.jacket.wall`)}>
        {Object.keys(WALLS_MM).map((wall) => (
          <option key={wall} value={wall}>
            {WALL_WORDS[wall as JacketWall]}
          </option>
        ))}
      </Select>
      <div>
        <NumberField
          label="Diameter, measured"
          hint={isMeasured ? 'The calliper counts.' : `Calculated: ${figure(jacketDiameterMm(wire), 2)} mm.`}
          unit="mm"
          {...form.field(diameter)}
        />
        <Which words="Measure on the screen">
          {(close) => (
            <JacketGauge
              startMm={jacketDiameterMm(wire)}
              onClose={close}
              onPick={(mm) => {
                form.set(diameter, mm);
                close();
              }}
            />
          )}
        </Which>
      </div>
      {conductor.kind === 'stranded' ? (
        <NumberField label="Strands, counted" unit="of" {...form.field(`${at}.conductor.strands`)} />
      ) : null}
    </div>
  );
}
