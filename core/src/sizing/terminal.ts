import type { JacketRange, PigtailPart, TerminalPart, WireSealPart } from '../catalogue/index.ts';
import type { WireFacts } from '../wire/index.ts';
import { holds, RANGE_TOLERANCE } from './barrel.ts';

/** Beyond its strip, a new terminal takes this much of the tail, mm. */
export const TERMINAL_EXTRA_MM = 2;

/** Whether a jacket lies in what a part takes, with 2 % of tolerance at both limits. */
export const takesJacket = (range: JacketRange, jacketMm: number): boolean =>
  jacketMm >= range.minMm * (1 - RANGE_TOLERANCE) - 1e-12 && jacketMm <= range.maxMm * (1 + RANGE_TOLERANCE) + 1e-12;

/** The terminal of a family that holds the wire's copper and whose jacket crimp grips its jacket; the lowest upper limit goes first. */
export const fitTerminal = (
  parts: readonly TerminalPart[],
  family: TerminalPart['family'],
  wire: WireFacts,
): TerminalPart | undefined =>
  parts
    .filter(
      (part) =>
        part.family === family &&
        holds(part.range, wire.areaMm2) &&
        (part.jacketMm === undefined || takesJacket(part.jacketMm, wire.jacketMm)),
    )
    .sort((a, b) => a.range.maxMm2 - b.range.maxMm2)[0];

/** The wire seal that takes a jacket; the smaller of two that do. */
export const fitWireSeal = (parts: readonly WireSealPart[], jacketMm: number): WireSealPart | undefined =>
  parts.filter((part) => takesJacket(part.jacketMm, jacketMm)).sort((a, b) => a.jacketMm.maxMm - b.jacketMm.maxMm)[0];

/** The pigtail with the connector's ways, or enough for its wires where they are not known, and no wire smaller than 0.95 of the circuit's copper; the least copper, then the fewest ways. */
export const fitPigtail = (
  parts: readonly PigtailPart[],
  ways: number | undefined,
  wires: number,
  areaMm2: number,
): PigtailPart | undefined =>
  parts
    .filter(
      (part) =>
        (ways === undefined ? part.ways >= wires : part.ways === ways) && part.areaMm2 >= 0.95 * areaMm2 - 1e-12,
    )
    .sort((a, b) => a.areaMm2 - b.areaMm2 || a.ways - b.ways)[0];

/** What a new terminal takes of its tail: its strip, 2 mm, and what is lost; mm. */
export const newTerminalTakesMm = (stripMm: number, lostMm: number): number => stripMm + TERMINAL_EXTRA_MM + lostMm;
