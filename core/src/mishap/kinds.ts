import { methodById } from '../family/index.ts';
import type { Make } from '../plan/index.ts';
import type { MishapKind } from '../step/index.ts';

/** What has to be said of a mishap before its cost is known. */
export interface MishapAsks {
  /** Nothing; one of its two sides; or those sides that it has come to, one or both. */
  readonly side: 'none' | 'one' | 'oneOrBoth';
  /** How much of the wire it has taken, mm. */
  readonly mm: boolean;
}

interface MishapFacts {
  readonly words: string;
  readonly asks: MishapAsks;
}

const facts = (words: string, side: MishapAsks['side'], mm = false): MishapFacts => ({ words, asks: { side, mm } });

const FACTS: Record<MishapKind, MishapFacts> = {
  strandNicked: facts('A strand is nicked or cut', 'one'),
  stripTooLong: facts('Stripped too long', 'one'),
  crimpOnRim: facts('Crimped on the rim of the barrel', 'oneOrBoth'),
  wrongNest: facts('Crimped in the wrong nest', 'oneOrBoth'),
  pinFolded: facts('The pin is folded', 'none'),
  sleeveForgotten: facts('The sleeve was forgotten', 'none'),
  jacketBurnt: facts('The jacket is burnt', 'one', true),
  jointFailed: facts('It failed a check', 'none'),
  other: facts('Something else', 'oneOrBoth', true),
};

/** What went wrong, as people say it. */
export const mishapInWords = (kind: MishapKind): string => FACTS[kind].words;

/** Whether this is a splice along the wire, and not a cover or work at a cavity. */
export const isSplice = (make: Make): make is Extract<Make, { readonly joint: unknown }> => 'joint' in make;
const isCavity = (make: Make): make is Extract<Make, { readonly work: unknown }> => 'work' in make;

/**
 * What has to be said of a mishap on this work: one end at a cavity has no two sides, and a wire that is cut through at
 * its window loses both.
 */
export function mishapAsks(make: Make, kind: MishapKind): MishapAsks {
  const { asks } = FACTS[kind];
  const hasSides = isSplice(make) && methodById(make.methodId).leavesWhole !== true;
  return hasSides ? asks : { ...asks, side: 'none' };
}

/** What can go wrong with a piece of work, in the order in which it is made. */
export function mishapsOf(make: Make): readonly MishapKind[] {
  const does = (act: 'strip' | 'crimp' | 'iron' | 'hotAir'): boolean =>
    make.steps.some(({ acts }) => acts.includes(act));
  const on = (is: boolean, ...kinds: readonly MishapKind[]): readonly MishapKind[] => (is ? kinds : []);
  const slides = make.steps.some(({ key }) => key === 'sleeve' || key === 'wireSeal');
  if (isSplice(make)) {
    const isCut = methodById(make.methodId).leavesWhole !== true;
    return [
      ...on(does('strip'), 'strandNicked', ...on(isCut, 'stripTooLong')),
      ...on(does('crimp') && isCut, 'crimpOnRim', 'wrongNest'),
      ...on(slides, 'sleeveForgotten'),
      ...on(does('hotAir') || does('iron'), 'jacketBurnt'),
      'jointFailed',
      'other',
    ];
  }
  if (isCavity(make) && make.work.terminal !== undefined && does('strip'))
    return [
      'strandNicked',
      'stripTooLong',
      ...on(does('crimp'), 'crimpOnRim', 'wrongNest'),
      'pinFolded',
      ...on(slides, 'sleeveForgotten'),
      ...on(does('hotAir') || does('iron'), 'jacketBurnt'),
      'jointFailed',
      'other',
    ];
  return ['jointFailed'];
}
