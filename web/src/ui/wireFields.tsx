import { useState } from 'react';
import {
  COLOURS,
  JACKETS,
  jacketDiameterMm,
  METRIC_SIZES_MM2,
  TRADE_PAIRS_MM2,
  WALLS_MM,
  areaMm2,
  awgLabel,
  conductorInWords,
  figure,
  type Conductor,
  type JacketMaterial,
  type JacketWall,
  type WireSize,
  type WireSpec,
} from '@mendum/core';
import { NumberField, Select } from './field.tsx';
import { numberOf } from './typed.ts';

const AWG_SIZES = [24, 22, 20, 18, 16, 14, 12, 10, 8, 6, 4, 2, 1, 0, -1, -2, -3];
const CONDUCTORS: readonly Conductor[] = [
  { kind: 'stranded' },
  { kind: 'solid' },
  { kind: 'stranded', metal: 'aluminium' },
  { kind: 'solid', metal: 'aluminium' },
];

const WALL_WORDS: Record<JacketWall, string> = {
  extraThin: 'extra-thin',
  thin: 'thin',
  general: 'general',
  heavy: 'heavy',
  pvcPrimary: 'PVC primary',
};

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

/** Size as it was found out (measured mm², AWG copper or a trade label, kept apart), conductor and colours of a wire. */
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
        onChange={(event) =>
          onChange({
            ...wire,
            conductor: CONDUCTORS.find((one) => conductorInWords(one) === event.target.value) ?? conductor,
          })
        }
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

/** What is known of a circuit's wire beyond size and colour: strands, jacket, and its diameter, calculated until it is measured. */
export function JacketFields({
  wire,
  onChange,
}: {
  readonly wire: WireSpec;
  readonly onChange: (wire: WireSpec) => void;
}) {
  const { conductor, jacket } = wire;
  const [outer, setOuter] = useState(String(jacket.outerDiameterMm ?? ''));
  const [strands, setStrands] = useState(conductor.kind === 'stranded' ? String(conductor.strands ?? '') : '');
  const typedStrands = (text: string): void => {
    setStrands(text);
    const count = numberOf(text);
    if (conductor.kind === 'stranded')
      onChange({
        ...wire,
        conductor:
          Number.isInteger(count) && count >= 2 && count <= 2000
            ? { kind: 'stranded', strands: count }
            : { kind: 'stranded' },
      });
  };
  const typedOuter = (text: string): void => {
    setOuter(text);
    const plain = { material: jacket.material, wall: jacket.wall };
    const mm = numberOf(text);
    onChange({ ...wire, jacket: mm > 0 && mm <= 60 ? { ...plain, outerDiameterMm: mm } : plain });
  };
  return (
    <div className="grid grid-cols-2 gap-3 sm:grid-cols-3">
      <Select
        label="Jacket"
        value={jacket.material}
        onChange={(event) =>
          onChange({ ...wire, jacket: { ...jacket, material: event.target.value as JacketMaterial } })
        }
      >
        {Object.entries(JACKETS).map(([id, { name, ratedC }]) => (
          <option key={id} value={id}>{`${name}, ${ratedC} °C`}</option>
        ))}
      </Select>
      <Select
        label="Jacket wall"
        value={jacket.wall}
        onChange={(event) => onChange({ ...wire, jacket: { ...jacket, wall: event.target.value as JacketWall } })}
      >
        {Object.keys(WALLS_MM).map((wall) => (
          <option key={wall} value={wall}>
            {WALL_WORDS[wall as JacketWall]}
          </option>
        ))}
      </Select>
      <NumberField
        label="Diameter, measured"
        hint={
          jacket.outerDiameterMm === undefined
            ? `Calculated: ${figure(jacketDiameterMm(wire), 2)} mm.`
            : 'The calliper counts.'
        }
        unit="mm"
        value={outer}
        onChange={(event) => typedOuter(event.target.value)}
      />
      {conductor.kind === 'stranded' ? (
        <NumberField
          label="Strands, counted"
          unit="of"
          value={strands}
          onChange={(event) => typedStrands(event.target.value)}
        />
      ) : null}
    </div>
  );
}
