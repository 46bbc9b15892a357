import type { Circuit } from '../harness/index.ts';
import { bad, readNumber, saysNothing, SAYS_NO } from './cells.ts';
import type { CellOutcome } from './types.ts';

/** What a remark says of a wire, and what of it is not taken. */
export interface RemarkSaid {
  /** The number of the other wire of its pair. */
  readonly pair?: string | undefined;
  readonly isShielded: boolean;
  /** Nothing is taken from it. */
  readonly isNotTaken: boolean;
}

const PAIR =
  /\b(?:twist(?:ed)?(?: pair)?|pair(?:ed)?|tw\.? ?p|verdrillt|verseilt|paar)\b\s*(?:\([^)]*\)\s*)?(?:with|to|w\/|mit|and|und|:)?\s*(?:circuits?|wires?|ckt|ltg\.?|leitung|ader|no\.?|nr\.?|#)?\s*([A-Za-z]{0,3}-?\d+[A-Za-z]?)\b/i;
const SHIELD = /\b(?:shield(?:ed)?|screen(?:ed)?|geschirmt|schirm|abgeschirmt)\b/i;
const NOT_SHIELDED = /\b(?:un|not |no |without |un-)(?:shield|screen)|\b(?:ungeschirmt|ohne schirm|nicht geschirmt)/i;

/** Reads a remark for a pair and a shield; everything else in it is shown as not taken. */
export function readRemark(text: string): RemarkSaid {
  const pair = PAIR.exec(text)?.[1];
  const isShielded = SHIELD.test(text) && !NOT_SHIELDED.test(text);
  return { pair, isShielded, isNotTaken: text !== '' && pair === undefined && !isShielded };
}

/** Copper of a drain, mm². */
const DRAIN = { least: 0.05, most: 120 };

/**
 * The cell of a shield: none, a shield, or one with its drain's copper ("drain 0.5 mm²"). Nothing where the cell is
 * blank.
 */
export function readShield(text: string | undefined): CellOutcome<Pick<Circuit, 'shield'>> | undefined {
  if (text === undefined) return undefined;
  if (SAYS_NO.test(text)) return { ok: true, value: {} };
  if (saysNothing(text)) return undefined;
  if (/^(?:yes|y|x|ja|j|true|1|shield(?:ed)?|screen(?:ed)?|geschirmt|schirm|abgeschirmt)$/i.test(text))
    return { ok: true, value: { shield: {} } };
  const drainMm2 = readNumber(
    text.replace(/^(?:drain|beilauf|shield|screen|schirm)\w*\s*:?/i, '').replace(/\s*(?:mm²|mm2|sq|qmm)$/i, ''),
  );
  return drainMm2 !== undefined && drainMm2 >= DRAIN.least && drainMm2 <= DRAIN.most
    ? { ok: true, value: { shield: { drainMm2 } } }
    : bad(
        `“${text}” does not say whether the wire lies in a shield.`,
        `Write yes, none, or the copper of its drain, ${DRAIN.least} to ${DRAIN.most} mm².`,
      );
}
