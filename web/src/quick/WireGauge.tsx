import { conductorDiameterMm, figure, sizeInWords, type WireSize } from '@mendum/core';
import { COPPER_HEX } from '../shapes/colours.ts';
import { Button } from '../ui/button.tsx';
import { Dialog } from '../ui/dialog.tsx';
import { SET_ABOUT, SET_TITLE, SetTrueSize, useTrueSize } from '../ui/trueSize.tsx';
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
  const { pxPerMm, set } = useTrueSize();
  return (
    <Dialog
      open
      onClose={onClose}
      title={pxPerMm === undefined ? SET_TITLE : 'Hold the bare copper against the screen'}
      about={
        pxPerMm === undefined
          ? SET_ABOUT
          : 'True size. Tap the bar that the copper just covers; between two, measure it with a calliper.'
      }
    >
      {pxPerMm === undefined ? (
        <SetTrueSize onSet={set} />
      ) : (
        <div className="grid gap-3">
          {ROWS.metric.map((size) => {
            const diameterMm = conductorDiameterMm({ size, conductor: { kind: 'stranded' } });
            return (
              <button
                key={sizeInWords(size)}
                type="button"
                onClick={() => onPick(size)}
                className="grid min-h-12 grid-cols-[1fr_7rem] items-center gap-4 rounded-sm border border-rule px-3 hover:bg-wash"
              >
                <span style={{ height: diameterMm * pxPerMm, background: COPPER_HEX }} aria-hidden />
                <span className="text-left">
                  <span className="figure text-lg">{sizeInWords(size)}</span>
                  <span className="block text-sm text-soft">{figure(diameterMm, 2)} mm thick</span>
                </span>
              </button>
            );
          })}
          <Button onClick={() => set(undefined)}>Set the screen again</Button>
        </div>
      )}
    </Dialog>
  );
}
