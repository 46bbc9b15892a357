import { describe, expect, it } from 'vitest';
import { asked, circuits, clean, EMPTY, outcomes, read } from './sheets.ts';

/** A sheet, what is asked of it, and what it comes to once that is answered. */
export interface SheetCase {
  readonly sheet: string;
  /** What is asked before anything is answered; questions about the far end come once other answers are there. */
  readonly asks: readonly string[];
  readonly answers: Readonly<Record<string, string>>;
  /** What becomes of each line. */
  readonly lines: readonly string[];
  readonly circuits: readonly string[];
}
export const H = 'leftOut';
export const C = 'circuit';

/** Reads each sheet as it is, and with its answers. */
export function readAll(what: string, cases: Readonly<Record<string, SheetCase>>): void {
  describe(what, () => {
    it.each(Object.entries(cases))('%s', (_name, of) => {
      const counts = (key: string): boolean => key in of.answers || !key.startsWith('to');
      expect(asked(read(of.sheet, {}, EMPTY)).filter(counts)).toEqual(of.asks.filter(counts));
      const reading = clean(read(of.sheet, { answers: of.answers }, EMPTY));
      expect(outcomes(reading)).toEqual(of.lines);
      expect(circuits(reading)).toEqual(of.circuits);
    });
  });
}
