import type { ColourName, WireColour } from './colour.ts';
import {
  COLOUR_SYSTEM_WORDS,
  COLOUR_SYSTEMS,
  FULL_WORDS,
  LOOSE_FORMS,
  SHORT_FORMS,
  type ColourSystem,
} from './colourSystems.ts';

/** What a colour word came to: a colour, a question because it may mean several, or nothing that is known. */
export type ColourReading =
  | { readonly kind: 'read'; readonly colour: WireColour }
  | { readonly kind: 'ask'; readonly text: string; readonly mayBe: readonly WireColour[] }
  | { readonly kind: 'unread'; readonly text: string; readonly why: string };

const tidy = (text: string): string => text.normalize('NFC').trim().replace(/\s+/g, ' ').replace(/\.$/, '');
const SEPARATOR = /\s*(?:[/\\|+,;&]|\bWITH\b|(?<=[A-ZÄÖÜß])-(?=[A-ZÄÖÜß]))\s*/;
const STRIPE_WORDS = /\s*\b(?:STRIPE|STRIPED|TRACER|TRACE|STR)\b\s*/g;

/** Shades that belong to the word behind them, however they are tied to it: LT. BLU, DK-GRN. */
const SHADES = /\b(LT|DK|LIGHT|DARK|HELL|DUNKEL)[-.\s]+(?=[A-ZÄÖÜ])/g;

const meaning = (word: string, system: ColourSystem): ColourName | undefined =>
  FULL_WORDS.get(word) ?? (system === 'words' ? undefined : SHORT_FORMS[system][word]);

/** The parts of a colour text as written: base, then stripe. */
function partsOf(text: string): string[] {
  const upper = tidy(text).toUpperCase().replace(STRIPE_WORDS, ' ').replace(SHADES, '$1 ').trim();
  return upper
    .replace(/(\s)W\/\s*/, '$1WITH ')
    .split(SEPARATOR)
    .map((part) => part.trim())
    .filter((part) => part !== '');
}

/**
 * Both colours of a form without a separator, such as RDBK or "red black": every way to cut it in two that a system
 * reads.
 */
function cutInTwo(word: string, system: ColourSystem): WireColour[] {
  const cuts: WireColour[] = [];
  for (let at = 1; at < word.length; at += 1) {
    const [left, right] = [word.slice(0, at).trim(), word.slice(at).trim()];
    // Letters run together only in short forms; full words need a space between them.
    if (word[at] !== ' ' && word[at - 1] !== ' ' && (left.length > 3 || right.length > 3)) continue;
    const [base, stripe] = [meaning(left, system), meaning(right, system)];
    if (base !== undefined && stripe !== undefined && !cuts.some((cut) => cut.base === base && cut.stripe === stripe))
      cuts.push(base === stripe ? { base } : { base, stripe });
  }
  return cuts;
}

const same = (a: WireColour, b: WireColour): boolean => a.base === b.base && a.stripe === b.stripe;
const distinct = (colours: readonly WireColour[]): WireColour[] =>
  colours.filter((colour, index) => colours.findIndex((other) => same(other, colour)) === index);

/** Every colour that a text can be in one system. */
function inSystem(parts: readonly string[], system: ColourSystem): WireColour[] {
  const [first = '', second] = parts;
  if (second !== undefined) {
    const [base, stripe] = [meaning(first, system), meaning(second, system)];
    return base === undefined || stripe === undefined ? [] : [base === stripe ? { base } : { base, stripe }];
  }
  const whole = meaning(first, system);
  return whole === undefined ? cutInTwo(first, system) : [{ base: whole }];
}

/** What shorthand without a system may stand for, each part by itself. */
function loosely(parts: readonly string[]): WireColour[] {
  const [first = '', second] = parts;
  const options = (word: string): readonly ColourName[] =>
    LOOSE_FORMS[word] ?? [FULL_WORDS.get(word)].filter((name) => name !== undefined);
  return second === undefined
    ? options(first).map((base) => ({ base }))
    : options(first).flatMap((base) =>
        options(second).map((stripe) => (base === stripe ? { base } : { base, stripe })),
      );
}

/**
 * Reads a colour as it is printed: "red with black stripe", RD/BK, RDBK, BLK-YEL, sw/ge, W/L. With a system, only that
 * and full English words count. Without one, a form that may mean several colours (a lone B, G or BL) is asked and
 * never guessed.
 */
