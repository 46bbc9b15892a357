import type { JacketRange, TerminalPart, WireSealPart } from '../stock/index.ts';
import type { WireFacts } from '../wire/index.ts';
import { byPreference, holds, RANGE_TOLERANCE } from './barrel.ts';

/** Beyond its strip, a new terminal takes this much of the tail, mm. */
export const TERMINAL_EXTRA_MM = 2;

/** Whether a jacket lies in what a part takes, with 2 % of tolerance at both limits. */
export const takesJacket = (range: JacketRange, jacketMm: number): boolean =>
  jacketMm >= range.minMm * (1 - RANGE_TOLERANCE) - 1e-12 && jacketMm <= range.maxMm * (1 + RANGE_TOLERANCE) + 1e-12;

/**
 * The terminals of a family that hold the wire's copper and whose jacket crimp grips its jacket, best first: lowest
 * upper limit, more in stock.
 */
export const terminalFits = (
  parts: readonly TerminalPart[],
  family: TerminalPart['family'],
  wire: WireFacts,
): readonly TerminalPart[] =>
  parts
    .filter(
      (part) =>
        part.family === family &&
        holds(part.range, wire.areaMm2) &&
        (part.jacketMm === undefined || takesJacket(part.jacketMm, wire.jacketMm)),
    )
    .sort(byPreference((part) => ({ upperLimitMm2: part.range.maxMm2, diameterMm: 0, lengthMm: part.stripMm })));

/** The wire seals that take a jacket, the smaller first. */
export const wireSealFits = (parts: readonly WireSealPart[], jacketMm: number): readonly WireSealPart[] =>
  parts
    .filter((part) => takesJacket(part.jacketMm, jacketMm))
    .sort(byPreference((part) => ({ upperLimitMm2: part.jacketMm.maxMm, diameterMm: 0, lengthMm: 0 })));

/** The wire seal that takes a jacket; the smaller of two that do. */
export const fitWireSeal = (parts: readonly WireSealPart[], jacketMm: number): WireSealPart | undefined =>
  wireSealFits(parts, jacketMm)[0];

/** What a new terminal takes of its tail: its strip, 2 mm, and what is lost; mm. */
export const newTerminalTakesMm = (stripMm: number, lostMm: number): number => stripMm + TERMINAL_EXTRA_MM + lostMm;
