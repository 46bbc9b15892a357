import { useState } from 'react';
import type { WireColour } from '@mendum/core';
import { keep, recall } from '../../app/kept.ts';
import { COPPER_HEX } from '../../shapes/colours.ts';
import { WireLine } from '../../shapes/WireLine.tsx';
import { Button } from '../../ui/button.tsx';
import { Dialog } from '../../ui/dialog.tsx';
import { useLength } from '../../ui/units.tsx';
import { Scroller } from '../../ui/scroller.tsx';

/** Width of a bank card (ISO/IEC 7810 ID-1), mm. */
const CARD_MM = 85.6;
const KEY = 'mendum.pxPerMm';
const remembered = (): number | undefined => {
  const kept = Number(recall(KEY));
  return kept > 1 && kept < 30 ? kept : undefined;
};

interface TrueSizeProps {
  readonly open: boolean;
  readonly onClose: () => void;
  readonly lengthMm: number;
  readonly colour: WireColour;
}

/** A strip gauge at true size to hold the wire against; the screen is set once against a bank card. */
export function TrueSize({ open, onClose, lengthMm, colour }: TrueSizeProps) {
  const { plain, unit } = useLength();
  const [set, setSet] = useState(remembered);
  const [pxPerMm, setPxPerMm] = useState(set ?? 3.78);
  const keepScale = (): void => {
    keep(KEY, pxPerMm);
    setSet(pxPerMm);
  };
  return (
    <Dialog
      open={open}
      onOpenChange={(next) => {
        if (!next) onClose();
      }}
      title={set === undefined ? 'Set the screen once' : `Strip ${plain(lengthMm)} ${unit}, true size`}
      about={
        set === undefined
          ? 'Hold a bank card flat on the screen and move the slider until the frame is as wide as the card.'
          : 'Hold the wire against it: end on the line, jacket edge on the other.'
      }
    >
      {set === undefined ? (
        <div className="grid gap-4">
          <Scroller label="Frame">
            <div className="h-40 rounded-lg border-2 border-ink" style={{ width: CARD_MM * pxPerMm }} />
          </Scroller>
          <label className="grid gap-2 font-medium">
            Width of the frame
            <input
              type="range"
              min={2}
              max={8}
              step={0.01}
              value={pxPerMm}
              onChange={(event) => setPxPerMm(Number(event.target.value))}
              className="h-11 accent-(--copper)"
            />
          </label>
          <Button look="copper" onClick={keepScale}>
            It is as wide as the card
          </Button>
        </div>
      ) : (
        <div className="grid gap-4">
          <svg width="100%" height={120} aria-hidden>
            <WireLine x1={0} x2={200} y={60} thick={16} colour={colour} />
            <rect x={200} y={53} width={lengthMm * pxPerMm} height={14} fill={COPPER_HEX} />
            <path d={`M200 20v80M${200 + lengthMm * pxPerMm} 20v80`} stroke="var(--ink)" strokeWidth={2} />
          </svg>
          <Button onClick={() => setSet(undefined)}>Set the screen again</Button>
        </div>
      )}
    </Dialog>
  );
}
