import { readColour } from '../wire/index.ts';
import { readSize } from './sizes.ts';

const SIZE = String.raw`(?:AWG\s*)?#?\d+(?:[.,/]\d+)?\s*(?:mm\s*[²2]|mm\^2|sq\.?|qmm|awg|ga(?:uge)?\.?|mm)?`;
const SIZE_LAST = new RegExp(`^(.*?[^\\s\\d])[\\s,;/(-]+(${SIZE})\\)?$`, 'i');
const SIZE_FIRST = new RegExp(`^(${SIZE})[\\s,;/-]+(\\D.*)$`, 'i');

/** Colour and size out of one cell: "red 2.5", "2.5 RD/BK", "0,75 mm² sw", "BLK (16 AWG)"; nothing where it is not both. */
export function splitWire(text: string): { readonly colour: string; readonly size: string } | undefined {
  const plain = text.trim().replace(/\s+/g, ' ');
  const last = SIZE_LAST.exec(plain);
  const first = SIZE_FIRST.exec(plain);
  const [colour, size] = last ? [last[1], last[2]] : first ? [first[2], first[1]] : [];
  if (colour === undefined || size === undefined) return undefined;
  if (readSize(size).ok === false || readColour(colour).kind === 'unread') return undefined;
  return { colour: colour.trim(), size: size.trim() };
}
