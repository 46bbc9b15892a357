import { useLayoutEffect, useRef, useState, type RefObject } from 'react';

/** The size of text, px, at which a drawing is one px a unit. */
const USUAL_TEXT_PX = 16;

/** How much larger than usual the text of the browser is. */
function textGrown(): number {
  const px = Number.parseFloat(getComputedStyle(document.documentElement).fontSize);
  return Number.isFinite(px) && px > 0 ? px / USUAL_TEXT_PX : 1;
}

/** What a drawing has to fill. */
export interface Room {
  /** Width in units of the drawing: px at the usual size of text. */
  readonly width: number;
  /** Px in a unit: 1 at the usual size of text, 2 where the browser's text is twice as large. */
  readonly grown: number;
}

/** The room that an element has for a drawing, kept up to date. */
export function useRoom<T extends HTMLElement>(first = 960): readonly [RefObject<T | null>, Room] {
  const ref = useRef<T>(null);
  const [room, setRoom] = useState<Room>({ width: first, grown: 1 });
  useLayoutEffect(() => {
    const element = ref.current;
    if (!element) return undefined;
    const measure = (): void => {
      const grown = textGrown();
      const { width: px } = element.getBoundingClientRect();
      setRoom((now) => {
        const width = px > 0 ? px / grown : now.width;
        return width === now.width && grown === now.grown ? now : { width, grown };
      });
    };
    measure();
    const observer = new ResizeObserver(measure);
    observer.observe(element);
    // Where the browser's text grows, the page does.
    observer.observe(document.documentElement);
    return () => observer.disconnect();
  }, []);
  return [ref, room];
}
