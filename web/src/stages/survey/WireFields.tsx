import { COLOURS, METRIC_SIZES_MM2, TRADE_PAIRS_MM2, areaMm2, figure, type WireSize, type WireSpec } from '@mendum/core';
import { Select } from '../../ui/field.tsx';

const AWG_SIZES = [24, 22, 20, 18, 16, 14, 12, 10, 8, 6, 4, 2];

const sizesOf = (basis: WireSize['basis']): readonly { readonly value: string; readonly size: WireSize; readonly words: string }[] =>
  basis === 'metric'
    ? METRIC_SIZES_MM2.map((area) => ({ value: String(area), size: { basis, areaMm2: area }, words: `${figure(area, 2)} mm²` }))
    : (basis === 'awg' ? AWG_SIZES : [...TRADE_PAIRS_MM2.keys()]).map((awg) => {
        const size: WireSize = { basis, awg };
        return { value: String(awg), size, words: `${awg} (${figure(areaMm2(size), 2)} mm²)` };
      });

/** A size that is nearest in another series, so that switching the basis does not lose what was meant. */
function nearest(basis: WireSize['basis'], area: number): WireSize {
  const list = sizesOf(basis).map((one) => one.size);
  return list.reduce((best, size) => (Math.abs(areaMm2(size) - area) < Math.abs(areaMm2(best) - area) ? size : best));
}

/** Size as it was found out (measured mm², AWG copper or a trade label, kept apart), conductor and colours of a wire. */
export function WireFields({ wire, onChange }: { readonly wire: WireSpec; readonly onChange: (wire: WireSpec) => void }) {
  const { size, colour, conductor } = wire;
  return (
    <div className="grid grid-cols-2 gap-3 sm:grid-cols-3">
      <Select label="Size known as" value={size.basis} onChange={(event) => onChange({ ...wire, size: nearest(event.target.value as WireSize['basis'], areaMm2(size)) })}>
        <option value="metric">mm²</option>
        <option value="awg">AWG copper</option>
        <option value="trade">trade label</option>
      </Select>
      <Select label="Size" value={String(size.basis === 'metric' ? size.areaMm2 : size.awg)} onChange={(event) => { const found = sizesOf(size.basis).find((one) => one.value === event.target.value); if (found) onChange({ ...wire, size: found.size }); }}>
        {sizesOf(size.basis).map((one) => <option key={one.value} value={one.value}>{one.words}</option>)}
      </Select>
      <Select label="Conductor" value={conductor.kind} onChange={(event) => onChange({ ...wire, conductor: { kind: event.target.value as 'stranded' | 'solid' } })}>
        <option value="stranded">stranded</option>
        <option value="solid">solid</option>
      </Select>
      <Select label="Colour" value={colour.base} onChange={(event) => onChange({ ...wire, colour: { ...colour, base: event.target.value as typeof colour.base } })}>
        {COLOURS.map((name) => <option key={name}>{name}</option>)}
      </Select>
      <Select label="Stripe" value={colour.stripe ?? ''} onChange={(event) => onChange({ ...wire, colour: event.target.value === '' ? { base: colour.base } : { base: colour.base, stripe: event.target.value as typeof colour.base } })}>
        <option value="">none</option>
        {COLOURS.map((name) => <option key={name}>{name}</option>)}
      </Select>
    </div>
  );
}
