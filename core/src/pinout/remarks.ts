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
