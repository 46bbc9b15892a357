import type { Finding, Stretch } from '../damage/index.ts';
import type { Harness } from '../harness/index.ts';
import { applyEdits } from './edit.ts';
import { EditRefused, type HarnessEdit } from './types.ts';

/** A stretch of one circuit's wire, mm from its run's start. */
export interface WirePlace extends Stretch {
  readonly circuitId: string;
  readonly runId: string;
}

/** Where a stretch of wire lies after edits, as a finding there would; nothing where an edit leaves no place for it. */
function after(harness: Harness, edits: readonly HarnessEdit[], place: WirePlace): WirePlace | undefined {
  const mark: Finding = { ...place, id: 'mark', kind: 'parted', cutBackLeftMm: 0, cutBackRightMm: 0 };
  try {
    const [moved] = applyEdits({ harness, findings: [mark] }, edits).findings;
    return moved && { circuitId: moved.circuitId, runId: moved.runId, fromMm: moved.fromMm, toMm: moved.toMm };
  } catch (error) {
    if (error instanceof EditRefused) return undefined;
    throw error;
  }
}

/**
 * Where something that is on a wire lies once a harness has been edited. What a new node would part lies where its
 * middle is. Nothing: its wire or its run is gone.
 */
export function alongWith(harness: Harness, edits: readonly HarnessEdit[], place: WirePlace): WirePlace | undefined {
  const whole = after(harness, edits, place);
  if (whole) return whole;
  const middleMm = (place.fromMm + place.toMm) / 2;
  const middle = after(harness, edits, { ...place, fromMm: middleMm, toMm: middleMm });
  const half = (place.toMm - place.fromMm) / 2;
  return middle && { ...middle, fromMm: middle.fromMm - half, toMm: middle.toMm + half };
}
