import { useState, type PointerEvent } from 'react';

/** A stretch being marked on one line; mm along the run. */
export interface Marking {
  readonly rowIndex: number;
  readonly startMm: number;
  readonly endMm: number;
}

interface RunPointer {
  readonly cursorMm: number | undefined;
  readonly marking: Marking | undefined;
  readonly handlers: {
    readonly onPointerDown: (event: PointerEvent<SVGRectElement>) => void;
    readonly onPointerMove: (event: PointerEvent<SVGRectElement>) => void;
    readonly onPointerUp: (event: PointerEvent<SVGRectElement>) => void;
    readonly onPointerCancel: () => void;
    readonly onPointerLeave: () => void;
  };
}

/** Cursor, and marking by drag or tap. A drag that is cancelled marks nothing. */
export function useRunPointer(
  toMm: (clientX: number) => number,
  rowAt: (clientY: number) => number,
  onMarked: ((marking: Marking) => void) | undefined,
  onCursor: ((atMm: number) => void) | undefined,
): RunPointer {
  const [cursorMm, setCursorMm] = useState<number>();
  const [marking, setMarking] = useState<Marking>();
  const moveTo = (atMm: number): void => {
    setCursorMm(atMm);
    onCursor?.(atMm);
  };
  return {
    cursorMm,
    marking,
    handlers: {
      onPointerDown: (event) => {
        moveTo(toMm(event.clientX));
        if (!onMarked || event.button !== 0) return;
        event.currentTarget.setPointerCapture(event.pointerId);
        const at = toMm(event.clientX);
        setMarking({ rowIndex: rowAt(event.clientY), startMm: at, endMm: at });
      },
      onPointerMove: (event) => {
        const at = toMm(event.clientX);
        moveTo(at);
        setMarking((now) => now && { ...now, endMm: at });
      },
      onPointerUp: (event) => {
        if (marking) onMarked?.({ ...marking, endMm: toMm(event.clientX) });
        setMarking(undefined);
      },
      onPointerCancel: () => setMarking(undefined),
      onPointerLeave: () => setMarking(undefined),
    },
  };
}
