import type { MappingLine } from '@mendum/core/mapping';
import {
  COLOURS,
  colourInWords,
  METRIC_SIZES_MM2,
  sizeInWords,
  TRADE_PAIRS_MM2,
  areaMm2,
  type ColourName,
  type WireSize,
} from '@mendum/core/wire';
import { WireChip } from '../shapes/WireLine.tsx';
import type { DraftWire } from './mappingDraft.ts';

const SIZES: readonly WireSize[] = [
  ...METRIC_SIZES_MM2.filter((area) => area <= 25).map((area): WireSize => ({ basis: 'metric', areaMm2: area })),
  ...[22, 20, 18, 16, 14, 12, 10, 8].map((awg): WireSize => ({ basis: 'awg', awg })),
  ...[...TRADE_PAIRS_MM2.keys()].map((awg): WireSize => ({ basis: 'trade', awg })),
];
const sizeKey = (size: WireSize): string => `${size.basis} ${size.basis === 'metric' ? size.areaMm2 : size.awg}`;

type Change = (cavity: string, change: Omit<DraftWire, 'cavity'> | undefined) => void;

const BOX = 'min-h-11 rounded-sm border border-soft bg-paper px-1 text-lg';

const colourIn = (value: string): ColourName | undefined => COLOURS.find((name) => name === value);

/** The pigtail wire out of one cavity: colour, stripe, size. */
function PigtailCell({
  cavity,
  wire,
  onChange,
}: {
  readonly cavity: string;
  readonly wire: DraftWire | undefined;
  readonly onChange: Change;
}) {
  const { size: own } = wire ?? {};
  const sizes = own && !SIZES.some((size) => sizeKey(size) === sizeKey(own)) ? [own, ...SIZES] : SIZES;
  return (
    <span className="no-print flex flex-wrap gap-1">
      <select
        aria-label={`Colour of the pigtail wire out of cavity ${cavity}`}
        className={BOX}
        value={wire?.base ?? ''}
        onChange={({ target }) => onChange(cavity, target.value === '' ? undefined : { base: colourIn(target.value) })}
      >
        <option value="">{wire ? 'which colour?' : '—'}</option>
        {COLOURS.map((name) => (
          <option key={name}>{name}</option>
        ))}
      </select>
      {wire ? (
        <>
          <select
            aria-label={`Stripe of the pigtail wire out of cavity ${cavity}`}
            className={BOX}
            value={wire.stripe ?? ''}
            onChange={({ target }) => onChange(cavity, { stripe: colourIn(target.value) })}
          >
            <option value="">no stripe</option>
            {COLOURS.map((name) => (
              <option key={name}>{name}</option>
            ))}
          </select>
          <select
            aria-label={`Size of the pigtail wire out of cavity ${cavity}`}
            className={BOX}
            value={own ? sizeKey(own) : ''}
            onChange={({ target }) => onChange(cavity, { size: sizes.find((one) => sizeKey(one) === target.value) })}
          >
            <option value="">which size?</option>
            {sizes.map((size) => (
              <option key={sizeKey(size)} value={sizeKey(size)}>
                {size.basis === 'metric'
                  ? `${areaMm2(size)} mm²`
                  : `${size.basis === 'awg' ? 'AWG' : 'trade'} ${size.awg}`}
              </option>
            ))}
          </select>
        </>
      ) : null}
    </span>
  );
}

/** Cavity by cavity: the harness wire that belongs there and the pigtail wire that comes out of it, printed large. */
export function MappingTable({
  lines,
  wires,
  nodeName,
  locked,
  onChange,
}: {
  readonly lines: readonly MappingLine[];
  /** The pigtail's wires as far as they are read off it. */
  readonly wires: readonly DraftWire[];
  readonly nodeName: string;
  readonly locked: boolean;
  readonly onChange: Change;
}) {
  return (
    <table className="my-4 w-full text-left text-lg print:text-2xl">
      <thead className="border-b border-ink text-soft">
        <tr>
          <th className="font-normal">{nodeName}</th>
          <th className="font-normal">Harness wire</th>
          <th className="font-normal">Pigtail wire</th>
        </tr>
      </thead>
      <tbody>
        {lines.map(({ cavity, circuit, pigtail, trap }) => (
          <tr key={cavity} className="border-b border-rule align-top">
            <td className="figure py-2 pr-4 text-3xl font-semibold print:text-5xl">{cavity}</td>
            <td className="py-2 pr-4">
              {circuit ? (
                <>
                  <span className="flex items-center gap-3">
                    <WireChip thick={14} colour={circuit.wire.colour} title="" />
                    {colourInWords(circuit.wire.colour)}, {sizeInWords(circuit.wire.size)}
                  </span>
                  <span className="text-soft">
                    <b className="figure text-ink">{circuit.number}</b> {circuit.function}
                  </span>
                </>
              ) : (
                <span className="text-soft">empty{pigtail ? ': cut its wire back, seal its end, note it' : ''}</span>
              )}
            </td>
            <td className="py-2">
              {pigtail ? (
                <span className="flex items-center gap-3">
                  <WireChip thick={14} colour={pigtail.colour} title="" />
                  {colourInWords(pigtail.colour)}, {sizeInWords(pigtail.size)}
                  {pigtail.ratedC === undefined ? '' : `, ${pigtail.ratedC} °C`}
                </span>
              ) : (
                <span className="text-soft print:hidden">{circuit ? 'which wire comes out here?' : ''}</span>
              )}
              {locked ? null : (
                <PigtailCell cavity={cavity} wire={wires.find((wire) => wire.cavity === cavity)} onChange={onChange} />
              )}
              {trap === undefined ? null : <p className="border-l-4 border-rework pl-2">{trap}</p>}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
