import type { Make } from '../plan/index.ts';
import { mishapAsks, mishapInWords, mishapsOf } from './kinds.ts';
import type { MishapProblem, MishapSaid } from './types.ts';

/** What has to be said differently before a mishap's cost can be worked out; nothing when all is said. */
export function checkMishap(make: Make, { kind, side, mm }: MishapSaid): MishapProblem | undefined {
  const kinds = mishapsOf(make);
  if (!kinds.includes(kind))
    return {
      field: 'kind',
      message: `“${mishapInWords(kind)}” cannot happen to this piece of work.`,
      hint: `What can: ${kinds.map((one) => mishapInWords(one).toLowerCase()).join('; ')}.`,
    };
  const asks = mishapAsks(make, kind);
  if (asks.side !== 'none' && side === undefined)
    return {
      field: 'side',
      message: 'Nobody has said which end it is.',
      hint:
        asks.side === 'one' ? 'Say left or right, as the run counts.' : 'Say left, right or both, as the run counts.',
    };
  if (asks.side === 'one' && side === 'both')
    return {
      field: 'side',
      message: `“${mishapInWords(kind)}” is said of one end at a time.`,
      hint: 'Say it of the left end, then of the right one.',
    };
  if (asks.mm && mm === undefined)
    return {
      field: 'mm',
      message: 'Nobody has said how much of the wire is gone.',
      hint: 'Measure it from where the jacket begins.',
    };
  return undefined;
}