export function readColour(text: string, system?: ColourSystem): ColourReading {
  if (/^\s*[/\\|,;+&]/.test(text)) return { kind: 'unread', text, why: 'It has a stripe, and no base colour.' };
  if (/[/\\|+&-]\s*$/.test(text) && /\p{L}/u.test(text))
    return { kind: 'unread', text, why: 'A stripe is begun, and not named.' };
  const parts = partsOf(text);
  if (parts.length === 0) return { kind: 'unread', text, why: 'It is empty.' };
  if (parts.length > 2)
    return { kind: 'unread', text, why: `It has ${parts.length} colours; a wire has a base and at most one stripe.` };
  const found = distinct(
    system === undefined
      ? [...COLOUR_SYSTEMS.flatMap((one) => inSystem(parts, one)), ...loosely(parts)]
      : inSystem(parts, system),
  );
  const [only] = found;
  if (only === undefined) {
    const elsewhere =
      system === undefined ? [] : COLOUR_SYSTEMS.filter((one) => one !== system && inSystem(parts, one).length > 0);
    return {
      kind: 'unread',
      text,
      why:
        elsewhere.length > 0
          ? `It is not read in ${COLOUR_SYSTEM_WORDS[system ?? 'words']}; it would be in ${elsewhere.map((one) => COLOUR_SYSTEM_WORDS[one]).join(' or ')}.`
          : 'It is not a known colour word.',
    };
  }
  return found.length === 1 ? { kind: 'read', colour: only } : { kind: 'ask', text, mayBe: found };
}

/** How well one system reads a whole list of colour texts. */
export interface SystemEvidence {
  readonly system: ColourSystem;
  /** Different texts that it reads, of how many. */
  readonly reads: number;
  readonly of: number;
  /** Texts that no other system reads: what speaks for it. */
  readonly onlyHere: readonly string[];
  readonly unread: readonly string[];
}

/**
 * The system that a whole import is read under, with what speaks for each; none when the evidence does not decide and
 * it must be asked.
 */
export interface SystemVerdict {
  readonly system?: ColourSystem | undefined;
  readonly because: string;
  readonly evidence: readonly SystemEvidence[];
}

const quoted = (texts: readonly string[]): string =>
  `${texts
    .slice(0, 4)
    .map((text) => `“${text}”`)
    .join(', ')}${texts.length > 4 ? ` and ${texts.length - 4} more` : ''}`;

/**
 * Chooses one system for a whole list. A system is taken when it reads the most and either something in the list is
 * read by it alone, or all that could be taken agree on every text, so that nothing hangs on the choice. Otherwise
 * none: it is asked.
 */
export function judgeColourSystem(texts: readonly string[]): SystemVerdict {
  const different = [...new Set(texts.map((text) => tidy(text).toUpperCase()).filter((text) => text !== ''))];
  const readBy = new Map(
    COLOUR_SYSTEMS.map((system) => [system, different.filter((text) => readColour(text, system).kind === 'read')]),
  );
  const evidence = COLOUR_SYSTEMS.map((system): SystemEvidence => {
    const read = readBy.get(system) ?? [];
    return {
      system,
      reads: read.length,
      of: different.length,
      unread: different.filter((text) => !read.includes(text)),
      onlyHere: read.filter(
        (text) => !COLOUR_SYSTEMS.some((other) => other !== system && readBy.get(other)?.includes(text)),
      ),
    };
  }).sort((a, b) => b.reads - a.reads || b.onlyHere.length - a.onlyHere.length);
  const most = evidence[0]?.reads ?? 0;
  if (different.length === 0) return { system: 'words', because: 'There is no colour to read.', evidence };
  if (most === 0) return { because: 'No system reads any of these colours.', evidence };
  const best = evidence.filter((one) => one.reads === most);
  const [first] = best;
  const agree = different.every(
    (text) =>
      distinct(
        best.flatMap((one) => {
          const reading = readColour(text, one.system);
          return reading.kind === 'read' ? [reading.colour] : [];
        }),
      ).length <= 1,
  );
  const doubtful = different.filter((text) => readColour(text).kind === 'ask');
  if (
    first &&
    best.length === 1 &&
    (first.onlyHere.some((text) => !doubtful.includes(text) && !isLoose(text)) || doubtful.length === 0)
  ) {
    return {
      system: first.system,
      because: `Read as ${COLOUR_SYSTEM_WORDS[first.system]}: it reads ${first.reads} of ${first.of}${first.onlyHere.length > 0 ? `, and ${quoted(first.onlyHere)} ${first.onlyHere.length === 1 ? 'is' : 'are'} read in no other` : ''}.`,
      evidence,
    };
  }
  if (first && agree && doubtful.length === 0)
    return {
      system: first.system,
      because: `Read as ${COLOUR_SYSTEM_WORDS[first.system]}: whichever system is taken, these colours come out the same.`,
      evidence,
    };
  return {
    because: `${quoted(doubtful)} may mean several colours, and nothing in the list tells which system it is. Choose the system.`,
    evidence,
  };
}

/** Whether every part of a text is shorthand that people write without a system, so that it is no evidence for one. */
const isLoose = (text: string): boolean =>
  partsOf(text).every((part) => part !== 'L' && LOOSE_FORMS[part] !== undefined);
