import { useState } from 'react';
import { keep, recall } from '../app/kept.ts';
import { Button } from './button.tsx';
import { Scroller } from './scroller.tsx';

/** Width of a bank card (ISO/IEC 7810 ID-1), mm. */
const CARD_MM = 85.6;
const KEY = 'mendum.pxPerMm';
const remembered = (): number | undefined => {
  const kept = Number(recall(KEY));
  return kept > 1 && kept < 30 ? kept : undefined;
};

/** How many pixels of this screen are a millimetre, once somebody has held a card against it. */
export function useTrueSize() {
  const [pxPerMm, setPxPerMm] = useState(remembered);
  return {
    pxPerMm,
    set: (next: number | undefined): void => {
      if (next !== undefined) keep(KEY, next);
      setPxPerMm(next);
    },
  };
}

/** What is said where the screen has not been set yet. */
export const SET_TITLE = 'Set the screen once';
export const SET_ABOUT =
  'Hold a bank card flat on the screen and move the slider until the frame is as wide as the card.';

/** A frame to be made as wide as a bank card. */
export function SetTrueSize({ onSet }: { readonly onSet: (pxPerMm: number) => void }) {
  const [pxPerMm, setPxPerMm] = useState(() => remembered() ?? 3.78);
  return (
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
      <Button look="copper" onClick={() => onSet(pxPerMm)}>
        It is as wide as the card
      </Button>
    </div>
  );
}
