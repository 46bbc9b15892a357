import type { WireColour } from '@mendum/core/wire';
import { GaugeDialog } from '../../recognise/Gauge.tsx';
import { COPPER_HEX } from '../../shapes/colours.ts';
import { WireLine } from '../../shapes/WireLine.tsx';
import { useLength } from '../../ui/units.tsx';

interface TrueSizeProps {
  readonly open: boolean;
  readonly onClose: () => void;
  readonly lengthMm: number;
  readonly colour: WireColour;
}

/** A strip gauge at true size to hold the wire against; the screen is set once against a bank card. */
export function TrueSize({ open, onClose, lengthMm, colour }: TrueSizeProps) {
  const { plain, unit } = useLength();
  if (!open) return null;
  return (
    <GaugeDialog
      title={`Strip ${plain(lengthMm)} ${unit}, true size`}
      about="Hold the wire against it: end on the line, jacket edge on the other."
      onClose={onClose}
    >
      {(pxPerMm) => (
        <svg width="100%" height={120} aria-hidden>
          <WireLine x1={0} x2={200} y={60} thick={16} colour={colour} />
          <rect x={200} y={53} width={lengthMm * pxPerMm} height={14} fill={COPPER_HEX} />
          <path d={`M200 20v80M${200 + lengthMm * pxPerMm} 20v80`} stroke="var(--ink)" strokeWidth={2} />
        </svg>
      )}
    </GaugeDialog>
  );
}
