import { figure } from '@mendum/core/units';
import {
  COLOURS,
  METRIC_SIZES_MM2,
  TRADE_PAIRS_MM2,
  areaMm2,
  awgLabel,
  conductorInWords,
  type Conductor,
  type WireSize,
  type WireSpec,
} from '@mendum/core/wire';
import { Select } from './field.tsx';

const AWG_SIZES = [24, 22, 20, 18, 16, 14, 12, 10, 8, 6, 4, 2, 1, 0, -1, -2, -3];
const CONDUCTORS: readonly Conductor[] = [
  { kind: 'stranded' },
  { kind: 'solid' },
  { kind: 'stranded', metal: 'aluminium' },
  { kind: 'solid', metal: 'aluminium' },
];

const sizesOf = (
  basis: WireSize['basis'],
): readonly { readonly value: string; readonly size: WireSize; readonly words: string }[] =>
  basis === 'metric'
    ? METRIC_SIZES_MM2.map((area) => ({
        value: String(area),
        size: { basis, areaMm2: area },
        words: `${figure(area, 2)} mm²`,
      }))
    : (basis === 'awg' ? AWG_SIZES : [...TRADE_PAIRS_MM2.keys()]).map((awg) => {
        const size: WireSize = { basis, awg };
        return {
          value: String(awg),
          size,
          words: `${basis === 'awg' ? awgLabel(awg) : awg} (${figure(areaMm2(size), 2)} mm²)`,
        };
      });

/** The series, with the wire's own size where it is none of them. */
function optionsOf(size: WireSize): ReturnType<typeof sizesOf> {
  const usual = sizesOf(size.basis);
  const own = String(size.basis === 'metric' ? size.areaMm2 : size.awg);
  return usual.some((one) => one.value === own)
    ? usual
    : [
        ...usual,
        {
          value: own,
          size,
          words:
            size.basis === 'metric' ? `${figure(size.areaMm2, 3)} mm²` : `${own} (${figure(areaMm2(size), 2)} mm²)`,
        },
      ];
}

/** A size that is nearest in another series, so that switching the basis does not lose what was meant. */
function nearest(basis: WireSize['basis'], area: number): WireSize {
  const list = sizesOf(basis).map((one) => one.size);
  return list.reduce((best, size) => (Math.abs(areaMm2(size) - area) < Math.abs(areaMm2(best) - area) ? size : best));
}

/** Another conductor, with the strands that were counted where it is stranded too. */
const withStrands = (picked: Conductor, before: Conductor): Conductor =>
  picked.kind === 'stranded' && before.kind === 'stranded' && before.strands !== undefined
    ? { ...picked, strands: before.strands }
    : picked;

/**
 * Size as it was found out (measured mm², AWG copper or a trade label, kept apart), conductor and colours of a wire.
 */
export function WireFields({
  wire,
  onChange,
}: {
  readonly wire: WireSpec;
  readonly onChange: (wire: WireSpec) => void;
}) {
  const { size, colour, conductor } = wire;
  return (
    <div className="grid grid-cols-2 gap-3 sm:grid-cols-3">
      <Select
        label="Size known as"
        name="wire"
        value={size.basis}
        onChange={(event) =>
          onChange({ ...wire, size: nearest(event.target.value as WireSize['basis'], areaMm2(size)) })
        }
      >
        <option value="metric">mm²</option>
        <option value="awg">AWG copper</option>
        <option value="trade">trade label</option>
      </Select>
      <Select
        label="Size"
        value={String(size.basis === 'metric' ? size.areaMm2 : size.awg)}
        onChange={(event) => {
          const found = optionsOf(size).find((one) => one.value === event.target.value);
          if (found) onChange({ ...wire, size: found.size });
        }}
      >
        {optionsOf(size).map((one) => (
          <option key={one.value} value={one.value}>
            {one.words}
          </option>
        ))}
      </Select>
      <Select
        label="Conductor"
        value={conductorInWords(conductor)}
        onChange={(event) => {
          const picked = CONDUCTORS.find((one) => conductorInWords(one) === event.target.value);
          if (picked) onChange({ ...wire, conductor: withStrands(picked, conductor) });
        }}
      >
        {CONDUCTORS.map((one) => (
          <option key={conductorInWords(one)}>{conductorInWords(one)}</option>
        ))}
      </Select>
      <Select
        label="Colour"
        value={colour.base}
        onChange={(event) =>
          onChange({ ...wire, colour: { ...colour, base: event.target.value as typeof colour.base } })
        }
      >
        {COLOURS.map((name) => (
          <option key={name}>{name}</option>
        ))}
      </Select>
      <Select
        label="Stripe"
        value={colour.stripe ?? ''}
        onChange={(event) =>
          onChange({
            ...wire,
            colour:
              event.target.value === ''
                ? { base: colour.base }
                : { base: colour.base, stripe: event.target.value as typeof colour.base },
          })
        }
      >
        <option value="">none</option>
        {COLOURS.map((name) => (
          <option key={name}>{name}</option>
        ))}
      </Select>
    </div>
  );
}
