import { figure } from '@mendum/core/units';
import { conductorDiameterMm, sizeInWords, type WireSize } from '@mendum/core/wire';
import { GaugeDialog, GaugeLines } from '../recognise/Gauge.tsx';
import { COPPER_HEX } from '../shapes/colours.ts';
import { ROWS } from './sizes.ts';

/**
 * Bare conductors of all usual sizes at true size: the wire is held against the screen, and the one that it covers is
 * tapped. The copper decides, and not the jacket.
 */
export function WireGauge({
  onPick,
  onClose,
}: {
  readonly onPick: (size: WireSize) => void;
  readonly onClose: () => void;
}) {
  const lines = ROWS.metric.map((size) => {
    const mm = conductorDiameterMm({ size, conductor: { kind: 'stranded' } });
    return { value: size, mm, words: sizeInWords(size), about: `${figure(mm, 2)} mm thick` };
  });
  return (
    <GaugeDialog
      title="Hold the bare copper against the screen"
      about="True size. Tap the bar that the copper just covers; between two, measure it with a calliper."
      onClose={onClose}
    >
      {(pxPerMm) => (
        <GaugeLines lines={lines} drawn="thickness" colour={COPPER_HEX} pxPerMm={pxPerMm} onPick={onPick} />
      )}
    </GaugeDialog>
  );
}
