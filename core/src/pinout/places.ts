import type { CellOutcome, PlaceKind } from './types.ts';
import { bad } from './cells.ts';

/** A cavity as it may be called: 4, A12, 12b, B, 3.1. */
const CAVITY =
  /^(?:(?:pin|cav(?:ity)?|pos(?:ition)?|terminal|way|kammer|kontakt)\.?\s*#?\s*)?(?:[A-Za-z]{1,2}|[A-Za-z]{0,2}[-.]?\d{1,3}[A-Za-z]?)$/i;

/** Whether a cell may be the name of a cavity. */
export const isCavityLike = (text: string): boolean =>
  text.trim() !== '' && CAVITY.test(text.trim().replace(/\.0+$/, ''));

/** A splice takes several wires. */
const SPLICE =
  /^(?:(?:splice|spleiss|spleiß|joint) )?(?:sp|spl|splice|spleiss|spleiß|s|joint|löt|verbinder)[-_. ]?\d{1,4}[a-z]?$/i;
/** Other places that are no cavities and take several wires: a ground, a stud, a fuse. */
const PLACES: readonly RegExp[] = [
  /^(?:g|gnd|ground|grd|masse|massepunkt|earth|chassis|mp)[-_. ]?\d{0,4}[a-z]?$/i,
  // By where it is: frame ground, engine gnd 3.
  /^(?:chassis|body|frame|engine|battery|cab) (?:gnd|ground|grd|masse|earth)(?: point)?[-_. ]?\d{0,4}[a-z]?$/i,
  // By its kind and its name: Masse G7, ground point GND2.
  /^(?:ground|gnd|masse|massepunkt|earth)(?: point)? (?:g|gnd|grd|mp|m)?[-_. ]?\d{1,4}[a-z]?$/i,
  /^(?:(?:frame|battery|ground|main|power|m\d{1,2}) )?(?:stud|bolt|bolzen)[-_. ]?\w{0,4}$/i,
  /^(?:(?:fuse|sicherung) )?(?:f|fuse|si|sicherung)[-_. ]?\d{1,3}[a-z]?$/i,
];
/** An end that is at nothing: of one wire. */
const CUT =
  /^(?:open|open end|cut|cut off|cut end|loose|loose end|free end|blunt|blunt cut|offen|offenes ende|abgeschnitten|freies ende)[-_. ]?\d{0,3}$/i;

/** What an end without a cavity is: a splice or another place of several wires, a cut end of one, or nobody knows. */
export function placeKind(text: string): 'splice' | 'place' | 'cut' | undefined {
  const plain = text.trim();
  if (CUT.test(plain)) return 'cut';
  if (SPLICE.test(plain)) return 'splice';
  return PLACES.some((form) => form.test(plain)) ? 'place' : undefined;
}

/** What the cell of a place says that it is; nothing where no such word is known. */
export function readPlaceKind(text: string): PlaceKind | undefined {
  const plain = text.trim();
  if (/^(?:connector|conn\.?|plug|housing|stecker|steckverbinder|gehäuse)$/i.test(plain)) return 'connector';
  if (/^(?:splice|joint|spleiß|spleiss|verbinder|lötstelle)$/i.test(plain)) return 'splice';
  return /^(?:end|open end|ground|stud|fuse|place|masse|ende|bolzen|sicherung)$/i.test(plain) ? 'end' : undefined;
}

/**
 * Connector and cavity in one cell: X31-4, X31/4, X31:4, X31.4, X31(4), "X31 pin 4", "pin 4 of X31". The last piece is
 * the cavity.
 */
export function readEnd(text: string): CellOutcome<{ readonly connector: string; readonly cavity: string }> {
  const plain = text.trim().replace(/\s+/g, ' ');
  const turned = /^(?:pin|cav(?:ity)?|kammer|pos)\.?\s*#?(\w{1,4}) (?:of|at|in|an|on) (.+)$/i.exec(plain);
  if (turned?.[1] !== undefined && turned[2] !== undefined)
    return { ok: true, value: { connector: turned[2], cavity: turned[1] } };
  const bracketed = /^(.+?)\s*[([](?:pin |cav |kammer )?([A-Za-z]{0,2}\d{1,3}[A-Za-z]?)[)\]]$/i.exec(plain);
  const match =
    bracketed ??
    /^(.+?)\s*(?:[-/:.,]|\s(?:pin|cav(?:ity)?|pos|kammer|kontakt|#)\.?\s*|\s)\s*([A-Za-z]{0,2}\d{1,3}[A-Za-z]?|[A-Za-z]{1,2})$/i.exec(
      plain,
    );
  const [, connector, cavity] = match ?? [];
  return connector === undefined || cavity === undefined || cavity === ''
    ? bad(`“${text}” does not name connector and cavity.`, 'Write it as X31-4.')
    : { ok: true, value: { connector: connector.replace(/[,;:]$/, '').trim(), cavity } };
}
