import { ChevronLeft, ChevronRight, Maximize2, ZoomIn, ZoomOut } from 'lucide-react';
import { isWhole, LEAST_MM, panned, zoomed, type Shown } from './shown.ts';

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
  const whole = isWhole(shown, wholeMm);
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
