import { useState } from 'react';
import { FACE_SIDES, LATCH_DIRECTIONS, type FaceView } from '@mendum/core/connector';
import { keep, recall } from '../app/kept.ts';

/** Where this device keeps how each connector was held last. */
const KEY = 'mendum.faceViews';
/** Connectors of which that is kept, the newest. */
const MOST = 100;
const FIRST: FaceView = { side: 'wire', latch: 'up' };

const views = (): Readonly<Record<string, unknown>> => {
  const kept = recall(KEY);
  return typeof kept === 'object' && kept !== null && !Array.isArray(kept) ? (kept as Record<string, unknown>) : {};
};
const isView = (value: unknown): value is FaceView =>
  typeof value === 'object' &&
  value !== null &&
  FACE_SIDES.some((side) => 'side' in value && value.side === side) &&
  LATCH_DIRECTIONS.some((latch) => 'latch' in value && value.latch === latch);

/** How a connector is held: as it was last, on this device. */
export function useKeptView(connector: string): readonly [FaceView, (view: FaceView) => void] {
  const [view, setView] = useState<FaceView>(() => {
    const kept = views()[connector];
    return isView(kept) ? { side: kept.side, latch: kept.latch } : FIRST;
  });
  const hold = (next: FaceView): void => {
    setView(next);
    const others = Object.entries(views()).filter(([of]) => of !== connector);
    keep(KEY, { ...Object.fromEntries(others.slice(1 - MOST)), [connector]: next });
  };
  return [view, hold];
}
