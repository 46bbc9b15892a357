import { useCallback, useRef, useState, type PointerEvent, type RefObject } from 'react';
import type { EarlierRepair } from '@mendum/core/damage';
import type { SpliceSide } from '@mendum/core/layout';
import type { SplicePlan } from '@mendum/core/plan';
import type { Room } from '../../draw/useRoom.ts';
import type { RunScale } from '../../draw/useRunScale.ts';
import type { Shown } from '../../draw/shown.ts';
import type { BoardActs } from './SpliceHandle.tsx';

/** A finger finds a splice this far beside its middle, px. */
const REACH_PX = 24;
/** And an earlier repair beside its edge, px. */
const EARLIER_REACH_PX = 12;
/** Within so many pixels a splice snaps to the wanted distance. */
const SNAP_PX = 7;

interface HeldMove {
  readonly findingId: string;
  readonly side: SpliceSide;
  /** From the pointer to the splice's centre when it was taken, mm. */
  readonly offsetMm: number;
  readonly moved: boolean;
}

interface SpliceDragProps {
  readonly surface: RefObject<SVGSVGElement | null>;
  readonly room: Room;
  readonly scale: RunScale;
  readonly shown: Shown;
  readonly runMm: number;
  /** Splices on the line that lies at a height of the drawing. */
  readonly splicesIn: (heightPx: number) => readonly SplicePlan[];
  /** Earlier repairs on that line: nobody moves them, a tap tells what they are. */
  readonly earlierIn: (heightPx: number) => readonly EarlierRepair[];
  /** Findings whose splices do not move. */
  readonly fixed: ReadonlySet<string>;
  readonly acts: BoardActs;
  readonly selectedId: string | undefined;
  readonly onSelect: (findingId: string) => void;
  readonly onCursor: (atMm: number) => void;
}

/** The pointer on the board: the cursor follows it, and a splice that is taken goes with it. */
export function useSpliceDrag({
  surface,
  room,
  scale: { x, plot },
  shown,
  runMm,
  splicesIn,
  earlierIn,
  fixed,
  acts,
  selectedId,
  onSelect,
  onCursor,
}: SpliceDragProps) {
  const [cursorMm, setCursorMm] = useState<number>();
  const [held, setHeld] = useState<HeldMove>();
  const [tapped, setTapped] = useState<EarlierRepair>();
  const frame = useRef<number>(undefined);
  const pressing = useRef(false);
  const pickedId = held?.findingId ?? selectedId;
  const onFocused = useCallback(
    (findingId: string): void => {
      if (pressing.current) return;
      setTapped(undefined);
      onSelect(findingId);
    },
    [onSelect],
  );
  const inRoom = (clientX: number, clientY: number): { readonly px: number; readonly py: number } => {
    const { left = 0, top = 0 } = surface.current?.getBoundingClientRect() ?? {};
    return { px: (clientX - left) / room.grown, py: (clientY - top) / room.grown };
  };
  const mmAt = (clientX: number): number => x.invert(inRoom(clientX, 0).px);
  const spliceAt = (clientX: number, clientY: number): SplicePlan | undefined => {
    const { px, py } = inRoom(clientX, clientY);
    const near = splicesIn(py)
      .map((splice) => ({
        splice,
        px: Math.max(0, Math.abs(x(splice.centreMm) - px) - (x(splice.toMm) - x(splice.fromMm)) / 2),
      }))
      .sort((a, b) => a.px - b.px)[0];
    return near && near.px <= REACH_PX ? near.splice : undefined;
  };
  const earlierAt = (clientX: number, clientY: number): EarlierRepair | undefined => {
    const { px, py } = inRoom(clientX, clientY);
    const beside = ({ fromMm, toMm }: EarlierRepair): number => Math.max(0, x(fromMm) - px, px - x(toMm));
    const [near] = [...earlierIn(py)].sort((a, b) => beside(a) - beside(b));
    return near && beside(near) <= EARLIER_REACH_PX ? near : undefined;
  };
  const end = (): void => {
    if (frame.current !== undefined) window.cancelAnimationFrame(frame.current);
    frame.current = undefined;
    setHeld(undefined);
  };
  const pointTo = (atMm: number): void => {
    const inRun = Math.round(Math.min(runMm, Math.max(0, atMm)));
    setCursorMm(inRun);
    onCursor(inRun);
  };
  const onPointerDown = (event: PointerEvent<SVGRectElement>): void => {
    if (!event.isPrimary) {
      // A second finger: they zoom, and what the first one took goes back.
      end();
      if (held?.moved) acts.cancel();
      return;
    }
    const splice = event.button === 0 ? spliceAt(event.clientX, event.clientY) : undefined;
    pointTo(mmAt(event.clientX));
    setTapped(splice ? undefined : earlierAt(event.clientX, event.clientY));
    if (!splice) return;
    // Picked for good when it is let go: the rest of the screen need not follow before.
    pressing.current = true;
    surface.current
      ?.querySelector<SVGGElement>(`[data-splice="${CSS.escape(splice.id)}"] .handle`)
      ?.focus({ preventScroll: true });
    pressing.current = false;
    if (fixed.has(splice.findingId)) {
      onSelect(splice.findingId);
      return;
    }
    event.currentTarget.setPointerCapture(event.pointerId);
    setHeld({
      findingId: splice.findingId,
      side: splice.side,
      offsetMm: splice.centreMm - mmAt(event.clientX),
      moved: false,
    });
  };
  const onPointerMove = (event: PointerEvent<SVGRectElement>): void => {
    const { clientX } = event;
    if (!event.isPrimary) return;
    if (!held) {
      pointTo(mmAt(clientX));
      return;
    }
    if (frame.current !== undefined) return;
    frame.current = window.requestAnimationFrame(() => {
      frame.current = undefined;
      const landed = acts.move(
        held.findingId,
        held.side,
        mmAt(clientX) + held.offsetMm,
        SNAP_PX / ((plot.right - plot.left) / (shown.toMm - shown.fromMm)),
      );
      if (landed !== undefined) pointTo(landed);
      setHeld((now) => now && { ...now, moved: true });
    });
  };
  const letGo = (): void => {
    end();
    if (held?.moved) acts.drop();
    if (held) onSelect(held.findingId);
  };
  return {
    cursorMm,
    held,
    pickedId,
    tapped,
    onFocused,
    mmAt,
    /** Whether no splice is there that a drag would take. */
    isFree: (clientX: number, clientY: number): boolean => spliceAt(clientX, clientY) === undefined,
    handlers: {
      onPointerDown,
      onPointerMove,
      onPointerUp: letGo,
      onPointerCancel: letGo,
      onPointerLeave: () => {
        if (!held) setCursorMm(undefined);
      },
    },
  };
}
