import type { WireColour } from '@mendum/core';
import { COPPER_HEX } from '../../shapes/colours.ts';
import { WireLine } from '../../shapes/WireLine.tsx';
import { Button } from '../../ui/button.tsx';
import { Dialog } from '../../ui/dialog.tsx';
import { SET_ABOUT, SET_TITLE, SetTrueSize, useTrueSize } from '../../ui/trueSize.tsx';
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
  const { pxPerMm, set } = useTrueSize();
  return (
    <Dialog
      open={open}
      onClose={onClose}
      title={pxPerMm === undefined ? SET_TITLE : `Strip ${plain(lengthMm)} ${unit}, true size`}
      about={pxPerMm === undefined ? SET_ABOUT : 'Hold the wire against it: end on the line, jacket edge on the other.'}
    >
      {pxPerMm === undefined ? (
        <SetTrueSize onSet={set} />
      ) : (
        <div className="grid gap-4">
          <svg width="100%" height={120} aria-hidden>
            <WireLine x1={0} x2={200} y={60} thick={16} colour={colour} />
            <rect x={200} y={53} width={lengthMm * pxPerMm} height={14} fill={COPPER_HEX} />
            <path d={`M200 20v80M${200 + lengthMm * pxPerMm} 20v80`} stroke="var(--ink)" strokeWidth={2} />
          </svg>
          <Button onClick={() => set(undefined)}>Set the screen again</Button>
        </div>
      )}
    </Dialog>
  );
}
