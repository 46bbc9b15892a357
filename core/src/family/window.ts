import type { WireFacts } from '../wire/index.ts';
import type { Sizing, SizingRequest } from './sizing.ts';

/** The main wire and the wires that are joined to it. */
export function mainAndTaps({
  wires,
  duty,
}: SizingRequest): { readonly main: WireFacts; readonly taps: readonly WireFacts[] } | undefined {
  const [main] = wires.left;
  return duty === 'add' && main ? { main, taps: wires.right.slice(1) } : undefined;
}

/** What a method on a bared window says where wires are to be rejoined. */
export const CANNOT_REJOIN: Sizing = {
  ok: false,
  lacks: 'duty',
  because: 'A window is bared on a whole wire to join another to it; it cannot rejoin a parted one.',
};
