import { useState } from 'react';
import { partsOf } from '@mendum/core/catalogue';
import { whichSeal } from '@mendum/core/recognise';
import { figure } from '@mendum/core/units';
import { useShelfQuery } from '../app/api.ts';
import { Button } from '../ui/button.tsx';
import { GaugeDialog, TrueShape } from './Gauge.tsx';

const LEAST_MM = 0.8;
const MOST_MM = 15;
const STEP_MM = 0.05;
const held = (mm: number): number => Math.min(MOST_MM, Math.max(LEAST_MM, Math.round(mm / STEP_MM) * STEP_MM));

/** Which seal on the shelf takes a jacket, in words; said before it is asked for. */
function SealWords({ mm }: { readonly mm: number }) {
  const { data: shelf } = useShelfQuery({});
  if (!shelf) return null;
  const { fits, below, above } = whichSeal(partsOf(shelf.parts, 'wireSeal'), mm);
  const near = [below && `${below.name} is too small`, above && `${above.name} too large`].filter(Boolean);
  return (
    <p role="status" className="text-lg">
      {fits[0] ? (
        <>
          In a sealed connector: <b className="font-semibold">{fits[0].name}</b>
          {fits.length > 1
            ? `, or ${fits
                .slice(1)
                .map(({ name }) => name)
                .join(', ')}`
            : ''}
          .
        </>
      ) : (
        `No wire seal on the shelf takes it${near.length > 0 ? `: ${near.join(', ')}` : ''}.`
      )}
    </p>
  );
}

interface JacketGaugeProps {
  /** Where it begins, mm. */
  readonly startMm: number;
  readonly onPick: (mm: number) => void;
  readonly onClose: () => void;
}

/** A calliper on the screen: the bar is made as thick as the jacket that lies on it; the seal that takes it is said. */
export function JacketGauge({ startMm, onPick, onClose }: JacketGaugeProps) {
  const [mm, setMm] = useState(() => held(startMm));
  const by = (step: number) => () => setMm(held(mm + step));
  return (
    <GaugeDialog
      title="How thick is the jacket?"
      about="True size. Lay the wire on the bar, and make the bar just as thick."
      onClose={onClose}
    >
      {(pxPerMm) => (
        <>
          <div className="grid min-h-20 items-center border-y border-rule py-3">
            <TrueShape drawn="thickness" px={mm * pxPerMm} colour="var(--ink)" />
          </div>
          <div className="grid grid-cols-[auto_1fr_auto] items-center gap-3">
            <Button aria-label="Thinner" onClick={by(-STEP_MM)}>
              −
            </Button>
            <input
              type="range"
              aria-label="Thickness of the bar"
              min={LEAST_MM}
              max={MOST_MM}
              step={STEP_MM}
              value={mm}
              onChange={(event) => setMm(held(Number(event.target.value)))}
              className="h-11 accent-(--copper)"
            />
            <Button aria-label="Thicker" onClick={by(STEP_MM)}>
              +
            </Button>
          </div>
          <p className="text-2xl">
            <b className="figure">{figure(mm, 2)}</b> mm
          </p>
          <SealWords mm={mm} />
          <Button look="copper" onClick={() => onPick(Number(mm.toFixed(2)))}>
            Take {figure(mm, 2)} mm
          </Button>
        </>
      )}
    </GaugeDialog>
  );
}
