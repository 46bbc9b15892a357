import { RULES, isSwitchable } from './rank.ts';
import { PREFERENCES } from './rules/preference.ts';
import { REASONS, type Reason } from './rules/reasons.ts';
import type { Verdict } from './types.ts';

/** A rule as it stands in the book that a shop reads: what it does, why, what is said against it, and whether it may be switched off. */
export interface BookEntry extends Reason {
  readonly id: string;
  readonly subject: string;
  readonly verdict: Verdict;
  readonly source: string;
  readonly switchable: boolean;
  readonly allowedIf?: string | undefined;
}

const NONE: Reason = { title: '', because: '', otherSide: '' };

/** Sizing and room refuse by themselves; no practice lifts them. */
const FIXED: readonly Pick<BookEntry, 'id' | 'subject' | 'source'>[] = [
  { id: 'size.noPartHolds', subject: 'size', source: 'an end whose copper no part holds' },
  { id: 'size.tooManyWires', subject: 'size', source: 'two in one end of a butt only up to three in all' },
  { id: 'sleeve.none', subject: 'sleeve', source: 'sleeve choice' },
  { id: 'tap.cannotRejoin', subject: 'circuit to be added', source: 'taps and windows add' },
  { id: 'place.noRoom', subject: 'room', source: 'keep-outs are never broken' },
];

/** Every rule about methods, refusals first, then warnings and what is required, then the order of preference. */
export const methodBook = (): BookEntry[] => [
  ...FIXED.map((rule): BookEntry => ({ ...(REASONS[rule.id] ?? NONE), ...rule, verdict: 'refuse', switchable: false })),
  ...RULES.map((rule): BookEntry => ({
    ...(REASONS[rule.id] ?? NONE),
    id: rule.id,
    subject: rule.subject,
    verdict: rule.verdict,
    source: rule.source,
    switchable: isSwitchable(rule),
    allowedIf: rule.allowedIf,
  })),
  ...PREFERENCES.map((rule): BookEntry => ({
    ...(REASONS[rule.id] ?? NONE),
    id: rule.id,
    subject: rule.subject,
    verdict: 'prefer',
    source: rule.source,
    switchable: rule.id !== 'prefer.fewestSplices',
  })),
];

/** Ids that a practice may switch off. */
export const switchableRuleIds = (): string[] =>
  methodBook()
    .filter((entry) => entry.switchable)
    .map((entry) => entry.id);
