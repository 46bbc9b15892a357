import type { Circuit } from '../harness/index.ts';
import { areaMm2 } from '../wire/index.ts';
import { bad, saysNothing, SAYS_NO } from './cells.ts';
import { readSize } from './sizes.ts';
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
const YES = /^(?:yes|y|x|ja|j|true|1|[✓✔●•]|shield(?:ed)?|screen(?:ed)?|geschirmt|schirm|abgeschirmt)$/i;
/** A shield by its name: which one, and nothing of its drain. */
const NAMED = /^(?:sh|scr|s|shield|screen|schirm)[-_. ]?\d{1,3}[a-z]?$/i;

/** What the cell of a shield says. */
export interface ShieldSaid {
  readonly shield?: Circuit['shield'];
  /** Its name, where it is said by that. */
  readonly name?: string | undefined;
}

/**
 * The cell of a shield: none, a shield, its name, or its drain's copper ("drain 0.5 mm²", "20 AWG"). Nothing where the
 * cell is blank.
 */
export function readShield(text: string | undefined): CellOutcome<ShieldSaid> | undefined {
  if (text === undefined) return undefined;
  if (SAYS_NO.test(text)) return { ok: true, value: {} };
  if (saysNothing(text)) return undefined;
  if (YES.test(text)) return { ok: true, value: { shield: {} } };
  if (NAMED.test(text)) return { ok: true, value: { shield: {}, name: text } };
  const drain = readSize(text.replace(/^(?:drain|beilauf|shield|screen|schirm)[a-z]*\s*:?\s*/i, ''), 'metric');
  const drainMm2 = drain.ok === true ? areaMm2(drain.value) : 0;
  return drainMm2 >= DRAIN.least && drainMm2 <= DRAIN.most
    ? { ok: true, value: { shield: { drainMm2 } } }
    : bad(
        `“${text}” does not say whether the wire lies in a shield.`,
        `Write yes, none, or the copper of its drain, ${DRAIN.least} to ${DRAIN.most} mm².`,
      );
}
