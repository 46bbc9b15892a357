import { useLayoutEffect, useRef, type RefObject } from 'react';
import { useGesture } from '@use-gesture/react';
import { isWhole, movedBy, zoomed, type Shown } from './shown.ts';

/** A turn of the wheel by this much makes the view twice as wide, px. */
const WHEEL_PX = 400;
/** A drag begins after this much, px: a tap is none. */
const DRAG_PX = 4;

interface RunGestures {
  /** The drawing with its ruler: what is done on it is done to the view. */
  readonly target: RefObject<HTMLElement | null>;
  readonly shown: Shown;
  readonly wholeMm: number;
  /** Place on the run under a point of the screen. */
  readonly mmAt: (clientX: number) => number;
  /** Px of the screen in a mm. */
  readonly pxPerMm: number;
  /** Whether nothing is taken there, so that a drag moves the view. */
  readonly isFree: (clientX: number, clientY: number) => boolean;
  readonly onShow: (shown: Shown) => void;
}

const isOnRuler = (target: EventTarget | null): boolean =>
  target instanceof Element && target.closest('[data-wheel]') !== null;

/**
 * The view by hand: two fingers, or the wheel with Ctrl, make it closer or wider round where they are; on the ruler and
 * the profile the wheel alone does, elsewhere it scrolls the page. What is not the whole run is moved by a drag, or
 * sideways by the wheel.
 */
export function useRunGestures({ target, shown, wholeMm, mmAt, pxPerMm, isFree, onShow }: RunGestures): void {
  // Events come faster than the drawing follows: each goes on from the one before.
  const latest = useRef(shown);
  useLayoutEffect(() => {
    latest.current = shown;
  }, [shown]);
  const show = (next: Shown): void => {
    latest.current = next;
    onShow(next);
  };
  useGesture(
    {
      onPinch: ({ origin: [clientX], offset: [scale], delta: [byScale], memo, first, event }) => {
        if (event.cancelable) event.preventDefault();
        const from =
          first || memo === undefined
            ? { shown: latest.current, scale: scale - byScale, atMm: mmAt(clientX) }
            : (memo as Pinched);
        show(zoomed(from.shown, from.scale / scale, wholeMm, from.atMm));
        return from;
      },
      onWheel: ({ event, delta: [acrossPx, downPx] }) => {
        if (event.ctrlKey || event.metaKey) return;
        if (isOnRuler(event.target) && downPx !== 0) {
          event.preventDefault();
          show(zoomed(latest.current, 2 ** (downPx / WHEEL_PX), wholeMm, mmAt(event.clientX)));
        } else if (acrossPx !== 0 && !isWhole(latest.current, wholeMm)) {
          event.preventDefault();
          show(movedBy(latest.current, acrossPx / pxPerMm, wholeMm));
        }
      },
      onDrag: ({ first, initial: [clientX, clientY], delta: [acrossPx], cancel, pinching, touches }) => {
        // Two fingers do one thing; the wheel, just before, is none of them.
        if ((pinching && touches > 1) || isWhole(latest.current, wholeMm) || (first && !isFree(clientX, clientY)))
          cancel();
        else if (acrossPx !== 0) show(movedBy(latest.current, -acrossPx / pxPerMm, wholeMm));
      },
    },
    {
      target,
      eventOptions: { passive: false },
      drag: { threshold: DRAG_PX, filterTaps: true },
      pinch: { modifierKey: ['ctrlKey', 'metaKey'] },
    },
  );
}

/** Where a pinch began. */
interface Pinched {
  readonly shown: Shown;
  readonly scale: number;
  readonly atMm: number;
}
