import type { RefObject } from 'react';
import { useGesture } from '@use-gesture/react';
import { isWhole, panned, zoomed, type Shown } from './shown.ts';

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
  /** How wide what is shown is drawn, px of the screen. */
  readonly widePx: number;
  /** Whether nothing is taken there, so that a drag moves the view. */
  readonly isFree: (clientX: number, clientY: number) => boolean;
  /** Events come faster than the drawing follows: each says what it does to the view that the one before it left. */
  readonly onShow: (change: (now: Shown) => Shown) => void;
}

const isOnRuler = (target: EventTarget | null): boolean =>
  target instanceof Element && target.closest('[data-wheel]') !== null;

/**
 * The view by hand: two fingers, or the wheel with Ctrl, make it closer or wider round where they are; on the ruler and
 * the profile the wheel alone does, elsewhere it scrolls the page. What is not the whole run is moved by a drag, or
 * sideways by the wheel.
 */
export function useRunGestures({ target, shown, wholeMm, mmAt, widePx, isFree, onShow }: RunGestures): void {
  const zoomRound = (clientX: number, factor: number): void => {
    const share = (mmAt(clientX) - shown.fromMm) / (shown.toMm - shown.fromMm);
    onShow((now) => zoomed(now, factor, wholeMm, now.fromMm + share * (now.toMm - now.fromMm)));
  };
  const moveBy = (acrossPx: number): void => onShow((now) => panned(now, acrossPx / widePx, wholeMm));
  useGesture(
    {
      onPinch: ({ origin: [clientX], offset: [scale], delta: [byScale], event }) => {
        if (event.cancelable) event.preventDefault();
        zoomRound(clientX, (scale - byScale) / scale);
      },
      onWheel: ({ event, delta: [acrossPx, downPx] }) => {
        if (event.ctrlKey || event.metaKey) return;
        if (isOnRuler(event.target) && downPx !== 0) {
          event.preventDefault();
          zoomRound(event.clientX, 2 ** (downPx / WHEEL_PX));
        } else if (acrossPx !== 0 && !isWhole(shown, wholeMm)) {
          event.preventDefault();
          moveBy(acrossPx);
        }
      },
      onDrag: ({ first, initial: [clientX, clientY], delta: [acrossPx], cancel, pinching, touches }) => {
        // Two fingers do one thing; the wheel, just before, is none of them.
        if ((pinching && touches > 1) || isWhole(shown, wholeMm) || (first && !isFree(clientX, clientY))) cancel();
        else if (acrossPx !== 0) moveBy(-acrossPx);
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
