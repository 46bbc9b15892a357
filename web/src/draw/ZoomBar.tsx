import { ChevronLeft, ChevronRight, Maximize2, ZoomIn, ZoomOut } from 'lucide-react';

/** The part of a run that is shown; mm. */
export interface Shown {
  readonly fromMm: number;
  readonly toMm: number;
}

const LEAST_MM = 60;

/** The shown part, narrowed or widened round its middle by a factor, within the run. */
export function zoomed(shown: Shown, factor: number, wholeMm: number): Shown {
  const wide = Math.min(wholeMm, Math.max(Math.min(LEAST_MM, wholeMm), (shown.toMm - shown.fromMm) * factor));
  const middle = (shown.fromMm + shown.toMm) / 2;
  const fromMm = Math.min(wholeMm - wide, Math.max(0, middle - wide / 2));
  return { fromMm, toMm: fromMm + wide };
}

/** The shown part moved by a share of its width, within the run. */
export function panned(shown: Shown, share: number, wholeMm: number): Shown {
  const wide = shown.toMm - shown.fromMm;
  const fromMm = Math.min(wholeMm - wide, Math.max(0, shown.fromMm + share * wide));
  return { fromMm, toMm: fromMm + wide };
}

const KEY =
  'inline-flex size-11 items-center justify-center rounded-sm hover:bg-wash disabled:text-rule disabled:hover:bg-transparent';

export function ZoomBar({
  shown,
  wholeMm,
  onShow,
}: {
  readonly shown: Shown;
  readonly wholeMm: number;
  readonly onShow: (shown: Shown) => void;
}) {
  const whole = shown.toMm - shown.fromMm >= wholeMm - 0.5;
  return (
    <div className="no-print flex justify-end" role="group" aria-label="Zoom">
      {whole ? null : (
        <>
          <button
            type="button"
            className={KEY}
            aria-label="Towards the start"
            disabled={shown.fromMm <= 0}
            onClick={() => onShow(panned(shown, -0.4, wholeMm))}
          >
            <ChevronLeft aria-hidden />
          </button>
          <button
            type="button"
            className={KEY}
            aria-label="Towards the end"
            disabled={shown.toMm >= wholeMm}
            onClick={() => onShow(panned(shown, 0.4, wholeMm))}
          >
            <ChevronRight aria-hidden />
          </button>
          <button
            type="button"
            className={KEY}
            aria-label="Whole run"
            onClick={() => onShow({ fromMm: 0, toMm: wholeMm })}
          >
            <Maximize2 aria-hidden size={20} />
          </button>
        </>
      )}
      <button
        type="button"
        className={KEY}
        aria-label="Wider view"
        disabled={whole}
        onClick={() => onShow(zoomed(shown, 2, wholeMm))}
      >
        <ZoomOut aria-hidden size={20} />
      </button>
      <button
        type="button"
        className={KEY}
        aria-label="Closer view"
        disabled={shown.toMm - shown.fromMm <= LEAST_MM}
        onClick={() => onShow(zoomed(shown, 0.5, wholeMm))}
      >
        <ZoomIn aria-hidden size={20} />
      </button>
    </div>
  );
}
